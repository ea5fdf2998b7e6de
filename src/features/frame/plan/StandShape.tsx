"use client";
import { memo, useMemo } from "react";
import { standLayout, toHouse } from "@/core/place/standLayout";
import type { PlacedStand } from "@/core/place/stand";
import type { GrowingRun } from "@/core/garden/placeView";
import { rectPath, standPaths, type PlantPath } from "./standPaths";

/** Neighbouring sites must be so far apart on the screen to be drawn one by one, in px. */
const SEEN_APART_PX = 4;

export interface StandShapeProps {
  readonly stand: PlacedStand;
  readonly growing: readonly GrowingRun[];
  readonly focusLine: number | null;
  readonly level: number;
}

/** A stand from above: its lines, and what grows on them as discs, or as stripes from far away. */
export const StandShape = memo(function StandShape({ stand, growing, focusLine, level }: StandShapeProps) {
  const { spec, xM, yM, turned } = stand;
  const paths = useMemo(() => standPaths({ spec, xM, yM, turned }, growing), [spec, xM, yM, turned, growing]);
  const focused = focusLine === null ? undefined : standLayout(spec).lines[focusLine];
  // Narrow lines keep their ground in sight between their edges.
  const edgePx = Math.min(1, Math.max(0.25, (paths.lineWidthM * 2 ** level) / 6));
  const near = paths.spacingM * 2 ** level >= SEEN_APART_PX;
  return (
    <g className="pointer-events-none" fill="none" strokeLinecap="round">
      <path
        d={paths.lines}
        className="fill-ground stroke-soft"
        strokeWidth={edgePx}
        vectorEffect="non-scaling-stroke"
      />
      {focused && (
        <path
          d={rectPath(toHouse(focused, stand))}
          className="fill-water-pale stroke-water"
          strokeWidth={2.5}
          vectorEffect="non-scaling-stroke"
        />
      )}
      {near && (
        <g className="group-data-[zooming]/plan:hidden">
          <path d={paths.free} className="stroke-soft" strokeWidth={paths.radiusM * 1.4} />
          <path d={paths.free} className="stroke-ground" strokeWidth={paths.radiusM * 1.1} />
          {paths.discs.map((path) => (
            <Plants key={path.key} path={path} />
          ))}
        </g>
      )}
      <g className={near ? "hidden group-data-[zooming]/plan:inline" : ""}>
        {paths.stripes.map((path) => (
          <Plants key={path.key} path={path} cap="butt" />
        ))}
      </g>
    </g>
  );
});

/** Plants of one look, with their hatch over them. Tones are variables of the light, which attributes do not take. */
function Plants({ path: { tone, strokeM, d, over }, cap }: { readonly path: PlantPath; readonly cap?: "butt" }) {
  return (
    <>
      <path d={d} style={{ stroke: tone }} strokeWidth={strokeM} strokeLinecap={cap} />
      {over && <path d={over.d} style={{ stroke: over.tone }} strokeWidth={over.strokeM} strokeDasharray={over.dash} />}
    </>
  );
}
