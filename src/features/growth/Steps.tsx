"use client";
import { useFormContext, useWatch } from "react-hook-form";
import { VARIETY_STEP } from "@/core/garden/entities/growth";
import type { Variety } from "@/core/garden/garden";
import { usualSteps, type Step } from "@/core/growth/steps";
import { fieldsOf } from "@/features/frame/form/entityFields";
import { Fields } from "@/features/frame/form/Fields";
import { UnionExamples } from "@/features/frame/form/UnionExamples";
import { Fold } from "@/features/frame/form/Fold";
import { Button } from "@/ui/Button";

const FIELDS = fieldsOf(VARIETY_STEP).filter(({ name }) => name !== "position");

const DUE_EXAMPLES = { days: { kind: "days", days: 7 }, share: { kind: "share", share: 0.75 } } as const;

/** How plants of a variety are raised between the moves: each step comes onto the round by itself. */
export function Steps() {
  const { control, setValue, getValues } = useFormContext();
  const steps = (useWatch({ control, name: "steps" }) ?? []) as readonly Step[];
  const set = (next: readonly Step[]) => setValue("steps", next, { shouldDirty: true });
  const specs = steps.map((_, at) =>
    FIELDS.map((field) => ({
      ...field,
      name: `steps.${at}.${field.name}`,
      ...(field.when && {
        when: (values: { readonly steps?: readonly unknown[] }) =>
          field.when!(values.steps?.[at] ?? { due: { kind: "days" } }),
      }),
    })),
  );
  return (
    <Fold name="Steps of raising it" fields={specs.flat()} taken={steps.length === 0 ? "none" : briefly(steps)}>
      <div className="col-span-full">
        <p className="text-soft">Each comes onto the round on its day, until it is done or the plants have moved on.</p>
        {specs.map((fields, at) => (
          <fieldset key={at} className="mt-3 border-t-2 border-ink pt-2">
            <legend className="sign text-xl">Step {at + 1}</legend>
            <div className="grid grid-cols-2 gap-3">
              <Fields fields={fields} />
              <UnionExamples name={`steps.${at}.due`} examples={DUE_EXAMPLES} />
            </div>
            <Button look="quiet" onClick={() => set(steps.filter((_, index) => index !== at))}>
              Remove step {at + 1}
            </Button>
          </fieldset>
        ))}
        <div className="mt-3 flex flex-wrap gap-3">
          <Button
            onClick={() => set([...steps, { kind: "thin", stageNumber: 1, due: { kind: "days", days: 7 }, note: "" }])}
          >
            Add a step
          </Button>
          {steps.length === 0 && (
            <Button look="quiet" onClick={() => set(usualOf(getValues() as Variety))}>
              Begin with the usual steps
            </Button>
          )}
        </div>
      </div>
    </Fold>
  );
}

function usualOf({ stages, germinatesIn, seedsPerCell, thinTo, tray }: Variety): Step[] {
  const firstDays = Math.min(...(stages[0]?.daysByMonth ?? [5]).map((days) => Number(days) || 5));
  return usualSteps({
    ...{ stages: Math.max(1, stages.length), germinatesIn, seedsPerCell: Number(seedsPerCell) || 1 },
    ...{ thinTo: thinTo === null ? null : Number(thinTo), blackoutDays: tray?.blackoutDays ?? null, firstDays },
  });
}

const briefly = (steps: readonly Step[]) => steps.map(({ kind }) => kind.replace("-", " ")).join(", ");
