"use client";
import type { LearnedStage } from "@/core/garden/learnedDays";
import type { Variety } from "@/core/garden/garden";
import { counted, formatNumber } from "@/core/units/format";
import { setLearning } from "@/server/growth/learning";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { Button } from "@/ui/Button";
import { Why } from "@/ui/Why";

interface LearnedProps {
  readonly variety: Variety;
  readonly learned: readonly LearnedStage[];
  readonly areaName: (id: number) => string;
}

/** What the batches of a crop have taught, as it is; switched off and on with one press. */
export function Learned({ variety, learned, areaName }: LearnedProps) {
  const { run, busy } = useCommand(setLearning, { done: variety.learns ? "Learning is off" : "Learning is on" });
  const taught = learned
    .map((stage, at) => ({ ...stage, stage: variety.stages[at]! }))
    .filter(({ ratios }) => ratios.length > 0);
  return (
    <section aria-label="What your batches have taught" className="mt-3">
      <h3 className="text-xl">What your batches have taught</h3>
      {taught.length === 0 ? (
        <p className="text-soft">Nothing yet: say on the round on which day plants were found ready.</p>
      ) : (
        <ul>
          {taught.map(({ stage, ratios, ratio }) => (
            <li key={stage.name}>
              Your {variety.name} takes{" "}
              <Why
                label={`${stage.name}: real days against those worked out`}
                how="(3 + the sum of real days ÷ days worked out) ÷ (3 + batches): with few batches it stays near 1. Always against the plain days, never against days that were learned."
                inputs={ratios.map((one, at) => [`batch ${at + 1}`, formatNumber(one, 2)])}
              >
                <strong>{formatNumber(ratio, 2)} times as long</strong>
              </Why>{" "}
              in “{stage.name}”, {areaName(stage.growingAreaId)}: {counted(ratios.length, "batch", "batches")}
            </li>
          ))}
        </ul>
      )}
      <Only right="plan">
        <Button
          look="quiet"
          disabled={busy}
          onClick={() => void run({ varietyId: variety.id, learns: !variety.learns })}
        >
          {variety.learns ? "Do not learn from my batches" : "Learn from my batches"}
        </Button>
      </Only>
    </section>
  );
}
