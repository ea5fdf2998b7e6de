"use client";
import type { KeyboardEvent, RefObject } from "react";
import { stretched } from "@/core/place/layout/stretch";
import { standFootprint } from "@/core/place/standLayout";
import { counted, quantityText } from "@/core/units/format";
import type { House } from "@/core/garden/garden";
import type { Stand } from "@/core/garden/garden";
import type { StandView } from "@/core/garden/placeView";
import { guideWords } from "../words";
import { useUnits } from "@/ui/units";
import { tryCounts } from "../tryCounts";
import { namePlace } from "./namePlace";
import { NotYetReal, useNotYetReal } from "./NotYetReal";
import { StandShape } from "@/features/frame/plan/StandShape";
import { HANDLE_PX, reachM, useGrab } from "./useGrab";
import { nudgedSize } from "./standMoves";
import type { PlanEdit } from "./usePlanEdit";
import { inMm } from "@/core/units/rounded";

const STEP_M = 0.05;
const LONG_STEP_M = 0.5;

export interface EditableStandProps {
  readonly view: StandView;
  readonly house: House;
  readonly edit: PlanEdit;
  readonly level: number;
  readonly layer: RefObject<SVGGElement | null>;
}

/**
 * A stand to be moved, pulled by its two handles, turned and copied, with a finger, a mouse or keys. Keys: Enter takes it in
 * hand and puts it down, arrows move it, with Shift they pull it, T turns, D copies, E goes to its numbers, Delete takes it
 * away, Escape lets go.
 */
export function EditableStand({ view, house, edit, level, layer }: EditableStandProps) {
  const units = useUnits();
  const { stand: kept } = view;
  const inHand = edit.inHand?.id === kept.id;
  const stand = inHand ? edit.inHand! : kept;
  const chosen = edit.selected === kept.id;
  const { foot, sizeM, nameYM } = namePlace(stand, 2 ** level);
  const notYetReal = useNotYetReal(kept.id);
  // In the middle of the range of the level.
  const pxPerM = 1.4 * 2 ** level;
  const clash = inHand ? edit.clash : null;
  const grabbing = useGrab<Stand>(layer, {
    pickUp: () => {
      edit.pickUp(kept.id);
      return stand;
    },
    move: (held, grip, dx, dy) => {
      if (grip === "whole")
        return edit.hold({ xM: Math.max(0, held.xM + dx), yM: Math.max(0, held.yM + dy) }, reachM(layer));
      const size = standFootprint({ ...held, turned: false });
      const [along, across] = held.turned ? [dy, dx] : [dx, dy];
      edit.hold({
        spec: stretched(
          held.spec,
          grip === "long" ? { alongM: size.lengthM + along } : { acrossM: size.widthM + across },
        ),
      });
    },
    drop: () => void edit.drop(),
    cancel: edit.cancel,
  });
  const counts = tryCounts(stand.spec)?.sites ?? 0;
  const where = `${quantityText(stand.xM, "length", units)} from the left, ${quantityText(stand.yM, "length", units)} from the top`;
  return (
    <g
      role="button"
      tabIndex={0}
      data-hand
      data-stand={kept.name}
      aria-pressed={inHand}
      aria-label={`${stand.name}, ${counted(counts, "site")}, ${where}${notYetReal ? ", not yet real" : ""}${clash ? `. ${clash}` : ""}`}
      className="cursor-grab outline-none focus-visible:[&>rect:first-child]:stroke-water"
      onFocus={() => edit.select(kept.id)}
      {...grabbing}
      onKeyDown={(event) => onKey(event, stand, inHand, edit)}
    >
      <rect
        x={foot.xM}
        y={foot.yM}
        width={foot.lengthM}
        height={foot.widthM}
        className={
          clash
            ? "fill-alarm-pale stroke-alarm"
            : chosen
              ? "fill-water-pale stroke-water"
              : "fill-transparent stroke-soft"
        }
        strokeWidth={chosen || clash ? 3 : 1.5}
        strokeDasharray={clash ? "7 5" : undefined}
        vectorEffect="non-scaling-stroke"
        data-grip="whole"
      />
      <StandShape stand={stand} growing={inHand ? NOTHING : view.growing} focusLine={null} level={level} />
      {notYetReal && <NotYetReal foot={foot} />}
      <text x={foot.xM} y={nameYM} fontSize={sizeM} className="sign pointer-events-none fill-ink">
        {stand.name}
        {inHand && ` · ${counts}`}
        {notYetReal && <tspan className="fill-try"> · not yet real</tspan>}
      </text>
      {inHand &&
        edit.guides.map(({ axis, atM, ...guide }) => (
          <g key={axis} className="pointer-events-none">
            <line
              {...(axis === "x"
                ? { x1: atM, x2: atM, y1: 0, y2: house.widthM }
                : { y1: atM, y2: atM, x1: 0, x2: house.lengthM })}
              className="stroke-water"
              strokeWidth={1.5}
              strokeDasharray="4 4"
              vectorEffect="non-scaling-stroke"
            />
            <text
              x={axis === "x" ? atM + 0.05 : 0.1}
              y={axis === "x" ? house.widthM - 0.1 : atM - 0.05}
              fontSize={sizeM}
              className="fill-water"
            >
              {guideWords(guide, units)}
            </text>
          </g>
        ))}
      {chosen &&
        (["long", "wide"] as const).map((grip) => {
          const alongX = (grip === "long") !== stand.turned;
          // Not so large that they hide what they pull.
          const size = Math.min(HANDLE_PX / pxPerM, Math.max(4 / pxPerM, 0.3 * Math.min(foot.lengthM, foot.widthM)));
          const cx = alongX ? foot.xM + foot.lengthM : foot.xM + foot.lengthM / 2;
          const cy = alongX ? foot.yM + foot.widthM / 2 : foot.yM + foot.widthM;
          return (
            <g key={grip} data-grip={grip} className={alongX ? "cursor-ew-resize" : "cursor-ns-resize"}>
              <circle
                cx={cx}
                cy={cy}
                r={Math.max(size, Math.min(size * 2.2, 0.35 * Math.min(foot.lengthM, foot.widthM)))}
                fill="transparent"
              />
              <rect
                x={cx - size}
                y={cy - size}
                width={size * 2}
                height={size * 2}
                className="fill-sheet stroke-water"
                strokeWidth={2.5}
                vectorEffect="non-scaling-stroke"
              />
            </g>
          );
        })}
    </g>
  );
}

const NOTHING: StandView["growing"] = [];

const ARROWS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

function onKey(event: KeyboardEvent, stand: Stand, inHand: boolean, edit: PlanEdit) {
  const arrow = ARROWS[event.key];
  if (arrow) {
    if (!inHand) edit.pickUp(stand.id);
    const [x, y] = arrow;
    if (event.shiftKey) {
      const [along, across] = stand.turned ? [y, x] : [x, y];
      edit.hold({ spec: nudgedSize(stand, along, across) });
    } else {
      const step = event.altKey ? LONG_STEP_M : STEP_M;
      const by = (at: number, sign: number) => Math.max(0, inMm(at + sign * step));
      edit.hold({ xM: by(stand.xM, x), yM: by(stand.yM, y) });
    }
  } else if (event.key === "Enter" || event.key === " ") {
    if (inHand) void edit.drop();
    else edit.pickUp(stand.id);
  } else if (event.key === "Escape" && inHand) edit.cancel();
  else if (event.key === "t") {
    if (!inHand) edit.pickUp(stand.id);
    edit.hold({ turned: !stand.turned });
  } else if (event.key === "e") document.querySelector<HTMLElement>("[data-numbers] input")?.focus();
  else if (event.key === "d") void edit.duplicate(stand.id);
  else if (event.key === "Delete") void edit.remove(stand.id);
  else return;
  event.preventDefault();
  event.stopPropagation();
}
