import { memo } from "react";
import type { SeasonView } from "@/core/garden/seasonView";
import type { Band, ChartGeometry } from "./chartGeometry";
import { MarketDays } from "./MarketDays";

/** What is drawn under the blocks: months, growing areas with their capacity lines, how full the folded ones are, market days, today. */
export const ChartGround = memo(function ChartGround({
  geometry,
  view,
}: {
  readonly geometry: ChartGeometry;
  readonly view: SeasonView;
}) {
  const { height, width, bands, months, weeks } = geometry;
  const todayX = geometry.x(view.today + 0.5);
  return (
    <svg width={width} height={height} className="absolute inset-0" aria-hidden>
      <defs>
        <pattern id="over-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" className="fill-alarm-pale" />
          <rect width="3" height="7" className="fill-alarm" />
        </pattern>
      </defs>
      <path d={weeks.map((x) => `M${x} 38v5`).join("")} className="stroke-soft" />
      {months.map((month) => (
        <g key={month.x}>
          <line x1={month.x} x2={month.x} y1={0} y2={height} className="stroke-rule" />
          <text x={month.x + 4} y={16} fontSize="17" className="sign">
            {month.name}
          </text>
        </g>
      ))}
      {bands.map((band) => (
        <BandGround key={band.area.id} band={band} geometry={geometry} todayX={todayX} />
      ))}
      <MarketDays geometry={geometry} view={view} />
      {view.today >= view.from && view.today < view.to && (
        <>
          <line x1={todayX} x2={todayX} y1={40} y2={height} className="stroke-water" strokeWidth="2" />
          <rect x={todayX - 26} y={21} width="52" height="19" rx="2" className="fill-water" />
          <text
            x={todayX}
            y={36}
            fontSize="14"
            textAnchor="middle"
            className="sign"
            style={{ fill: "var(--on-strong)" }}
          >
            TODAY
          </text>
        </>
      )}
    </svg>
  );
});

function BandGround({
  band,
  geometry: { left, width },
  todayX,
}: {
  band: Band;
  geometry: ChartGeometry;
  todayX: number;
}) {
  const { area, isOpen, capacityY, bottom, siteHeight, profile } = band;
  const past = Math.min(width, Math.max(left, todayX));
  return (
    <g>
      <rect x={left} width={width - left} y={capacityY} height={bottom - capacityY} className="fill-sheet" />
      {isOpen && <path d={standEdges(band, left, width)} className="stroke-rule" />}
      {profile && (
        <>
          <path d={profile.used} className="fill-leaf-pale stroke-leaf" strokeWidth="1" />
          {past > left && (
            <rect
              x={left}
              width={past - left}
              y={capacityY}
              height={bottom - capacityY}
              className="fill-ground"
              opacity="0.5"
            />
          )}
          {profile.over && <path d={profile.over} fill="url(#over-hatch)" className="stroke-alarm" strokeWidth="1" />}
        </>
      )}
      <line
        x1={left}
        x2={width}
        y1={capacityY}
        y2={capacityY}
        className={area.daysOver > 0 ? "stroke-alarm" : "stroke-ink"}
        strokeWidth={isOpen ? 2 : 1}
      />
      <line x1={left} x2={width} y1={bottom} y2={bottom} className="stroke-rule" />
      {isOpen && area.sites * siteHeight > 0 && (
        <line x1={left} x2={left} y1={capacityY} y2={bottom} className="stroke-ink" strokeWidth="2" />
      )}
    </g>
  );
}

/** Lines of the open growing area, counted from below. */
function standEdges({ area, bottom, siteHeight }: Band, left: number, right: number): string {
  let sites = 0;
  return area.lines
    .map((line) => {
      sites += line.sites;
      return `M${left} ${(bottom - sites * siteHeight).toFixed(1)}H${right}`;
    })
    .join("");
}
