"use client";
import { useMemo } from "react";
import type { PlanInput, PlanVariety } from "@/core/batches/types";
import { dayInWords } from "@/core/units/day";
import { counted } from "@/core/units/format";
import { useCommand } from "@/features/frame/useCommand";
import { addBatches } from "@/server/batches/actions";
import { Button } from "@/ui/Button";
import { DraftsPicture } from "./DraftsPicture";
import { tryUnfitting, type Draft } from "./batchDrafts";

interface BatchDraftsProps {
  readonly drafts: readonly Draft[];
  readonly variety: PlanVariety;
  /** The plan that they would be added to. */
  readonly input: PlanInput;
  readonly onDone: () => void;
}

/** What would be added, and the button that adds it. */
export function BatchDrafts({ drafts, variety, input, onDone }: BatchDraftsProps) {
  const words = counted(drafts.length, "batch", "batches");
  const { run, busy } = useCommand(addBatches, {
    done: `${words} of ${variety.name} added`,
  });
  const overfull = useMemo(() => tryUnfitting(input, drafts), [input, drafts]);
  const keepsDays = variety.pattern.keepsDays;
  const tooLong = drafts.filter(({ daysEarly }) => daysEarly > keepsDays);
  return (
    <>
      {overfull.length > 0 && (
        <section role="alert" className="border-l-[6px] border-alarm bg-alarm-pale px-3 py-2">
          <h3 className="text-xl">Not all of it fits</h3>
          <ul>
            {overfull.map((area) => (
              <li key={area.growingAreaId}>
                <b>{area.name}</b>, {counted(area.sites, "site")}: {counted(area.most, "site")} too few on{" "}
                {dayInWords(area.worstDay, "year")}; too full from {dayInWords(area.from)} to {dayInWords(area.to)}
              </li>
            ))}
          </ul>
        </section>
      )}
      {tooLong.length > 0 && (
        <p className="border-l-[6px] border-feed bg-feed-pale px-3 py-2">
          {counted(tooLong.length, "batch", "batches")} would be ready up to{" "}
          {counted(Math.max(...tooLong.map(({ daysEarly }) => daysEarly)), "day")} before the day wanted, and keeps{" "}
          {counted(keepsDays, "day")}.
        </p>
      )}
      <DraftsPicture drafts={drafts} variety={variety} today={input.today} />
      <div className="max-h-72 overflow-y-auto" tabIndex={0} role="region" aria-label="What would be added">
        <table className="w-full">
          <thead className="text-left text-sm text-soft">
            <tr>
              <th className="font-normal">sow</th>
              <th className="text-right font-normal">cells</th>
              <th className="text-right font-normal">plants</th>
              <th className="pl-4 font-normal">ready</th>
            </tr>
          </thead>
          <tbody>
            {drafts.map((draft) => (
              <tr key={draft.sowDay + draft.readyDay * 1e6} className="border-t border-rule">
                <td className="sign py-1 text-lg">{dayInWords(draft.sowDay, "weekday")}</td>
                <td className="sign text-right text-lg">{draft.cells}</td>
                <td className="sign text-right text-lg">{draft.targetPlants}</td>
                <td className="pl-4">{dayInWords(draft.readyDay, "weekday")}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="text-sm text-soft">
        As many cells are sown as give each batch a 90 % chance of reaching its plants.
      </p>
      <Button
        look="strong"
        disabled={busy}
        onClick={async () => {
          const result = await run({
            batches: drafts.map(({ varietyId, sowDay, cells, targetPlants }) => ({
              varietyId,
              sowDay,
              cells,
              targetPlants,
            })),
          });
          if (result.ok) onDone();
        }}
      >
        {overfull.length > 0 ? `Add ${words} all the same` : `Add ${words}`}
      </Button>
    </>
  );
}
