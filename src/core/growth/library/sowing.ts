import { weekdayOf, type Day } from "../../units/day";
import { cellsToSow, type CellsToSow } from "../cellsToSow";
import { sowDayFor } from "../sowDay";
import { libraryLengths, type LibraryCrop, type LibraryStage } from "./crop";

export interface LibrarySowing {
  readonly sowDay: Day;
  readonly readyDay: Day;
  /** Days that it is ready before it is wanted. */
  readonly daysEarly: number;
  /** When each stage begins, and the last one ends. */
  readonly boundaries: readonly Day[];
  readonly plants: number;
  readonly sowing: CellsToSow;
  readonly weekday: number;
}

type Sown = Pick<LibraryCrop, "germination" | "seedsPerCell" | "thinTo"> & {
  readonly stages: readonly Pick<LibraryStage, "days" | "survival">[];
};

/** 9 of 10 sowings reach what is wanted. */
export const USUAL_CONFIDENCE = 0.9;

/**
 * When to sow a crop of the library, on any day of the week, and how many cells, so that so many plants are ready on a day.
 *
 * @param wanted the day of the first picking
 * @param plants 1–1 000 000
 * @param latitudeDeg −90 to 90, for the days of its stages
 * @throws RangeError when an argument is outside its range
 * @source sowDayFor; cellsToSow at 90 %
 */
export function librarySowing(crop: Sown, wanted: Day, plants: number, latitudeDeg: number): LibrarySowing {
  const sow = sowDayFor(wanted, libraryLengths(crop, latitudeDeg));
  // No crop of the library takes four years.
  if ("kind" in sow) throw new RangeError("librarySowing: stages take more than four years");
  const { sowDay, boundaries, daysEarly } = sow;
  const sowing = cellsToSow({
    targetPlants: plants,
    germination: crop.germination,
    seedsPerCell: crop.seedsPerCell,
    thinTo: crop.thinTo,
    // What does not come up is the loss of the first stage.
    laterSurvival: crop.stages.slice(1).map(({ survival }) => survival),
    confidence: USUAL_CONFIDENCE,
  });
  // No seed of the library is dead.
  if ("kind" in sowing) throw new RangeError(`librarySowing: germination is ${crop.germination}; it must be over 0`);
  return { sowDay, readyDay: boundaries.at(-1)!, daysEarly, boundaries, plants, sowing, weekday: weekdayOf(sowDay) };
}
