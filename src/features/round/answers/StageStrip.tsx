"use client";
import { useRef } from "react";
import type { LibraryCrop } from "@/core/growth/library/crop";
import type { LibrarySowing } from "@/core/growth/library/sowing";
import { dayInWords } from "@/core/units/day";
import { counted } from "@/core/units/format";
import { useElementWidth } from "@/ui/useElementWidth";

const STAGE_WORDS = { germinate: "comes up", nursery: "nursery", grow: "grows" } as const;
const HEIGHT_PX = 166;
const EDGE_PX = 8;
const BAR_Y = 46;
const BAR_PX = 44;
const CHARACTER_PX = 8;

/** The stages of a crop along the days, from sowing to picking. */
export function StageStrip({ crop, found }: { readonly crop: LibraryCrop; readonly found: LibrarySowing }) {
  const box = useRef<HTMLDivElement>(null);
  const widthPx = useElementWidth(box) ?? 640;
  const { boundaries } = found;
  const [from, to] = [boundaries[0]!, boundaries.at(-1)!];
  const x = (day: number) => EDGE_PX + ((day - from) / Math.max(1, to - from)) * (widthPx - 2 * EDGE_PX);
  return (
    <div ref={box}>
      <svg
        width={widthPx}
        height={HEIGHT_PX}
        role="img"
        aria-label={crop.stages
          .map(({ name }, index) => `${STAGE_WORDS[name]} from ${dayInWords(boundaries[index]!)}`)
          .join(", ")}
        className="block max-w-full"
      >
        {crop.stages.map(({ name }, index) => {
          const [start, end] = [x(boundaries[index]!), x(boundaries[index + 1]!)];
          const words = `${STAGE_WORDS[name]}, ${counted(boundaries[index + 1]! - boundaries[index]!, "day")}`;
          // Words that are wider than their bar go lower, the earlier the lower, out of the way of the next.
          const isWide = end - start > words.length * CHARACTER_PX;
          const row = isWide ? 1 : crop.stages.length - index;
          return (
            <g key={name}>
              <rect
                x={start}
                y={BAR_Y}
                width={Math.max(2, end - start - 2)}
                height={BAR_PX}
                rx={3}
                className={index === crop.stages.length - 1 ? "fill-leaf" : "fill-leaf-pale stroke-leaf"}
              />
              <text x={start + 6} y={BAR_Y + BAR_PX + 22 * row} fontSize={15}>
                {words}
              </text>
            </g>
          );
        })}
        <text x={EDGE_PX} y={BAR_Y - 12} fontSize={16} className="sign">
          sow {dayInWords(from)}
        </text>
        <text x={widthPx - EDGE_PX} y={BAR_Y - 12} fontSize={16} textAnchor="end" className="sign">
          ready {dayInWords(to)}
        </text>
      </svg>
    </div>
  );
}
