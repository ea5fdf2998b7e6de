import { useState, type PointerEvent, type RefObject } from "react";
import type { PointM } from "@/core/place/standLayout";

/** What of a thing is held: the whole, or a handle that makes it longer or wider. Elements say so with `data-grip`. */
export type Grip = "whole" | "long" | "wide";

export interface GrabbedBy<Held> {
  /** What is taken up, as it is then. */
  readonly pickUp: () => Held;
  readonly move: (held: Held, grip: Grip, dxM: number, dyM: number) => void;
  readonly drop: () => void;
  readonly cancel: () => void;
}

/** Moves a thing of the plan with a mouse, a finger or a pen. @returns handlers for its element */
export function useGrab<Held>(layer: RefObject<SVGGElement | null>, { pickUp, move, drop, cancel }: GrabbedBy<Held>) {
  const [grab, setGrab] = useState<{ readonly grip: Grip; readonly from: PointM; readonly held: Held } | null>(null);
  const spot = (event: PointerEvent): PointM => {
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(layer.current!.getScreenCTM()!.inverse());
    return { xM: point.x, yM: point.y };
  };
  return {
    onPointerDown: (event: PointerEvent<SVGElement>) => {
      const grip = (event.target as Element).closest<SVGElement>("[data-grip]")?.dataset.grip as Grip | undefined;
      if (event.button !== 0 || !grip) return;
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      setGrab({ grip, from: spot(event), held: pickUp() });
    },
    onPointerMove: (event: PointerEvent<SVGElement>) => {
      if (!grab) return;
      const now = spot(event);
      move(grab.held, grab.grip, now.xM - grab.from.xM, now.yM - grab.from.yM);
    },
    onPointerUp: () => {
      if (!grab) return;
      setGrab(null);
      drop();
    },
    onPointerCancel: () => {
      setGrab(null);
      cancel();
    },
  };
}

/** How near an edge is meant to come to rest on something, in metres: so many pixels on this screen. */
export function reachM(layer: RefObject<SVGGElement | null>): number {
  return 8 / layer.current!.getScreenCTM()!.a;
}

/** Half the side of a handle, on the screen. */
export const HANDLE_PX = 8;
