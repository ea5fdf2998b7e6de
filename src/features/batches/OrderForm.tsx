"use client";
import { CUSTOMER, ORDER } from "@/core/garden/entities/batches";
import { WEEKDAYS, type Day } from "@/core/units/day";
import { saveOrder, saveCustomer } from "@/server/batches/actions";
import type { OrderRow } from "@/core/garden/garden";
import { orderSchema, customerSchema } from "@/server/batches/schema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { formValues } from "@/features/frame/form/formValues";
import { fieldsOf } from "@/features/frame/form/entityFields";
import type { FieldSpec } from "@/features/frame/form/fields";
import { RemoveOrder } from "./RemoveOrder";

/** A new customer: its orders follow. */
export function CustomerForm({ onDone }: { onDone: () => void }) {
  return (
    <EntityForm
      form="customer"
      schema={customerSchema}
      fields={fieldsOf(CUSTOMER, { name: { wide: true } })}
      defaults={formValues(CUSTOMER, { name: "" })}
      action={saveCustomer}
      saved="Customer saved"
      onDone={onDone}
    />
  );
}

/** A standing order: what, for whom, on which weekday, from when to when. */
export function OrderForm({
  order,
  customers,
  varieties,
  today,
  alone,
  onDone,
}: {
  customers: readonly { readonly id: number; readonly name: string }[];
  varieties: readonly { readonly id: number; readonly name: string; readonly unit: string }[];
  today: Day;
  order: OrderRow | null;
  /** Batches still to be sown that this order alone takes from. */
  alone: readonly number[];
  onDone: () => void;
}) {
  const fields: readonly FieldSpec[] = [
    {
      name: "customerId",
      label: "For",
      type: "choice",
      options: customers.map(({ id, name }) => ({ value: id, label: name })),
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
    ...fieldsOf(ORDER, { from: { wide: true }, to: { wide: true } }).filter(({ name }) => name !== "weekday"),
  ];
  const given = order ?? {
    customerId: customers[0]!.id,
    varietyId: varieties[0]!.id,
    weekday: 6,
    quantity: 20,
    from: today,
    to: today + 364,
  };
  return (
    <EntityForm
      form="order"
      schema={orderSchema}
      fields={fields}
      sentence="{quantity} of {varietyId} for {customerId} every {weekday}, from {from} to {to}."
      defaults={formValues(ORDER, given)}
      action={saveOrder}
      saved="Order saved"
      onDone={onDone}
      aside={order && <RemoveOrder id={order.id} alone={alone} onDone={onDone} />}
    />
  );
}
