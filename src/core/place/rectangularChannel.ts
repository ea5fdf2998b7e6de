import { requireRange, requireWhole } from "../units/range";

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
  requireRange("rectangularChannelL", "lengthM", lengthM, 0, 5000);
  requireWhole("rectangularChannelL", "lines", lines, 0, 1_000_000);
  return (widthMm / 1000) * (waterDepthMm / 1000) * lengthM * lines * 1000;
}
