import { requireDay } from "../../units/day";
import { requireWhole } from "../../units/range";
import { bestFit } from "./bestFit";
import { improve, type Trial } from "./improve";
import { indexed, rangesOf, Rooms, type IndexedStay, type LineRange } from "./rooms";
import { searchAll } from "./searchAll";
import type { Placing, PlacingProblem } from "./types";

/** More stays than this are not looked through one by one. */
const MOST_SEARCHED_STAYS = 9;
const MOST_SEARCHED_SITES = 60;

/**
 * Puts stays on site ranges of lines, each whole or not at all, and with the same sites for all of its days. Best is, in this
 * order: fewest plants left out, fewest stays left out, fewest lines touched; then whole lines and banks, and families
 * rotated. Small problems are looked through to the end; larger ones are placed by best fit, then improved.
 *
 * @param problem lines with their sites; stays on [from, to), held for the cleaning days after; pins that stand
 * @returns where each stay stands, what is left out, and how sure it is that nothing better can be had
 * @throws RangeError for a figure outside its range, a line that is not there, or two pins on the same sites
 * @source interval packing: best fit, ruin and recreate; branch and bound. tests/reference/batches/placing.json
 */
export function placeStays(problem: PlacingProblem): Placing {
  check(problem);
  const { lines } = problem;
  const stays = indexed(problem);
  const rooms = new Rooms(lines, (stay) => stays[stay]!.family);
  const trial = firstTrial(problem, stays, rooms);
  const proved = (): Placing["proof"] | null => (isBestByCount(trial, stays) ? "by-count" : null);
  let proof = proved();
  if (!proof) {
    improve(rooms, stays, trial, problem.effort ?? 1);
    proof = proved() ?? "none";
  }
  if (proof === "none" && isSmall(problem, stays) && searchAll(lines, stays, trial)) proof = "by-search";
  return resultOf(problem, trial, proof);
}

function check({ lines, cleaningDays, stays }: PlacingProblem): void {
  for (const { sites } of lines) requireWhole("placeStays", "sites", sites, 0, 1_000_000);
  requireWhole("placeStays", "cleaningDays", cleaningDays, 0, 366);
  for (const { from, to, plants } of stays) {
    requireDay("placeStays", "from", from);
    requireDay("placeStays", "to", to);
    requireWhole("placeStays", "plants", plants, 0, 10_000_000);
  }
}

/** Pins first, then what begins first; of the same day the larger one. */
function firstTrial({ lines, stays: named }: PlacingProblem, stays: readonly IndexedStay[], rooms: Rooms): Trial {
  const ranges: (readonly LineRange[] | null)[] = stays.map(() => null);
  for (const stay of stays) {
    if (!stay.pinned) continue;
    const taken = stay.pinned.find((range) => !rooms.isFree(range, stay.from, stay.until));
    if (taken)
      throw new RangeError(
        `placeStays: stay "${named[stay.index]!.id}" is pinned to sites of line "${lines[taken.line]!.id}" that another is pinned to`,
      );
    rooms.hold(stay, stay.pinned);
    ranges[stay.index] = stay.pinned;
  }
  const order = stays.filter(({ pinned }) => !pinned).sort((a, b) => a.from - b.from || b.plants - a.plants);
  for (const stay of order) {
    const found = bestFit(rooms, stay);
    if (found) rooms.hold(stay, found);
    ranges[stay.index] = found;
  }
  return { ranges };
}

/** Nothing can be better than everything placed, each on as few lines as if it were alone. */
function isBestByCount({ ranges }: Trial, stays: readonly IndexedStay[]): boolean {
  return stays.every(({ index, linesAlone }) => ranges[index] !== null && ranges[index]!.length === linesAlone);
}

const isSmall = ({ lines }: PlacingProblem, stays: readonly IndexedStay[]) =>
  stays.filter(({ pinned }) => !pinned).length <= MOST_SEARCHED_STAYS &&
  lines.reduce((sum, { sites }) => sum + sites, 0) <= MOST_SEARCHED_SITES;

function resultOf({ lines, stays }: PlacingProblem, { ranges }: Trial, proof: Placing["proof"]): Placing {
  const placed = new Map<string, ReturnType<typeof rangesOf>>();
  const leftOut: string[] = [];
  let plantsLeftOut = 0;
  let linesTouched = 0;
  stays.forEach(({ id, plants }, index) => {
    const own = ranges[index];
    if (own) {
      placed.set(id, rangesOf(lines, own));
      linesTouched += own.length;
    } else {
      leftOut.push(id);
      plantsLeftOut += plants;
    }
  });
  return { placed, leftOut, plantsLeftOut, linesTouched, proof };
}
