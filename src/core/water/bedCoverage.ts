import { requireEach, requireFigures, requireRange } from "../units/range";
import type { PointM } from "../place/standLayout";

/** Emitters in a row, along the bed. */
export interface EmitterLine {
  readonly yM: number;
  readonly firstXM: number;
  readonly spacingM: number;
  readonly count: number;
}

/** A bed from above: where plants and emitters are, and how far an emitter wets. */
export interface BedPlan {
  readonly bedLengthM: number;
  readonly plants: readonly PointM[];
  readonly lines: readonly EmitterLine[];
  readonly emitterFlowLph: number;
  /** Of each emitter, in the order of the lines, where they do not all give that. */
  readonly emitterFlowsLph?: ArrayLike<number>;
  /** How far water goes sideways from an emitter, by the medium. */
  readonly wettedRadiusM: number;
  /** Nearer than this an emitter counts as this far away. */
  readonly leastDistanceM: number;
}

/** What one emitter gives to a plant. */
export interface Reach {
  /** Counted from 0, in the order of the lines. */
  readonly emitter: number;
  readonly flowLph: number;
}

export interface PlantShare {
  readonly flowLph: number;
  readonly reaches: readonly Reach[];
}

export interface BedCoverage {
  readonly plants: readonly PlantShare[];
  readonly emitters: readonly PointM[];
  /** Emitters that no plant draws on. */
  readonly idleEmitters: number;
  readonly reachedLph: number;
}

/** How far water goes sideways from an emitter. @source common practice; dig and look */
export const WETTED_RADIUS_M = { coarse: 0.15, medium: 0.25, fine: 0.35 } as const;
/** A distance is not taken as less than this share of the radius. */
export const LEAST_DISTANCE_SHARE = 0.25;
/** What is at the very edge counts as reached. */
const EDGE_M = 1e-6;

/**
 * What each plant of a bed gets: every emitter waters the plants within its wetted radius, its flow shared among them by
 * inverse distance.
 *
 * @param plan places in m, flow of an emitter in L/h
 * @returns flow of each plant and what it is made of, in the order of the plants
 * @throws RangeError when a figure is outside its range
 * @source inverse-distance shares, ours; tests/reference/water/coverage.json
 */
export function bedCoverage(plan: BedPlan): BedCoverage {
  requirePlan("bedCoverage", plan);
  const { plants, lines, emitterFlowLph, emitterFlowsLph, wettedRadiusM, leastDistanceM } = plan;
  const emitters = lines.flatMap(({ yM, firstXM, spacingM, count }) =>
    Array.from({ length: count }, (_, at): PointM => ({ xM: firstXM + at * spacingM, yM })),
  );
  const weights = new Float64Array(emitters.length);
  const near = plants.map((plant) =>
    emittersNear(lines, plant, wettedRadiusM + EDGE_M).map(({ emitter, distanceM }) => {
      const weight = 1 / Math.max(distanceM, leastDistanceM);
      weights[emitter]! += weight;
      return { emitter, weight };
    }),
  );
  const shares = near.map((own): PlantShare => {
    const reaches = own.map(({ emitter, weight }) => ({
      emitter,
      flowLph: ((emitterFlowsLph?.[emitter] ?? emitterFlowLph) * weight) / weights[emitter]!,
    }));
    return { reaches, flowLph: reaches.reduce((sum, { flowLph }) => sum + flowLph, 0) };
  });
  return {
    plants: shares,
    emitters,
    idleEmitters: weights.filter((weight) => weight === 0).length,
    reachedLph: shares.reduce((sum, { flowLph }) => sum + flowLph, 0),
  };
}

/** The emitters of straight lines within a radius of a spot: of each line those between two numbers. */
function emittersNear(lines: readonly EmitterLine[], { xM, yM }: PointM, radiusM: number) {
  const found: { readonly emitter: number; readonly distanceM: number }[] = [];
  let before = 0;
  for (const { yM: lineYM, firstXM, spacingM, count } of lines) {
    const acrossM = Math.abs(yM - lineYM);
    if (acrossM <= radiusM) {
      const alongM = Math.sqrt(radiusM ** 2 - acrossM ** 2);
      const from = Math.max(0, Math.ceil((xM - alongM - firstXM) / spacingM - 1e-9));
      const to = Math.min(count - 1, Math.floor((xM + alongM - firstXM) / spacingM + 1e-9));
      for (let at = from; at <= to; at++)
        found.push({ emitter: before + at, distanceM: Math.hypot(firstXM + at * spacingM - xM, acrossM) });
    }
    before += count;
  }
  return found;
}

/** Refuses a plan by the first of its figures that is outside its range. */
export function requirePlan(where: string, plan: BedPlan): void {
  requireFigures(where, plan, {
    bedLengthM: [0.05, 1000],
    emitterFlowLph: [0.001, 1000],
    wettedRadiusM: [0.01, 5],
    leastDistanceM: [0.0001, 5],
  });
  requireRange(where, "plants", plan.plants.length, 0, 100_000);
  for (const plant of plan.plants) requireFigures(where, plant, { xM: [-1000, 1000], yM: [-1000, 1000] });
  if (plan.emitterFlowsLph) {
    const emitters = plan.lines.reduce((sum, { count }) => sum + count, 0);
    requireRange(where, "emitterFlowsLph", plan.emitterFlowsLph.length, emitters, emitters);
    requireEach(where, "emitterFlowsLph", Array.from(plan.emitterFlowsLph), 0, 100_000);
  }
  requireRange(where, "lines", plan.lines.length, 0, 1000);
  for (const line of plan.lines)
    requireFigures(where, line, {
      yM: [-1000, 1000],
      firstXM: [-1000, 1000],
      spacingM: [0.005, 100],
      count: [1, 100_000, "whole"],
    });
}
