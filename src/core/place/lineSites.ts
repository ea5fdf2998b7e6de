import { requireRange } from "../units/range";

/** Exact fits must not be lost to rounding or to a saw: the last site may stand this far past its limit. */
export const FIT_TOLERANCE_M = 0.001;
/** Least material that has to stay between two holes, and between a hole and the end. */
export const LEAST_WEB_MM = 25;

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
  // A picometre of float dust must not decide over a site.
  if (roomM < -FIT_TOLERANCE_M - 1e-12) return { sites: 0, slackM: null, evenedPitchM: null };
  const sites = Math.floor((roomM + FIT_TOLERANCE_M) / pitchM + 1e-9) + 1;
  return {
    sites,
    slackM: Math.max(0, roomM - (sites - 1) * pitchM),
    evenedPitchM: sites > 1 ? roomM / (sites - 1) : null,
  };
}

/** Material left between neighbouring holes, in mm, and whether that is too little (compared in tenths of a mm). */
export function webBetweenHoles(
  nearestM: number,
  holeMm: number,
): { readonly webMm: number; readonly tooThin: boolean } {
  const webMm = nearestM * 1000 - holeMm;
  return { webMm, tooThin: Math.round(webMm * 10) < LEAST_WEB_MM * 10 };
}
