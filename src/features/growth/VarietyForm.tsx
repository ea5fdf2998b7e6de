"use client";
import { useMemo } from "react";
import { useFieldArray, useFormContext, useWatch } from "react-hook-form";
import { removeVariety, saveVariety } from "@/server/growth/actions";
import { NUTRIENTS } from "@/core/feed/nutrients";
import { fieldOf } from "@/core/garden/entities/field";
import { SEED_LOT, TRAY, VARIETY, VARIETY_STAGE, VARIETY_STEP } from "@/core/garden/entities/growth";
import { OptionalUnion } from "@/features/frame/form/OptionalUnion";
import { UnionExamples } from "@/features/frame/form/UnionExamples";
import { PATTERN_EXAMPLES } from "./patternExamples";
import { AmountFields } from "@/features/frame/form/AmountFields";
import { formValues } from "@/features/frame/form/formValues";
import { fieldsOf, formFields } from "@/features/frame/form/entityFields";
import type { HarvestUnit } from "@/core/growth/harvestUnit";
import type { Variety } from "@/core/garden/garden";
import type { Day } from "@/core/units/day";
import { formatNumber, quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { varietySchema } from "@/server/growth/schema";
import type { GrowingAreaRow } from "@/core/garden/garden";
import { Button } from "@/ui/Button";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { Fold } from "@/features/frame/form/Fold";
import { FormControl } from "@/features/frame/form/FormControl";
import type { FieldSpec } from "@/features/frame/form/fields";
import { RemoveButton } from "@/features/frame/RemoveButton";
import { DaysToReady } from "./DaysToReady";
import { NewUnit } from "./NewUnit";
import { SeedLots } from "./SeedLots";
import { Steps } from "./Steps";

const SEED = "More about its seed";
const CLIMATE = "What it wants: strength, warmth, light, place";
const CLOCK = "How its days go by";
const REST = "Everything else";
const FOLDS: Readonly<Record<string, string>> = Object.fromEntries([
  ...["family", "pricePerUnit", "foodSafetySensitive", "germination", "seedsPerCell", "seedsPerG"].map((name) => [
    name,
    REST,
  ]),
  ...["thinTo", "pelleted", "seedPricePerG", "depthM", "germinatesIn", "soakH"].map((name) => [name, SEED]),
  ...["suits", "suitsNot", "ecLow", "ecHigh", "phLow", "phHigh", "solutionLowC", "solutionHighC"].map((name) => [
    name,
    CLIMATE,
  ]),
  ...["airBaseC", "airOptimumC", "airCeilingC", "lightMolPerM2Day"].map((name) => [name, CLIMATE]),
  ...["upWithinDays", "seedLeadDays"].map((name) => [name, SEED]),
  ...["clock", "halfLightMol", "learns", "notModelled"].map((name) => [name, CLOCK]),
]);

const fieldsWith = (units: readonly HarvestUnit[]): readonly FieldSpec[] =>
  VARIETY.fields.flatMap((field): FieldSpec[] => {
    const fold = FOLDS[field.name];
    if (field.name === "tray") return [];
    if (field.name !== "unitId") return formFields(field).map((one) => ({ ...one, ...(fold && { fold }) }));
    const options = units.map(({ id, name, divisible }) => ({
      value: id,
      label: divisible ? `${name}, parts too` : name,
    }));
    return [{ name: field.name, label: field.label, type: "choice", options }];
  });

/** Plants take it up by its forms; urea hardly before microbes have turned it. */
const TAKEN_UP = NUTRIENTS.filter((one) => one !== "urea-N" && one !== "unstated-N");
const UPTAKE = fieldOf(VARIETY_STAGE, "uptakeMgPerL");
const CLIMATE_OF_STAGE = ["needFrom", "kc", "areaPerPlantM2"].map((name) => fieldOf(VARIETY_STAGE, name));
const OF_WARMTH = ["referenceDays", "usesLight"].map((name) => fieldOf(VARIETY_STAGE, name));
const ASKED_OF_STAGE = ["name", "growingAreaId", "survival", "needLpd", "daysByMonth"].map((name) =>
  fieldOf(VARIETY_STAGE, name),
);

/** What the rows of the form are asked for: what is wrong in them is told in the units in which it was typed. */
const PARTS = {
  stages: [...ASKED_OF_STAGE, ...OF_WARMTH, ...CLIMATE_OF_STAGE].flatMap((field) => formFields(field)),
  steps: fieldsOf(VARIETY_STEP),
  lots: fieldsOf(SEED_LOT),
};

function stageFields(index: number, growingAreas: readonly GrowingAreaRow[]): FieldSpec[] {
  const options = growingAreas.map(({ id, name }) => ({ value: id, label: name }));
  return ASKED_OF_STAGE.flatMap((field): FieldSpec[] =>
    field.type === "reference"
      ? [{ name: `stages.${index}.${field.name}`, label: field.label, type: "choice", options }]
      : formFields(field, `stages.${index}.`),
  );
}

const TRAY_EXAMPLES = {
  weight: { kind: "weight", seedGPerTray: 30, yieldRatio: 8, germinationOfRatio: 0.9, blackoutDays: 4, lightDays: 4 },
};

const STAGE_EXAMPLE = {
  ...{ needFrom: "climate", referenceDays: null, usesLight: true },
  kc: null,
  areaPerPlantM2: null,
  uptakeMgPerL: {},
  name: "grow",
  survival: 0.97,
  needLpd: 0.15,
  daysByMonth: Array<number>(12).fill(44),
};

export function VarietyForm({
  variety,
  growingAreas,
  units,
  usualAreaId,
  today,
  onDone,
}: {
  variety: Variety | null;
  growingAreas: readonly GrowingAreaRow[];
  /** Where most varieties grow. */
  usualAreaId: number | null;
  units: readonly HarvestUnit[];
  today: Day;
  onDone: () => void;
}) {
  const example = {
    name: "",
    crop: "",
    kind: "leaf",
    unitId: units.find(({ name }) => name === "heads")?.id ?? units[0]?.id ?? null,
    foodSafetySensitive: false,
    germination: 0.9,
    seedsPerCell: 1,
    seedsPerG: 500,
    pattern: { kind: "once", unitsPerPlant: 1, keepsDays: 4 },
    lots: [],
    steps: [],
    stages: [
      {
        ...STAGE_EXAMPLE,
        name: "germinate",
        growingAreaId: growingAreas[0]?.id ?? null,
        daysByMonth: Array(12).fill(5),
        survival: 1,
        needLpd: 0.01,
        usesLight: false,
      },
      { ...STAGE_EXAMPLE, growingAreaId: usualAreaId ?? growingAreas.at(-1)?.id ?? null },
    ],
  };
  const fields = useMemo(() => fieldsWith(units), [units]);
  return (
    <EntityForm
      form="variety"
      schema={varietySchema}
      fields={fields}
      parts={PARTS}
      defaults={formValues(VARIETY, variety ?? example, { stages: VARIETY_STAGE, steps: VARIETY_STEP, lots: SEED_LOT })}
      own={{
        "pattern.keepsDays": (keeps) => (
          <>
            {keeps}
            <DaysToReady growingAreas={growingAreas} />
          </>
        ),
      }}
      action={saveVariety}
      saved="Variety saved"
      onDone={onDone}
      aside={variety && <RemoveButton what={variety.name} action={removeVariety} id={variety.id} onDone={onDone} />}
    >
      <NewUnit />
      <UnionExamples name="pattern" examples={PATTERN_EXAMPLES} />
      <OptionalUnion field={TRAY} has="Sown in trays by weight (kept; no sum uses it yet)" examples={TRAY_EXAMPLES} />
      <Stages growingAreas={growingAreas} />
      <Steps />
      <SeedLots today={today} />
    </EntityForm>
  );
}

/** Stage by stage, folded away: the sentence above them tells them in the fewest figures. */
function Stages({ growingAreas }: { growingAreas: readonly GrowingAreaRow[] }) {
  const { control } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control, name: "stages" });
  const specs = fields.map((_, index) => stageFields(index, growingAreas));
  return (
    <>
      <Fold name="Stage by stage" fields={specs.flat()} taken={<StagesInBrief />}>
        <div className="col-span-full">
          {fields.map((field, index) => (
            <fieldset key={field.id} className="mt-4 border-t-2 border-ink pt-2">
              <legend className="sign text-xl">Stage {index + 1}</legend>
              <div className="grid grid-cols-2 gap-3">
                {specs[index]!.map((spec) => (
                  <FormControl key={spec.name} spec={spec} />
                ))}
              </div>
              <details className="mt-2">
                <summary className="min-h-11 cursor-pointer font-bold">Its days by warmth and light</summary>
                <p className="mb-2 text-soft">They count where the variety goes by warmth and light.</p>
                <div className="grid grid-cols-2 gap-3">
                  {OF_WARMTH.flatMap((field) => formFields(field, `stages.${index}.`)).map((spec) => (
                    <FormControl key={spec.name} spec={spec} />
                  ))}
                </div>
              </details>
              <details className="mt-2">
                <summary className="min-h-11 cursor-pointer font-bold">What it drinks, by the climate; uptake</summary>
                <p className="mb-2 text-soft">
                  Where the climate is told, a plant drinks what short grass would on its ground × Kc: about 0.3 while
                  it comes up, 0.5 in the nursery, 1 to 1.15 full grown. Without Kc or ground the figure above stands.
                </p>
                <div className="grid grid-cols-2 gap-3">
                  {CLIMATE_OF_STAGE.flatMap((field) => formFields(field, `stages.${index}.`)).map((spec) => (
                    <FormControl key={spec.name} spec={spec} />
                  ))}
                </div>
                <p className="mt-2 text-soft">Uptake is kept with the stage; no sum uses it yet.</p>
                <AmountFields name={`stages.${index}.uptakeMgPerL`} legend={UPTAKE.label} keys={TAKEN_UP} />
              </details>
              {fields.length > 1 && (
                <Button look="quiet" onClick={() => remove(index)}>
                  Delete stage {index + 1}
                </Button>
              )}
            </fieldset>
          ))}
          <Button
            className="mt-3"
            onClick={() => append({ ...STAGE_EXAMPLE, growingAreaId: growingAreas.at(-1)?.id ?? null })}
          >
            Add a stage
          </Button>
        </div>
      </Fold>
    </>
  );
}

/** What each stage is taken as. */
function StagesInBrief() {
  const units = useUnits();
  const { control } = useFormContext();
  const stages = useWatch({ control, name: "stages" }) as readonly Partial<Variety["stages"][number]>[];
  return stages
    .map(({ name, daysByMonth = [], survival, needLpd }) => {
      const [least, most] = [Math.min(...daysByMonth), Math.max(...daysByMonth)];
      const days =
        least === most ? quantityText(least, "days", units) : `${formatNumber(least)} to ${formatNumber(most)} days`;
      const drinks = quantityText(Number(needLpd), "volume", units);
      return `${name} ${days}, ${quantityText(Number(survival), "share", units)} survive, ${drinks} drunk a day`;
    })
    .join("; ");
}
