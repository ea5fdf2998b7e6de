"use client";
import { useRef } from "react";
import { scaleLinear, utcMonth } from "d3";
import type { PlanVariety } from "@/core/batches/types";
import { stageBoundaries } from "@/core/growth/stageDays";
import { civilDate, MONTHS, type Day } from "@/core/units/day";
import { counted } from "@/core/units/format";
import { useElementWidth } from "@/ui/useElementWidth";
import type { Draft } from "./batchDrafts";

const HEAD_PX = 22;
/** Bars grow thin before the picture grows tall. */
const MOST_PX = 180;
const BAR_PX = 18;
const LEAST_MONTH_PX = 34;
const DAY_MS = 86_400_000;

/** What would be added, batch under batch along the days: pale until its last stage. */
export function DraftsPicture({
  drafts,
  variety,
  today,
}: {
  readonly drafts: readonly Draft[];
  readonly variety: PlanVariety;
  readonly today: Day;
}) {
  const box = useRef<HTMLDivElement>(null);
  const widthPx = useElementWidth(box) ?? 460;
  const rows = drafts.map(({ sowDay }) => stageBoundaries(sowDay, variety.stages));
  const from = Math.min(today, ...rows.map((row) => row[0]!));
  const to = Math.max(...rows.map((row) => row.at(-1)!)) + 1;
  const x = scaleLinear([from, to], [0, widthPx]);
  const stepPx = Math.min(BAR_PX + 4, MOST_PX / rows.length);
  const heightPx = HEAD_PX + rows.length * stepPx + 4;
  const everyMonths = Math.ceil(LEAST_MONTH_PX / (x(from + 30) - x(from)));
  return (
    <div ref={box}>
      <svg
        width={widthPx}
        height={heightPx}
        role="img"
        aria-label={`${counted(drafts.length, "batch", "batches")} from sowing to ready, along the days`}
        className="block max-w-full"
      >
        {monthsBetween(from, to)
          .filter((_, index) => index % everyMonths === 0)
          .map((day) => (
            <g key={day}>
              <path d={`M${x(day)} ${HEAD_PX - 4}V${heightPx}`} className="stroke-rule" />
              <text x={x(day) + 3} y={14} fontSize={13} className="fill-soft">
                {MONTHS[civilDate(day).month - 1]!.slice(0, 3)}
              </text>
            </g>
          ))}
        {rows.map((row, at) =>
          row
            .slice(0, -1)
            .map((day, stage) => (
              <rect
                key={`${at} ${stage}`}
                x={x(day)}
                y={HEAD_PX + at * stepPx}
                width={Math.max(1, x(row[stage + 1]!) - x(day) - 1)}
                height={Math.max(1, stepPx * 0.8)}
                rx={2}
                className={stage === row.length - 2 ? "fill-leaf" : "fill-leaf-pale stroke-leaf"}
              />
            )),
        )}
        <path d={`M${x(today)} ${HEAD_PX - 4}V${heightPx}`} className="stroke-ink" strokeWidth={2} />
      </svg>
    </div>
  );
}

/** The first days of the months between two days. */
const monthsBetween = (from: Day, to: Day): Day[] =>
  utcMonth.range(new Date(from * DAY_MS), new Date(to * DAY_MS)).map((date) => date.getTime() / DAY_MS);
