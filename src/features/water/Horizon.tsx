"use client";
import { area, line, scaleLinear, stack, scaleUtc } from "d3";
import { useRef } from "react";
import { dayInWords, type Day } from "@/core/units/day";
import { quantityText } from "@/core/units/format";
import type { SupplyHorizon } from "@/core/water/supply";
import { dateOf } from "@/ui/chart/axes";
import { ChartFrame } from "@/ui/chart/ChartFrame";
import { useShown } from "@/ui/chart/useShown";
import { useElementWidth } from "@/ui/useElementWidth";
import { useUnits } from "@/ui/units";

const WIDE = 1040;
/** Under this width it is drawn as narrow as it is, so that its text can still be read, with its names inside. */
const NARROW = 640;
const HEIGHT = 330;
const STORE_BOTTOM = 186;
const DRAW_TOP = 216;
const DRAW_BOTTOM = HEIGHT - 26;
const WEEK = 7;
/** Dashes tell the sources apart without colour. */
const PATTERNS = ["", "6 3", "2 3", "10 4"];

/** Stored water and where each day's litres come from over the coming months, with the first day short marked. */
export function Horizon({
  today,
  supply,
  capacityL,
  sources,
}: {
  today: Day;
  supply: SupplyHorizon;
  capacityL: number;
  sources: readonly string[];
}) {
  const units = useUnits();
  const frame = useRef<HTMLDivElement>(null);
  const measured = useElementWidth(frame);
  const isNarrow = measured !== null && measured < NARROW;
  const width = isNarrow ? measured : WIDE;
  const [left, right] = isNarrow ? [46, width - 8] : [64, width - 118];
  const name = isNarrow
    ? ({ x: right - 6, textAnchor: "end", stroke: "var(--ground)", strokeWidth: 4, paintOrder: "stroke" } as const)
    : { x: right + 6 };
  const days = supply.needL.length;
  const date = (offset: number) => dateOf(today + offset);
  const x = scaleUtc([date(0), date(days - 1)], [left, right]);
  const stored = scaleLinear([0, Math.max(1, capacityL)], [STORE_BOTTOM, 14]);
  const shown = useShown("volume");
  const weeks = weekly(supply, shown.of);
  const most = Math.max(1, ...weeks.map((week) => week.drawn.reduce((sum, litres) => sum + litres, week.short)));
  const drawn = scaleLinear([0, most], [DRAW_BOTTOM, DRAW_TOP]).nice(3);
  const keys = [...sources.map((_, index) => String(index)), "short"];
  const layers = stack<(typeof weeks)[number], string>()
    .keys(keys)
    .value((week, key) => (key === "short" ? week.short : (week.drawn[Number(key)] ?? 0)))(weeks);
  const storePath = area<number>()
    .x((_, i) => x(date(i)))
    .y0(STORE_BOTTOM)
    .y1((litres) => stored(litres))([...supply.storedL]);
  const top = line<number>()
    .x((_, i) => x(date(i)))
    .y((litres) => stored(litres))([...supply.storedL]);
  const short = supply.firstShort;
  const summary = short
    ? `first short on ${dayInWords(short.day, "year")} by ${quantityText(short.litres, "volume", units)}`
    : "never short";
  return (
    <div ref={frame}>
      <ChartFrame
        width={width}
        height={HEIGHT}
        label={`Stored water and daily draw over ${days} days: ${summary}`}
        fontSize={13}
        side={{ scale: drawn, x: left - 8, ticks: 3 }}
        foot={{ kind: "months", scale: x, count: isNarrow ? 5 : 12 }}
      >
        <path d={storePath ?? ""} className="fill-water-pale" />
        <path d={top ?? ""} fill="none" className="stroke-water" strokeWidth="2.5" />
        {capacityL > 0 && (
          <>
            <line
              x1={left}
              x2={right}
              y1={stored(capacityL)}
              y2={stored(capacityL)}
              className="stroke-ink"
              strokeWidth="1.5"
            />
            <text {...name} y={stored(capacityL) + (isNarrow ? 16 : 4)} fontSize="13">
              full {quantityText(capacityL, "volume", units)}
            </text>
          </>
        )}
        <text x={left - 8} y={STORE_BOTTOM} fontSize="13" textAnchor="end">
          empty
        </text>
        <text x={left + 6} y={32} fontSize="15" className="sign">
          {capacityL > 0 ? "In store" : "No store"}
        </text>
        {layers.map((layer, index) => {
          const path = area<(typeof layer)[number]>()
            .x((point) => x(point.data.at))
            .y0((point) => drawn(point[0]))
            .y1((point) => drawn(point[1]))(layer);
          const isShort = layer.key === "short";
          return (
            <path
              key={layer.key}
              d={path ?? ""}
              className={isShort ? "fill-alarm" : index === 0 ? "fill-water" : "fill-water-pale stroke-water"}
              strokeWidth="1.2"
              strokeDasharray={PATTERNS[index]}
            />
          );
        })}
        <text x={left} y={DRAW_TOP - 8} fontSize="14" className="sign">
          Drawn a day, by source, {shown.unit}
        </text>
        {layers.map((layer, index) => {
          const last = layer.at(-1);
          if (!last) return null;
          const text = layer.key === "short" ? "short" : sources[Number(layer.key)];
          if (last[1] - last[0] >= most * 0.03)
            return (
              <text key={layer.key} {...name} y={(drawn(last[0]) + drawn(last[1])) / 2 + 4} fontSize="13">
                {text}
              </text>
            );
          // What gives nothing at the end is named where it gives most.
          const widest = layer.reduce((most, point) => (point[1] - point[0] > most[1] - most[0] ? point : most), last);
          const heightPx = drawn(widest[0]) - drawn(widest[1]);
          if (heightPx < LEAST_NAMED_PX) return null;
          const fits = heightPx >= LEAST_LABEL_PX;
          return (
            <text
              key={layer.key}
              x={x(widest.data.at)}
              y={fits ? (drawn(widest[0]) + drawn(widest[1])) / 2 + 5 : drawn(widest[1]) - 4}
              textAnchor="middle"
              fontSize="13"
              style={fits && index === 0 ? { fill: "var(--on-strong)" } : undefined}
            >
              {text}
            </text>
          );
        })}
        {short && (
          <g>
            <line
              x1={x(date(short.day - today))}
              x2={x(date(short.day - today))}
              y1={14}
              y2={DRAW_BOTTOM}
              className="stroke-alarm"
              strokeWidth="2"
            />
            <text x={x(date(short.day - today)) + 6} y={30} fontSize="14" className="sign">
              short from {dayInWords(short.day)}
            </text>
          </g>
        )}
      </ChartFrame>
    </div>
  );
}

/** A band as thin as this is not named; one as high as that has room for its name. */
const LEAST_NAMED_PX = 4;
const LEAST_LABEL_PX = 17;

function weekly(supply: SupplyHorizon, shown: (litres: number) => number) {
  const weeks: { at: Date; drawn: number[]; short: number }[] = [];
  const days = supply.needL.length;
  for (let start = 0; start + WEEK <= days; start += WEEK) {
    const mean = (series: readonly number[]) =>
      shown(series.slice(start, start + WEEK).reduce((sum, value) => sum + value, 0) / WEEK);
    weeks.push({
      // The first and the last week reach to the ends of the axis, the others stand for their middle.
      at: dateOf(supply.from + (start === 0 ? 0 : start + 2 * WEEK > days ? days - 1 : start + 3)),
      drawn: supply.drawnL.map(mean),
      short: mean(supply.shortL),
    });
  }
  return weeks;
}
