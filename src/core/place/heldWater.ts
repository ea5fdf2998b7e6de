import { requireRange } from "../units/range";
import type { StandSpec } from "./stand";

/** Depth of the film in a sloped channel without a dam; 3–5 mm is usual. */
export const FILM_DEPTH_MM = 4;

/**
 * Litres of film on the floor of a rectangular channel: width × depth × length.
 * @source box volume; cases in tests/reference/place/held-water.json
 * @example rectangularChannelL(100, 30, 6, 10) // 180
 */
export function rectangularChannelL(widthMm: number, waterDepthMm: number, lengthM: number, lines: number): number {
  requireRange("rectangularChannelL", "widthMm", widthMm, 0, 5000);
  requireRange("rectangularChannelL", "waterDepthMm", waterDepthMm, 0, 2000);
  return (widthMm / 1000) * (waterDepthMm / 1000) * lengthM * lines * 1000;
}

/** Litres that run back into the tank from a stand when the pump stops: the films of its channels. */
export function drainBackL(spec: StandSpec): number {
  return spec.kind === "channel-bank"
    ? rectangularChannelL(spec.channelWidthM * 1000, FILM_DEPTH_MM, spec.lineLengthM, spec.lines)
    : 0;
}
