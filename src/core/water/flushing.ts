import { newRate } from "../numeric/rate";
import { requireRange } from "../units/range";
import { outletOf } from "./emitter";
import { requireLateral, type Lateral } from "./lateral";
import { frictionOf } from "./pipeFriction";

/** Dirt is carried out of a line's end by so much, m/s. @source common design rule for drip lines */
export const FLUSHING_M_PER_S = 0.3;

/** What it takes to flush a line with its end open. */
export interface Flushing {
  /** Head wanted at the inlet. */
  readonly headM: number;
  /** Flow into the line: what leaves at the end, and what the emitters take on the way. */
  readonly inletLph: number;
  readonly endLph: number;
}

/**
 * Head and flow that carry water out of the open end of a line at 0.3 m/s: from the end, where no head is left, the line is
 * followed to its inlet.
 *
 * @throws RangeError when a figure of the line is outside its range
 * @source continuity and energy along the line, as solveLateral
 */
export function flushing(lateral: Lateral): Flushing {
  requireLateral("flushing", lateral);
  const { pipe, emitter, count, spacingM, firstSpacingM, slopeRise, equivalentLengthM } = lateral;
  requireRange("flushing", "boreMm", pipe.boreMm, 0.5, 2000);
  const outlet = outletOf(emitter);
  const friction = frictionOf(pipe);
  const loss = newRate();
  const areaM2 = (Math.PI * (pipe.boreMm / 1000) ** 2) / 4;
  const endLph = FLUSHING_M_PER_S * areaM2 * 3_600_000;
  let [headM, flowLph] = [0, endLph];
  const along = (lengthM: number) => {
    friction(flowLph, loss);
    headM += (lengthM + equivalentLengthM) * loss.value + slopeRise * lengthM;
  };
  // The last emitter stands half a spacing before the end, as the first one behind the inlet.
  along(firstSpacingM);
  for (let at = count - 1; at >= 0; at--) {
    flowLph += outlet(headM).flowLph;
    along(at === 0 ? firstSpacingM : spacingM);
  }
  return { headM: Math.max(0, headM), inletLph: flowLph, endLph };
}
