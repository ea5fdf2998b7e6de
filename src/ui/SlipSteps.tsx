import type { Dimension } from "@/core/units/dimensions";
import { Quantity } from "./units";
import { Why } from "./Why";

/** One thing to do by hand: what, how much, and a word on how. */
export interface SlipStepView {
  readonly title: string;
  readonly amount?: { readonly value: number; readonly dimension: Dimension };
  readonly note?: string;
  /** How the amount was worked out. */
  readonly how?: string;
  readonly inputs?: readonly (readonly [name: string, value: string])[];
}

/** The dose slip: numbered in working order, amounts to be read at arm's length. */
export function SlipSteps({ steps }: { steps: readonly SlipStepView[] }) {
  return (
    <ol className="my-4 space-y-3">
      {steps.map((step, index) => (
        <li key={`${index}-${step.title}`} className="grid grid-cols-[2.5rem_1fr] items-start gap-3">
          <span
            aria-hidden
            className="sign grid size-9 place-items-center rounded-full bg-ink text-xl text-ground print:border-2 print:border-black print:text-black"
          >
            {index + 1}
          </span>
          <span>
            <span className="sign flex flex-wrap items-baseline justify-between gap-x-3 text-xl">
              <span>{step.title}</span>
              {step.amount && (
                <span className="figure">
                  {step.how ? (
                    <Why label={step.title} how={step.how} inputs={step.inputs}>
                      <Quantity {...step.amount} />
                    </Why>
                  ) : (
                    <Quantity {...step.amount} />
                  )}
                </span>
              )}
            </span>
            {step.note && <span className="block text-soft">{step.note}</span>}
          </span>
        </li>
      ))}
    </ol>
  );
}
