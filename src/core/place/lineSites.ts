import { sitesIn } from "./fit";
import { requireRange } from "../units/range";

/** Least material that has to stay between two holes, and between a hole and the end. */
export const LEAST_PLASTIC_MM = 25;

export interface LineSites {
  readonly sites: number;
  /** Length left over behind the last site; null when there is no site. */
  readonly slackM: number | null;
  /** The pitch that would use the slack up; null below two sites. */
  readonly evenedPitchM: number | null;
}

/**
 * Plant sites along one line: n = 0 if L < 2m − 1 mm, else floor((L − 2m + 1 mm)/p) + 1.
 *
 * @param lengthM length of the line, 0–500 m
 * @param endMarginM from an end to the centre of the first hole, 0–50 m
 * @param pitchM centre to centre, 0.005–50 m
 * @returns the count, the slack and the evened pitch (L − 2m)/(n − 1)
 * @throws RangeError when an argument is outside its range
 * @source counting of points on a segment; the millimetre is this project's tolerance (docs/formulas.md)
 * @example lineSites(6, 0.125, 0.25).sites // 24
 */
export function lineSites(lengthM: number, endMarginM: number, pitchM: number): LineSites {
  requireRange("lineSites", "lengthM", lengthM, 0, 500);
  requireRange("lineSites", "endMarginM", endMarginM, 0, 50);
  requireRange("lineSites", "pitchM", pitchM, 0.005, 50);
  const roomM = lengthM - 2 * endMarginM;
  const sites = sitesIn(roomM, pitchM);
  if (sites === 0) return { sites, slackM: null, evenedPitchM: null };
  return {
    sites,
    slackM: Math.max(0, roomM - (sites - 1) * pitchM),
    evenedPitchM: sites > 1 ? roomM / (sites - 1) : null,
  };
}

/** Material left between neighbouring holes, in mm, and whether that is too little (compared in tenths of a mm). */
export function plasticBetweenHoles(
  nearestM: number,
  holeMm: number,
): { readonly plasticLeftMm: number; readonly tooThin: boolean } {
  requireRange("plasticBetweenHoles", "nearestM", nearestM, 0, 50);
  requireRange("plasticBetweenHoles", "holeMm", holeMm, 0, 50_000);
  const plasticLeftMm = nearestM * 1000 - holeMm;
  return { plasticLeftMm, tooThin: Math.round(plasticLeftMm * 10) < LEAST_PLASTIC_MM * 10 };
}
