import { newRate, type Rate } from "../numeric/rate";
import { GRAVITY_M_PER_S2 } from "../units/physics";
import { requireRange, requireFigures } from "../units/range";
import { frictionTable, LAMINAR_END_RE } from "./frictionFactor";
import { kinematicViscosityM2PerS, USUAL_WATER_C } from "./waterViscosity";

/** A round pipe, by what decides its friction. The bore is the inside diameter, never the nominal size. */
export interface Pipe {
  readonly boreMm: number;
  readonly roughnessMm?: number;
  readonly kinematicViscosityM2PerS?: number;
  /** Set to use Hazen–Williams with this C in place of Darcy–Weisbach. */
  readonly hazenWilliamsC?: number;
}

/** A run of a pipe with its fittings. */
export interface PipeRun extends Pipe {
  readonly lengthM: number;
  /** Sum of the fittings' K values, taken on the velocity in this bore. */
  readonly fittingsK: number;
}

/** Writes the head lost on a metre of pipe at a flow of 0 or more, m/m, and how it grows with the flow, for each L/h. */
export type Friction = (flowLph: number, out: Rate) => void;

const PIPE_RANGES = {
  boreMm: [0.5, 2000],
  roughnessMm: [0, 10],
  kinematicViscosityM2PerS: [1e-8, 1e-3],
  hazenWilliamsC: [10, 200],
} as const;
const M3_PER_S_PER_LPH = 1 / 3_600_000;
const ROUGHNESS_MM = 0.0015;
const VISCOSITY_M2_PER_S = kinematicViscosityM2PerS(USUAL_WATER_C);

/**
 * The friction of a pipe as a function of its flow, for solvers that ask many times: Darcy–Weisbach, or Hazen–Williams on
 * request. One law for single lines and whole networks.
 *
 * @param pipe roughness 0.0015 mm and viscosity 1.004e-6 m²/s (20 °C) unless given
 * @throws RangeError when a figure of the pipe is outside its range
 * @source Darcy–Weisbach; Swamee and Jain 1976; Hazen–Williams h = 10.67·L·(Q/C)^1.852·D^−4.8704
 */
export function frictionOf(pipe: Pipe): Friction {
  requireFigures("frictionOf", pipe, PIPE_RANGES);
  const boreM = pipe.boreMm / 1000;
  if (pipe.hazenWilliamsC !== undefined) {
    const factor = 10.67 * (M3_PER_S_PER_LPH / pipe.hazenWilliamsC) ** 1.852 * boreM ** -4.8704;
    return (flowLph, out) => {
      const perLph = factor * flowLph ** 0.852;
      out.value = perLph * flowLph;
      out.slope = 1.852 * perLph;
    };
  }
  const velocityPerLph = M3_PER_S_PER_LPH / ((Math.PI * boreM ** 2) / 4);
  const reynoldsPerLph = (velocityPerLph * boreM) / (pipe.kinematicViscosityM2PerS ?? VISCOSITY_M2_PER_S);
  const table = frictionTable((pipe.roughnessMm ?? ROUGHNESS_MM) / pipe.boreMm);
  // lossPerM = c·f·Re²
  const c = (velocityPerLph / reynoldsPerLph) ** 2 / (2 * GRAVITY_M_PER_S2 * boreM);
  const laminar = c * 64 * reynoldsPerLph;
  const slopePerLph = c * reynoldsPerLph;
  return (flowLph, out) => {
    const reynolds = reynoldsPerLph * flowLph;
    if (reynolds <= LAMINAR_END_RE) {
      out.value = laminar * flowLph;
      out.slope = laminar;
      return;
    }
    table(reynolds, out);
    out.value *= c;
    out.slope *= slopePerLph;
  };
}

/**
 * Head lost in a pipe run and its fittings: h = (f·L/D + ΣK)·v²/2g.
 *
 * @param flowLph flow, 0 or more, L/h
 * @param pipe the run; roughness 0.0015 mm and viscosity 1.004e-6 m²/s (20 °C) unless given
 * @returns head lost, m
 * @throws RangeError when a figure is outside its range
 * @source as frictionOf; fittings by their K
 */
export function pipeHeadLossM(flowLph: number, pipe: PipeRun): number {
  requireRange("pipeHeadLossM", "flowLph", flowLph, 0);
  requireFigures("pipeHeadLossM", pipe, { ...PIPE_RANGES, lengthM: [0, 100_000], fittingsK: [0, 10_000] });
  const perM = newRate();
  frictionOf(pipe)(flowLph, perM);
  return fittingsLoss(pipe) * flowLph ** 2 + pipe.lengthM * perM.value;
}

/** Head that the fittings of a pipe take, m for each (L/h)²: ΣK·v²/2g. */
export function fittingsLoss({ boreMm, fittingsK }: Pick<PipeRun, "boreMm" | "fittingsK">): number {
  requireFigures("fittingsLoss", { boreMm, fittingsK }, { boreMm: PIPE_RANGES.boreMm, fittingsK: [0, 10_000] });
  const areaM2 = (Math.PI * (boreMm / 1000) ** 2) / 4;
  return (fittingsK * (M3_PER_S_PER_LPH / areaM2) ** 2) / (2 * GRAVITY_M_PER_S2);
}
