import type { RectM } from "../kinds/model";
import { ACCESSIBLE_AISLE_M, LEAST_AISLE_M } from "../linesIntoHouse";
import { told } from "../../units/told";
import { STEP_M } from "./stretch";

/** A line that a moved edge has come to rest on. */
export interface Guide {
  readonly axis: "x" | "y";
  readonly atM: number;
  readonly words: string;
}

export interface Snapped {
  readonly xM: number;
  readonly yM: number;
  readonly guides: readonly Guide[];
}

interface Rest {
  readonly at: number;
  readonly guide: Omit<Guide, "axis">;
}

/**
 * Where a rectangle comes to rest when it is let go near something: at a wall, in line with a neighbour, touching it, or an
 * aisle away from it; else on the step of a tape measure.
 *
 * @param rect where the hand holds it, m
 * @param reachM how near counts as meant
 * @source nearest of the candidate lines, each axis by itself
 */
export function snapped(
  rect: RectM,
  house: { readonly lengthM: number; readonly widthM: number },
  others: readonly RectM[],
  reachM: number,
): Snapped {
  const x = rest(rect.xM, rests(rect.lengthM, house.lengthM, others.map(({ xM, lengthM }) => [xM, xM + lengthM] as const)), reachM); // prettier-ignore
  const y = rest(rect.yM, rests(rect.widthM, house.widthM, others.map(({ yM, widthM }) => [yM, yM + widthM] as const)), reachM); // prettier-ignore
  return {
    xM: x.at,
    yM: y.at,
    guides: [
      ...(x.guide ? [{ axis: "x" as const, ...x.guide }] : []),
      ...(y.guide ? [{ axis: "y" as const, ...y.guide }] : []),
    ],
  };
}

function rests(size: number, house: number, others: readonly (readonly [number, number])[]): Rest[] {
  const found: Rest[] = [
    { at: 0, guide: { atM: 0, words: "at the wall" } },
    { at: house - size, guide: { atM: house, words: "at the wall" } },
  ];
  for (const [from, to] of others) {
    found.push({ at: from, guide: { atM: from, words: "in line" } }, { at: to - size, guide: { atM: to, words: "in line" } }); // prettier-ignore
    found.push({ at: to, guide: { atM: to, words: "touching" } }, { at: from - size, guide: { atM: from, words: "touching" } }); // prettier-ignore
    for (const aisle of [LEAST_AISLE_M, ACCESSIBLE_AISLE_M])
      found.push({ at: to + aisle, guide: { atM: to + aisle, words: `aisle of ${told(aisle, "length")}` } }, { at: from - aisle - size, guide: { atM: from - aisle, words: `aisle of ${told(aisle, "length")}` } }); // prettier-ignore
  }
  return found.filter(({ at }) => at > -1e-9 && at < house - size + 1e-9);
}

function rest(wantedM: number, candidates: readonly Rest[], reachM: number) {
  let best: Rest | null = null;
  for (const one of candidates)
    if (Math.abs(one.at - wantedM) <= reachM && (!best || Math.abs(one.at - wantedM) < Math.abs(best.at - wantedM) - 1e-9)) best = one; // prettier-ignore
  const at = best ? best.at : Math.round(wantedM / STEP_M) * STEP_M;
  return { at: Math.round(at * 1000) / 1000, guide: best?.guide ?? null };
}
