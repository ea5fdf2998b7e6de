import { requireRange } from "../units/range";

export const GRAVITY_M_PER_S2 = 9.80665;
export const WATER_KG_PER_M3 = 1000;
const LAMINAR_END_RE = 2000;
const TURBULENT_START_RE = 4000;

/** A round pipe run; the bore is the inside diameter, never the nominal size. */
export interface PipeRun {
  readonly lengthM: number;
  readonly boreMm: number;
  /** Sum of the fittings' K values, taken on the velocity in this bore. */
  readonly fittingsK: number;
  readonly roughnessMm?: number;
  readonly kinematicViscosityM2PerS?: number;
  /** Set to use Hazen–Williams with this C in place of Darcy–Weisbach. */
  readonly hazenWilliamsC?: number;
}

/**
 * Head lost in a pipe run and its fittings, by Darcy–Weisbach (or Hazen–Williams on request):
 * h = (f·L/D + ΣK)·v²/2g.
 *
 * @param flowLph flow, 0 or more, L/h
 * @param pipe the run; roughness 0.0015 mm and viscosity 1.004e-6 m²/s (20 °C) unless given
 * @returns head lost, m
 * @throws RangeError when flow or bore is out of range
 * @source Darcy–Weisbach; Swamee and Jain 1976; Hazen–Williams h = 10.67·L·(Q/C)^1.852·D^−4.8704
 */
export function pipeHeadLossM(flowLph: number, pipe: PipeRun): number {
  requireRange("pipeHeadLossM", "flowLph", flowLph, 0);
  requireRange("pipeHeadLossM", "boreMm", pipe.boreMm, 0.5, 2000);
  const boreM = pipe.boreMm / 1000;
  const flowM3PerS = flowLph / 3_600_000;
  const velocityMPerS = flowM3PerS / ((Math.PI * boreM ** 2) / 4);
  const velocityHeadM = velocityMPerS ** 2 / (2 * GRAVITY_M_PER_S2);
  const fittingsM = pipe.fittingsK * velocityHeadM;
  if (pipe.hazenWilliamsC !== undefined)
    return fittingsM + 10.67 * pipe.lengthM * (flowM3PerS / pipe.hazenWilliamsC) ** 1.852 * boreM ** -4.8704;
  if (flowLph === 0) return 0;
  const reynolds = (velocityMPerS * boreM) / (pipe.kinematicViscosityM2PerS ?? 1.004e-6);
  const f = frictionFactor(reynolds, (pipe.roughnessMm ?? 0.0015) / pipe.boreMm);
  return fittingsM + ((f * pipe.lengthM) / boreM) * velocityHeadM;
}

/**
 * Darcy friction factor: 64/Re up to 2000, Swamee–Jain from 4000, and between them the cubic in Re that is
 * continuous in value and slope at both ends.
 * @param relativeRoughness roughness ÷ bore
 * @source Swamee and Jain 1976, J. Hydraulics Div. ASCE 102(5)
 */
export function frictionFactor(reynolds: number, relativeRoughness: number): number {
  if (reynolds <= LAMINAR_END_RE) return 64 / reynolds;
  if (reynolds >= TURBULENT_START_RE) return swameeJain(reynolds, relativeRoughness).factor;
  const span = TURBULENT_START_RE - LAMINAR_END_RE;
  const t = (reynolds - LAMINAR_END_RE) / span;
  const end = swameeJain(TURBULENT_START_RE, relativeRoughness);
  // Hermite form of the cubic: values and slopes at both ends.
  return (
    (1 + 2 * t) * (1 - t) ** 2 * (64 / LAMINAR_END_RE) +
    t * (1 - t) ** 2 * span * (-64 / LAMINAR_END_RE ** 2) +
    t ** 2 * (3 - 2 * t) * end.factor +
    t ** 2 * (t - 1) * span * end.slope
  );
}

function swameeJain(reynolds: number, relativeRoughness: number): { factor: number; slope: number } {
  const inner = relativeRoughness / 3.7 + 5.74 / reynolds ** 0.9;
  const log = Math.log10(inner);
  const factor = 0.25 / log ** 2;
  const innerSlope = (-0.9 * 5.74) / reynolds ** 1.9;
  return { factor, slope: ((-2 * 0.25) / log ** 3) * (innerSlope / (inner * Math.LN10)) };
}
