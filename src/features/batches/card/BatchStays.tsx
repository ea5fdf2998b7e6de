"use client";
import type { BatchView, SeasonView } from "@/core/garden/seasonView";
import { dayInWords } from "@/core/units/day";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { keepPlaces, letPlacesGo } from "@/server/batches/places";

/** Where a batch stands, stage by stage: days, plants, lines, and whether it is kept there. */
export function BatchStays({ batch, view }: { readonly batch: BatchView; readonly view: SeasonView }) {
  return (
    <table className="mt-1 w-full text-sm">
      <tbody>
        {batch.steps.map((step, stage) => {
          const block = view.blocks.find((one) => one.batchId === batch.id && one.stage === stage);
          const area = view.growingAreas.find(({ id }) => id === step.growingAreaId)?.name ?? "";
          const isAhead = step.to > view.today;
          return (
            <tr key={stage} className="border-t border-rule align-top">
              <th scope="row" className="py-1 text-left font-normal">
                {area}
                {block && (
                  <span className={`block ${block.over > 0 ? "font-bold text-alarm" : "text-soft"}`}>
                    {block.over > 0 ? "no place there" : block.where}
                    {block.isDisplaced && ", its kept place is not free"}
                    {isAhead && block.over === 0 && (
                      <Keep batchId={batch.id} stage={stage} kept={block.kept} begun={step.begun} />
                    )}
                  </span>
                )}
              </th>
              <td className="py-1 pl-2 text-right whitespace-nowrap">
                {dayInWords(step.from)} – {dayInWords(step.to)}
              </td>
              <td className="sign w-12 py-1 text-right text-lg leading-5">{step.plants}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

const HOW = { hand: "put there by hand", plan: "accepted with the plan", stood: "stands there" } as const;

/** Keeps a stay where it was worked out to stand, or lets it be worked out again. */
function Keep({
  batchId,
  stage,
  kept,
  begun,
}: {
  readonly batchId: number;
  readonly stage: number;
  readonly kept: keyof typeof HOW | null;
  readonly begun: boolean;
}) {
  const keep = useCommand(keepPlaces, { done: "Its place is kept" });
  const letGo = useCommand(letPlacesGo, { done: "Its place is worked out again" });
  const stages = [{ batchId, stage }];
  // What stands in the ground is nowhere else, whatever is worked out.
  if (begun) return kept === null ? null : `, ${HOW[kept]}`;
  return (
    <>
      {kept !== null && `, ${HOW[kept]}`}
      <Only right="plan">
        {" "}
        <button
          type="button"
          className="underline"
          disabled={keep.busy || letGo.busy}
          onClick={() => void (kept === null ? keep : letGo).run({ stages })}
        >
          {kept === null ? "keep it there" : "let it go"}
        </button>
      </Only>
    </>
  );
}
