import { wholeDown, wholeUp } from "../numeric/whole";
import { requireFigures, requireRange } from "../units/range";

/** How plants enter a growing area: in batches of one size, and what is lost there. */
export interface Rhythm {
  /** Days from one batch to the next, 0.1–366. */
  readonly everyDays: number;
  /** Days that a site stays empty after each batch, 0–366. */
  readonly cleaningDays: number;
  /** Share of the plants that reach the end, 0.001–1. One that is lost keeps its site until then. */
  readonly survival: number;
}

/** One batch a week, no cleaning, nothing lost. */
export const WEEKLY: Rhythm = { everyDays: 7, cleaningDays: 0, survival: 1 };

export interface SitesForHarvest {
  readonly entersPerWeek: number;
  /** By Little's law; what plants that came one by one would take. */
  readonly meanSites: number;
  readonly plantsPerBatch: number;
  readonly batchesAtOnce: number;
  /** What the growing area must really hold. */
  readonly peakSites: number;
}

/**
 * Sites that a weekly harvest takes.
 *
 * @param harvestPerWeek plants that are picked a week, 0–1 000 000
 * @param weeks in the growing area, 0–520
 * @returns mean and peak sites, plants of a batch and how many batches stand at once
 * @throws RangeError when an argument is outside its range
 * @source Little 1961: what is there = what comes × how long it stays; lumps by counting
 * @example sitesForHarvest(100, 5, WEEKLY).peakSites // 500
 */
export function sitesForHarvest(harvestPerWeek: number, weeks: number, rhythm: Rhythm): SitesForHarvest {
  requireRange("sitesForHarvest", "harvestPerWeek", harvestPerWeek, 0, 1_000_000);
  requireRange("sitesForHarvest", "weeks", weeks, 0, 520);
  requireRhythm("sitesForHarvest", rhythm);
  const entersPerWeek = harvestPerWeek / rhythm.survival;
  const plantsPerBatch = wholeUp((entersPerWeek * rhythm.everyDays) / 7);
  const atOnce = batchesAtOnce(weeks * 7, rhythm);
  return {
    entersPerWeek,
    meanSites: entersPerWeek * (weeks + rhythm.cleaningDays / 7),
    plantsPerBatch,
    batchesAtOnce: atOnce,
    peakSites: plantsPerBatch * atOnce,
  };
}

export interface HarvestFromSites {
  /** What plants that came one by one would give; batches give less or the same. */
  readonly meanHarvestPerWeek: number;
  readonly plantsPerBatch: number;
  readonly batchesAtOnce: number;
  readonly harvestPerWeek: number;
  readonly sitesUsedAtPeak: number;
}

/**
 * The weekly harvest that so many sites carry, in whole batches.
 *
 * @param sites of the growing area, 0–10 000 000
 * @param weeks in it, over 0 (with the cleaning), to 520
 * @throws RangeError when an argument is outside its range
 * @source Little 1961; whole batches by counting
 * @example harvestFromSites(480, 5, WEEKLY).harvestPerWeek // 96
 */
export function harvestFromSites(sites: number, weeks: number, rhythm: Rhythm): HarvestFromSites {
  requireRange("harvestFromSites", "sites", sites, 0, 10_000_000);
  requireRange("harvestFromSites", "weeks", weeks, 0.01, 520);
  requireRhythm("harvestFromSites", rhythm);
  const atOnce = batchesAtOnce(weeks * 7, rhythm);
  const plantsPerBatch = wholeDown(sites / atOnce);
  return {
    meanHarvestPerWeek: (sites / (weeks + rhythm.cleaningDays / 7)) * rhythm.survival,
    plantsPerBatch,
    batchesAtOnce: atOnce,
    harvestPerWeek: (plantsPerBatch * rhythm.survival * 7) / rhythm.everyDays,
    sitesUsedAtPeak: plantsPerBatch * atOnce,
  };
}

export interface WeeksForHarvest {
  /** Null when the cleaning alone takes it all. */
  readonly meanWeeks: number | null;
  readonly plantsPerBatch: number;
  readonly batchesAtOnce: number;
  /** Days that every batch may stay; null when not one batch fits, or cleaning takes its time. */
  readonly longestDays: number | null;
}

/**
 * How long plants may stay so that so many sites give a weekly harvest.
 *
 * @param harvestPerWeek over 0, to 1 000 000
 * @param sites of the growing area, 0–10 000 000
 * @throws RangeError when an argument is outside its range
 * @source Little 1961; whole batches by counting
 * @example weeksForHarvest(75, 400, WEEKLY).longestDays // 35
 */
export function weeksForHarvest(harvestPerWeek: number, sites: number, rhythm: Rhythm): WeeksForHarvest {
  requireRange("weeksForHarvest", "harvestPerWeek", harvestPerWeek, 0.001, 1_000_000);
  requireRange("weeksForHarvest", "sites", sites, 0, 10_000_000);
  requireRhythm("weeksForHarvest", rhythm);
  const entersPerWeek = harvestPerWeek / rhythm.survival;
  const plantsPerBatch = wholeUp((entersPerWeek * rhythm.everyDays) / 7);
  const atOnce = wholeDown(sites / plantsPerBatch);
  return {
    meanWeeks: overZero(sites / entersPerWeek - rhythm.cleaningDays / 7),
    plantsPerBatch,
    batchesAtOnce: atOnce,
    longestDays: atOnce === 0 ? null : overZero(atOnce * rhythm.everyDays - rhythm.cleaningDays),
  };
}

/**
 * Batches that stand in a growing area at the same time: ⌈(days + cleaning) ÷ interval⌉.
 * @param days in the growing area, 0–3640
 * @example batchesAtOnce(32, WEEKLY) // 5
 */
export function batchesAtOnce(days: number, rhythm: Pick<Rhythm, "everyDays" | "cleaningDays">): number {
  requireRange("batchesAtOnce", "days", days, 0, 3640);
  requireRange("batchesAtOnce", "everyDays", rhythm.everyDays, 0.1, 366);
  requireRange("batchesAtOnce", "cleaningDays", rhythm.cleaningDays, 0, 366);
  return Math.max(1, wholeUp((days + rhythm.cleaningDays) / rhythm.everyDays));
}

function requireRhythm(where: string, rhythm: Rhythm) {
  requireFigures(where, rhythm, { everyDays: [0.1, 366], cleaningDays: [0, 366], survival: [0.001, 1] });
}

function overZero(value: number): number | null {
  return value > 1e-9 ? value : null;
}
