"use client";
import { useDraggable } from "@dnd-kit/core";
import type { FocusEventHandler, KeyboardEventHandler, MouseEventHandler, Ref } from "react";
import type { BatchView } from "@/core/garden/seasonView";
import { inkOn, toneOf } from "@/ui/tones";
import type { BlockRect } from "./threadGeometry";

export interface BlockButtonProps {
  readonly ref: Ref<HTMLButtonElement>;
  readonly block: BlockRect;
  readonly batch: BatchView;
  readonly past: boolean;
  readonly chosen: boolean;
  readonly faint: boolean;
  readonly tabIndex: number;
  readonly label: string;
  readonly onFocus: FocusEventHandler;
  readonly onClick: MouseEventHandler;
  readonly onKeyDown: KeyboardEventHandler;
}

const LABEL_FROM_WIDTH = 44;
const LABEL_FROM_HEIGHT = 9.5;
const LARGEST_LABEL_PX = 14;

/** A batch on its sites for as long as it is there; can be picked up and moved to another day. */
export function BlockButton({ ref, block, batch, past, chosen, faint, label, ...handlers }: BlockButtonProps) {
  const { setNodeRef, listeners } = useDraggable({
    id: block.key,
    data: { batchId: batch.id },
    disabled: batch.begun,
  });
  const tone = toneOf(batch.tone);
  const labelled = block.labelled && block.width >= LABEL_FROM_WIDTH && block.height >= LABEL_FROM_HEIGHT;
  return (
    <button
      {...listeners}
      {...handlers}
      ref={(element) => {
        setNodeRef(element);
        if (typeof ref === "function") ref(element);
      }}
      type="button"
      aria-label={label}
      // The hint is set when the pointer comes: in the page for every block it would double its size.
      onPointerEnter={(event) => (event.currentTarget.title = label)}
      data-batch={batch.id}
      className={`absolute overflow-hidden rounded-[3px] border text-left focus-visible:z-20 ${chosen ? "z-10 border-2 border-ink" : "border-ground"} ${batch.begun ? "" : "touch-pan-y active:cursor-grabbing"}`}
      style={{
        left: block.x,
        top: block.y,
        width: block.width,
        height: block.height,
        opacity: faint ? 0.35 : 1,
        color: past ? "var(--ink)" : inkOn(tone),
        background: block.over
          ? "repeating-linear-gradient(45deg, var(--alarm) 0 3px, var(--alarm-pale) 3px 8px)"
          : past
            ? `color-mix(in srgb, ${tone} 30%, var(--sheet))`
            : tone,
      }}
    >
      {labelled && (
        <span
          style={{ fontSize: Math.min(LARGEST_LABEL_PX, block.height), lineHeight: `${block.height - 2}px` }}
          className={`sign block truncate px-1 ${block.over ? "w-fit bg-sheet text-ink" : ""}`}
        >
          {batch.variety.split(" ")[0]} {batch.steps[block.stage]!.plants}
        </span>
      )}
    </button>
  );
}
