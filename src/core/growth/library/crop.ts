import type { StandKind } from "../../place/kinds";
import { requireEach, requireRange } from "../../units/range";
import type { CropKind } from "../cropKind";
import type { HarvestPattern } from "../harvestPattern";
import type { NotModelled } from "../notModelled";
import type { StageLength } from "../stageDays";

/** Two ends of what is usual. */
export type Band = readonly [from: number, to: number];

/** A stage of a crop of the library. Places and days are worked out for a garden. */
export interface LibraryStage {
  readonly name: "germinate" | "nursery" | "grow";
  /** Days at about 45° of latitude when they are shortest and when they are longest. */
  readonly days: Band;
  readonly survival: number;
  /** Litres a plant drinks on a warm day. */
  readonly needLpd: number;
  readonly kc: number;
  readonly areaPerPlantM2: number;
}

/** A crop that ships with Seed Round, with its whole profile. Prices are everybody's own. */
export interface LibraryCrop {
  readonly name: string;
  readonly family: string;
  readonly kind: CropKind;
  /** Of the common units. */
  readonly unit: string;
  readonly foodSafetySensitive: boolean;
  /** Of tested seed; the middle of `comesUp`. */
  readonly germination: number;
  readonly comesUp: Band;
  readonly seedsPerCell: number;
  readonly thinTo: number;
  readonly pelleted: boolean;
  readonly seedsPerG: number;
  readonly depthM: number;
  readonly germinatesIn: "either" | "light" | "dark";
  readonly soakH: number;
  readonly pattern: HarvestPattern;
  readonly tray: {
    readonly kind: "weight";
    readonly seedGPerTray: number;
    readonly yieldRatio: number;
    readonly germinationOfRatio: number;
    readonly blackoutDays: number;
    readonly lightDays: number;
  } | null;
  readonly suits: readonly StandKind[];
  readonly suitsNot: readonly StandKind[];
  readonly ecMsPerCm: Band;
  readonly ph: Band;
  readonly solutionC: Band;
  readonly airC: readonly [base: number, optimum: number, ceiling: number];
  readonly lightMolPerM2Day: number;
  /** What its days leave out. */
  readonly notModelled: readonly NotModelled[];
  readonly stages: readonly LibraryStage[];
  /** Where the crop coefficients are from. */
  readonly kcFrom: "fao-56" | "common-practice";
}

/** Latitude that the days of the library are for. */
const DAYS_AT_DEG = 45;
/** Past it the year swings no more than this much. */
const MOST_SWING = 1.2;

/**
 * Days of a stage by month: least at midsummer, most at midwinter, as a cosine of the year. South of the equator the year
 * turns; nearer to it the days differ less.
 *
 * @param days least and most at about 45°
 * @param latitudeDeg −90 to 90, north positive
 * @returns twelve numbers, January first, in half days
 * @throws RangeError when an argument is outside its range
 * @source common practice: growth follows the light of the month; the cosine is ours
 */
export function daysByMonthAt(days: Band, latitudeDeg: number): number[] {
  requireEach("daysByMonthAt", "days", days, 0.5, 400);
  requireRange("daysByMonthAt", "latitudeDeg", latitudeDeg, -90, 90);
  const swing = Math.min(MOST_SWING, Math.abs(latitudeDeg) / DAYS_AT_DEG);
  return Array.from({ length: 12 }, (_, month) => {
    const winter = (1 + Math.cos((2 * Math.PI * (latitudeDeg < 0 ? month - 6 : month)) / 12)) / 2;
    // At the equator every month is the mean of both.
    const share = 0.5 + (winter - 0.5) * swing;
    return Math.max(0.5, Math.round((days[0] + (days[1] - days[0]) * share) * 2) / 2);
  });
}

/** How long the stages of a crop of the library take at a latitude. */
export function libraryLengths(
  { stages }: { readonly stages: readonly Pick<LibraryStage, "days">[] },
  latitudeDeg: number,
): StageLength[] {
  return stages.map(({ days }) => ({ daysByMonth: daysByMonthAt(days, latitudeDeg) }));
}

/** Days from sowing to the first picking, when they are least and when they are most. */
export function daysToReady({ stages }: Pick<LibraryCrop, "stages">): Band {
  const sum = (end: 0 | 1) =>
    stages.reduce((total, { days }) => total + requireRange("daysToReady", "days", days[end], 0, 400), 0);
  return [sum(0), sum(1)];
}
