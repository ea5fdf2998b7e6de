import type { SeasonView } from "@/core/garden/seasonView";
import { counted } from "@/core/units/format";
import type { ThreadGeometry } from "./threadGeometry";

/** Of the whole chart, in pixels. */
export const HEIGHT = 640;

/** A batch shown on another sow day, not yet moved. */
export interface HeldBatch {
  readonly batchId: number;
  readonly days: number;
}

/** What is drawn under the blocks: months, growing areas with their capacity lines, threads, the outline of a batch being moved, the market days. */
export function Ground({
  geometry,
  view,
  chosen,
  held,
}: {
  geometry: ThreadGeometry;
  view: SeasonView;
  chosen: number | null;
  held: HeldBatch | null;
}) {
  const todayX = geometry.x(view.today + 0.5);
  return (
    <svg width={geometry.width} height={HEIGHT} className="absolute inset-0" aria-hidden>
      <defs>
        <pattern id="over-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" className="fill-alarm-pale" />
          <rect width="3" height="7" className="fill-alarm" />
        </pattern>
      </defs>
      {geometry.weeks.map((x) => (
        <line key={x} x1={x} x2={x} y1={38} y2={43} className="stroke-soft" />
      ))}
      {geometry.months.map((month) => (
        <g key={month.x}>
          <line x1={month.x} x2={month.x} y1={0} y2={HEIGHT} className="stroke-rule" />
          <text x={month.x + 4} y={16} fontSize="17" className="sign">
            {month.name}
          </text>
        </g>
      ))}
      {geometry.bands.map((band) => {
        const growingArea = view.growingAreas.find((candidate) => candidate.id === band.growingAreaId)!;
        return (
          <g key={band.growingAreaId}>
            <rect
              x={geometry.left}
              width={geometry.width - geometry.left}
              y={band.capacityY}
              height={band.bottom - band.capacityY}
              className="fill-sheet"
            />
            <line
              x1={geometry.left}
              x2={geometry.width}
              y1={band.capacityY}
              y2={band.capacityY}
              className="stroke-ink"
              strokeWidth="1.5"
              strokeDasharray={band.shownSites < growingArea.sites ? "2 5" : undefined}
            />
            <text x={0} y={band.capacityY + 14} fontSize="17" className="sign">
              {growingArea.name}
            </text>
            <text
              x={0}
              y={band.capacityY + 30}
              fontSize="13"
              style={{ fill: growingArea.daysOver ? "var(--alarm)" : "var(--ink-soft)" }}
            >
              {growingArea.daysOver
                ? `${counted(growingArea.daysOver, "day")} over`
                : `${counted(growingArea.sites, "site")}, fits`}
            </text>
          </g>
        );
      })}
      {geometry.threads.map((thread) => (
        <line
          key={`${thread.batchId}-${thread.x}`}
          x1={thread.x}
          x2={thread.x}
          y1={thread.y1}
          y2={thread.y2}
          className="stroke-ink"
          strokeWidth={thread.batchId === chosen ? 3 : 1}
          opacity={thread.batchId === chosen ? 1 : 0.12}
        />
      ))}
      {held &&
        held.days !== 0 &&
        geometry.blocks
          .filter((block) => block.batchId === held.batchId)
          .map((block) => (
            <rect
              key={block.key}
              x={block.x + held.days * geometry.dayWidth}
              y={block.y}
              width={block.width}
              height={block.height}
              rx="3"
              fill="none"
              className="stroke-ink"
              strokeWidth="2"
              strokeDasharray="5 3"
            />
          ))}
      <Market geometry={geometry} view={view} />
      <line x1={todayX} x2={todayX} y1={40} y2={HEIGHT} className="stroke-water" strokeWidth="2" />
      <rect x={todayX - 26} y={21} width="52" height="19" rx="2" className="fill-water" />
      <text x={todayX} y={36} fontSize="14" textAnchor="middle" className="sign" style={{ fill: "var(--on-strong)" }}>
        TODAY
      </text>
    </svg>
  );
}

/** Each market day as a bar as high as its orders; what is missed is red and hatched on top. */
function Market({ geometry, view }: { geometry: ThreadGeometry; view: SeasonView }) {
  const most = Math.max(1, ...view.market.map((day) => day.lines));
  const full = geometry.marketBottom - geometry.marketTop;
  const width = Math.max(3, Math.min(12, geometry.dayWidth * 0.8));
  return (
    <g>
      <text x={0} y={geometry.marketTop + 14} fontSize="17" className="sign">
        Harvest
      </text>
      <text x={0} y={geometry.marketTop + 30} fontSize="13" style={{ fill: "var(--ink-soft)" }}>
        orders met by day
      </text>
      {view.market.map((day) => {
        const x = geometry.x(day.day + 0.5) - width / 2;
        const met = ((day.lines - day.missed.length) / most) * full;
        const missed = (day.missed.length / most) * full;
        return (
          <g key={day.day}>
            <rect x={x} y={geometry.marketBottom - met} width={width} height={met} className="fill-leaf" />
            {missed > 0 && (
              <rect
                x={x}
                y={geometry.marketBottom - met - missed}
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
