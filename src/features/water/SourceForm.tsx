"use client";
import { NUTRIENTS } from "@/core/feed/nutrients";
import type { Day } from "@/core/units/day";
import { saveSource, saveStore } from "@/server/water/actions";
import { SOURCE, STORE } from "@/core/garden/entities/water";
import type { Source } from "@/core/garden/garden";
import type { Store } from "@/core/garden/garden";
import { sourceSchema, storeSchema } from "@/server/water/schema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { formValues } from "@/features/frame/form/formValues";
import { fieldsOf } from "@/features/frame/form/entityFields";
import type { FieldSpec } from "@/features/frame/form/fields";

const kindIs =
  (...kinds: readonly string[]) =>
  (values: { kind: string }) =>
    kinds.includes(values.kind);
const ANALYSIS = "What is in it";
const REST = "Everything else";
const DESCRIBED = fieldsOf(SOURCE, {
  priority: { fold: REST },
  pricePerM3: { fold: REST },
  roofAreaM2: { when: kindIs("rain") },
  flowLph: { when: kindIs("well", "mains") },
  hoursPerDay: { when: kindIs("well") },
  allowanceLpd: { when: kindIs("mains", "carried") },
  pressureM: { when: kindIs("mains"), fold: REST },
  analysedOn: { fold: ANALYSIS },
  ecMsPerCm: { fold: ANALYSIS },
  ph: { fold: ANALYSIS },
  alkalinityMgCaco3PerL: { fold: ANALYSIS },
  balanceDoubted: { fold: ANALYSIS },
});
const isDoubt = ({ name }: FieldSpec) => name === "balanceDoubted";
const FIELDS: readonly FieldSpec[] = [
  ...DESCRIBED.filter((one) => !isDoubt(one)),
  {
    name: "analysisMgPerL",
    label: "Analysis, mg/L",
    type: "amounts",
    keys: NUTRIENTS.filter((nutrient) => nutrient !== "urea-N" && nutrient !== "unstated-N"),
    fold: ANALYSIS,
  },
  ...DESCRIBED.filter(isDoubt),
];
const EXAMPLE = {
  name: "",
  kind: "mains",
  priority: 1,
  pricePerM3: 2,
  allowanceLpd: 600,
  alkalinityMgCaco3PerL: 100,
};

export function SourceForm({ source, onDone }: { source: Source | null; onDone: () => void }) {
  return (
    <EntityForm
      form="source"
      schema={sourceSchema}
      fields={FIELDS}
      defaults={formValues(SOURCE, source ?? EXAMPLE)}
      action={saveSource}
      saved="Source saved"
      onDone={onDone}
    />
  );
}

const STORE_FIELDS = fieldsOf(STORE, { name: { wide: true } });

export function StoreForm({ store, today, onDone }: { store: Store | null; today: Day; onDone: () => void }) {
  return (
    <EntityForm
      form="store"
      schema={storeSchema}
      fields={STORE_FIELDS}
      defaults={formValues(STORE, store ?? { name: "", capacityL: 1000, storedL: 0, readOn: today })}
      action={saveStore}
      saved="Store saved"
      onDone={onDone}
    />
  );
}
