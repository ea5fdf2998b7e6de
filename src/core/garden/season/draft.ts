import { cellsFor } from "../../batches/cellsFor";
import type { SeasonPlan } from "../../batches/season/problem";
import type { PlanVariety } from "../../batches/types";
import { eachLot } from "../../growth/harvestPattern";
import type { Day } from "../../units/day";
import type { Changes, Row, Tables } from "../changes";
import { newRow, removedRows } from "../edit";
import { BATCH } from "../entities/batches";
import type { Worked } from "../worked";
import { isOpenBatch, type GardenSeason } from "./seasonProblem";
import type { SowingOption } from "./sowingOptions";

/** A batch of a solved plan: one that is there already, or a new one. */
export interface DraftBatch {
  readonly id: number | null;
  readonly varietyId: number;
  readonly sowDay: Day;
  readonly cells: number;
  readonly targetPlants: number;
}

/**
 * The batches that a solved plan sows within the days planned. Batches that are there already are taken where day and variety
 * are the same, so that what does not change is not touched.
 */
export function draftBatches(worked: Worked, season: GardenSeason, plan: SeasonPlan): DraftBatch[] {
  const { sowings, from, days, settings } = season;
  const varieties = new Map(worked.input.varieties.map((variety) => [variety.id, variety]));
  const open = worked.garden.batches.filter((batch) => isOpenBatch(batch, season));
  const free = new Set(open.map(({ id }) => id));
  const drafts: DraftBatch[] = [];
  const taken = unitsTaken(season, plan);
  sowings.forEach((one, at) => {
    if ("batchId" in one || plan.units[at]! < 0.5 || one.sowDay >= from + days) return;
    const { varietyId, sowDay } = one;
    const targetPlants = plantsFor(one, taken[at]!, varieties.get(varietyId)!);
    if (targetPlants < 1) return;
    const same = open.filter((batch) => free.has(batch.id) && batch.varietyId === varietyId && batch.sowDay === sowDay);
    const old = same.find((batch) => batch.targetPlants === targetPlants) ?? same[0];
    if (old) free.delete(old.id);
    const cells =
      old?.targetPlants === targetPlants
        ? old.cells
        : cellsFor(varieties.get(varietyId)!, targetPlants, settings.confidence);
    if (cells !== "never")
      drafts.push({ id: old?.id ?? null, varietyId, sowDay, cells: Math.max(cells, targetPlants), targetPlants });
  });
  return drafts.sort((a, b) => a.sowDay - b.sowDay || a.varietyId - b.varietyId);
}

/** Units that orders take of each lot of each sowing. */
function unitsTaken({ problem }: GardenSeason, { given }: SeasonPlan): number[][] {
  const taken = problem.sowings.map(({ lots }) => lots.map(() => 0));
  for (const { sowing, lot, units } of given) taken[sowing]![lot]! += units;
  return taken;
}

/** The fewest plants that give what is taken of each lot, in whole units where they are sold whole. */
function plantsFor(
  { sowing, readyDay }: SowingOption,
  taken: readonly number[],
  { unit, pattern }: PlanVariety,
): number {
  let [plants, at] = [0, 0];
  eachLot(pattern, readyDay, 1, (_, __, units) => {
    const wanted = unit.divisible ? taken[at]! : Math.ceil(taken[at]! - 1e-4);
    if (units > 0) plants = Math.max(plants, Math.ceil(wanted / units - 1e-6));
    at += 1;
  });
  return Math.min(plants, sowing.most);
}

/** What leads from the plan as it is to the drafted one; new batches under ids from −1 down. */
export function draftChanges(
  tables: Tables,
  worked: Worked,
  season: GardenSeason,
  drafts: readonly DraftBatch[],
): Changes {
  const kept = new Set(drafts.map(({ id }) => id));
  const gone = worked.garden.batches.filter((batch) => isOpenBatch(batch, season) && !kept.has(batch.id));
  const removed = removedRows(
    tables,
    BATCH,
    gone.map(({ id }) => id),
  );
  const added: Record<number, Row> = {};
  const updated: Record<number, Record<string, readonly [number, number]>> = {};
  let next = 0;
  for (const { id, ...draft } of drafts) {
    if (id === null) {
      next -= 1;
      added[next] = newRow(tables, BATCH, next, { ...draft });
      continue;
    }
    const row = tables.batch![id]!;
    const fields = (["cells", "targetPlants"] as const).filter((name) => row[name] !== draft[name]);
    if (fields.length > 0)
      updated[id] = Object.fromEntries(fields.map((name) => [name, [Number(row[name]), draft[name]] as const]));
  }
  return { ...removed, batch: { added, updated, removed: removed.batch?.removed ?? {} } };
}
