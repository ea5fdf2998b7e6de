"use client";
import { useFieldArray, useFormContext } from "react-hook-form";
import { removeVariety, saveVariety } from "@/server/growth/actions";
import type { Variety } from "@/server/growth/queries";
import { varietySchema } from "@/server/growth/schema";
import type { PoolRow } from "@/server/place/queries";
import { Button } from "@/ui/Button";
import { EntityForm } from "@/ui/form/EntityForm";
import { FormControl } from "@/ui/form/FormControl";
import type { FieldSpec } from "@/ui/form/fields";
import { RemoveButton } from "@/ui/RemoveButton";
import { PatternExample } from "./PatternExample";

const pattern =
  (...kinds: string[]) =>
  (values: { pattern: { kind: string } }) =>
    kinds.includes(values.pattern.kind);
const FIELDS: readonly FieldSpec[] = [
  { name: "name", label: "Name", type: "text" },
  { name: "crop", label: "Crop", type: "text" },
  { name: "kind", label: "Kind", type: "choice", options: ["leaf", "herb", "fruit", "root", "shoots", "fodder", "flower"].map((value) => ({ value, label: value })) },
  { name: "unit", label: "Sold as", type: "text", hint: "heads, bunches, kg, punnets" },
  { name: "germination", label: "Germination", type: "quantity", dimension: "share" },
  { name: "seedsPerCell", label: "Seeds per cell", type: "quantity", dimension: "count" },
  { name: "seedsPerG", label: "Seeds per gram", type: "quantity", dimension: "ratio" },
  { name: "pattern.kind", label: "Taken", type: "choice", options: [{ value: "once", label: "once" }, { value: "cut", label: "cut and come again" }, { value: "picking", label: "picked week by week" }] },
  { name: "pattern.unitsPerPlant", label: "Yield of a plant (first cut)", type: "quantity", dimension: "ratio", when: pattern("once", "cut") },
  { name: "pattern.cuts", label: "Cuts", type: "quantity", dimension: "count", when: pattern("cut") },
  { name: "pattern.daysBetween", label: "Days between cuts", type: "quantity", dimension: "count", when: pattern("cut") },
  { name: "pattern.factor", label: "Each cut against the one before", type: "quantity", dimension: "share", when: pattern("cut") },
  { name: "pattern.unitsPerPlantWeek", label: "Yield of a plant in a week", type: "quantity", dimension: "ratio", when: pattern("picking") },
  { name: "pattern.weeks", label: "Picking weeks", type: "quantity", dimension: "count", when: pattern("picking") },
  { name: "pattern.holdDays", label: "Holds for, days", type: "quantity", dimension: "count", hint: "on the plant or in the cold, past ready" },
]; // prettier-ignore

const STAGE_EXAMPLE = {
  name: "grow",
  survival: 0.97,
  needLpd: 0.15,
  daysByMonth: [44, 39, 33, 28, 25, 23, 22, 24, 28, 33, 39, 44],
};

export function VarietyForm({
  variety,
  pools,
  onDone,
}: {
  variety: Variety | null;
  pools: readonly PoolRow[];
  onDone: () => void;
}) {
  const example = {
    id: null, version: null, name: "", crop: "", kind: "leaf", unit: "heads", germination: 0.9, seedsPerCell: 1, seedsPerG: 500,
    pattern: { kind: "once", unitsPerPlant: 1, holdDays: 4 },
    stages: [
      { ...STAGE_EXAMPLE, name: "germinate", poolId: pools[0]?.id ?? null, daysByMonth: Array(12).fill(5), survival: 1, needLpd: 0.01 },
      { ...STAGE_EXAMPLE, poolId: pools.at(-1)?.id ?? null },
    ],
  }; // prettier-ignore
  return (
    <EntityForm
      schema={varietySchema}
      fields={FIELDS}
      defaults={variety ?? example}
      action={saveVariety}
      saved="Variety saved"
      onDone={onDone}
      aside={variety && <RemoveButton what={variety.name} action={removeVariety} id={variety.id} onDone={onDone} />}
    >
      <PatternExample />
      <Stages pools={pools} />
    </EntityForm>
  );
}

function Stages({ pools }: { pools: readonly PoolRow[] }) {
  const { control } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control, name: "stages" });
  const options = pools.map((pool) => ({ value: pool.id, label: pool.name }));
  return (
    <>
      {fields.map((field, index) => (
        <fieldset key={field.id} className="mt-4 border-t-2 border-ink pt-2">
          <legend className="sign text-xl">Stage {index + 1}</legend>
          <div className="grid grid-cols-2 gap-3">
            <FormControl spec={{ name: `stages.${index}.name`, label: "Stage", type: "text" }} />
            <FormControl spec={{ name: `stages.${index}.poolId`, label: "Spent in", type: "choice", options }} />
            <FormControl
              spec={{
                name: `stages.${index}.survival`,
                label: "Come through",
                type: "quantity",
                dimension: "share",
              }}
            />
            <FormControl
              spec={{
                name: `stages.${index}.needLpd`,
                label: "Drinks a day",
                type: "quantity",
                dimension: "volume",
              }}
            />
            <FormControl
              spec={{
                name: `stages.${index}.daysByMonth`,
                label: "Days, by the month they fall in",
                type: "months",
                dimension: "count",
              }}
            />
          </div>
          {fields.length > 1 && (
            <Button look="quiet" onClick={() => remove(index)}>
              Take stage {index + 1} out
            </Button>
          )}
        </fieldset>
      ))}
      <Button className="mt-3" onClick={() => append({ ...STAGE_EXAMPLE, poolId: pools.at(-1)?.id ?? null })}>
        One more stage
      </Button>
    </>
  );
}
