import { plantsByStage } from "../../batches/timeline";
import { cellsFor } from "../../batches/cellsFor";
import { RECIPE_LIBRARY } from "../../feed/library";
import type { LibraryCrop } from "../../growth/library/crop";
import { CROP_LIBRARY } from "../../growth/library/crops";
import { requireDay, type Day } from "../../units/day";
import { apply, between, settle, type Changes, type Json, type Row, type Table, type Tables } from "../changes";
import { newRow } from "../edit";
import { RULES } from "../entities";
import { BATCH, CUSTOMER, ORDER } from "../entities/batches";
import type { Entity } from "../entities/field";
import { CLIMATE } from "../entities/place";
import { SOURCE, STORE } from "../entities/water";
import type { Variety } from "../garden";
import { gardenOf } from "../gardenOf";
import { addCrop, LIBRARY_ID } from "../setup/addCrop";
import type { SolveProgram } from "../../numeric/solveProgram";
import type { OpenProgram } from "../../numeric/warmProgram";
import { firstAmounts } from "../recipeAmounts";
import { addRecipe, RECIPE_ID } from "../setup/addRecipe";
import { reachedRows, stagesReached } from "../setup/alreadyGrowing";
import { seasonAsPlanned } from "../season/asPlanned";
import { setUp } from "../setup/setUp";
import type { ExampleCrop, ExampleGarden } from "./example";

/** Weeks that orders of an example run, from before today on. */
const ORDER_WEEKS_BEFORE = 0;
const ORDER_WEEKS = 30;
/** Sowing for its orders began so long ago: whatever is picked first was sown then. */
const BEGUN_DAYS_AGO = 180;
const CONFIDENCE = 0.9;
const BAG_G = 25_000;
/** New rows are numbered from here while they are put together, clear of what a garden has. */
const FIRST_ID = 1_000_000_000;

/**
 * All rows of an example garden, laid for today: its place and water, its crops, orders, and batches sown so that every
 * order can be met, those that would stand by now in the ground.
 *
 * @param tables what the new garden has already: salts and units
 * @returns changes with new ids under 0
 * @param solvers of the recipe and of the season
 * @throws RangeError for a day that is none
 */
export function exampleChanges(
  tables: Tables,
  example: ExampleGarden,
  today: Day,
  { solve, open }: ExampleSolvers,
): Changes {
  requireDay("exampleChanges", "today", today);
  let all = tables;
  let next = FIRST_ID;
  const add = (changes: Changes): ReadonlyMap<number, number> => {
    const ids = new Map<number, number>();
    for (const { added } of Object.values(changes))
      for (const id of Object.keys(added).map(Number)) if (id < 0) ids.set(id, next++);
    all = apply(all, settle(changes, ids, RULES));
    return ids;
  };
  const addRow = (entity: Entity, row: Row): number => add(only(entity.table, [newRow(all, entity, -1, row)])).get(-1)!;

  add(setUp(all, example.setup).changes);
  const sourceId = addRow(SOURCE, example.source);
  if (example.store) addRow(STORE, { ...example.store, readOn: today - 1 });
  const recipe = RECIPE_LIBRARY.find(({ name }) => name === example.recipe);
  const recipeId = recipe ? add(addRecipe(all, recipe)).get(RECIPE_ID)! : null;
  all = { ...all, salt: onShelf(all, recipeId, example.shelfG ?? BAG_G) };
  for (const [id, loop] of Object.entries(all.loop ?? {})) {
    const changed = { ...loop, sourceId, recipeId, ...example.loop };
    all = { ...all, loop: { ...all.loop, [id]: changed } };
  }
  all = apply(all, firstAmounts(all, solve));
  const varietyIds = new Map<string, number>();
  for (const { library, own, days } of example.crops) {
    const shipped = withDays(
      CROP_LIBRARY.find(({ name }) => name === library)!,
      days,
    );
    const id = add(addCrop(all, shipped, example.latitudeDeg)).get(LIBRARY_ID)!;
    varietyIds.set(library, id);
    if (own) all = { ...all, variety: { ...all.variety, [id]: { ...all.variety![id]!, ...own } } };
  }
  const from = today - ORDER_WEEKS_BEFORE * 7;
  for (const name of new Set(example.orders.map(({ customer }) => customer))) {
    const customerId = addRow(CUSTOMER, { name });
    for (const order of example.orders.filter(({ customer }) => customer === name))
      for (const weekday of order.weekdays)
        addRow(ORDER, {
          customerId,
          varietyId: varietyIds.get(order.crop)!,
          weekday,
          quantity: order.quantity,
          from,
          to: from + ORDER_WEEKS * 7,
        });
  }
  addRow(CLIMATE, example.climate);
  const site = { latitudeDeg: example.latitudeDeg };
  const garden = gardenOf(all, site);
  for (const { library, growing } of example.crops)
    if (growing) {
      const variety = garden.varieties.find(({ id }) => id === varietyIds.get(library))!;
      addStanding(variety, growing, today, all, add);
    }
  const sown = seasonAsPlanned(all, site, {
    ...{ plannedOn: today - BEGUN_DAYS_AGO, today, days: BEGUN_DAYS_AGO + ORDER_WEEKS * 7 + 1 },
    ...{ sowWeekdays: example.sowWeekdays, open },
  });
  add(stillThere(sown));
  return underZero(tables, all);
}

/** Batches that are over by now are of no interest in a garden that is just opened. */
function stillThere(sown: Changes): Changes {
  const isOver = (batchId: Json | undefined) => sown.batch?.added[Number(batchId)]?.clearedDay != null;
  return Object.fromEntries(
    Object.entries(sown).map(([table, { added, ...rest }]) => [
      table,
      {
        ...rest,
        added: Object.fromEntries(
          Object.entries(added).filter(([, row]) => !isOver(table === "batch" ? row.id : row.batchId)),
        ),
      },
    ]),
  );
}

/** A bag of every salt of the recipe on the shelf, and a jar of each micronutrient. */
function onShelf(tables: Tables, recipeId: number | null, onHandG: number): Table {
  const used = new Set(
    Object.values(tables.recipe_salt ?? {})
      .filter((part) => part.recipeId === recipeId)
      .map(({ saltId }) => Number(saltId)),
  );
  return Object.fromEntries(
    Object.entries(tables.salt ?? {}).map(([id, salt]) => [id, used.has(Number(id)) ? { ...salt, onHandG } : salt]),
  );
}

function withDays(crop: LibraryCrop, days: ExampleCrop["days"]): LibraryCrop {
  if (!days) return crop;
  const stages = crop.stages.flatMap((stage) => (days[stage.name] ? [{ ...stage, days: days[stage.name]! }] : []));
  return { ...crop, stages };
}

/** What an example is worked out with. */
export interface ExampleSolvers {
  readonly solve: SolveProgram;
  readonly open: OpenProgram;
}

interface Sown {
  readonly sowDay: Day;
  readonly cells: number;
  readonly targetPlants: number;
}

/** Plants that stand there: picked on and on, and replaced from time to time. */
function addStanding(
  variety: Variety,
  { plants, daysOld }: { readonly plants: number; readonly daysOld: number },
  today: Day,
  all: Tables,
  add: (changes: Changes) => unknown,
) {
  addBatch(
    variety,
    { sowDay: today - daysOld, cells: cellsOf(variety, plants), targetPlants: plants },
    today,
    all,
    add,
  );
}

const cellsOf = (variety: Variety, plants: number) => Math.max(plants, Number(cellsFor(variety, plants, CONFIDENCE)));

function addBatch(
  variety: Variety,
  { sowDay, cells, targetPlants }: Sown,
  today: Day,
  all: Tables,
  add: (changes: Changes) => unknown,
) {
  const row = newRow(all, BATCH, -1, { varietyId: variety.id, sowDay, cells, targetPlants });
  const counts = plantsByStage({ cells, targetPlants }, variety);
  const reached =
    sowDay < today
      ? stagesReached(variety.stages, sowDay, cells, targetPlants, today - 1).map((one) => ({
          ...one,
          plants: one.position === 0 ? cells : counts[one.position]!,
        }))
      : [];
  add({ ...only("batch", [row]), ...only("batch_stage", reachedRows(all, -1, reached, -2)) });
}

const only = (table: string, rows: readonly Row[]): Changes =>
  rows.length === 0
    ? {}
    : { [table]: { added: Object.fromEntries(rows.map((row) => [Number(row.id), row])), removed: {}, updated: {} } };

/** What is new, under ids below 0, as a browser would send it. */
function underZero(before: Tables, after: Tables): Changes {
  const changes = between(before, after);
  const ids = new Map<number, number>();
  for (const { added } of Object.values(changes))
    for (const id of Object.keys(added).map(Number)) ids.set(id, FIRST_ID - 1 - id);
  return settle(changes, ids, RULES);
}
