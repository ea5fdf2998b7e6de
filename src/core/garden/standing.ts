import { needPerMmL, stageNeedLpd } from "../batches/plantNeed";
import type { SiteRun } from "../batches/places/siteRuns";
import { standCounts } from "../place/standCounts";
import { requireDay, type Day } from "../units/day";
import { memo } from "./memo";
import type { Worked } from "./worked";

/** What stands on a line on a day, and what it drinks. */
export interface Standing {
  readonly plants: number;
  /** As worked out, with what the loop's log has taught; without what drains. */
  readonly needLpd: number;
  /** Of that, worked out from the climate; the rest are figures of the stages. */
  readonly byClimateLpd: number;
}

const NOTHING: Standing = { plants: 0, needLpd: 0, byClimateLpd: 0 };

const plus = (one: Standing, other: Standing): Standing => ({
  plants: one.plants + other.plants,
  needLpd: one.needLpd + other.needLpd,
  byClimateLpd: one.byClimateLpd + other.byClimateLpd,
});

/** Each stand with where its sites begin in its growing area, and the stays that are there on a day. */
export function standsWithStays({ growingAreaStands, placed }: Pick<Worked, "growingAreaStands" | "placed">, day: Day) {
  return [...growingAreaStands].flatMap(([areaId, stands]) => {
    const stays = (placed.get(areaId) ?? []).filter(({ stay }) => stay.from <= day && stay.to > day);
    let next = 0;
    return stands.map((stand) => {
      const start = next;
      const { lines, sitesPerLine } = standCounts(stand.spec);
      next += lines * sitesPerLine;
      return { stand, start, end: next, stays };
    });
  });
}

/** Plants of a stay on the sites from one to before another. */
export function plantsWithin(runs: readonly SiteRun[], from: number, to: number): number {
  return runs.reduce((sum, run) => sum + Math.max(0, Math.min(run.end, to) - Math.max(run.start, from)), 0);
}

/**
 * What stands on each line of each stand on a day, by the place that every batch has there: rows of lines by the id of their
 * stand. Plants above the capacity of their growing area stand on no line.
 */
export function standingOn(worked: Worked, day: Day): ReadonlyMap<number, readonly Standing[]> {
  requireDay("standingOn", "day", day);
  const { placed, input, garden } = worked;
  return memo(`standing ${day}`, [placed, garden.loops], () => {
    const at = day - input.from;
    const factors = new Map(garden.loops.map(({ id, needFactor }) => [id, needFactor]));
    const varieties = new Map(worked.plan.batches.map(({ batch, variety }) => [batch.id, variety]));
    const found = new Map<number, Standing[]>();
    for (const { stand, start, stays } of standsWithStays(worked, day)) {
      const { lines, sitesPerLine } = standCounts(stand.spec);
      const factor = stand.loopId === null ? 1 : (factors.get(stand.loopId) ?? 1);
      const own: Standing[] = Array.from({ length: lines }, () => NOTHING);
      for (const { stay, runs } of stays) {
        const stage = varieties.get(stay.batchId)!.stages[stay.stage]!;
        const needLpd = stageNeedLpd(stage, input, at) * factor;
        const byClimateLpd = needPerMmL(stage, input) === null ? 0 : needLpd;
        for (let line = 0; line < lines; line++) {
          const first = start + line * sitesPerLine;
          const plants = plantsWithin(runs, first, first + sitesPerLine);
          if (plants > 0)
            own[line] = plus(own[line]!, { plants, needLpd: plants * needLpd, byClimateLpd: plants * byClimateLpd });
        }
      }
      found.set(stand.id, own);
    }
    return found;
  });
}

/** The same of all lines of a stand together. */
export function standingOnStand(worked: Worked, standId: number, day: Day): Standing {
  const lines = standingOn(worked, day).get(standId) ?? [];
  return lines.reduce(plus, NOTHING);
}

/** The same of all stands of a loop. */
export function standingOnLoop(worked: Worked, loopId: number, day: Day): Standing {
  const own = worked.garden.stands.filter((stand) => stand.loopId === loopId);
  return own.map(({ id }) => standingOnStand(worked, id, day)).reduce(plus, NOTHING);
}
