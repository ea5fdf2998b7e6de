import type { Changes, Row, Tables } from "./changes";
import { newRow, removedRows } from "./edit";
import { BATCH, BATCH_STAGE } from "./entities/batches";

/** Why a batch is not split or joined. */
export type SplitRefusal =
  | { readonly kind: "batch-gone" }
  | { readonly kind: "split-all"; readonly plants: number }
  | { readonly kind: "join-apart" };

const NEW_BATCH = -1;

/**
 * Takes plants of a batch off into one of its own, which has been sown, moved and counted as the first was. Cells and plants
 * of every stage are shared in the same proportion, in whole ones.
 *
 * @param plants wanted at the end of the new batch
 */
export function splitBatch(tables: Tables, id: number, plants: number): Changes | SplitRefusal {
  const batch = tables.batch?.[id];
  if (!batch) return { kind: "batch-gone" };
  const [cells, target] = [Number(batch.cells), Number(batch.targetPlants)];
  const left = target - plants;
  if (left < 1) return { kind: "split-all", plants: target };
  const ownCells = Math.min(cells - left, Math.max(plants, Math.round((cells * plants) / target)));
  const { id: _id, typed: _typed, ...fields } = batch;
  const added = newRow(tables, BATCH, NEW_BATCH, { ...fields, cells: ownCells, targetPlants: plants });
  const stages = Object.values(tables.batch_stage ?? {}).filter(({ batchId }) => batchId === id);
  const shares = stages.map((stage) => {
    const all = Number(stage.plants);
    return { stage, all, own: Math.min(all, Math.round((all * plants) / target)) };
  });
  return {
    batch: {
      added: { [NEW_BATCH]: added },
      removed: {},
      updated: { [id]: { cells: [cells, cells - ownCells], targetPlants: [target, left] } },
    },
    ...(stages.length > 0 && {
      batch_stage: {
        added: Object.fromEntries(
          shares.map(({ stage: { id: _, typed: __, logId: ___, ...own }, own: count }, at) => [
            NEW_BATCH - 1 - at,
            newRow(tables, BATCH_STAGE, NEW_BATCH - 1 - at, { ...own, batchId: NEW_BATCH, plants: count }),
          ]),
        ),
        removed: {},
        updated: Object.fromEntries(
          shares.flatMap(({ stage, all, own }) =>
            own > 0 ? [[Number(stage.id), { plants: [all, all - own] as const }] as const] : [],
          ),
        ),
      },
    }),
  };
}

/** Puts two batches of a variety that are not sown yet into one, sown when the first was to be. */
export function joinBatches(tables: Tables, into: number, from: number): Changes | SplitRefusal {
  const [one, other] = [tables.batch?.[into], tables.batch?.[from]];
  if (!one || !other) return { kind: "batch-gone" };
  const isSown = Object.values(tables.batch_stage ?? {}).some(({ batchId }) => batchId === into || batchId === from);
  if (into === from || isSown || one.varietyId !== other.varietyId) return { kind: "join-apart" };
  const sum = (field: string): readonly [number, number] => [
    Number(one[field]),
    Number(one[field]) + Number(other[field]),
  ];
  const sowDay = Math.min(Number(one.sowDay), Number(other.sowDay));
  const fields: Record<string, readonly [number, number]> = {
    ...{ cells: sum("cells"), targetPlants: sum("targetPlants") },
    ...(sowDay !== one.sowDay && { sowDay: [Number(one.sowDay), sowDay] as const }),
  };
  const gone = removedRows(tables, BATCH, [from]);
  const own = Object.entries(tables.batch_place ?? {}).filter(([, { batchId }]) => batchId === into);
  return {
    ...gone,
    batch: { ...gone.batch!, updated: { [into]: fields } },
    // The places were for fewer plants: they are worked out again.
    ...(own.length > 0 && {
      batch_place: {
        ...{ added: {}, updated: {} },
        removed: { ...gone.batch_place?.removed, ...(Object.fromEntries(own) as Readonly<Record<number, Row>>) },
      },
    }),
  };
}
