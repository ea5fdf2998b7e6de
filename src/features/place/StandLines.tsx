"use client";
import { memo, useMemo } from "react";
import { lineSitePoints, standLayout, toHouse } from "@/core/place/standLayout";
import type { StandView } from "@/server/place/view";
import { toneOf } from "@/ui/tones";
import { plantsOfLine } from "./lineToday";

export interface StandLinesProps {
  readonly view: StandView;
  readonly focusLine: number | null;
  readonly onLine: (line: number) => void;
}

/** The lines of a stand with their sites: planted ones filled in their variety's tone, free ones open. */
export const StandLines = memo(function StandLines({ view, focusLine, onLine }: StandLinesProps) {
  const { stand } = view;
  const { spec } = stand;
  const lines = useMemo(() => standLayout(spec).lines.map((rect) => toHouse(rect, stand)), [spec, stand]);
  const sites = useMemo(() => <Sites view={view} />, [view]);
  // Shelves lie over one another: only the top shelf is seen from above.
  const seen = spec.kind === "tray-rack" ? lines.length / spec.shelvesPerRack / spec.racks : lines.length;
  return (
    <>
      {lines.map((rect, line) => (
        <rect
          key={line}
          x={rect.xM}
          y={rect.yM}
          width={rect.lengthM}
          height={rect.widthM}
          data-line={line}
          className={line === focusLine ? "fill-water-pale stroke-water" : "fill-ground stroke-soft"}
          strokeWidth={line === focusLine ? 0.06 : 0.02}
          style={line >= seen ? { fill: "none" } : undefined}
          onPointerEnter={() => onLine(line)}
          onClick={() => onLine(line)}
        />
      ))}
      {sites}
    </>
  );
});

function Sites({ view }: { view: StandView }) {
  const { stand } = view;
  const { lines } = standLayout(stand.spec);
  const points = lineSitePoints(stand.spec);
  const count = stand.spec.kind === "tray-rack" ? lines.length / stand.spec.shelvesPerRack : lines.length;
  const [a, b] = points;
  const radius = a && b ? Math.min(0.1, Math.hypot(b.xM - a.xM, b.yM - a.yM) * 0.36) : 0.1;
  return (
    <g className="pointer-events-none">
      {lines.slice(0, count).flatMap((rect, line) => {
        const plants = plantsOfLine(view, line);
        return points.map((point, site) => {
          const { xM, yM } = toHouse({ xM: rect.xM + point.xM, yM: rect.yM + point.yM, lengthM: 0, widthM: 0 }, stand);
          const run = plants[site];
          return run ? (
            <circle key={`${line}/${site}`} cx={xM} cy={yM} r={radius} fill={toneOf(run.tone)} />
          ) : (
            <circle
              key={`${line}/${site}`}
              cx={xM}
              cy={yM}
              r={radius * 0.7}
              fill="none"
              className="stroke-soft"
              strokeWidth={0.012}
            />
          );
        });
      })}
    </g>
  );
}
