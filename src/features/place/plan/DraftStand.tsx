"use client";
import type { PlacedStand } from "@/core/place/stand";
import { StandShape } from "@/features/frame/plan/StandShape";
import { namePlace } from "./namePlace";

/** A stand as it is typed in its form, where it will stand; dashed, for it is not saved. */
export function DraftStand({ stand, level }: { readonly stand: PlacedStand; readonly level: number }) {
  const { foot, sizeM, nameYM } = namePlace(stand, 2 ** level);
  return (
    <g role="img" aria-label={`${stand.name}, as typed`} className="pointer-events-none">
      <rect
        x={foot.xM}
        y={foot.yM}
        width={foot.lengthM}
        height={foot.widthM}
        className="fill-leaf-pale stroke-ink"
        strokeWidth={2}
        strokeDasharray="6 4"
        vectorEffect="non-scaling-stroke"
      />
      <StandShape stand={stand} growing={[]} focusLine={null} level={level} />
      <text x={foot.xM} y={nameYM} fontSize={sizeM} className="sign fill-ink">
        {stand.name}
      </text>
    </g>
  );
}
