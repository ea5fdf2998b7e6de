"use client";
import { useRef, useState, type KeyboardEvent } from "react";
import { dayInWords } from "@/core/units/day";
import type { BatchView, SeasonView } from "@/core/garden/seasonView";
import { BlockButton } from "./BlockButton";
import { neighbourOf } from "./neighbours";
import type { ThreadGeometry } from "./threadGeometry";
import type { HeldBatch } from "./ThreadGround";

interface ThreadBlocksProps {
  readonly geometry: ThreadGeometry;
  readonly batches: ReadonlyMap<number, BatchView>;
  readonly view: SeasonView;
  readonly chosen: number | null;
  readonly held: HeldBatch | null;
  readonly setChosen: (batchId: number | null) => void;
  readonly setHeld: (held: HeldBatch | null) => void;
  readonly hold: (batchId: number, days: number) => void;
}

/** All blocks; one of them has the keyboard focus, the arrow keys go from there. */
export function ThreadBlocks({ geometry, batches, view, chosen, held, setChosen, setHeld, hold }: ThreadBlocksProps) {
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
      // The press that picks it up must not also press the block.
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
        label={`${batch.variety} of ${dayInWords(batch.sowDay)}, ${step.plants} in ${view.growingAreas.find((growingArea) => growingArea.id === step.growingAreaId)?.name ?? ""}, ${dayInWords(step.from)} to ${dayInWords(step.to)}${block.over ? ", over capacity" : ""}`}
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
