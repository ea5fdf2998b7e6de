"use client";
import { useState, type KeyboardEvent, type RefObject } from "react";
import { snapped } from "@/core/place/layout/snap";
import { quantityText } from "@/core/units/format";
import type { House } from "@/core/garden/garden";
import { useUnits } from "@/ui/units";
import { HouseOutline } from "@/features/frame/plan/HouseOutline";
import { HANDLE_PX, reachM, useGrab } from "./useGrab";
import type { PlanEdit } from "./usePlanEdit";

export interface EditableHouseProps {
  readonly house: House;
  readonly others: readonly House[];
  readonly pxPerM: number;
  readonly layer: RefObject<SVGGElement | null>;
  readonly save: PlanEdit["changeHouse"];
}

type Spot = Pick<House, "xM" | "yM" | "lengthM" | "widthM">;

const STEP_M = 0.5;
/** The ground of a garden, to come to rest in; it has no far wall. */
const GROUND = { lengthM: 10_000, widthM: 10_000 };

/** A house to be moved by its walls and pulled by its two handles; keys as for a stand. */
export function EditableHouse({ house, others, pxPerM, layer, save }: EditableHouseProps) {
  const units = useUnits();
  const [held, setHeld] = useState<Spot | null>(null);
  const at = { ...house, ...held };
  const put = async (spot: Spot) => {
    await save(house, spot);
    // What was taken up again while it was being saved stays in hand.
    setHeld((now) => (now === spot ? null : now));
  };
  const grabbing = useGrab<House>(layer, {
    pickUp: () => house,
    move: (from, grip, dx, dy) => {
      if (grip !== "whole") return setHeld(resized(from, grip === "long" ? dx : 0, grip === "wide" ? dy : 0));
      const wanted = { ...from, xM: Math.max(0, from.xM + dx), yM: Math.max(0, from.yM + dy) };
      const { xM, yM } = snapped(wanted, GROUND, others, reachM(layer));
      setHeld({ ...spotOnly(from), xM, yM });
    },
    drop: () => held && void put(held),
    cancel: () => setHeld(null),
  });
  const onKey = (event: KeyboardEvent) => {
    const [x, y] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] ?? [0, 0];
    if (x || y)
      setHeld(
        event.shiftKey
          ? resized(at, x! * STEP_M, y! * STEP_M)
          : { ...spotOnly(at), xM: Math.max(0, at.xM + x! * STEP_M), yM: Math.max(0, at.yM + y! * STEP_M) },
      );
    else if (event.key === "t") setHeld({ ...spotOnly(at), lengthM: at.widthM, widthM: at.lengthM });
    else if (event.key === "Escape" && held) setHeld(null);
    else if (event.key === "Enter" && held) void put(held);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const text = (metres: number) => quantityText(metres, "length", units);
  const size = HANDLE_PX / (1.4 * pxPerM);
  return (
    <g
      role="button"
      tabIndex={0}
      data-hand
      aria-label={`House ${house.name}, ${text(at.lengthM)} by ${text(at.widthM)}, ${text(at.xM)} from the left, ${text(at.yM)} from the top`}
      className="outline-none focus-visible:[&_rect]:stroke-water"
      transform={`translate(${at.xM - house.xM} ${at.yM - house.yM})`}
      {...grabbing}
      onKeyDown={onKey}
    >
      <HouseOutline house={at} pxPerM={pxPerM} />
      <rect
        width={at.lengthM}
        height={at.widthM}
        fill="none"
        stroke="transparent"
        strokeWidth={16}
        vectorEffect="non-scaling-stroke"
        data-grip="whole"
        className="cursor-grab [pointer-events:stroke]"
      />
      {(["long", "wide"] as const).map((grip) => (
        <rect
          key={grip}
          data-grip={grip}
          x={(grip === "long" ? at.lengthM : at.lengthM / 2) - size}
          y={(grip === "long" ? at.widthM / 2 : at.widthM) - size}
          width={2 * size}
          height={2 * size}
          className={`fill-sheet stroke-ink ${grip === "long" ? "cursor-ew-resize" : "cursor-ns-resize"}`}
          strokeWidth={2.5}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </g>
  );
}

const spotOnly = ({ xM, yM, lengthM, widthM }: Spot): Spot => ({ xM, yM, lengthM, widthM });

/** Larger or smaller, to the tenth of a metre; no house is under half a metre. */
function resized(house: Spot, dx: number, dy: number): Spot {
  const round = (metres: number) => Math.max(0.5, Math.round(metres * 10) / 10);
  return { ...spotOnly(house), lengthM: round(house.lengthM + dx), widthM: round(house.widthM + dy) };
}
