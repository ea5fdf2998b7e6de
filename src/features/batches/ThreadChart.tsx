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
import { useMemo, useRef, useState, type KeyboardEvent } from "react";
import type { PlanInput } from "@/core/batches/types";
import { dayInWords } from "@/core/units/day";
import type { BatchView, SeasonView } from "@/server/batches/view";
import { BatchCard } from "./BatchCard";
import { BlockButton } from "./BlockButton";
import { neighbourOf } from "./neighbours";
import { threadGeometry, type ThreadGeometry } from "./threadGeometry";
import { Ground, HEIGHT, type HeldBatch } from "./ThreadGround";
import { useElementWidth } from "./useElementWidth";

const LEAST_WIDTH = 760;

/** Days across, pools down: each batch a block on the sites it stands on, joined to its next block by a thread. */
export function ThreadChart({
  view,
  input,
  first,
  onChange,
}: {
  /** The batch in hand to begin with. */
  first: number | null;
  view: SeasonView;
  /** Null until it is there; only a batch that is held over another day needs it. */
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
      {/* Drawn once, in the width that it has: the server does not know it. */}
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
            aria-label="Season: arrow keys go from batch to batch, Enter takes one up, arrows then move it by a day, Escape puts it back"
          >
            <Ground geometry={geometry} view={view} chosen={chosen} held={held} />
            <Blocks {...{ geometry, batches, chosen, held, view, setChosen, setHeld, hold }} />
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

interface BlocksProps {
  readonly geometry: ThreadGeometry;
  readonly batches: ReadonlyMap<number, BatchView>;
  readonly view: SeasonView;
  readonly chosen: number | null;
  readonly held: HeldBatch | null;
  readonly setChosen: (batchId: number | null) => void;
  readonly setHeld: (held: HeldBatch | null) => void;
  readonly hold: (batchId: number, days: number) => void;
}

/** All blocks; one of them takes the keyboard, the arrow keys go from there. */
function Blocks({ geometry, batches, view, chosen, held, setChosen, setHeld, hold }: BlocksProps) {
  const refs = useRef(new Map<string, HTMLButtonElement>());
  const first =
    geometry.blocks.find((block) => block.labelled && block.x > geometry.x(view.today) - 1) ?? geometry.blocks[0];
  const [rover, setRover] = useState<string | null>(null);
  const stop = rover !== null && geometry.blocks.some((block) => block.key === rover) ? rover : first?.key;
  const onKey = (event: KeyboardEvent, key: string, batchId: number) => {
    const moving = held?.batchId === batchId;
    if (event.key === "Escape") {
      setHeld(null);
      if (!moving) setChosen(null);
    } else if (event.key === "Enter" && !moving) {
      // The press that takes it up must not also press the block.
      event.preventDefault();
      setChosen(batchId);
      hold(batchId, 0);
    } else if (moving && (event.key === "ArrowLeft" || event.key === "ArrowRight")) {
      event.preventDefault();
      hold(batchId, held.days + (event.key === "ArrowLeft" ? -1 : 1) * (event.shiftKey ? 7 : 1));
    } else if (event.key.startsWith("Arrow")) {
      const next = neighbourOf(geometry.blocks, key, event.key);
      if (!next) return;
      event.preventDefault();
      setRover(next.key);
      refs.current.get(next.key)?.focus();
    }
  };
  return geometry.blocks.map((block) => {
    const batch = batches.get(block.batchId);
    if (!batch) return null;
    const step = batch.steps[block.stage]!;
    return (
      <BlockButton
        key={block.key}
        ref={(element) => void (element ? refs.current.set(block.key, element) : refs.current.delete(block.key))}
        block={block}
        batch={batch}
        past={step.to <= view.today}
        chosen={batch.id === chosen}
        faint={held?.batchId === batch.id && held.days !== 0}
        tabIndex={block.key === stop ? 0 : -1}
        label={`${batch.variety} of ${dayInWords(batch.sowDay)}, ${step.plants} in ${view.pools.find((pool) => pool.id === step.poolId)?.name ?? ""}, ${dayInWords(step.from)} to ${dayInWords(step.to)}${block.over ? ", over capacity" : ""}`}
        onFocus={() => setRover(block.key)}
        onClick={() => {
          setChosen(batch.id);
          setHeld(null);
        }}
        onKeyDown={(event) => onKey(event, block.key, batch.id)}
      />
    );
  });
}
