import { utcFormat, type ScaleLinear, type ScaleTime } from "d3";
import type { Day } from "@/core/units/day";

/** A day as the date that D3's time scales take. */
export function dateOf(day: Day): Date {
  return new Date(day * 86_400_000);
}

export interface MonthAxisProps {
  readonly scale: ScaleTime<number, number>;
  /** Where the line of text stands. */
  readonly y: number;
  /** About how many months are named. */
  readonly count: number;
  readonly fontSize: number;
}

/** Months along the foot of a chart, each with a short stroke above its name. */
export function MonthAxis({ scale, y, count, fontSize }: MonthAxisProps) {
  const [start = 0, end = 0] = scale.range();
  return (
    <g>
      {scale.ticks(count).map((tick) => {
        const x = scale(tick);
        const anchor = x < start + fontSize ? "start" : x > end - fontSize ? "end" : "middle";
        return (
          <g key={tick.getTime()}>
            <line x1={x} x2={x} y1={y - fontSize - 4} y2={y - fontSize} className="stroke-soft" />
            <text x={x} y={y} fontSize={fontSize} textAnchor={anchor}>
              {utcFormat("%b")(tick)}
            </text>
          </g>
        );
      })}
    </g>
  );
}

export interface ValueAxisProps {
  readonly scale: ScaleLinear<number, number>;
  /** Right edge of the figures. */
  readonly x: number;
  readonly count: number;
  readonly fontSize: number;
}

/** Figures up the side of a chart. */
export function ValueAxis({ scale, x, count, fontSize }: ValueAxisProps) {
  return (
    <g>
      {scale.ticks(count).map((tick) => (
        <text key={tick} x={x} y={scale(tick) + fontSize / 3} textAnchor="end" fontSize={fontSize}>
          {tick}
        </text>
      ))}
    </g>
  );
}
