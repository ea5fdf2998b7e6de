import { countedGermination, type CountedShare } from "../growth/germination";
import type { Day } from "../units/day";
import type { BatchRow, SeedLot, Variety } from "./garden";

/** Seeds that the figure of the packet or the profile weighs as much as, beside what was counted. */
const PRIOR_SEEDS = 50;
/** The least that a profile can tell, too. */
const LEAST = 0.01;
/** The latest sowings that were counted tell what the seed is like now. */
const LATEST_COUNTS = 5;

/** What is known of the germination of a variety, and what is reckoned with. */
export interface GerminationFigure {
  /** Of the lot in use, where it was tested; else of the profile. */
  readonly told: number;
  readonly toldBy: "lot" | "profile";
  /** Of the latest sowings that were counted, 95 % interval; null where none was. */
  readonly counted: (CountedShare & { readonly sowings: number; readonly of: number; readonly up: number }) | null;
  /** What sowings are worked out with. */
  readonly used: number;
}

/** The lot that is sown from: the oldest with seed left. */
export function lotInUse(lots: readonly SeedLot[]): SeedLot | null {
  return lots.find(({ onHandG }) => onHandG > 0) ?? null;
}

/**
 * The germination to reckon with: what was counted on the latest sowings, with the figure of the packet or the profile as if
 * it were fifty seeds more.
 *
 * @param batches of the garden
 * @source a beta prior of 50 seeds; Wilson interval of what was counted
 */
export function germinationFigure(
  variety: Pick<Variety, "id" | "germination" | "lots" | "learns">,
  batches: readonly BatchRow[],
): GerminationFigure {
  const tested = lotInUse(variety.lots)?.germination ?? null;
  const told = tested ?? variety.germination;
  const toldBy = tested === null ? "profile" : "lot";
  const counts = batches
    .flatMap(({ varietyId, begun }) => {
      const first = varietyId === variety.id ? begun.find(({ position }) => position === 0) : undefined;
      return first?.countedOf
        ? [{ of: first.countedOf, up: first.countedUp ?? 0, on: first.countedOn ?? first.day }]
        : [];
    })
    .sort((a, b) => b.on - a.on)
    .slice(0, LATEST_COUNTS);
  if (counts.length === 0) return { told, toldBy, counted: null, used: told };
  const of = counts.reduce((sum, count) => sum + count.of, 0);
  const up = counts.reduce((sum, count) => sum + count.up, 0);
  const counted = { ...countedGermination(up, of, 95), sowings: counts.length, of, up };
  const used = variety.learns ? Math.max(LEAST, (told * PRIOR_SEEDS + up) / (PRIOR_SEEDS + of)) : told;
  return { told, toldBy, counted, used };
}

/** Why a lot should be tested before it is relied on. */
export type LotWarning =
  | { readonly kind: "past-best-before"; readonly lot: string; readonly on: Day }
  | { readonly kind: "old"; readonly lot: string; readonly years: number }
  | { readonly kind: "poor"; readonly lot: string; readonly germination: number };

/** Most garden seed loses half of its germination in three to four years; onions and their kin sooner. */
const OLD_DAYS = 3 * 365;
const POOR_GERMINATION = 0.7;

/** What is wrong with the lots that still have seed. */
export function lotWarnings(lots: readonly SeedLot[], today: Day): LotWarning[] {
  return lots
    .filter(({ onHandG }) => onHandG > 0)
    .flatMap(({ name: lot, receivedOn, bestBefore, testedOn, germination }): LotWarning[] => {
      if (germination !== null && germination < POOR_GERMINATION) return [{ kind: "poor", lot, germination }];
      if (testedOn !== null && today - testedOn < OLD_DAYS / 3) return [];
      if (bestBefore !== null && bestBefore < today) return [{ kind: "past-best-before", lot, on: bestBefore }];
      if (today - receivedOn > OLD_DAYS) return [{ kind: "old", lot, years: Math.floor((today - receivedOn) / 365) }];
      return [];
    });
}

/** Seed on hand in all lots, g. */
export function seedOnHandG(lots: readonly SeedLot[]): number {
  return lots.reduce((sum, { onHandG }) => sum + onHandG, 0);
}
