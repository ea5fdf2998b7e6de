"use client";
import { area, line, scaleLinear } from "d3";
import { useRef } from "react";
import type { ClimateDay } from "@/core/place/climate/climateYear";
import { MONTHS } from "@/core/units/day";
import { quantityText } from "@/core/units/format";
import { SideAxis } from "@/ui/chart/axes";
import { ChartFrame } from "@/ui/chart/ChartFrame";
import { useShown } from "@/ui/chart/useShown";
import { useElementWidth } from "@/ui/useElementWidth";
import { useUnits } from "@/ui/units";

const HEIGHT = 412;
const LEFT = 46;
const RIGHT = 8;
const WARMTH = { top: 30, bottom: 146 };
const WATER = { top: 190, bottom: 280 };
const LIGHT = { top: 324, bottom: 384 };
const MONTH_DAYS = 365 / 12;

export interface ClimateYearProps {
  readonly outside: readonly ClimateDay[];
  /** Of the house that is looked at; null: only outside. */
  readonly inside: { readonly name: string; readonly days: readonly ClimateDay[] } | null;
  readonly rainMmByMonth: readonly number[] | null;
}

/** The normal year of a place: how warm, how wet, how bright, outside and in a house. */
export function ClimateYear({ outside, inside, rainMmByMonth }: ClimateYearProps) {
  const units = useUnits();
  const [degrees, rain] = [useShown("temperature"), useShown("rain")];
  const box = useRef<HTMLDivElement>(null);
  const width = useElementWidth(box) ?? 760;
  const right = width - RIGHT;
  const x = scaleLinear([1, 366], [LEFT, right]);
  const shown = inside?.days ?? outside;
  const all = [...outside, ...shown];
  const warmth = scaleLinear(
    [
      degrees.of(Math.min(0, ...all.map(({ lowestC }) => lowestC))),
      degrees.of(1 + Math.max(...all.map(({ highestC }) => highestC))),
    ],
    [WARMTH.bottom, WARMTH.top],
  ).nice(4);
  const drunkMm = (days: readonly ClimateDay[]) =>
    days.map(({ et0Mm }) => (et0Mm === null ? null : et0Mm * MONTH_DAYS));
  const wet = [...(rainMmByMonth ?? []), ...drunkMm(all).map((mm) => mm ?? 0)];
  const water = scaleLinear([0, rain.of(Math.max(10, ...wet))], [WATER.bottom, WATER.top]).nice(3);
  const light = scaleLinear([0, Math.max(10, ...all.map(({ lightMol }) => lightMol))], [LIGHT.bottom, LIGHT.top]).nice(
    3,
  );
  const path = (days: readonly ClimateDay[], y: (day: ClimateDay) => number | null) =>
    line<ClimateDay>()
      .defined((day) => y(day) !== null)
      .x((day) => x(day.dayOfYear))
      .y((day) => y(day)!)([...days]) ?? "";
  const thirst = (day: ClimateDay) => (day.et0Mm === null ? null : water(rain.of(day.et0Mm * MONTH_DAYS)));
  const band = area<ClimateDay>()
    .x((day) => x(day.dayOfYear))
    .y0((day) => warmth(degrees.of(day.lowestC)))
    .y1((day) => warmth(degrees.of(day.highestC)))([...outside]);
  const monthWidth = (right - LEFT) / 12;
  const warmest = Math.max(...shown.map(({ highestC }) => highestC));
  const coldest = Math.min(...shown.map(({ lowestC }) => lowestC));
  const isWide = width > 560;
  const where = inside ? `in the ${inside.name}` : "outside";
  return (
    <div ref={box}>
      <ChartFrame
        width={width}
        height={HEIGHT}
        fontSize={14}
        label={`The year ${where}: from ${quantityText(coldest, "temperature", units)} in the coldest nights to ${quantityText(warmest, "temperature", units)} on the warmest days`}
        foot={{
          kind: "marks",
          marks: MONTHS.map((month, index) => ({
            x: LEFT + (index + 0.5) * monthWidth,
            text: isWide ? month.slice(0, 3) : month[0]!,
            anchor: "middle",
          })),
        }}
      >
        {MONTHS.map((month, index) => (
          <path
            key={month}
            d={`M${LEFT + index * monthWidth} ${WARMTH.top}V${LIGHT.bottom}`}
            className="stroke-rule"
            strokeWidth={index === 0 ? 2 : 1}
          />
        ))}
        <text x={LEFT} y={16} fontSize="16" className="sign">
          {isWide ? "Warmest of the day and coldest of the night" : "Warmest and coldest"}, {degrees.unit}
        </text>
        {inside && (
          <g fontSize="14">
            <rect x={right - 70} y={5} width="14" height="12" className="fill-rule" />
            <text x={right} y={16} textAnchor="end">
              outside
            </text>
            {isWide && (
              <>
                <path d={`M${right - 104 - 7.5 * inside.name.length} 11h14`} className="stroke-ink" strokeWidth="2.5" />
                <text x={right - 84} y={16} textAnchor="end">
                  {inside.name}
                </text>
              </>
            )}
          </g>
        )}
        <SideAxis side={{ scale: warmth, x: LEFT - 8, ticks: 4 }} fontSize={13} />
        <path d={band ?? ""} className="fill-rule" opacity="0.7" />
        {inside &&
          (["highestC", "lowestC"] as const).map((name) => (
            <path
              key={name}
              d={path(inside.days, (day) => warmth(degrees.of(day[name])))}
              fill="none"
              className="stroke-ink"
              strokeWidth="2.5"
            />
          ))}
        <path d={`M${LEFT} ${WARMTH.bottom}H${right}`} className="stroke-rule" />
        <text x={LEFT} y={WATER.top - 14} fontSize="16" className="sign">
          {isWide ? `Rain, and what grass would drink ${where}` : "Rain, and what grass drinks"}, {rain.unit} a month
        </text>
        <SideAxis side={{ scale: water, x: LEFT - 8, ticks: 3 }} fontSize={13} />
        {rainMmByMonth?.map((mm, month) => (
          <rect
            key={month}
            x={LEFT + (month + 0.18) * monthWidth}
            width={0.64 * monthWidth}
            y={water(rain.of(mm))}
            height={WATER.bottom - water(rain.of(mm))}
            className="fill-water"
          />
        ))}
        {inside && (
          <path d={path(outside, thirst)} fill="none" className="stroke-soft" strokeDasharray="5 4" strokeWidth="1.5" />
        )}
        <path d={path(shown, thirst)} fill="none" className="stroke-leaf" strokeWidth="3" />
        <path d={`M${LEFT} ${WATER.bottom}H${right}`} className="stroke-rule" />
        <text x={LEFT} y={LIGHT.top - 14} fontSize="16" className="sign">
          Light {where}, mol/m² a day
        </text>
        {inside && isWide && (
          <g fontSize="14">
            <path
              d={`M${right - 74} ${LIGHT.top - 19}h18`}
              className="stroke-soft"
              strokeDasharray="5 4"
              strokeWidth="1.5"
            />
            <text x={right} y={LIGHT.top - 14} textAnchor="end">
              outside
            </text>
          </g>
        )}
        <SideAxis side={{ scale: light, x: LEFT - 8, ticks: 2 }} fontSize={13} />
        {inside && (
          <path
            d={path(outside, (day) => light(day.lightMol))}
            fill="none"
            className="stroke-soft"
            strokeDasharray="5 4"
            strokeWidth="1.5"
          />
        )}
        <path d={path(shown, (day) => light(day.lightMol))} fill="none" className="stroke-ink" strokeWidth="2.5" />
        <path d={`M${LEFT} ${LIGHT.bottom}H${right}`} className="stroke-rule" />
      </ChartFrame>
    </div>
  );
}
