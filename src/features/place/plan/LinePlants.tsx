"use client";
import { useDraggable } from "@dnd-kit/core";
import { GripVertical } from "lucide-react";
import type { GrowingRun, StandView } from "@/core/garden/placeView";
import { dayInWords } from "@/core/units/day";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { CropSwatch } from "@/features/frame/crops/CropSwatch";
import { putBatch } from "@/server/batches/places";
import { Button } from "@/ui/Button";
import { plantsOfLine } from "../lineToday";

/** What stands on a line, to be dragged onto another one of the plan. */
export function LinePlants({ view, line }: { readonly view: StandView; readonly line: number }) {
  const runs = [
    ...new Map(
      plantsOfLine(view, line).flatMap((run) => (run ? [[`${run.batchId}/${run.stage}`, run] as const] : [])),
    ).values(),
  ];
  if (runs.length === 0) return null;
  return (
    <Only right="plan">
      <div className="no-print flex flex-wrap items-center gap-x-4">
        {runs.map((run) => (
          <Chip key={`${run.batchId}/${run.stage}`} run={run} />
        ))}
        <span className="text-sm text-soft">drag it onto another line</span>
      </div>
    </Only>
  );
}

/** For the free sites of a line what stands ready elsewhere. */
export function NextForLine({ view, line }: { readonly view: StandView; readonly line: number }) {
  const free = plantsOfLine(view, line).findIndex((run) => run === undefined);
  if (free < 0 || view.waiting.length === 0) return null;
  return (
    <Only right="plan">
      <div className="no-print mt-2">
        <p className="text-sm font-bold">What comes next on the free sites?</p>
        <ul className="flex flex-wrap gap-2">
          {view.waiting.map((plants) => (
            <li key={plants.batchId}>
              <NextPlants view={view} line={line} firstSite={free + 1} plants={plants} />
            </li>
          ))}
        </ul>
      </div>
    </Only>
  );
}

function Chip({ run }: { readonly run: GrowingRun }) {
  const { batchId, stage, variety, mark, sownOn } = run;
  const { setNodeRef, listeners, attributes } = useDraggable({
    id: `${batchId}/${stage}`,
    data: { batchId, stage, variety },
  });
  return (
    <button
      ref={setNodeRef}
      {...listeners}
      {...attributes}
      type="button"
      className="flex min-h-10 touch-none cursor-grab items-center gap-1.5 active:cursor-grabbing"
    >
      <GripVertical aria-hidden className="size-4 text-soft" />
      <CropSwatch mark={mark} />
      {variety} of {dayInWords(sownOn)}
    </button>
  );
}

function NextPlants({
  view: { stand },
  line,
  firstSite,
  plants: { batchId, stage, plants, variety, from, in: growingArea },
}: {
  readonly view: StandView;
  readonly line: number;
  readonly firstSite: number;
  readonly plants: StandView["waiting"][number];
}) {
  const put = useCommand(putBatch, { done: `${variety} goes onto this line` });
  return (
    <Button
      disabled={put.busy}
      onClick={() => void put.run({ batchId, stage, standId: stand.id, line: line + 1, firstSite })}
    >
      {plants} {variety} from {growingArea.toLowerCase()}, {dayInWords(from)}
    </Button>
  );
}
