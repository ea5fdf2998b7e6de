"use client";
import type { Day } from "@/core/units/day";
import { saveStockTank } from "@/server/feed/actions";
import { STOCK_TANK } from "@/core/garden/entities/water";
import type { StockTankRow } from "@/core/garden/garden";
import { stockTankSchema } from "@/server/feed/schema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { fieldsOf } from "@/features/frame/form/entityFields";
import { formValues } from "@/features/frame/form/formValues";

const FIELDS = fieldsOf(STOCK_TANK).filter(({ name }) => name !== "letter");

export function StockTankForm({ tank, today, onDone }: { tank: StockTankRow; today: Day; onDone: () => void }) {
  return (
    <EntityForm
      form="stock-tank"
      schema={stockTankSchema}
      fields={FIELDS}
      defaults={{ ...formValues(STOCK_TANK, tank), readOn: today }}
      action={saveStockTank}
      saved="Stock tank saved"
      onDone={onDone}
    />
  );
}
