import { stageBoundaries, type StageLength } from "../../growth/stageDays";
import { requireDay, type Day } from "../../units/day";
import { requireWhole } from "../../units/range";
import type { Row, Tables } from "../changes";
import { newRow } from "../edit";
import { BATCH_STAGE } from "../entities/batches";

/** A stage that a batch in the ground has reached by today. */
export interface Reached {
  readonly position: number;
  readonly day: Day;
  readonly plants: number;
}

/**
 * The stages that a batch sown before today has reached by the days of its crop, with its plants: cells until they are up,
 * then so many as were told, or as come through.
 *
 * @param cells 1–1 000 000
 * @param plants that there are now in the present stage
 * @throws RangeError when a count or a day is outside its range
 * @source stageBoundaries
 */
export function stagesReached(
  stages: readonly StageLength[],
  sowDay: Day,
  cells: number,
  plants: number,
  today: Day,
): Reached[] {
  requireDay("stagesReached", "sowDay", sowDay);
  requireDay("stagesReached", "today", today);
  requireWhole("stagesReached", "cells", cells, 1, 1_000_000);
  requireWhole("stagesReached", "plants", plants, 0, 1_000_000);
  const boundaries = stageBoundaries(sowDay, stages);
  return stages.flatMap((_, position) => {
    const day = boundaries[position]!;
    if (day > today || (position === 0 && sowDay > today)) return [];
    return [{ position, day, plants: position === 0 ? cells : Math.min(plants, cells) }];
  });
}

/** The rows of such stages. @param firstId under 0; each further one counts down */
export function reachedRows(tables: Tables, batchId: number, reached: readonly Reached[], firstId: number): Row[] {
  return reached.map(({ position, day, plants }, index) =>
    newRow(tables, BATCH_STAGE, firstId - index, { batchId, position, day, plants }),
  );
}
