"use client";
import type { Day } from "@/core/units/day";
import { saveStockTank } from "@/server/feed/actions";
import type { StockTankRow } from "@/server/feed/queries";
import { stockTankSchema } from "@/server/feed/schema";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";

const FIELDS: readonly FieldSpec[] = [
  { name: "volumeL", label: "Stock tank", type: "quantity", dimension: "volume" },
  { name: "leftL", label: "Left in it", type: "quantity", dimension: "volume" },
  { name: "readOn", label: "Read on", type: "day" },
];

export function StockTankForm({ tank, today, onDone }: { tank: StockTankRow; today: Day; onDone: () => void }) {
  return (
    <EntityForm
      schema={stockTankSchema}
      fields={FIELDS}
      defaults={{ ...tank, readOn: today }}
      action={saveStockTank}
      saved="Stock tank saved"
      onDone={onDone}
    />
  );
}
