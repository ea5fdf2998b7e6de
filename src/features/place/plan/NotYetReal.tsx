"use client";
import type { RectM } from "@/core/place/standLayout";
import { useWho } from "../../frame/who";

const HATCH = "not-yet-real";

/** Whether a what-if adds or changes a stand. */
export function useNotYetReal(standId: number): boolean {
  return useWho().whatIf?.stands.includes(standId) ?? false;
}

/** Over a stand that is not yet real: the hatch of what-ifs, thin enough to see what grows there. */
export function NotYetReal({ foot }: { foot: RectM }) {
  return (
    <rect
      x={foot.xM - 0.04}
      y={foot.yM - 0.04}
      width={foot.lengthM + 0.08}
      height={foot.widthM + 0.08}
      fill={`url(#${HATCH})`}
      className="pointer-events-none stroke-try"
      strokeWidth={2}
      strokeDasharray="6 4"
      vectorEffect="non-scaling-stroke"
    />
  );
}

/** The hatch itself, once in a drawing. */
export function NotYetRealHatch() {
  return (
    <defs>
      <pattern
        id={HATCH}
        width={0.2}
        height={0.2}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
        aria-hidden
      >
        <rect width={0.05} height={0.2} className="fill-try opacity-40" />
      </pattern>
    </defs>
  );
}
