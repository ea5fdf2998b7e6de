"use client";
import { CommonPumpField } from "./CommonPumpField";
import { EXAMPLE_PUMPS } from "./examplePump";
import { FILL_SHARE, NormalFill } from "./NormalFill";
import { PumpSoFar } from "./PumpSoFar";
import { saveLoop } from "@/server/water/actions";
import { fieldOf } from "@/core/garden/entities/field";
import { PUMP } from "@/core/garden/entities/pump";
import { LOOP } from "@/core/garden/entities/water";
import { OptionalUnion } from "@/features/frame/form/OptionalUnion";
import { formFields } from "@/features/frame/form/entityFields";
import type { OwnControls } from "@/features/frame/form/Fields";
import type { Loop, Stand } from "@/core/garden/garden";
import { loopSchema } from "@/server/water/schema";
import { FormSentence } from "@/features/frame/form/FormSentence";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { roundExample } from "@/features/frame/form/roundDefaults";
import { useUnits } from "@/ui/units";
import { formValues } from "@/features/frame/form/formValues";
import type { FieldSpec } from "@/features/frame/form/fields";
import { TimerFields } from "./TimerFields";
import { TradeSize } from "./TradeSize";

interface Named {
  readonly id: number;
  readonly name: string;
}

const isWaste = (values: { kind: string }) => values.kind === "run-to-waste";
const hasInjector = (values: { feeding: string }) => values.feeding === "injector";
const hasStocks = (values: { feeding: string }) => values.feeding !== "dry";

const SHOWN_WHEN: Readonly<Record<string, FieldSpec["when"]>> = {
  drainShare: isWaste,
  stocks: hasStocks,
  ratioR: hasStocks,
  ratioConvention: hasStocks,
  coldestC: hasStocks,
  injectorLeastLph: hasInjector,
  injectorGreatestLph: hasInjector,
  injectorLeastR: hasInjector,
  injectorGreatestR: hasInjector,
  injectorLeastHeadM: hasInjector,
  injectorGreatestHeadM: hasInjector,
  injectorStrokeL: hasInjector,
  calibrateEveryDays: hasInjector,
};

const REST = "Everything else";
/** What decides what it waters and feeds: it is asked first, the rest is folded with what it is taken as. */
const ASKED = new Set(["name", "kind", "tankL", "feeding", "recipeId", "sourceId", "readEveryDays"]);
const READ_EVERY = formFields(fieldOf(LOOP, "readEveryDays"));
const OWN: OwnControls = {
  readEveryDays: () => <FormSentence template="Its tank is read every {readEveryDays}." fields={READ_EVERY} />,
};

function fieldsWith(recipes: readonly Named[], sources: readonly Named[]): FieldSpec[] {
  const options = (rows: readonly Named[]) => [
    { value: null, label: "none yet" },
    ...rows.map((row) => ({ value: row.id, label: row.name })),
  ];
  const choices: Readonly<Record<string, readonly Named[]>> = { recipeId: recipes, sourceId: sources };
  return LOOP.fields.flatMap((field): FieldSpec[] => {
    const { name, label } = field;
    // Timer and pump have parts of their own.
    if (field.type === "union") return [];
    if (choices[name]) return [{ name, label, type: "choice", options: options(choices[name]) }];
    const fold = ASKED.has(name) ? undefined : REST;
    return formFields(field).map((one) => ({ ...one, fold, when: SHOWN_WHEN[name] }));
  });
}

const PUMP_FOLDS = Object.fromEntries(
  [
    "lowestWaterM",
    "waterSinksM",
    "headWantedM",
    "fittingsK",
    "filterCleanM",
    "filterDirtyM",
    "filterAtLph",
    "manifoldBoreMm",
    "bankValveK",
    "wall",
    "nonReturnValve",
  ].map((name) => [name, "More about its pipe"]),
);
const PUMP_CONTROLS: OwnControls = {
  "pump.flowAtNoLiftLph": (flow) => (
    <>
      <CommonPumpField />
      {flow}
    </>
  ),
  "pump.boreMm": (bore) => <TradeSize bore={bore} />,
};

const EXAMPLE = {
  name: "",
  kind: "recirculating",
  feeding: "stocks",
  stocks: 2,
  tankL: 750,
  normalFillL: 750 * FILL_SHARE,
  drainShare: 0,
  turns: 1,
  recipeId: null,
  sourceId: null,
  ratioR: 100,
  ratioConvention: "in",
  injectorLeastLph: null,
  injectorGreatestLph: null,
  acid: "citric",
  coldestC: 10,
  readEveryDays: 1,
  timer: { kind: "continuous" },
  pump: EXAMPLE_PUMPS.label,
};

export function LoopForm({
  loop,
  recipes,
  sources,
  stands,
  onDone,
}: {
  loop: Loop | null;
  recipes: readonly Named[];
  sources: readonly Named[];
  /** What it waters; of a new one nothing yet. */
  stands: readonly Stand[];
  onDone: () => void;
}) {
  const units = useUnits();
  return (
    <EntityForm
      form="loop"
      schema={loopSchema}
      fields={fieldsWith(recipes, sources)}
      defaults={formValues(LOOP, loop ?? { ...EXAMPLE, pump: roundExample(PUMP, EXAMPLE.pump, units) })}
      own={OWN}
      action={saveLoop}
      saved="Loop saved"
      onDone={onDone}
    >
      {!loop && <NormalFill />}
      <TimerFields />
      <OptionalUnion
        field={PUMP}
        has="Something gives this loop pressure"
        examples={EXAMPLE_PUMPS}
        folds={PUMP_FOLDS}
        own={PUMP_CONTROLS}
      />
      <PumpSoFar stands={stands} />
    </EntityForm>
  );
}
