import { fitsIn, stepsIn } from "../fit";
import { requireFigures, requireRange } from "../../units/range";
import { requireHouse, requireRect } from "../requireRect";
import { requireSpec } from "../kinds/requireSpec";
import { modelOf, type StandSpec } from "../kinds";
import type { RectM } from "../kinds/model";
import { aisleUsed } from "../linesIntoHouse";
import { standCounts } from "../standCounts";
import { stretched } from "./stretch";
import { inMm } from "../../units/rounded";

export interface FillRules {
  /** Clearance along the walls and around what is there already. */
  readonly clearanceM: number;
  /** Between two banks that stand end to end. */
  readonly crossAisleM: number;
  /** An aisle under the least is meant. */
  readonly aisleInsisted: boolean;
}

export const USUAL_RULES: FillRules = { clearanceM: 0.3, crossAisleM: 0.9, aisleInsisted: false };

export interface FilledStand {
  readonly xM: number;
  readonly yM: number;
  readonly turned: boolean;
  readonly spec: StandSpec;
}

export interface HouseFilling {
  readonly stands: readonly FilledStand[];
  readonly lines: number;
  readonly sites: number;
  readonly aisleRaised: boolean;
}

/**
 * Fills a rectangle with as many lines of a kind as fit with their aisles: lines side by side across it, banks end to end
 * along it, in the better of the two directions. Lines longer than the room are shortened to it.
 *
 * @param room free ground, m
 * @param spec the kind with its measures; how many of it is what is found out
 * @returns the stands, none when not one line fits
 * @source sums of widths, gaps and aisles, as linesIntoHouse
 * @example fillHouse({ xM: 0, yM: 0, lengthM: 12, widthM: 6 }, STAND_MODELS["channel-bank"].example, USUAL_RULES).sites // 1032
 */
export function fillHouse(room: RectM, spec: StandSpec, rules: FillRules): HouseFilling {
  requireRect("fillHouse", room);
  requireSpec("fillHouse", spec);
  requireFigures("fillHouse", rules, { clearanceM: [0, 1000], crossAisleM: [0, 1000] });
  const { aisleUsedM, raised } = aisleUsed(spec.aisleM, rules.aisleInsisted);
  const wanted = { ...spec, aisleM: aisleUsedM };
  const ways = [false, true].map((turned) => filledOneWay(room, wanted, rules, turned));
  const counted = ways.map((stands) => {
    const counts = stands.map((stand) => standCounts(stand.spec));
    return {
      stands: counts.every(({ sites }) => sites > 0) ? stands : [],
      lines: counts.reduce((sum, { lines }) => sum + lines, 0),
      sites: counts.reduce((sum, { sites }) => sum + sites, 0),
      aisleRaised: raised,
    };
  });
  return counted[1]!.sites > counted[0]!.sites ? counted[1]! : counted[0]!;
}

function filledOneWay(room: RectM, spec: StandSpec, { crossAisleM }: FillRules, turned: boolean): FilledStand[] {
  const [alongM, acrossM] = turned ? [room.widthM, room.lengthM] : [room.lengthM, room.widthM];
  const model = modelOf(spec);
  const byCount = model.stretch.along.by === "count";
  const longest = byCount || !fitsIn(model.layout(spec).lengthM, alongM) ? stretched(spec, { alongM }) : spec;
  const bank = stretched(longest, { acrossM });
  const size = model.layout(bank);
  if (!fitsIn(size.lengthM, alongM) || !fitsIn(size.widthM, acrossM)) return [];
  const banks = stepsIn(alongM + crossAisleM, size.lengthM + crossAisleM);
  return Array.from({ length: banks }, (_, index) => {
    const offsetM = index * (size.lengthM + crossAisleM);
    const [xM, yM] = turned ? [room.xM, room.yM + offsetM] : [room.xM + offsetM, room.yM];
    return { xM: inMm(xM), yM: inMm(yM), turned, spec: bank };
  });
}

/**
 * The largest rectangle of a house that is free, less a clearance along walls and stands.
 *
 * @param taken footprints of what is there
 * @returns null when nothing worth the name is left
 * @source every rectangle that cannot grow is bounded by walls and footprints; all such strips are tried
 */
export function largestFree(
  house: { readonly lengthM: number; readonly widthM: number },
  taken: readonly RectM[],
  clearanceM: number,
): RectM | null {
  requireHouse("largestFree", house);
  for (const rect of taken) requireRect("largestFree", rect);
  requireRange("largestFree", "clearanceM", clearanceM, 0, 1000);
  const grown = taken.map(({ xM, yM, lengthM, widthM }) => ({
    x0: xM - clearanceM,
    x1: xM + lengthM + clearanceM,
    y0: yM - clearanceM,
    y1: yM + widthM + clearanceM,
  }));
  const [left, right, top, bottom] = [clearanceM, house.lengthM - clearanceM, clearanceM, house.widthM - clearanceM];
  const edges = [...new Set([left, right, ...grown.flatMap(({ x0, x1 }) => [x0, x1])])]
    .filter((x) => x >= left && x <= right)
    .sort((a, b) => a - b);
  let best: RectM | null = null;
  for (const [from, x0] of edges.entries())
    for (const x1 of edges.slice(from + 1)) {
      const across = grown.filter((rect) => rect.x0 < x1 - 1e-9 && rect.x1 > x0 + 1e-9).sort((a, b) => a.y0 - b.y0);
      let y = top;
      for (const rect of [...across, { y0: bottom, y1: bottom }]) {
        const until = Math.min(rect.y0, bottom);
        const area = (x1 - x0) * (until - y);
        if (until > y && area > (best ? best.lengthM * best.widthM : 0.01))
          best = { xM: x0, yM: y, lengthM: x1 - x0, widthM: until - y };
        y = Math.max(y, rect.y1);
      }
    }
  return best;
}
