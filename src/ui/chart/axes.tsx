import { utcFormat, type ScaleLinear, type ScaleTime } from "d3";
import type { Day } from "@/core/units/day";

/** A day as the date that D3's time scales take. */
export function dateOf(day: Day): Date {
  return new Date(day * 86_400_000);
}

/** Along the foot: months of a time scale, or marks at places of their own. */
export type Foot =
  | { readonly kind: "months"; readonly scale: ScaleTime<number, number>; /** About so many. */ readonly count: number }
  | { readonly kind: "marks"; readonly marks: readonly FootMark[] };

export interface FootMark {
  readonly x: number;
  readonly text: string;
  readonly anchor: "start" | "middle" | "end";
}

/** Months with a short stroke above each name, or the marks. */
export function FootAxis({ foot, y, fontSize }: { foot: Foot; y: number; fontSize: number }) {
  if (foot.kind === "marks")
    return (
      <g>
        {foot.marks.map(({ x, text, anchor }) => (
          <text key={x} x={x} y={y} fontSize={fontSize} textAnchor={anchor}>
            {text}
          </text>
        ))}
      </g>
    );
  const { scale, count } = foot;
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

/** Figures up the side, in the unit that the scale is drawn in. */
export interface Side {
  readonly scale: ScaleLinear<number, number>;
  /** Right edge of the figures. */
  readonly x: number;
  /** About so many figures, or just these. */
  readonly ticks: number | readonly number[];
  readonly text?: (value: number) => string;
}

export function SideAxis({ side: { scale, x, ticks, text = String }, fontSize }: { side: Side; fontSize: number }) {
  const figures = typeof ticks === "number" ? scale.ticks(ticks) : ticks;
  return (
    <g>
      {figures.map((value) => (
        <text key={value} x={x} y={scale(value) + fontSize / 3} textAnchor="end" fontSize={fontSize}>
          {text(value)}
        </text>
      ))}
    </g>
  );
}
