"use client";
import { area, line, scaleLinear } from "d3";
import { useMemo, useRef } from "react";
import { sowingYear, type YearSowing } from "@/core/growth/sowingYear";
import type { StageLength } from "@/core/growth/stageDays";
import { civilDate, dayFromIso, MONTHS, type Day } from "@/core/units/day";
import { counted } from "@/core/units/format";
import { ChartFrame } from "@/ui/chart/ChartFrame";
import { useElementWidth } from "@/ui/useElementWidth";

const HEIGHT = 340;
const LEFT = 52;
const RIGHT = 120;
const TOP = 26;
const FOOT = 26;
const FILLS = ["fill-feed-pale", "fill-leaf-pale", "fill-leaf", "fill-water-pale"];
/** What is compared: told apart by dashes and names. */
const DASHES = ["6 4", "2 4", "10 3 2 3", "1 3"];

export interface SowingYearProps {
  readonly name: string;
  readonly stages: readonly (StageLength & { readonly name: string })[];
  readonly beside: readonly { readonly name: string; readonly stages: readonly StageLength[] }[];
  readonly today: Day;
}

/** Days from sowing to ready for each day of the year that it is sown: stage over stage, and what it is compared with. */
export function SowingYear({ name, stages, beside, today }: SowingYearProps) {
  const box = useRef<HTMLDivElement>(null);
  const width = useElementWidth(box) ?? 760;
  const narrow = width < 560;
  const right = width - (narrow || beside.length === 0 ? 12 : RIGHT);
  const from = dayFromIso(`${civilDate(today).year}-01-01`);
  const own = useMemo(() => sowingYear(stages, from, 365), [stages, from]);
  const others = useMemo(
    () => beside.map((house) => ({ name: house.name, year: sowingYear(house.stages, from, 365) })),
    [beside, from],
  );
  const totals = [...own, ...others.flatMap(({ year }) => year)].map(({ daysAtEnds }) => daysAtEnds?.at(-1) ?? 0);
  const most = Math.max(10, ...totals);
  const x = scaleLinear([from, from + 365], [LEFT, right]);
  const y = scaleLinear([0, most], [HEIGHT - FOOT, TOP]).nice(5);
  const ready = own.flatMap(({ daysAtEnds }) => daysAtEnds?.at(-1) ?? []);
  const words =
    ready.length === 0
      ? `${name} is never ready`
      : `${name}: ready ${counted(Math.min(...ready), "day")} to ${counted(Math.max(...ready), "day")} after sowing${ready.length < own.length ? `; on ${counted(own.length - ready.length, "day")} of the year a sowing is never ready` : ""}`;
  const isLate = today - from > 182;
  const now = own[Math.min(own.length - 1, today - from)]!;
  return (
    <div ref={box}>
      <ChartFrame
        width={width}
        height={HEIGHT}
        fontSize={14}
        label={words}
        side={{ scale: y, x: LEFT - 6, ticks: y.ticks(5), text: (days) => `${days} d` }}
        foot={{
          kind: "marks",
          marks: MONTHS.map((month, index) => ({
            x: LEFT + ((index + 0.5) * (right - LEFT)) / 12,
            text: narrow ? month[0]! : month.slice(0, 3),
            anchor: "middle",
          })),
        }}
      >
        <text x={LEFT} y={16} fontSize="16" className="sign">
          Days from sowing to ready, by the day it is sown
        </text>
        {y.ticks(5).map((tick) => (
          <path key={tick} d={`M${LEFT} ${y(tick)}H${right}`} className="stroke-rule" />
        ))}
        {stages.map((_, at) => (
          <path
            key={at}
            d={bandOf(own, at, x, y)}
            className={`${FILLS[at % FILLS.length]} stroke-ground`}
            fillOpacity={at % FILLS.length === 2 ? 0.45 : 1}
            strokeWidth="1"
          />
        ))}
        {stages.map((stage, at) => (
          <StageName key={at} name={stage.name} year={own} at={at} x={x} y={y} />
        ))}
        {others.map((house, at) => (
          <g key={house.name}>
            <path
              d={lineOf(house.year, x, y)}
              className="fill-none stroke-ink"
              strokeWidth="2"
              strokeDasharray={DASHES[at % DASHES.length]}
            />
            {!narrow && (
              <text
                x={right + 6}
                y={y(house.year.at(-1)!.daysAtEnds?.at(-1) ?? most) + 4 + 14 * near(others, at, y)}
                fontSize="14"
              >
                {house.name}
              </text>
            )}
          </g>
        ))}
        <path d={`M${x(today)} ${TOP}V${HEIGHT - FOOT}`} className="stroke-alarm" strokeWidth="2" />
        <text
          x={x(today) + (isLate ? -5 : 5)}
          y={TOP + 12}
          fontSize="14"
          textAnchor={isLate ? "end" : "start"}
          className="fill-alarm font-bold"
        >
          {now.daysAtEnds ? `sown today: ${counted(now.daysAtEnds.at(-1)!, "day")}` : "sown today: never ready"}
        </text>
      </ChartFrame>
    </div>
  );
}

type Scale = (value: number) => number;

function bandOf(year: readonly YearSowing[], at: number, x: Scale, y: Scale): string {
  const bottom = ({ daysAtEnds }: YearSowing) => (at === 0 ? 0 : daysAtEnds![at - 1]!);
  const path = area<YearSowing>()
    .defined(({ daysAtEnds }) => daysAtEnds !== null)
    .x(({ sowDay }) => x(sowDay))
    .y0((one) => y(bottom(one)))
    .y1(({ daysAtEnds }) => y(daysAtEnds![at]!));
  return path([...year]) ?? "";
}

function lineOf(year: readonly YearSowing[], x: Scale, y: Scale): string {
  const path = line<YearSowing>()
    .defined(({ daysAtEnds }) => daysAtEnds !== null)
    .x(({ sowDay }) => x(sowDay))
    .y(({ daysAtEnds }) => y(daysAtEnds!.at(-1)!));
  return path([...year]) ?? "";
}

/** How many names of other houses before one would stand on the same line. */
function near(houses: readonly { readonly year: readonly YearSowing[] }[], at: number, y: Scale): number {
  const end = (index: number) => y(houses[index]!.year.at(-1)!.daysAtEnds?.at(-1) ?? 0);
  return houses.slice(0, at).filter((_, index) => Math.abs(end(index) - end(at)) < 14).length;
}

const LEAST_BAND = 18;

function StageName({
  name,
  year,
  at,
  x,
  y,
}: {
  readonly name: string;
  readonly year: readonly YearSowing[];
  readonly at: number;
  readonly x: Scale;
  readonly y: Scale;
}) {
  const one = year[8]!;
  if (!one.daysAtEnds) return null;
  const low = at === 0 ? 0 : one.daysAtEnds[at - 1]!;
  const high = one.daysAtEnds[at]!;
  if (y(low) - y(high) < LEAST_BAND) return null;
  return (
    <text x={x(one.sowDay)} y={(y(low) + y(high)) / 2 + 5} fontSize="14" className="sign">
      {name}
    </text>
  );
}
