import type { SeasonProblem } from "./problem";
import type { Relaxed, Relaxation } from "./relaxation";

/** Units that are this near to a number that may be are taken for it at once. */
const NEARLY = 0.04;
/** Of the others, so many are settled in each step. */
const SHARE = 1 / 6;

/** A whole number of units that a sowing may have, and how far it is from what the relaxation wants. */
interface Settled {
  readonly sowing: number;
  readonly units: number;
  readonly distance: number;
}

/**
 * Settles sowings step by step: those that are nearly whole and a part of the others, the nearest first, and solves again
 * what is left. Where that leaves no solution they are settled downwards instead.
 *
 * @param open sowings that are not settled; all others keep the bounds that they have
 * @param luck 0 settles the nearest first; up to 1 mixes chance in
 * @param atLeast below this value it is not worth to go on
 * @returns a solution with whole units, and where it was left the settled units; null where there is none worth having
 */
export function dive(
  relaxation: Relaxation,
  start: Relaxed,
  open: readonly number[],
  {
    luck = 0,
    chance = () => 0.5,
    atLeast = -Infinity,
  }: { luck?: number; chance?: () => number; atLeast?: number } = {},
): Relaxed | null {
  const { problem } = relaxation;
  let left = [...open];
  let found: Relaxed | null = start;
  while (found && left.length > 0) {
    if (found.value < atLeast) return null;
    const nearest = left
      .map((sowing) => nearestOf(problem, sowing, found!.columns[sowing]!, luck > 0 ? luck * (chance() - 0.5) : 0))
      .sort((a, b) => a.distance - b.distance);
    const sure = nearest.filter(({ distance }) => distance < NEARLY).length;
    const count = Math.max(1, sure, Math.ceil((left.length - sure) * SHARE) + sure);
    const settled = nearest.slice(0, count);
    const done = new Set(settled.map(({ sowing }) => sowing));
    settle(relaxation, settled);
    left = left.filter((sowing) => !done.has(sowing));
    let next = relaxation.solve();
    if (!next) {
      settle(
        relaxation,
        settled.map(({ sowing }) => ({ sowing, units: downOf(problem, sowing, found!.columns[sowing]!), distance: 0 })),
      );
      next = relaxation.solve();
    }
    if (!next && settled.length > 0) {
      settle(
        relaxation,
        settled.map(({ sowing }) => ({ sowing, units: 0, distance: 0 })),
      );
      next = relaxation.solve();
    }
    found = next;
  }
  return found && found.value >= atLeast ? found : null;
}

function settle(relaxation: Relaxation, settled: readonly Settled[]): void {
  const units = settled.map(({ units: one }) => one);
  relaxation.setUnits(
    settled.map(({ sowing }) => sowing),
    units,
    units,
  );
}

/** Units that may be: none, or whole ones from the least to the most. */
function nearestOf({ sowings }: SeasonProblem, sowing: number, wanted: number, shift: number): Settled {
  const { least, most } = sowings[sowing]!;
  const aim = wanted + shift;
  const units = aim < least ? (aim < least / 2 ? 0 : least) : Math.min(most, Math.round(aim));
  return { sowing, units, distance: Math.abs(wanted - units) };
}

function downOf({ sowings }: SeasonProblem, sowing: number, wanted: number): number {
  const units = Math.floor(wanted + 1e-6);
  return units < sowings[sowing]!.least ? 0 : units;
}
