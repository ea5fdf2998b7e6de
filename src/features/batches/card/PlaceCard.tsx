"use client";
import type { BatchView, SeasonView } from "@/core/garden/seasonView";
import { dayInWords } from "@/core/units/day";
import { counted } from "@/core/units/format";
import { useCommand } from "@/features/frame/useCommand";
import { putBatch, swapBatches } from "@/server/batches/places";
import { Button } from "@/ui/Button";
import type { Held, HeldSpot } from "../chart/held";

/** A stage of a batch on other lines: what is there, before it is put there and kept. */
export function PlaceCard({
  batch,
  view,
  held: { stage },
  spot: { spot, label, missing, inTheWay, givingWay },
  onRelease,
}: {
  readonly batch: BatchView;
  readonly view: SeasonView;
  readonly held: Held;
  readonly spot: HeldSpot;
  readonly onRelease: () => void;
}) {
  const put = useCommand(putBatch, { done: `${batch.variety} stands in ${label} from now on` });
  const swap = useCommand(swapBatches, { done: "They have changed places" });
  const busy = put.busy || swap.busy;
  const step = batch.steps[stage]!;
  const other = inTheWay && view.batches.find(({ id }) => id === inTheWay.batchId);
  const canSwap = other && inTheWay && !other.steps[inTheWay.stage]?.begun && !step.begun;
  const fits = missing === 0 && !inTheWay;
  const done = async (answer: Promise<{ readonly ok: boolean }>) => {
    if ((await answer).ok) onRelease();
  };
  return (
    <>
      <p className="mt-1">
        In <b>{label}</b>
        {spot.firstSite > 1 && <> from site {spot.firstSite}</>}, {dayInWords(step.from)} to {dayInWords(step.to)}.
      </p>
      <p aria-live="polite" className={`mt-2 font-bold ${fits ? "text-leaf" : "text-alarm"}`}>
        {missing > 0
          ? `${counted(missing, "plant")} find no site from there on.`
          : other
            ? `${other.variety} of ${dayInWords(other.sowDay)} is kept there then.`
            : givingWay > 0
              ? `It fits: ${counted(givingWay, "batch", "batches")} that nobody put there ${givingWay === 1 ? "gives" : "give"} way.`
              : "It fits: nothing else stands there then."}
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        {fits && (
          <Button
            look="strong"
            disabled={busy}
            onClick={() => void done(put.run({ batchId: batch.id, stage, ...spot }))}
          >
            Put it there
          </Button>
        )}
        {canSwap && (
          <Button
            look="strong"
            disabled={busy}
            onClick={() =>
              void done(
                swap.run({
                  one: { batchId: batch.id, stage },
                  other: { batchId: inTheWay.batchId, stage: inTheWay.stage },
                }),
              )
            }
          >
            Change places
          </Button>
        )}
        <Button look="quiet" onClick={onRelease}>
          Leave it
        </Button>
      </div>
    </>
  );
}
