import { cellsFor } from "@/core/batches/cellsFor";
import type { PlanInput, PlanVariety } from "@/core/batches/types";
import { sowDayFor } from "@/core/growth/sowDay";
import { stageBoundaries, stallOf } from "@/core/growth/stageDays";
import { unfitting, type Overfull, type WishedBatch } from "@/core/batches/unfitting";
import type { Day } from "@/core/units/day";

/** A batch as it would be added, and how long before it is wanted it would be ready. */
export interface Draft extends WishedBatch {
  readonly daysEarly: number;
}

/** The chance with which a batch reaches its plants. */
export const CONFIDENCE = 0.9;
export const CANNOT =
  "This cannot be worked out with the figures of the crop: look at its stages, germination and year under Growth.";

/** What of them does not fit; nothing where the figures of the plan do not allow it to be worked out. */
export function tryUnfitting(input: PlanInput, drafts: readonly Draft[]): Overfull[] {
  try {
    return unfitting(input, drafts);
  } catch {
    return [];
  }
}

export interface Series {
  readonly from: "wanted" | "sow";
  readonly day: Day;
  readonly plants: number;
  readonly count: number;
  readonly step: number;
  readonly sowWeekdays: readonly number[];
}

/** The batches of a series; null when the crop's figures do not allow them to be worked out. */
export function tryDrafts(
  variety: PlanVariety,
  { from, day, plants, count, step, sowWeekdays }: Series,
): Draft[] | null {
  const { stages } = variety;
  const cells = cellsFor(variety, plants, CONFIDENCE);
  if (cells === "never") return null;
  try {
    const drafts: Draft[] = [];
    for (let index = 0; index < count; index++) {
      const on = day + index * step;
      const back = from === "wanted" ? sowDayFor(on, stages, sowWeekdays) : null;
      if (back && "kind" in back) return null;
      const sowDay = back?.sowDay ?? on;
      const boundaries = stageBoundaries(sowDay, stages);
      if (stallOf(boundaries, stages)) return null;
      const readyDay = boundaries.at(-1)!;
      const daysEarly = back?.daysEarly ?? 0;
      drafts.push({ varietyId: variety.id, sowDay, readyDay, daysEarly, targetPlants: plants, cells });
    }
    return drafts;
  } catch {
    return null;
  }
}
