"use client";
import type { PointerEvent } from "react";
import { lineLabel, standLayout, toHouse, type PointM } from "@/core/place/standLayout";
import type { StandView } from "@/core/garden/placeView";
import { counted } from "@/core/units/format";
import { lineWordsToday } from "../lineToday";
import type { LineFocus } from "./lineFocus";
import { namePlace } from "./namePlace";
import { NotYetReal, useNotYetReal } from "./NotYetReal";
import { lineUnder } from "@/features/frame/plan/standPaths";
import { StandShape } from "@/features/frame/plan/StandShape";

/** A stand to look at: pointer or arrow keys go from line to line. */
export function ReadableStand({
  view,
  level,
  focusLine,
  onFocus,
  onZoom,
}: {
  view: StandView;
  level: number;
  focusLine: number | null;
  onFocus: (focus: LineFocus) => void;
  onZoom: (spot: PointM, closer: boolean) => void;
}) {
  const { stand, counts } = view;
  const { foot, sizeM, nameYM } = namePlace(stand, 2 ** level);
  const notYetReal = useNotYetReal(stand.id);
  const at = focusLine ?? 0;
  const onLine = (line: number) => onFocus({ standId: stand.id, line });
  const step = (by: number) => onLine(Math.min(counts.lines - 1, Math.max(0, at + by)));
  const pointAt = (event: PointerEvent<SVGRectElement>) => {
    const spot = new DOMPoint(event.clientX, event.clientY).matrixTransform(
      event.currentTarget.getScreenCTM()!.inverse(),
    );
    const line = lineUnder(stand, { xM: spot.x, yM: spot.y });
    if (line !== null && line !== focusLine) onLine(line);
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`${stand.name}${notYetReal ? ", not yet real" : ""}: ${counted(counts.lines, "line")}, ${counted(counts.sites, "site")}. Arrow keys move from line to line, plus and minus zoom`}
      aria-valuemin={1}
      aria-valuemax={counts.lines}
      aria-valuenow={at + 1}
      aria-valuetext={`${lineLabel(stand.spec, at)}: ${lineWordsToday(view, at)}`}
      className="outline-none focus-visible:[&>rect]:stroke-water"
      onFocus={() => focusLine === null && onLine(0)}
      onKeyDown={(event) => {
        if (/^[+=-]$/u.test(event.key)) {
          const line = toHouse(standLayout(stand.spec).lines[at]!, stand);
          event.preventDefault();
          return onZoom({ xM: line.xM + line.lengthM / 2, yM: line.yM + line.widthM / 2 }, event.key !== "-");
        }
        const by = {
          ArrowDown: 1,
          ArrowRight: 1,
          ArrowUp: -1,
          ArrowLeft: -1,
          PageDown: 6,
          PageUp: -6,
          Home: -counts.lines,
          End: counts.lines,
        }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        step(by);
      }}
    >
      <rect
        x={foot.xM - 0.05}
        y={foot.yM - 0.05}
        width={foot.lengthM + 0.1}
        height={foot.widthM + 0.1}
        fill="transparent"
        stroke="transparent"
        strokeWidth={3}
        vectorEffect="non-scaling-stroke"
        data-stand={stand.id}
        onPointerMove={pointAt}
        onPointerDown={pointAt}
      />
      <StandShape stand={stand} growing={view.growing} focusLine={focusLine} level={level} />
      {notYetReal && <NotYetReal foot={foot} />}
      <text x={foot.xM} y={nameYM} fontSize={sizeM} className="sign pointer-events-none fill-ink">
        {stand.name}
        {notYetReal && <tspan className="fill-try"> · not yet real</tspan>}
      </text>
    </g>
  );
}
