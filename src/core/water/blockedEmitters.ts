import { requireEach, requireRange, requireWhole } from "../units/range";
import { requirePlan, type BedCoverage, type BedPlan, type PlantShare } from "./bedCoverage";

export interface BlockedEmitter {
  /** Between the working neighbours on its line; null at the end of the line. */
  readonly gapM: number | null;
  /** Plants that are left with under half of their own share, counted from 0. */
  readonly underHalf: readonly { readonly plant: number; readonly shareLeft: number }[];
}

export interface RandomBlocking {
  /** Over the plants that any emitter reaches. */
  readonly meanChanceDry: number;
  readonly greatestChanceDry: number;
  readonly expectedDryPlants: number;
  readonly meanChanceUnderHalf: number;
}

const JUST_HALF = 1e-9;

/**
 * What one blocked emitter does, the others giving what they gave.
 *
 * @param emitter counted from 0, in the order of the lines
 * @throws RangeError for an emitter that is not there
 * @source tests/reference/water/coverage.json, blocked
 */
export function blockedEmitter(plan: BedPlan, coverage: BedCoverage, emitter: number): BlockedEmitter {
  requirePlan("blockedEmitter", plan);
  requireWhole("blockedEmitter", "emitter", emitter, 0, coverage.emitters.length - 1);
  const underHalf = coverage.plants.flatMap(({ flowLph, reaches }, plant) => {
    const lost = reaches.find((one) => one.emitter === emitter)?.flowLph ?? 0;
    const shareLeft = flowLph > 0 ? 1 - lost / flowLph : 1;
    return shareLeft < 0.5 - JUST_HALF ? [{ plant, shareLeft: Math.max(0, shareLeft) }] : [];
  });
  let first = 0;
  for (const { spacingM, count } of plan.lines) {
    if (emitter < first + count) {
      const isInside = emitter > first && emitter < first + count - 1;
      return { gapM: isInside ? 2 * spacingM : null, underHalf };
    }
    first += count;
  }
  return { gapM: null, underHalf };
}

/**
 * The longest stretch of a row that stays dry, inside the bed: farther than the wetted radius from every working emitter.
 * Between two working emitters of one line it is max(0, 2s − 2·√(R² − y²)) when the one between them is blocked.
 *
 * @param yM of the row
 * @param blocked emitters that do not work, counted from 0
 * @returns m
 * @source tests/reference/water/coverage.json, unwettedStretchMm
 */
export function dryStretchM(plan: BedPlan, coverage: BedCoverage, yM: number, blocked: readonly number[]): number {
  requirePlan("dryStretchM", plan);
  requireRange("dryStretchM", "yM", yM, -1000, 1000);
  requireEach("dryStretchM", "blocked", blocked, 0, coverage.emitters.length - 1);
  const wet = coverage.emitters
    .flatMap((at, emitter) => {
      const square = plan.wettedRadiusM ** 2 - (at.yM - yM) ** 2;
      if (square < 0 || blocked.includes(emitter)) return [];
      return [[at.xM - Math.sqrt(square), at.xM + Math.sqrt(square)] as const];
    })
    .sort((one, other) => one[0] - other[0]);
  let [longestM, reachedM] = [0, 0];
  for (const [fromM, toM] of wet) {
    longestM = Math.max(longestM, Math.min(fromM, plan.bedLengthM) - reachedM);
    reachedM = Math.max(reachedM, toM);
  }
  return Math.max(longestM, plan.bedLengthM - reachedM, 0);
}

/**
 * What blocking at random does, each emitter by itself with one chance. Dirt blocks in runs and at line ends first: this is
 * the mild case.
 *
 * @param blockedShare chance that an emitter is blocked, 0–1
 * @returns chances; a plant with k emitters in reach is dry with chance c^k, under half by all 2^k states
 * @throws RangeError when an argument is outside its range
 * @source exact enumeration; tests/reference/water/coverage.json, blockedAtRandom
 */
export function randomBlocking({ plants }: Pick<BedCoverage, "plants">, blockedShare: number): RandomBlocking {
  requireRange("randomBlocking", "blockedShare", blockedShare, 0, 1);
  const reached = plants.filter(({ reaches }) => reaches.length > 0);
  const dry = reached.map(({ reaches }) => blockedShare ** reaches.length);
  const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
  const count = Math.max(1, reached.length);
  return {
    meanChanceDry: sum(dry) / count,
    greatestChanceDry: Math.max(0, ...dry),
    expectedDryPlants: sum(dry),
    meanChanceUnderHalf: sum(reached.map((plant) => chanceUnderHalf(plant, blockedShare))) / count,
  };
}

/** The chance that less than half is left of what a plant gets. All states of one half of its emitters meet those of the other. */
function chanceUnderHalf({ flowLph, reaches }: PlantShare, blockedShare: number): number {
  const flows = reaches.map((reach) => reach.flowLph);
  const middle = flows.length >> 1;
  const some = statesOf(flows.slice(0, middle), blockedShare);
  const others = statesOf(flows.slice(middle), blockedShare);
  const half = flowLph * (0.5 - JUST_HALF);
  // The more one half gives, the fewer states of the other half leave too little.
  let below = others.flowsLph.length;
  let chanceBelow = others.chances.reduce((sum, chance) => sum + chance, 0);
  let under = 0;
  for (let at = 0; at < some.flowsLph.length; at++) {
    const limitLph = half - some.flowsLph[at]!;
    while (below > 0 && others.flowsLph[below - 1]! >= limitLph) chanceBelow -= others.chances[--below]!;
    if (below === 0) break;
    under += some.chances[at]! * chanceBelow;
  }
  return under;
}

/** Every way in which some emitters may be blocked: what is left of their flow, rising, and its chance. */
interface States {
  readonly flowsLph: Float64Array;
  readonly chances: Float64Array;
}

function statesOf(flows: readonly number[], blockedShare: number): States {
  let states: States = { flowsLph: new Float64Array(1), chances: new Float64Array([1]) };
  for (const flow of flows) states = withEmitter(states, flow, blockedShare);
  return states;
}

/** With one more emitter: two rising rows, blocked and open, become one. */
function withEmitter({ flowsLph, chances }: States, flow: number, blockedShare: number): States {
  const count = flowsLph.length;
  const merged: States = { flowsLph: new Float64Array(2 * count), chances: new Float64Array(2 * count) };
  for (let at = 0, blocked = 0, open = 0; at < 2 * count; at++) {
    const isBlocked = open === count || (blocked < count && flowsLph[blocked]! <= flowsLph[open]! + flow);
    merged.flowsLph[at] = isBlocked ? flowsLph[blocked]! : flowsLph[open]! + flow;
    merged.chances[at] = isBlocked ? chances[blocked++]! * blockedShare : chances[open++]! * (1 - blockedShare);
  }
  return merged;
}
