import { NEVER_DAYS, stageEnd } from "../growth/stageDays";
import { learnedRatio } from "../growth/thermalLight";
import type { BatchRow, Variety } from "./garden";

/** How real days compare with those worked out, for a stage of a variety. */
export interface LearnedStage {
  /** Actual ÷ plainly worked out, of each batch that was found ready, the oldest first. */
  readonly ratios: readonly number[];
  readonly ratio: number;
}

/** A batch that took so many times as long was held, forgotten or mistyped. */
const BELIEVABLE: readonly [least: number, greatest: number] = [0.3, 3];

/**
 * What the batches of a variety say of each of its stages: the day found ready against the plain days from the day it
 * began, always without what was learned before. Batches whose ready day nobody told, and those far off, are left out.
 *
 * @param variety with its clocks, and without learned ratios
 * @source tests/reference/growth/stages.json, learnedRatio
 */
export function learnedDays(variety: Pick<Variety, "id" | "stages">, batches: readonly BatchRow[]): LearnedStage[] {
  const own = batches.filter(({ varietyId }) => varietyId === variety.id);
  return variety.stages.map((stage, position) => {
    const ratios = own.flatMap(({ begun }) => {
      const stay = begun.find((one) => one.position === position);
      if (stay?.readyOn == null) return [];
      const plain = stageEnd(stay.day, { ...stage, learnedRatio: 1 }) - stay.day;
      const ratio = (stay.readyOn - stay.day) / plain;
      return plain < NEVER_DAYS && ratio >= BELIEVABLE[0] && ratio <= BELIEVABLE[1] ? [ratio] : [];
    });
    return { ratios, ratio: learnedRatio(ratios) };
  });
}

/** The ratios of the stages; null where nothing was learned or nothing is to be. */
export function learnedStages(variety: Variety, batches: readonly BatchRow[]): readonly number[] | null {
  if (!variety.learns) return null;
  const found = learnedDays(variety, batches);
  return found.every(({ ratios }) => ratios.length === 0) ? null : found.map(({ ratio }) => ratio);
}
