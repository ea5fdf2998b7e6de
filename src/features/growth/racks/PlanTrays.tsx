"use client";
import { useState } from "react";
import type { TrayCropOf } from "@/core/garden/trayNeeds";
import { dayInWords, type Day } from "@/core/units/day";
import { counted } from "@/core/units/format";
import { addBatches, removeBatches } from "@/server/batches/actions";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { Button } from "@/ui/Button";

const SPANS = [7, 14, 28] as const;

interface PlanTraysProps {
  readonly crop: TrayCropOf;
  readonly traysPerDay: number;
  readonly today: Day;
  readonly isGood: boolean;
}

/** Puts a sowing of each day into the plan; a half tray is planned as a whole one. */
export function PlanTrays({ crop, traysPerDay, today, isGood }: PlanTraysProps) {
  const [days, setDays] = useState<number>(14);
  const trays = Math.ceil(traysPerDay - 1e-9);
  // What has to soak first can be sown on the day after at the earliest.
  const from = today + Math.max(0, Math.ceil(crop.soakH / 24));
  const { run, busy } = useCommand(addBatches, {
    done: `${counted(days, "sowing")} of ${crop.name} planned`,
    undo: (ids) => removeBatches({ ids }),
  });
  return (
    <Only right="plan">
      <div className="mt-4 flex flex-wrap items-center gap-3">
        <label>
          Plan it for{" "}
          <select className="input !w-auto" value={days} onChange={(event) => setDays(Number(event.target.value))}>
            {SPANS.map((span) => (
              <option key={span} value={span}>
                {span} days
              </option>
            ))}
          </select>
        </label>
        <Button
          look="strong"
          disabled={busy || !isGood || trays === 0}
          onClick={() =>
            void run({
              batches: Array.from({ length: days }, (_, at) => ({
                ...{ varietyId: crop.varietyId, sowDay: from + at },
                ...{ cells: trays, targetPlants: trays },
              })),
            })
          }
        >
          Plan {counted(trays, "tray")} a day from {dayInWords(from, "weekday")}
        </Button>
        {trays > traysPerDay && <span className="text-soft">Planned trays are whole ones.</span>}
      </div>
    </Only>
  );
}
