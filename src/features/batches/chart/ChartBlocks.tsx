"use client";
import { memo, type RefObject } from "react";
import { dayInWords } from "@/core/units/day";
import type { BatchView, SeasonView } from "@/core/garden/seasonView";
import { groundOf, inkOn, toneOf } from "@/features/frame/crops/cropMarks";
import type { BlockRect, ChartGeometry } from "./chartGeometry";

export interface ChartBlocksProps {
  readonly geometry: ChartGeometry;
  readonly batches: ReadonlyMap<number, BatchView>;
  readonly view: SeasonView;
  readonly layer: RefObject<HTMLDivElement | null>;
}

/**
 * The blocks of the open growing area. They are drawn anew when the season or the open growing area changes, and never while
 * one of them is under the hand: that is drawn over them.
 */
export const ChartBlocks = memo(function ChartBlocks({ geometry, batches, view, layer }: ChartBlocksProps) {
  const { blocks } = geometry;
  const first = blocks.find(({ labelled, x }) => labelled && x > geometry.x(view.today) - 1) ?? blocks[0];
  const area = geometry.bands.find(({ isOpen }) => isOpen)?.area.name ?? "";
  return (
    <div
      ref={layer}
      onFocus={(event) => {
        // One of them is in the tab order: the one that was reached last.
        event.currentTarget.querySelector<HTMLElement>("[tabindex='0']")?.setAttribute("tabindex", "-1");
        event.target.tabIndex = 0;
      }}
    >
      {blocks.map((block) => {
        const batch = batches.get(block.batchId);
        if (!batch) return null;
        const step = batch.steps[block.stage]!;
        return (
          <Block
            key={block.key}
            block={block}
            batch={batch}
            isPast={step.to <= view.today}
            isStop={block === first}
            label={`${batch.variety} of ${dayInWords(batch.sowDay)}, ${step.plants} in ${area}, ${dayInWords(step.from)} to ${dayInWords(step.to)}${block.over ? ", over capacity" : ""}`}
          />
        );
      })}
    </div>
  );
});

interface BlockProps {
  readonly block: BlockRect;
  readonly batch: BatchView;
  readonly isPast: boolean;
  readonly isStop: boolean;
  readonly label: string;
}

const PAST_SHARE = 0.35;

/** A batch on its sites for as long as it is there. */
function Block({ block, batch, isPast, isStop, label }: BlockProps) {
  return (
    <button
      type="button"
      aria-label={label}
      data-batch={batch.id}
      data-block={block.key}
      tabIndex={isStop ? 0 : -1}
      className="absolute touch-pan-y overflow-hidden rounded-[3px] border border-ground text-left focus-visible:z-20"
      style={{
        left: block.x,
        top: block.y,
        width: block.width,
        height: block.height,
        ...(block.over ? OVER : groundOf(batch.mark, isPast ? PAST_SHARE : 1)),
      }}
    >
      <BlockLabel block={block} batch={batch} isPast={isPast} />
    </button>
  );
}

const OVER = { background: "repeating-linear-gradient(45deg, var(--alarm) 0 3px, var(--alarm-pale) 3px 8px)" };

const NAME_FROM_WIDTH = 46;
const INITIALS_FROM_WIDTH = 17;
const FROM_HEIGHT = 8.5;
const LARGEST_PX = 15;

/** Its name and plants where they can be read, its initials where there is less room. */
export function BlockLabel({
  block,
  batch,
  isPast,
}: {
  readonly block: Pick<BlockRect, "labelled" | "width" | "height" | "over" | "stage">;
  readonly batch: BatchView;
  readonly isPast: boolean;
}) {
  if (!block.labelled || block.width < INITIALS_FROM_WIDTH || block.height < FROM_HEIGHT) return null;
  const isNamed = block.width >= NAME_FROM_WIDTH;
  const words = isNamed ? `${batch.variety.split(" ")[0]} ${batch.steps[block.stage]!.plants}` : batch.mark.initials;
  const ground = block.over
    ? "var(--sheet)"
    : isPast
      ? `color-mix(in srgb, ${toneOf(batch.mark)} ${100 * PAST_SHARE}%, var(--sheet))`
      : toneOf(batch.mark);
  return (
    <span
      style={{
        fontSize: Math.min(LARGEST_PX, block.height),
        lineHeight: `${Math.min(block.height - 1, 22)}px`,
        background: ground,
        color: block.over || isPast ? "var(--ink)" : inkOn(batch.mark),
      }}
      className={`sign block w-fit max-w-full truncate ${isNamed ? "px-1" : "px-px"}`}
    >
      {words}
    </span>
  );
}
