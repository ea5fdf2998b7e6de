import type { SeasonView } from "@/core/garden/seasonView";
import type { ChartGeometry } from "./chartGeometry";

/** Each market day as a bar as high as its orders; what is missed is red and hatched on top. */
export function MarketDays({ geometry, view }: { readonly geometry: ChartGeometry; readonly view: SeasonView }) {
  const { marketTop, marketBottom, dayWidth } = geometry;
  const most = Math.max(1, ...view.market.map((day) => day.lines));
  const full = marketBottom - marketTop;
  const width = Math.max(3, Math.min(12, dayWidth * 0.8));
  return (
    <g>
      <text x={0} y={marketTop + 14} fontSize="17" className="sign">
        Harvest
      </text>
      <text x={0} y={marketTop + 30} fontSize="13" style={{ fill: "var(--ink-soft)" }}>
        orders met by day
      </text>
      <line x1={geometry.left} x2={geometry.width} y1={marketBottom} y2={marketBottom} className="stroke-rule" />
      {view.market.map((day) => {
        const x = geometry.x(day.day + 0.5) - width / 2;
        const met = ((day.lines - day.missed.length) / most) * full;
        const missed = (day.missed.length / most) * full;
        return (
          <g key={day.day}>
            <rect x={x} y={marketBottom - met} width={width} height={met} className="fill-leaf" />
            {missed > 0 && (
              <rect
                x={x}
                y={marketBottom - met - missed}
                width={width}
                height={missed}
                fill="url(#over-hatch)"
                className="stroke-alarm"
              />
            )}
          </g>
        );
      })}
    </g>
  );
}
