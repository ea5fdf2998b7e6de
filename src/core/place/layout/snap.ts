import { requireRange } from "../../units/range";
import { requireHouse, requireRect } from "../requireRect";
import type { RectM } from "../kinds/model";
import { ACCESSIBLE_AISLE_M, LEAST_AISLE_M } from "../linesIntoHouse";
import { STEP_M } from "./stretch";
import { inMm } from "../../units/rounded";

/** A line that a moved edge has come to rest on. */
export interface Guide {
  readonly axis: "x" | "y";
  readonly atM: number;
  readonly kind: "wall" | "in-line" | "touching" | "aisle";
  /** Of an aisle, how wide it is. */
  readonly aisleM?: number;
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
  requireRect("snapped", rect);
  requireHouse("snapped", house);
  for (const other of others) requireRect("snapped", other);
  requireRange("snapped", "reachM", reachM, 0, 1000);
  const x = rest(
    rect.xM,
    rests(
      rect.lengthM,
      house.lengthM,
      others.map(({ xM, lengthM }) => [xM, xM + lengthM] as const),
    ),
    reachM,
  );
  const y = rest(
    rect.yM,
    rests(
      rect.widthM,
      house.widthM,
      others.map(({ yM, widthM }) => [yM, yM + widthM] as const),
    ),
    reachM,
  );
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
    { at: 0, guide: { atM: 0, kind: "wall" } },
    { at: house - size, guide: { atM: house, kind: "wall" } },
  ];
  for (const [from, to] of others) {
    found.push(
      { at: from, guide: { atM: from, kind: "in-line" } },
      { at: to - size, guide: { atM: to, kind: "in-line" } },
    );
    found.push(
      { at: to, guide: { atM: to, kind: "touching" } },
      { at: from - size, guide: { atM: from, kind: "touching" } },
    );
    for (const aisle of [LEAST_AISLE_M, ACCESSIBLE_AISLE_M])
      found.push(
        { at: to + aisle, guide: { atM: to + aisle, kind: "aisle", aisleM: aisle } },
        { at: from - aisle - size, guide: { atM: from - aisle, kind: "aisle", aisleM: aisle } },
      );
  }
  return found.filter(({ at }) => at > -1e-9 && at < house - size + 1e-9);
}

function rest(wantedM: number, candidates: readonly Rest[], reachM: number) {
  let best: Rest | null = null;
  for (const one of candidates)
    if (
      Math.abs(one.at - wantedM) <= reachM &&
      (!best || Math.abs(one.at - wantedM) < Math.abs(best.at - wantedM) - 1e-9)
    )
      best = one;
  const at = best ? best.at : Math.round(wantedM / STEP_M) * STEP_M;
  return { at: inMm(at), guide: best?.guide ?? null };
}
