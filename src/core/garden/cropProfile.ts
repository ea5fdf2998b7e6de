import { stageBoundaries, stallOf } from "../growth/stageDays";
import type { Day } from "../units/day";
import {
  clockedVarieties,
  clockFault,
  inEachHouse,
  stallCauseOf,
  type ClockFault,
  type ElsewhereYear,
  type StallCause,
} from "./clocks";
import type { Garden, Variety } from "./garden";
import { learnedDays, type LearnedStage } from "./learnedDays";
import { germinationFigure, lotWarnings, type GerminationFigure, type LotWarning } from "./seed";
import type { Stall } from "../growth/stageDays";

/** Another crop that should not share a tank with one, and why. */
export interface BadNeighbour {
  readonly name: string;
  readonly why: "ec" | "ph" | "solution";
}

/** A variety as its profile shows it. */
export interface CropProfile {
  readonly variety: Variety;
  /** As it is kept, without its clock and what was learned: what a form changes. */
  readonly kept: Variety;
  readonly seed: GerminationFigure;
  readonly lotWarnings: readonly LotWarning[];
  /** Of its stages, what their batches have taught. */
  readonly learned: readonly LearnedStage[];
  /** Why it goes by its table though it should go by warmth and light. */
  readonly fault: ClockFault | null;
  readonly stall: (Stall & { readonly cause: StallCause | null }) | null;
  readonly elsewhere: readonly ElsewhereYear[];
  readonly badNeighbours: readonly BadNeighbour[];
}

/**
 * The profile of a variety: its clock and year, where it stalls, and which crops of the garden want other water.
 * @returns null where there is no such variety
 */
export function cropProfile(garden: Garden, varietyId: number, today: Day): CropProfile | null {
  const all = clockedVarieties(garden);
  const variety = all.find(({ id }) => id === varietyId);
  if (!variety) return null;
  const stall = stallOf(stageBoundaries(today, variety.stages), variety.stages);
  const kept = garden.varieties.find(({ id }) => id === varietyId)!;
  // Learning starts from the plain prediction, always.
  const plain = { ...variety, stages: variety.stages.map((stage) => ({ ...stage, learnedRatio: 1 })) };
  return {
    ...{ variety, kept },
    seed: germinationFigure(kept, garden.batches),
    lotWarnings: lotWarnings(kept.lots, today),
    learned: learnedDays(plain, garden.batches),
    fault: clockFault(garden, variety),
    stall: stall && { ...stall, cause: stallCauseOf(garden, variety, stall) },
    elsewhere: inEachHouse(garden, variety),
    badNeighbours: all.flatMap((other) => {
      const why = other.id === varietyId ? null : apart(variety, other);
      return why ? [{ name: other.name, why }] : [];
    }),
  };
}

type Band = readonly [low: number | null, high: number | null];

/** What two crops cannot both have of one water; null where their bands meet, or are not told. */
function apart(one: Variety, other: Variety): BadNeighbour["why"] | null {
  if (bandsMiss([one.ecLow, one.ecHigh], [other.ecLow, other.ecHigh])) return "ec";
  if (bandsMiss([one.phLow, one.phHigh], [other.phLow, other.phHigh])) return "ph";
  if (bandsMiss([one.solutionLowC, one.solutionHighC], [other.solutionLowC, other.solutionHighC])) return "solution";
  return null;
}

/** Whether two bands, as far as they are told, have nothing in common. */
export function bandsMiss([low, high]: Band, [otherLow, otherHigh]: Band): boolean {
  return (
    (high !== null && otherLow !== null && otherLow > high) || (low !== null && otherHigh !== null && otherHigh < low)
  );
}
