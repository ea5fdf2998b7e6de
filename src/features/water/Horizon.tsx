"use client";
import { area, line, scaleLinear, stack, scaleUtc } from "d3";
import { dayInWords, type Day } from "@/core/units/day";
import { quantityText } from "@/core/units/format";
import type { SupplyHorizon } from "@/core/water/supply";
import { dateOf, MonthAxis, ValueAxis } from "@/ui/chart";
import { useUnits } from "@/ui/units";

const WIDTH = 1040;
const HEIGHT = 330;
const LEFT = 64;
const RIGHT = 118;
const STORE_BOTTOM = 186;
const DRAW_TOP = 216;
const DRAW_BOTTOM = HEIGHT - 26;
const WEEK = 7;
/** Hatches tell the sources apart without colour. */
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
  const days = supply.needL.length;
  const date = (offset: number) => dateOf(today + offset);
  const x = scaleUtc([date(0), date(days - 1)], [LEFT, WIDTH - RIGHT]);
  const stored = scaleLinear([0, Math.max(1, capacityL)], [STORE_BOTTOM, 14]);
  const weeks = weekly(supply);
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
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Stored water and daily draw over ${days} days: ${summary}`}
      className="w-full"
    >
      <path d={storePath ?? ""} className="fill-water-pale" />
      <path d={top ?? ""} fill="none" className="stroke-water" strokeWidth="2.5" />
      <line
        x1={LEFT}
        x2={WIDTH - RIGHT}
        y1={stored(capacityL)}
        y2={stored(capacityL)}
        className="stroke-ink"
        strokeWidth="1.5"
      />
      <text x={WIDTH - RIGHT + 6} y={stored(capacityL) + 4} fontSize="13">
        full {quantityText(capacityL, "volume", units)}
      </text>
      <text x={LEFT - 8} y={STORE_BOTTOM} fontSize="13" textAnchor="end">
        empty
      </text>
      <text x={LEFT + 6} y={32} fontSize="15" className="sign">
        In store
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
      <ValueAxis scale={drawn} x={LEFT - 8} count={3} fontSize={13} />
      <text x={LEFT} y={DRAW_TOP - 8} fontSize="14" className="sign">
        Litres a day, by source
      </text>
      {layers.map((layer) => {
        const last = layer.at(-1);
        if (!last || last[1] - last[0] < most * 0.03) return null;
        return (
          <text key={layer.key} x={WIDTH - RIGHT + 6} y={(drawn(last[0]) + drawn(last[1])) / 2 + 4} fontSize="13">
            {layer.key === "short" ? "short" : sources[Number(layer.key)]}
          </text>
        );
      })}
      <MonthAxis scale={x} y={HEIGHT - 6} count={12} fontSize={13} />
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
    </svg>
  );
}

function weekly(supply: SupplyHorizon) {
  const weeks: { at: Date; drawn: number[]; short: number }[] = [];
  for (let start = 0; start + WEEK <= supply.needL.length; start += WEEK) {
    const mean = (series: readonly number[]) =>
      series.slice(start, start + WEEK).reduce((sum, value) => sum + value, 0) / WEEK;
    weeks.push({
      at: dateOf(supply.from + start + 3),
      drawn: supply.drawnL.map(mean),
      short: mean(supply.shortL),
    });
  }
  return weeks;
}
