import type { BatchView, SeasonView } from "@/core/garden/seasonView";
import { inkOn, toneOf } from "@/features/frame/crops/cropMarks";
import { wayOf, type ChartGeometry, type Way } from "./chartGeometry";
import type { Held } from "./held";

/** The whole way of the batch under the hand, from seed to delivery; and where it would stand while it is moved. */
export function WayOverlay({
  geometry,
  view,
  batch,
  held,
}: {
  readonly geometry: ChartGeometry;
  readonly view: SeasonView;
  readonly batch: BatchView;
  readonly held: Held | null;
}) {
  const way = wayOf(geometry, view, batch);
  const isMoved = held !== null && (held.days !== 0 || held.lines !== 0);
  return (
    <svg
      width={geometry.width}
      height={geometry.height}
      className="pointer-events-none absolute inset-0 z-10"
      aria-hidden
      data-way={batch.id}
    >
      {way.moves.map(({ x, y1, y2 }) => (
        <line key={x} x1={x} x2={x} y1={y1} y2={y2} className="stroke-ink" strokeWidth="3" />
      ))}
      <Deliveries way={way} geometry={geometry} />
      {way.rects.map((rect) => (
        <rect
          key={rect.key}
          {...{ x: rect.x, y: rect.y, width: rect.width, height: rect.height, rx: 3 }}
          style={{ fill: rect.isOpen ? "none" : rect.over ? "url(#over-hatch)" : toneOf(batch.mark) }}
          className={rect.over ? "stroke-alarm" : "stroke-ink"}
          strokeWidth="2.5"
        />
      ))}
      {way.rects.map(
        (rect) =>
          !rect.isOpen &&
          !rect.over &&
          rect.height >= 12 &&
          rect.width > 22 && (
            <text
              key={rect.key}
              x={rect.x + 4}
              y={rect.y + rect.height / 2 + 5}
              fontSize="13"
              className="sign"
              style={{ fill: inkOn(batch.mark) }}
            >
              {batch.steps[rect.stage]!.plants}
            </text>
          ),
      )}
      {isMoved && <Shadow way={way} geometry={geometry} view={view} held={held} />}
    </svg>
  );
}

/** From the last stay down to the days that it serves. */
function Deliveries({ way, geometry }: { readonly way: Way; readonly geometry: ChartGeometry }) {
  const last = way.rects.findLast(({ labelled }) => labelled);
  if (!last) return null;
  const bottom = last.y + last.height;
  return way.deliveries.map(({ x }) => (
    <g key={x}>
      <path
        d={`M${x} ${bottom}V${geometry.marketBottom}`}
        className="stroke-ink"
        strokeDasharray="2 4"
        strokeWidth="1.5"
      />
      <circle cx={x} cy={geometry.marketBottom} r="4.5" className="fill-ink" />
    </g>
  ));
}

/** Where it would stand: on other days all of it, on other lines only in the growing area that is open. */
function Shadow({
  way,
  geometry,
  view,
  held,
}: {
  readonly way: Way;
  readonly geometry: ChartGeometry;
  readonly view: SeasonView;
  readonly held: Held;
}) {
  const band = geometry.bands.find(({ isOpen }) => isOpen);
  const shift = held.days * geometry.dayWidth;
  const rects =
    held.lines === 0
      ? way.rects.map(({ key, x, y, width, height }) => ({ key, x: x + shift, y, width, height }))
      : shadowOnLines(geometry, view, held);
  return rects.map(({ key, ...rect }) => (
    <rect
      key={key}
      {...rect}
      rx="3"
      className={held.lines === 0 || !band ? "stroke-ink" : "fill-water-pale stroke-water"}
      style={held.lines === 0 ? { fill: "none" } : { fillOpacity: 0.8 }}
      strokeWidth="2.5"
      strokeDasharray="5 3"
    />
  ));
}

function shadowOnLines(geometry: ChartGeometry, view: SeasonView, held: Held) {
  const band = geometry.bands.find(({ isOpen }) => isOpen);
  const block = view.blocks.find(({ batchId, stage }) => batchId === held.batchId && stage === held.stage);
  if (!band || !block || !held.spot) return [];
  return held.spot.runs.map(({ start, end }) => ({
    key: String(start),
    x: geometry.x(block.from),
    width: geometry.x(block.to) - geometry.x(block.from),
    y: band.bottom - end * band.siteHeight,
    height: (end - start) * band.siteHeight,
  }));
}
