"use client";
import type { Day } from "@/core/units/day";
import { saveSource, saveStore } from "@/server/water/actions";
import type { Source, Store } from "@/server/water/queries";
import { sourceSchema, storeSchema } from "@/server/water/schema";
import { AmountFields } from "@/ui/form/AmountFields";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";

const kindIs = (kind: string) => (values: { kind: string }) => values.kind === kind;
const FIELDS: readonly FieldSpec[] = [
  { name: "name", label: "Name", type: "text" },
  { name: "kind", label: "Kind", type: "choice", options: [{ value: "rain", label: "rain from a roof" }, { value: "well", label: "well" }, { value: "mains", label: "mains or standpipe" }, { value: "carried", label: "carried" }] },
  { name: "priority", label: "Order of use", type: "quantity", dimension: "count", hint: "1 is drawn first" },
  { name: "pricePerM3", label: "Price per m³", type: "quantity", dimension: "money" },
  { name: "roofAreaM2", label: "Roof, in plan", type: "quantity", dimension: "area", when: kindIs("rain") },
  { name: "flowLph", label: "Flow", type: "quantity", dimension: "flow", when: kindIs("well") },
  { name: "hoursPerDay", label: "Hours a day", type: "quantity", dimension: "count", when: kindIs("well") },
  { name: "allowanceLpd", label: "Allowance a day", type: "quantity", dimension: "volume", when: (values) => values.kind === "mains" || values.kind === "carried" },
  { name: "alkalinityMgCaco3PerL", label: "Alkalinity, mg/L as CaCO₃", type: "quantity", dimension: "count" },
]; // prettier-ignore
const EXAMPLE = {
  id: null,
  version: null,
  name: "",
  kind: "mains",
  priority: 1,
  pricePerM3: 2,
  roofAreaM2: 0,
  flowLph: 0,
  hoursPerDay: 0,
  allowanceLpd: 600,
  alkalinityMgCaco3PerL: 100,
  analysisMgPerL: {},
};

export function SourceForm({ source, onDone }: { source: Source | null; onDone: () => void }) {
  return (
    <EntityForm
      schema={sourceSchema}
      fields={FIELDS}
      defaults={source ?? EXAMPLE}
      action={saveSource}
      saved="Source saved"
      onDone={onDone}
    >
      <AmountFields name="analysisMgPerL" legend="Analysis, mg/L" keys={["Ca", "Mg", "K", "Na", "Cl", "S", "NO3-N"]} />
    </EntityForm>
  );
}

const STORE_FIELDS: readonly FieldSpec[] = [
  { name: "name", label: "Name", type: "text", wide: true },
  { name: "capacityL", label: "Capacity", type: "quantity", dimension: "volume" },
  { name: "storedL", label: "In store now", type: "quantity", dimension: "volume" },
  { name: "readOn", label: "Read on", type: "day" },
];

export function StoreForm({ store, today, onDone }: { store: Store | null; today: Day; onDone: () => void }) {
  return (
    <EntityForm
      schema={storeSchema}
      fields={STORE_FIELDS}
      defaults={store ?? { id: null, version: null, name: "", capacityL: 1000, storedL: 0, readOn: today }}
      action={saveStore}
      saved="Store saved"
      onDone={onDone}
    />
  );
}
