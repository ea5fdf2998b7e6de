import type { CSSProperties } from "react";
import type { CropMark } from "@/core/garden/cropMarks";
import { inMm } from "@/core/units/rounded";

/** The tone of a crop in the light that is chosen. */
export const toneOf = ({ tone }: Pick<CropMark, "tone">): string => `var(--crop-${tone})`;

/** Ink that can be read on it. */
export const inkOn = ({ tone }: Pick<CropMark, "tone">): string => `var(--on-crop-${tone})`;

/** Tone and hatch as the ground of a box. @param share of its tone, the rest is the sheet: what is past is paler */
export function groundOf(mark: Pick<CropMark, "tone" | "hatch">, share = 1): CSSProperties {
  const tone = share === 1 ? toneOf(mark) : `color-mix(in srgb, ${toneOf(mark)} ${100 * share}%, var(--sheet))`;
  const line = `color-mix(in srgb, ${inkOn(mark)} ${Math.round(34 * share)}%, transparent)`;
  switch (mark.hatch) {
    case "plain":
      return { background: tone };
    case "dots":
      return {
        background: `radial-gradient(circle at 4px 4px, ${line} 1.5px, transparent 1.8px) 0 0 / 8px 8px, ${tone}`,
      };
    case "bars":
      return { background: `repeating-linear-gradient(0deg, ${line} 0 1.5px, transparent 1.5px 6px), ${tone}` };
    case "slants":
      return { background: `repeating-linear-gradient(-60deg, ${line} 0 1.5px, transparent 1.5px 8px), ${tone}` };
  }
}

/** The hatch of a crop inside a disc: a dot, a bar or a slant as a path to be stroked with round ends; none where it is plain. */
export function innerMark({ hatch }: Pick<CropMark, "hatch">, x: number, y: number, radius: number): string {
  const half = radius * 0.5;
  const at = (dx: number, dy: number) => `${inMm(x + dx)} ${inMm(y + dy)}`;
  switch (hatch) {
    case "plain":
      return "";
    case "dots":
      return `M${at(0, 0)}h0`;
    case "bars":
      return `M${at(-half, 0)}h${inMm(2 * half)}`;
    case "slants":
      return `M${at(-half * 0.7, half * 0.7)}L${at(half * 0.7, -half * 0.7)}`;
  }
}
