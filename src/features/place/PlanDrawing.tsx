"use client";
import { Maximize, ZoomIn, ZoomOut } from "lucide-react";
import { select, zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from "d3";
import { useEffect, useRef, useState } from "react";
import { lineLabel, standFootprint, standLayout } from "@/core/place/standLayout";
import type { HouseView, StandView } from "@/server/place/view";
import { Button } from "@/ui/Button";
import { StandLines } from "./StandLines";
import { lineWordsToday } from "./lineToday";

/** The line looked at. */
export interface LineFocus {
  readonly standId: number;
  readonly line: number;
}

const MARGIN_M = 0.9;
const DEEPEST_ZOOM = 40;
const ZOOM_STEP = 1.6;

/** A house seen from above, true to scale, with every line and site; zoomed by wheel, pinch, buttons or keys. */
export function PlanDrawing({
  view,
  focus,
  onFocus,
}: {
  view: HouseView;
  focus: LineFocus | null;
  onFocus: (focus: LineFocus) => void;
}) {
  const { house } = view;
  const svg = useRef<SVGSVGElement>(null);
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null);
  const [transform, setTransform] = useState<ZoomTransform>(zoomIdentity);
  const [widthM, heightM] = [house.lengthM + 2 * MARGIN_M, house.widthM + 2 * MARGIN_M];
  useEffect(() => {
    const element = svg.current!;
    behaviour.current = zoom<SVGSVGElement, unknown>()
      .extent([
        [0, 0],
        [widthM, heightM],
      ]) // prettier-ignore
      .translateExtent([
        [0, 0],
        [widthM, heightM],
      ]) // prettier-ignore
      .scaleExtent([1, DEEPEST_ZOOM])
      .on("zoom", (event: { transform: ZoomTransform }) => setTransform(event.transform));
    const selection = select(element).call(behaviour.current);
    return () => void selection.on(".zoom", null);
  }, [widthM, heightM]);
  const by = (factor: number) => behaviour.current && select(svg.current!).call(behaviour.current.scaleBy, factor);
  const fit = () => behaviour.current && select(svg.current!).call(behaviour.current.transform, zoomIdentity);
  return (
    <div className="relative">
      <svg
        ref={svg}
        viewBox={`0 0 ${widthM} ${heightM}`}
        className="max-h-[56vh] w-full touch-none border border-rule bg-sheet"
        aria-label={`Plan of ${house.name}, ${house.lengthM} by ${house.widthM} m`}
        role="group"
      >
        <g transform={transform.toString()}>
          <g transform={`translate(${MARGIN_M} ${MARGIN_M})`}>
            <rect
              width={house.lengthM}
              height={house.widthM}
              fill="none"
              className="stroke-ink"
              strokeWidth={0.08}
              strokeDasharray={house.cover === "net" ? "0.25 0.15" : undefined}
            />
            {view.stands.map((stand) => (
              <Stand
                key={stand.stand.id}
                view={stand}
                focusLine={focus?.standId === stand.stand.id ? focus.line : null}
                onLine={(line) => onFocus({ standId: stand.stand.id, line })}
              />
            ))}
          </g>
        </g>
      </svg>
      <ScaleBar metresAcross={widthM / transform.k} />
      <div className="no-print absolute bottom-full right-0 mb-1 flex gap-1">
        <Button aria-label="Closer" className="!px-2" onClick={() => by(ZOOM_STEP)}>
          <ZoomIn aria-hidden />
        </Button>
        <Button aria-label="Farther" className="!px-2" onClick={() => by(1 / ZOOM_STEP)}>
          <ZoomOut aria-hidden />
        </Button>
        <Button aria-label="Whole house" className="!px-2" onClick={fit}>
          <Maximize aria-hidden />
        </Button>
      </div>
    </div>
  );
}

function Stand({
  view,
  focusLine,
  onLine,
}: {
  view: StandView;
  focusLine: number | null;
  onLine: (line: number) => void;
}) {
  const { stand, counts } = view;
  const { lines } = standLayout(stand.spec);
  const foot = standFootprint(stand);
  const at = focusLine ?? 0;
  const step = (by: number) => onLine(Math.min(lines.length - 1, Math.max(0, at + by)));
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`${stand.name}: ${counts.lines} lines, ${counts.sites} sites. Arrow keys move from line to line`}
      aria-valuemin={1}
      aria-valuemax={lines.length}
      aria-valuenow={at + 1}
      aria-valuetext={`${lineLabel(stand.spec, at)}: ${lineWordsToday(view, at)}`}
      className="outline-none focus-visible:[&>rect]:stroke-water"
      onFocus={() => focusLine === null && onLine(0)}
      onKeyDown={(event) => {
        const by = {
          ArrowDown: 1,
          ArrowRight: 1,
          ArrowUp: -1,
          ArrowLeft: -1,
          PageDown: 6,
          PageUp: -6,
          Home: -lines.length,
          End: lines.length,
        }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        step(by);
      }}
    >
      <rect
        x={foot.xM - 0.1}
        y={foot.yM - 0.1}
        width={foot.lengthM + 0.2}
        height={foot.widthM + 0.2}
        fill="transparent"
        stroke="transparent"
        strokeWidth={0.12}
        rx={0.08}
      />
      <StandLines view={view} focusLine={focusLine} onLine={onLine} />
      <text x={foot.xM} y={foot.yM - 0.18} fontSize={0.55} className="sign pointer-events-none">
        {stand.name}
      </text>
    </g>
  );
}

const BAR_LENGTHS_M = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50];

function ScaleBar({ metresAcross }: { metresAcross: number }) {
  const lengthM = BAR_LENGTHS_M.findLast((candidate) => candidate < metresAcross / 5) ?? BAR_LENGTHS_M[0]!;
  return (
    <div
      aria-hidden
      className="pointer-events-none absolute bottom-0.5 right-3 text-xs leading-tight"
      style={{ width: `${(lengthM / metresAcross) * 100}%` }}
    >
      <div className="border-x-2 border-b-2 border-ink pb-0.5 text-center">{lengthM} m</div>
    </div>
  );
}
