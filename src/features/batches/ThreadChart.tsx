"use client";
import {
  DndContext,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragMoveEvent,
} from "@dnd-kit/core";
import { useMemo, useRef, useState } from "react";
import type { PlanInput } from "@/core/batches/types";
import type { BatchView, SeasonView } from "@/core/garden/seasonView";
import { BatchCard } from "./BatchCard";
import { threadGeometry, type ThreadGeometry } from "./threadGeometry";
import { ThreadBlocks } from "./ThreadBlocks";
import { Ground, HEIGHT, type HeldBatch } from "./ThreadGround";
import { useElementWidth } from "@/ui/useElementWidth";

const LEAST_WIDTH = 760;

/** Days across, growing areas down: each batch a block on the sites it takes, joined to its next block by a thread. */
export function ThreadChart({
  view,
  input,
  first,
  onChange,
}: {
  /** The batch chosen at first. */
  first: number | null;
  view: SeasonView;
  /** Null until it is loaded; only a batch that is being moved needs it. */
  input: PlanInput | null;
  onChange: (batchId: number) => void;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const measured = useElementWidth(frame);
  const width = Math.max(LEAST_WIDTH, measured ?? 0);
  const geometry = useMemo(() => threadGeometry(view, width, HEIGHT), [view, width]);
  const [chosen, setChosen] = useState(first);
  const [held, setHeld] = useState<HeldBatch | null>(null);
  const batches = useMemo(() => new Map(view.batches.map((batch) => [batch.id, batch])), [view]);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 5 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 8 } }),
  );
  const hold = (batchId: number, days: number) => {
    const batch = batches.get(batchId);
    if (!batch || batch.begun) return;
    setHeld({ batchId, days: Math.max(view.today - batch.sowDay, days) });
  };
  const onDrag = ({ active, delta }: DragMoveEvent | DragEndEvent) =>
    hold(active.data.current!.batchId as number, Math.round(delta.x / geometry.dayWidth));
  const active = chosen === null ? undefined : batches.get(chosen);
  return (
    <div ref={frame} className="relative overflow-x-auto" style={{ minHeight: HEIGHT }}>
      {/* Drawn once its width is known, which the server does not know. */}
      {measured !== null && (
        <DndContext
          sensors={sensors}
          onDragStart={({ active: dragged }) => {
            setChosen(dragged.data.current!.batchId as number);
            setHeld(null);
          }}
          onDragMove={onDrag}
          onDragEnd={onDrag}
          onDragCancel={() => setHeld(null)}
        >
          <div
            className="relative"
            style={{ width, height: HEIGHT }}
            role="group"
            aria-label="Season: arrow keys go from batch to batch, Enter picks one up, arrows then move it by a day, Escape cancels"
          >
            <Ground geometry={geometry} view={view} chosen={chosen} held={held} />
            <ThreadBlocks {...{ geometry, batches, chosen, held, view, setChosen, setHeld, hold }} />
          </div>
        </DndContext>
      )}
      {active && (
        <BatchCard
          key={active.id}
          batch={active}
          view={view}
          input={input}
          days={held?.batchId === active.id ? held.days : 0}
          side={cardSide(geometry, active, view)}
          onHold={(days) => hold(active.id, days)}
          onClose={() => {
            setChosen(null);
            setHeld(null);
          }}
          onChange={() => onChange(active.id)}
        />
      )}
    </div>
  );
}

function cardSide(geometry: ThreadGeometry, batch: BatchView, view: SeasonView): "left" | "right" {
  const last = batch.steps.at(-1)!;
  const middle = geometry.x((Math.max(view.from, last.from) + Math.min(view.to, last.to)) / 2);
  return middle > geometry.width / 2 ? "left" : "right";
}
