"use client";
import { line, scaleLinear, scaleUtc } from "d3";
import { useRef } from "react";
import type { LoopRise } from "@/core/garden/waterQuality";
import type { Day } from "@/core/units/day";
import { dateOf } from "@/ui/chart/axes";
import { ChartFrame } from "@/ui/chart/ChartFrame";
import { useElementWidth } from "@/ui/useElementWidth";

const HEIGHT = 280;
const [LEFT, RIGHT_GAP, TOP, BOTTOM] = [48, 118, 34, 246];
/** Dashes tell the waters apart without colour. */
const DASHES = ["", "9 5", "2 4", "12 4 2 4"];
/** Names of lines that end closer are moved apart. */
const NAME_PX = 17;

/** A salt over the days ahead, a line for each water, and what the crops bear. */
export function RiseChart({
  today,
  rises,
  limitMgPerL,
  salt,
}: {
  readonly today: Day;
  readonly rises: readonly LoopRise[];
  readonly limitMgPerL: number;
  readonly salt: string;
}) {
  const box = useRef<HTMLDivElement>(null);
  const width = useElementWidth(box) ?? 720;
  const right = width - RIGHT_GAP;
  const days = rises[0]!.mgPerL.length;
  const date = (day: number) => dateOf(today + day);
  const x = scaleUtc([date(0), date(Math.max(1, days - 1))], [LEFT, right]);
  // What is far over what crops bear tells nothing more.
  const most = Math.max(1, Math.min(3 * limitMgPerL, Math.max(limitMgPerL, ...rises.flatMap(({ mgPerL }) => mgPerL))));
  const y = scaleLinear([0, most * 1.05], [BOTTOM, TOP]);
  const lines = rises.map(({ source, mgPerL }, at) => {
    const shown = mgPerL.filter((one) => one <= most * 1.05);
    const end = shown.length < mgPerL.length ? Math.max(0, shown.length - 1) : mgPerL.length - 1;
    return {
      name: source?.name ?? "as drawn",
      isPlan: source === null,
      dash: source === null ? "" : DASHES[(at + 1) % DASHES.length]!,
      path: line<number>()
        .x((_, day) => x(date(day)))
        .y((one) => y(one))(shown),
      endX: x(date(end)),
      endY: y(Math.min(most * 1.05, mgPerL[end] ?? most)),
    };
  });
  const names = apart(lines.filter(({ endX }) => endX > right - 1).map(({ name, endY }) => ({ name, y: endY })));
  return (
    <div ref={box}>
      <ChartFrame
        width={width}
        height={HEIGHT}
        fontSize={13}
        label={`${salt} over ${days} days with ${lines.map(({ name }) => name).join(", ")}; the crops bear ${limitMgPerL} mg/L`}
        side={{ scale: y, x: LEFT - 8, ticks: 4 }}
        foot={{ kind: "months", scale: x, count: width < 640 ? 5 : 10 }}
      >
        <text x={LEFT} y={18} fontSize="16" className="sign">
          {salt}, mg/L
        </text>
        <path d={`M${LEFT} ${TOP}V${BOTTOM}H${right}`} className="stroke-ink" fill="none" strokeWidth="1.5" />
        <rect
          x={LEFT}
          y={TOP}
          width={right - LEFT}
          height={Math.max(0, y(limitMgPerL) - TOP)}
          className="fill-alarm-pale"
        />
        <path d={`M${LEFT} ${y(limitMgPerL)}H${right}`} className="stroke-alarm" strokeWidth="2" />
        <text x={right - 6} y={y(limitMgPerL) - 6} fontSize="13" textAnchor="end">
          {limitMgPerL} mg/L: the most they bear
        </text>
        {lines.map(({ name, path, dash, isPlan }) => (
          <path
            key={name}
            d={path ?? ""}
            fill="none"
            className={isPlan ? "stroke-ink" : "stroke-water"}
            strokeWidth={isPlan ? 3.5 : 2.5}
            strokeDasharray={dash}
          />
        ))}
        {lines
          .filter(({ endX }) => endX <= right - 1)
          .map(({ name, endX }, at) => (
            <text key={name} x={endX + 5} y={TOP + 14 + at * NAME_PX} fontSize="14">
              {name}
            </text>
          ))}
        {names.map(({ name, y: at }) => (
          <text key={name} x={right + 6} y={at + 5} fontSize="14">
            {name}
          </text>
        ))}
      </ChartFrame>
    </div>
  );
}

/** Names from the lowest up, each clear of the one under it. */
function apart(names: readonly { readonly name: string; readonly y: number }[]) {
  let floor = Infinity;
  return [...names]
    .sort((a, b) => b.y - a.y)
    .map(({ name, y }) => {
      floor = Math.min(y, floor - NAME_PX);
      return { name, y: floor };
    });
}
