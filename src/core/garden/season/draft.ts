import { cellsFor } from "../../batches/cellsFor";
import type { SeasonPlan } from "../../batches/season/problem";
import type { PlanVariety } from "../../batches/types";
import type { Day } from "../../units/day";
import type { Changes, Row, Tables } from "../changes";
import { newRow, removedRows } from "../edit";
import { BATCH } from "../entities/batches";
import type { Worked } from "../worked";
import { isOpenBatch, type GardenSeason } from "./seasonProblem";
import type { SowingOption } from "./sowingOptions";

/** A batch of a solved plan. */
export interface DraftBatch {
  /** Of one that is there already; a new one has an id below 0. */
  readonly id: number;
  /** Its place among the sowings of the season. */
  readonly sowing: number;
  readonly varietyId: number;
  readonly sowDay: Day;
  readonly cells: number;
  readonly targetPlants: number;
}

/**
 * The batches that a solved plan sows within the days planned. Batches that are there already are taken where day and variety
 * are the same, so that what does not change is not touched.
 */
export function draftBatches({ garden, input }: Worked, season: GardenSeason, plan: SeasonPlan): DraftBatch[] {
  const { sowings, from, days } = season;
  const varieties = new Map(input.varieties.map((variety) => [variety.id, variety]));
  const open = garden.batches.filter((batch) => isOpenBatch(batch, season));
  const free = new Set(open.map(({ id }) => id));
  const taken = unitsTaken(season, plan);
  let fresh = 0;
  const drafts = sowings.flatMap((one, sowing): DraftBatch[] => {
    if ("batchId" in one || plan.units[sowing]! < 0.5 || one.sowDay >= from + days) return [];
    const { varietyId, sowDay } = one;
    const variety = varieties.get(varietyId)!;
    const targetPlants = plantsFor(one, plan.units[sowing]!, taken[sowing]!, variety);
    const same = open.filter((batch) => free.has(batch.id) && batch.varietyId === varietyId && batch.sowDay === sowDay);
    const old = same.find((batch) => batch.targetPlants === targetPlants) ?? same[0];
    const cells = old?.targetPlants === targetPlants ? old.cells : cellsOf(season, variety, targetPlants);
    if (cells === null) return [];
    if (old) free.delete(old.id);
    return [{ id: old?.id ?? --fresh, sowing, varietyId, sowDay, cells, targetPlants }];
  });
  return drafts.sort((a, b) => a.sowDay - b.sowDay || a.varietyId - b.varietyId);
}

/** Cells for so many plants at the season's confidence; null where none or no seed gives them. */
export function cellsOf({ settings }: GardenSeason, variety: PlanVariety, plants: number): number | null {
  const cells = plants < 1 ? "never" : cellsFor(variety, plants, settings.confidence);
  return cells === "never" ? null : Math.max(cells, plants);
}

/** Units that orders take of each lot of each sowing. */
function unitsTaken({ problem }: GardenSeason, { given }: SeasonPlan): number[][] {
  const taken = problem.sowings.map(({ lots }) => lots.map(() => 0));
  for (const { sowing, lot, units } of given) taken[sowing]![lot]! += units;
  return taken;
}

/**
 * Plants of a batch: the fewest that give what is taken of its only lot, in whole units where they are sold whole. Of one that
 * is taken again and again all that were solved for: parts of a unit of every lot would make it larger than there is room for.
 */
function plantsFor({ sowing }: SowingOption, units: number, taken: readonly number[], { unit }: PlanVariety): number {
  const [lot, ...more] = sowing.lots;
  if (!lot || more.length > 0) return Math.round(units);
  const wanted = unit.divisible ? taken[0]! : Math.ceil(taken[0]! - 1e-4);
  return Math.min(sowing.most, Math.ceil(wanted / lot.units - 1e-6));
}

/** What leads from the plan as it is to the drafted one. */
export function draftChanges(
  tables: Tables,
  { garden }: Worked,
  season: GardenSeason,
  drafts: readonly DraftBatch[],
): Changes {
  const kept = new Set(drafts.map(({ id }) => id));
  const gone = garden.batches.filter((batch) => isOpenBatch(batch, season) && !kept.has(batch.id));
  const removed = removedRows(
    tables,
    BATCH,
    gone.map(({ id }) => id),
  );
  const added: Record<number, Row> = {};
  const updated: Record<number, Record<string, readonly [number, number]>> = {};
  for (const { id, varietyId, sowDay, cells, targetPlants } of drafts) {
    if (id < 0) {
      added[id] = newRow(tables, BATCH, id, { varietyId, sowDay, cells, targetPlants });
      continue;
    }
    const row = tables.batch![id]!;
    const fields = Object.entries({ cells, targetPlants }).filter(([name, value]) => row[name] !== value);
    if (fields.length > 0)
      updated[id] = Object.fromEntries(fields.map(([name, value]) => [name, [Number(row[name]), value] as const]));
  }
  return { ...removed, batch: { added, updated, removed: removed.batch?.removed ?? {} } };
}
