"use client";
import { WEEKDAYS, type Day } from "@/core/units/day";
import { removeOrder, saveOrder, saveOutlet } from "@/server/batches/actions";
import type { OrderRow } from "@/server/batches/queries";
import { orderSchema, outletSchema } from "@/server/batches/schema";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";
import { RemoveButton } from "@/ui/RemoveButton";

/** A new outlet: its orders follow. */
export function OutletForm({ onDone }: { onDone: () => void }) {
  return (
    <EntityForm
      schema={outletSchema}
      fields={[{ name: "name", label: "Name", type: "text", wide: true }]}
      defaults={{ id: null, version: null, name: "" }}
      action={saveOutlet}
      saved="Outlet saved"
      onDone={onDone}
    />
  );
}

/** A standing order: what, for whom, on which weekday, from when to when. */
export function OrderForm({
  order,
  outlets,
  varieties,
  today,
  onDone,
}: {
  outlets: readonly { readonly id: number; readonly name: string }[];
  varieties: readonly { readonly id: number; readonly name: string; readonly unit: string }[];
  today: Day;
  order: OrderRow | null;
  onDone: () => void;
}) {
  const fields: readonly FieldSpec[] = [
    {
      name: "outletId",
      label: "For",
      type: "choice",
      options: outlets.map(({ id, name }) => ({ value: id, label: name })),
    },
    {
      name: "varietyId",
      label: "Variety",
      type: "choice",
      options: varieties.map(({ id, name, unit }) => ({ value: id, label: `${name}, ${unit}` })),
    },
    {
      name: "weekday",
      label: "Every",
      type: "choice",
      options: WEEKDAYS.map((name, index) => ({ value: index + 1, label: name })),
    },
    { name: "quantity", label: "Quantity each time", type: "quantity", dimension: "ratio" },
    { name: "from", label: "From", type: "day", wide: true },
    { name: "to", label: "Until", type: "day", wide: true },
  ];
  const { outletName: _outletName, ...given } = order ?? {
    id: null,
    version: null,
    outletId: outlets[0]!.id,
    varietyId: varieties[0]!.id,
    weekday: 6,
    quantity: 20,
    from: today,
    to: today + 364,
    outletName: "",
  };
  return (
    <EntityForm
      schema={orderSchema}
      fields={fields}
      defaults={given}
      action={saveOrder}
      saved="Order saved"
      onDone={onDone}
      aside={order && <RemoveButton what="order" action={removeOrder} id={order.id} onDone={onDone} />}
    />
  );
}
