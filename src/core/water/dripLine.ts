import type { BucketLine } from "../place/kinds/buckets";
import { DRIP_BEDS, emittersPerLateral, type DripBeds } from "../place/kinds/beds";
import { requireSpec } from "../place/kinds/requireSpec";
import type { StandSpec } from "../place/kinds";
import { requireEach, requireFigures, requireRange } from "../units/range";
import { bedCoverage, LEAST_DISTANCE_SHARE, type BedCoverage, type BedPlan } from "./bedCoverage";
import { randomBlocking, type RandomBlocking } from "./blockedEmitters";
import type { Emitter } from "./emitter";
import { solveLateral, type Lateral, type LateralFlow } from "./lateral";
import { uniformity, type Uniformity } from "./uniformity";
import { kinematicViscosityM2PerS, USUAL_WATER_C } from "./waterViscosity";

/** Kinds of stands whose water comes out of emitters along a line. */
export type DrippedSpec = DripBeds | BucketLine;

/** The spec of a stand that drips; null for every other kind, and where it has no emitters. */
export function drippedOf(spec: StandSpec): DrippedSpec | null {
  requireSpec("drippedOf", spec);
  if (spec.kind === "drip-beds") return spec.lateralsPerBed > 0 && spec.emitterFlowLph > 0 ? spec : null;
  if (spec.kind === "bucket-line") return spec.emittersPerBucket > 0 && spec.emitterFlowLph > 0 ? spec : null;
  return null;
}

function emitterOf(spec: DrippedSpec): Emitter {
  const { emitterFlowLph, emitterHeadM, emitterExponent, emitterLeastHeadM } = spec;
  const isCompensating = emitterExponent === 0;
  return {
    nominalFlowLph: emitterFlowLph,
    nominalHeadM: emitterHeadM,
    exponent: emitterExponent,
    leastHeadM: isCompensating ? emitterLeastHeadM : null,
  };
}

/**
 * One drip line of a stand. Emitters lie evenly, as far from the inlet as from the end.
 *
 * @returns null where not one emitter fits
 * @throws RangeError for a stand with a measure outside its range
 */
export function lateralOf(spec: DrippedSpec): Lateral | null {
  requireSpec("lateralOf", spec);
  const isBed = spec.kind === "drip-beds";
  const lengthM = isBed ? spec.lineLengthM : spec.bucketsPerLine * spec.bucketSpacingM;
  const count = isBed
    ? emittersPerLateral(lengthM, spec.emitterSpacingM)
    : spec.bucketsPerLine * spec.emittersPerBucket;
  if (count === 0) return null;
  const spacingM = isBed ? spec.emitterSpacingM : spec.bucketSpacingM / spec.emittersPerBucket;
  return {
    pipe: { boreMm: spec.lateralBoreMm },
    emitter: emitterOf(spec),
    count,
    spacingM,
    firstSpacingM: (lengthM - (count - 1) * spacingM) / 2,
    slopeRise: -spec.fallM / lengthM,
    equivalentLengthM: spec.equivalentLengthM,
  };
}

/** One bed from above: its plants, and the emitters of its lines, each with what it gives. */
export function bedPlanOf(spec: DripBeds, { lateral, flow }: DripLineAnswer): BedPlan {
  requireSpec("bedPlanOf", spec);
  return {
    bedLengthM: spec.lineLengthM,
    plants: DRIP_BEDS.sitePoints(spec),
    lines: linesAcross(spec).map((yM) => ({
      yM,
      firstXM: lateral.firstSpacingM,
      spacingM: lateral.spacingM,
      count: lateral.count,
    })),
    emitterFlowLph: spec.emitterFlowLph,
    emitterFlowsLph: Float64Array.from(
      { length: spec.lateralsPerBed * lateral.count },
      (_, at) => flow.flowsLph[at % lateral.count]!,
    ),
    wettedRadiusM: spec.wettedRadiusM,
    leastDistanceM: LEAST_DISTANCE_SHARE * spec.wettedRadiusM,
  };
}

/** Where drip lines are laid across a bed: one along each row; fewer between the rows; more evenly over the bed. */
function linesAcross({ lateralsPerBed: lines, rows, bedWidthM, edgeMarginM }: DripBeds): number[] {
  const isFewer = lines < rows;
  const [fromM, spanM] = isFewer ? [edgeMarginM, bedWidthM - 2 * edgeMarginM] : [0, bedWidthM];
  const rowGapM = rows > 1 ? (bedWidthM - 2 * edgeMarginM) / (rows - 1) : 0;
  return Array.from({ length: lines }, (_, line) =>
    lines === rows && rows > 1 ? edgeMarginM + line * rowGapM : fromM + ((line + 0.5) * spanM) / lines,
  );
}

/** Pieces in which a porous hose is laid out: the ground is wet all along it. */
const HOSE_PIECE_M = 0.1;
/** Steeper than this is no hose, but a slip of the cup. */
export const GREATEST_EXPONENT = 1.5;

/**
 * Beds with a porous hose in place of their drip lines: a tenth of what a metre gives, every ten centimetres, and nothing
 * that narrows the hose.
 *
 * @param hose what a metre gives; its exponent at most 1.5
 * @source porousHose
 */
export function withPorousHose(spec: DripBeds, hose: Emitter): DripBeds {
  requireSpec("withPorousHose", spec);
  requireFigures("withPorousHose", hose, {
    nominalFlowLph: [0, 1000],
    nominalHeadM: [0.01, 500],
    exponent: [0, GREATEST_EXPONENT],
  });
  return {
    ...spec,
    emitterSpacingM: HOSE_PIECE_M,
    emitterFlowLph: hose.nominalFlowLph * HOSE_PIECE_M,
    emitterHeadM: hose.nominalHeadM,
    emitterExponent: hose.exponent,
    equivalentLengthM: 0,
  };
}

/** Drip lines of a whole stand. */
export function linesOf(spec: DrippedSpec): number {
  requireSpec("linesOf", spec);
  return spec.lines * (spec.kind === "drip-beds" ? spec.lateralsPerBed : 1);
}

/** The two schools of pipe friction. The first holds for slow flow, too; the second is that of most tables for the field. */
export type FrictionLaw = "darcy-weisbach" | "hazen-williams";
/** @source usual for small polyethylene pipe */
export const SMALL_PE_C = 140;

/** A drip line worked out. */
export interface DripLineAnswer {
  readonly lateral: Lateral;
  readonly flow: LateralFlow;
  readonly uniformity: Uniformity;
  /** Drip lines of the whole stand. */
  readonly lines: number;
  readonly emittersPerPlant: number;
}

/**
 * Head and flow along one line of a stand, and how even it is.
 *
 * @param inletHeadM pressure head at the line's inlet, m
 * @param friction by which law the pipe's friction is worked out
 * @param waterC of the water, 0–50 °C
 * @returns null where not one emitter fits
 * @throws RangeError when a figure is outside its range
 * @source solveLateral, uniformity
 */
export function dripLine(
  spec: DrippedSpec,
  inletHeadM: number,
  friction: FrictionLaw = "darcy-weisbach",
  waterC = USUAL_WATER_C,
): DripLineAnswer | null {
  requireRange("dripLine", "inletHeadM", inletHeadM, 0.01, 500);
  const plain = lateralOf(spec);
  if (!plain) return null;
  const law =
    friction === "hazen-williams"
      ? { hazenWilliamsC: SMALL_PE_C }
      : { kinematicViscosityM2PerS: kinematicViscosityM2PerS(waterC) };
  const lateral = { ...plain, pipe: { ...plain.pipe, ...law } };
  const flow = solveLateral(lateral, inletHeadM);
  const emittersPerPlant = emittersPerPlantOf(spec, lateral);
  return {
    lateral,
    flow,
    uniformity: uniformity(flow.flowsLph, spec.manufacturingCv, Math.max(1, emittersPerPlant)),
    lines: linesOf(spec),
    emittersPerPlant,
  };
}

function emittersPerPlantOf(spec: DrippedSpec, lateral: Lateral): number {
  if (spec.kind === "bucket-line") return spec.emittersPerBucket / spec.plantsPerBucket;
  const plants = DRIP_BEDS.counts(spec).sitesPerLine;
  return plants > 0 ? (lateral.count * spec.lateralsPerBed) / plants : 0;
}

/** One way to space emitters, beside others. */
export interface SpacingAnswer {
  readonly spacingM: number;
  readonly emittersPerPlant: number;
  readonly lineLph: number;
  readonly flowVariation: number;
  readonly coverage: BedCoverage;
  readonly leastPlantLph: number;
  readonly meanPlantLph: number;
  /** With a share of the emitters blocked at random. */
  readonly blocking: RandomBlocking;
  /** Between working emitters when one between them is blocked. */
  readonly gapM: number;
  readonly costPerSeason: number;
}

export const USUAL_SPACINGS_M: readonly number[] = [0.1, 0.15, 0.2, 0.3, 0.4];

/**
 * Emitter spacings of a bed side by side: what a close one buys.
 *
 * @param spacingsM 0.02–10 m each; one at which no emitter fits is left out
 * @param blockedShare of all emitters, 0–1
 * @param waterC of the water, 0–50 °C
 * @throws RangeError when a figure is outside its range
 * @source solveLateral, bedCoverage, randomBlocking; cost = metres × price ÷ seasons
 */
export function compareSpacings(
  spec: DripBeds,
  spacingsM: readonly number[],
  inletHeadM: number,
  blockedShare: number,
  waterC = USUAL_WATER_C,
): SpacingAnswer[] {
  requireSpec("compareSpacings", spec);
  requireEach("compareSpacings", "spacingsM", spacingsM, 0.02, 10);
  requireRange("compareSpacings", "blockedShare", blockedShare, 0, 1);
  return spacingsM.flatMap((spacingM) => {
    const own = { ...spec, emitterSpacingM: spacingM };
    const answer = dripLine(own, inletHeadM, "darcy-weisbach", waterC);
    if (!answer) return [];
    const coverage = bedCoverage(bedPlanOf(own, answer));
    const flows = coverage.plants.map(({ flowLph }) => flowLph);
    const plants = Math.max(1, flows.length);
    return [
      {
        spacingM,
        emittersPerPlant: answer.emittersPerPlant,
        lineLph: answer.flow.totalLph,
        flowVariation: answer.uniformity.flowVariation,
        coverage,
        leastPlantLph: flows.length > 0 ? Math.min(...flows) : 0,
        meanPlantLph: flows.reduce((sum, flow) => sum + flow, 0) / plants,
        blocking: randomBlocking(coverage, blockedShare),
        gapM: 2 * spacingM,
        costPerSeason: (answer.lines * spec.lineLengthM * spec.linePricePerM) / spec.lineSeasons,
      },
    ];
  });
}
