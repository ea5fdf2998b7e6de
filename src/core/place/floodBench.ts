import { GRAVITY_M_PER_S2 } from "../units/physics";
import { requireRange, requireWhole } from "../units/range";

/** A bench that is flooded and drains by itself. */
export interface FloodBench {
  readonly areaM2: number;
  readonly floodDepthM: number;
  /** Of the flooded volume, taken up by pots and medium. */
  readonly displacedShare: number;
  readonly fillFlowLph: number;
  readonly drainHoleMm: number;
  readonly drainHoles: number;
  readonly dischargeCoefficient: number;
  /** Taken as empty at this depth. */
  readonly drainedAtDepthM: number;
}

/**
 * A flood and drain bench: what it takes, how long it fills with the drain shut, and how long it empties by itself through
 * sharp-edged holes, t = 2·A·(√h₀ − √h₁)/(C·a·√(2g)) for the free water surface A.
 *
 * @throws RangeError when an argument is outside its range
 * @source Torricelli's law, integrated; case in tests/reference/place/held-water.json
 */
export function floodBench(bench: FloodBench): {
  readonly floodVolumeL: number;
  readonly fillTimeMin: number;
  readonly drainTimeMin: number;
} {
  requireRange("floodBench", "areaM2", bench.areaM2, 0.01, 1000);
  requireRange("floodBench", "floodDepthM", bench.floodDepthM, 0.001, 1);
  requireRange("floodBench", "displacedShare", bench.displacedShare, 0, 0.95);
  requireRange("floodBench", "fillFlowLph", bench.fillFlowLph, 1, 1_000_000);
  requireRange("floodBench", "drainHoleMm", bench.drainHoleMm, 1, 500);
  requireWhole("floodBench", "drainHoles", bench.drainHoles, 1, 1000);
  requireRange("floodBench", "dischargeCoefficient", bench.dischargeCoefficient, 0.1, 1);
  requireRange("floodBench", "drainedAtDepthM", bench.drainedAtDepthM, 0, bench.floodDepthM);
  const surfaceM2 = bench.areaM2 * (1 - bench.displacedShare);
  const floodVolumeL = surfaceM2 * bench.floodDepthM * 1000;
  const holesM2 = bench.drainHoles * Math.PI * (bench.drainHoleMm / 2000) ** 2;
  const drainS =
    (2 * surfaceM2 * (Math.sqrt(bench.floodDepthM) - Math.sqrt(bench.drainedAtDepthM))) /
    (bench.dischargeCoefficient * holesM2 * Math.sqrt(2 * GRAVITY_M_PER_S2));
  return { floodVolumeL, fillTimeMin: (floodVolumeL / bench.fillFlowLph) * 60, drainTimeMin: drainS / 60 };
}
