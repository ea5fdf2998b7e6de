"use client";
import { useState } from "react";
import type { DraftRow } from "@/core/garden/season/draftView";
import { dayInWords } from "@/core/units/day";
import { counted } from "@/core/units/format";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { acceptSeason } from "@/server/batches/season";
import { removeWhatIf } from "@/server/garden/whatIf/actions";
import { Button } from "@/ui/Button";

const WHAT = { new: "new", changed: "changed", dropped: "dropped", placed: "its place" } as const;

/** What a planned season changes, batch by batch: all of it or some of it is taken, the rest dropped. */
export function DraftList({ setId, rows }: { readonly setId: number; readonly rows: readonly DraftRow[] }) {
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const accept = useCommand(acceptSeason, { done: "The season is in the plan" });
  const drop = useCommand(removeWhatIf, { done: "The planned season is dropped", undo: false });
  const chosen = rows.filter(({ batchId }) => !left.has(batchId));
  const toggle = (batchId: number) =>
    setLeft((all) => {
      const next = new Set(all);
      if (!next.delete(batchId)) next.add(batchId);
      return next;
    });
  const isAll = left.size === 0;
  return (
    <section aria-label="What changes" className="mt-4">
      <Only right="plan">
        <div className="no-print flex flex-wrap items-center gap-2">
          <Button
            look="strong"
            disabled={accept.busy || chosen.length === 0}
            onClick={() => void accept.run({ setId, batchIds: isAll ? null : chosen.map(({ batchId }) => batchId) })}
          >
            {isAll ? "Accept the season" : `Accept ${counted(chosen.length, "batch", "batches")}`}
          </Button>
          <Button onClick={() => setLeft(isAll ? new Set(rows.map(({ batchId }) => batchId)) : new Set())}>
            {isAll ? "Choose none" : "Choose all"}
          </Button>
          <Button look="quiet" disabled={drop.busy} onClick={() => void drop.run({ id: setId })}>
            {isAll ? "Drop it" : "Drop the rest"}
          </Button>
        </div>
      </Only>
      <div className="mt-3 max-h-[60vh] overflow-y-auto border-y border-rule">
        <table className="w-full max-w-3xl">
          <thead className="text-left text-soft">
            <tr>
              <th className="pr-3 font-normal">Take</th>
              <th className="pr-3 font-normal">Sow on</th>
              <th className="pr-3 font-normal">Crop</th>
              <th className="text-right font-normal">
                Plants<span className="max-md:sr-only"> at the end</span>
              </th>
              <th className="pl-4 font-normal">What</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ batchId, what, variety, sowDay, plants }) => (
              <tr key={batchId} className="border-t border-rule">
                <td>
                  <input
                    type="checkbox"
                    className="size-5 accent-try"
                    aria-label={`Take ${variety} of ${dayInWords(sowDay)}`}
                    checked={!left.has(batchId)}
                    onChange={() => toggle(batchId)}
                  />
                </td>
                <td className="py-1 pr-3 whitespace-nowrap">{dayInWords(sowDay, "weekday")}</td>
                <td className="pr-3">{variety}</td>
                <td className="text-right">
                  {plants.before !== null && plants.after !== null && plants.before !== plants.after && (
                    <span className="text-soft">{plants.before} → </span>
                  )}
                  <span className={what === "dropped" ? "line-through" : "sign text-lg"}>
                    {plants.after ?? plants.before}
                  </span>
                </td>
                <td
                  className={`pl-4 ${what === "dropped" ? "text-alarm" : what === "new" ? "text-leaf" : "text-soft"}`}
                >
                  {WHAT[what]}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
