import { requireRange } from "../units/range";

/**
 * Wetted area of a round pipe that is partly full: r²·acos((r − h)/r) − (r − h)·√(2rh − h²), with h clamped to [0, 2r].
 *
 * @param innerDiameterMm 1–2000 mm
 * @param waterDepthMm over the invert; under 0 and over the bore are empty and full
 * @returns m²
 * @source area of a circular segment; cases in tests/reference/place/held-water.json
 * @example segmentAreaM2(103.6, 51.8) // 0.004214824
 */
export function segmentAreaM2(innerDiameterMm: number, waterDepthMm: number): number {
  requireRange("segmentAreaM2", "innerDiameterMm", innerDiameterMm, 1, 2000);
  requireRange("segmentAreaM2", "waterDepthMm", waterDepthMm, -10_000, 10_000);
  const r = innerDiameterMm / 2000;
  const h = Math.min(2 * r, Math.max(0, waterDepthMm / 1000));
  const cosine = Math.min(1, Math.max(-1, (r - h) / r));
  return r * r * Math.acos(cosine) - (r - h) * Math.sqrt(Math.max(0, 2 * r * h - h * h));
}

/**
 * Litres in a round pipe that runs full.
 * @param innerDiameterMm 1–2000 mm
 * @param lengthM 0–5000 m
 * @source π·r²·length; the full section of tests/reference/place/held-water.json
 * @example fullPipeL(33.2, 14) // 12.1
 */
export function fullPipeL(innerDiameterMm: number, lengthM: number): number {
  requireRange("fullPipeL", "lengthM", lengthM, 0, 5000);
  return segmentAreaM2(innerDiameterMm, innerDiameterMm) * lengthM * 1000;
}
