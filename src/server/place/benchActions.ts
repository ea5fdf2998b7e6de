"use server";
import { isoFromDay } from "@/core/units/day";
import { type Db, maybeOne, NotFoundError, run } from "../db/pool";
import { refuseStale, removeRow, saveRow } from "../db/save";
import { askFor } from "../jobs/job";
import { wakeRunner } from "../jobs/wake";
import { RefusedError } from "../session/refusal";
import { command } from "../session/command";
import type { Session } from "../session/session";
import { barsOf, cutLists, offcuts, type CutListRow, type Offcut } from "./benchQueries";
import {
  assemblyRemovalSchema,
  assemblySchema,
  cutListVersionSchema,
  cutListSchema,
  materialSchema,
  offcutSchema,
  spareSchema,
  type CutListInput,
} from "./benchSchema";
import { removeSchema } from "./schema";

export const saveCutList = command("plan", cutListSchema, async (db, list, who) => {
  if (list.objective === "money" && list.stocks.some(({ price }) => price <= 0))
    throw new RefusedError({ room: "place", kind: "prices-missing" }, "objective");
  refuseWhatNoBarGives(list, await offcuts(db, who.gardenId));
  return saveRow(
    db,
    "cut_list",
    who.gardenId,
    list.id,
    {
      name: list.name,
      material: list.material,
      saw_cut_mm: list.sawCutMm,
      trim_mm: list.trimMm,
      least_offcut_mm: list.leastOffcutMm,
      objective: list.objective,
      uses_offcuts: list.usesOffcuts,
      stocks: JSON.stringify(list.stocks),
      pieces: JSON.stringify(list.pieces),
      // A plan is for the list as it was; a list that is cut again is no longer done.
      plan: null,
      cut_on: null,
    },
    list.version,
  );
});

/** Begins once the answer is on its way: what was asked for must have been kept by then. */
const SOON_MS = 30;

/** Plans a list as it stands in a version, as heavy work. @returns the job's id */
export const planCuts = command("plan", cutListVersionSchema, async (db, { id, version }, who) => {
  if (!(await cutLists(db, who.gardenId)).some((list) => list.id === id)) throw new NotFoundError("cut-list");
  await refuseStale(db, "cut_list", { garden_id: who.gardenId, id }, version);
  const job = await askFor(db, who, "cut-list", { id, version });
  setTimeout(wakeRunner, SOON_MS);
  return job;
});

/** A piece longer than every bar, on sale or on the shelf, is refused before anything is saved. */
function refuseWhatNoBarGives(list: CutListInput, shelf: readonly Offcut[]): void {
  const bars = barsOf(list, shelf);
  if (bars.length === 0) throw new RefusedError({ room: "place", kind: "no-bars" }, "stocks");
  const longest = Math.max(...bars.map(({ lengthMm, onHand }) => lengthMm - (onHand === null ? 2 * list.trimMm : 0)));
  const tooLong = list.pieces.find((piece) => piece.lengthMm > longest + 1e-6);
  if (tooLong)
    throw new RefusedError(
      {
        room: "place",
        kind: "piece-too-long",
        lengthMm: tooLong.lengthMm,
        longestMm: longest,
        shelf: bars.some(({ onHand }) => onHand !== null),
      },
      "pieces",
    );
}

export const removeCutList = command("plan", removeSchema, (db, { id }, who) =>
  removeRow(db, "cut_list", who.gardenId, id),
);

export const saveAssembly = command("plan", assemblySchema, async (db, { listId, version, index, assembly }, who) => {
  const list = await opened(db, listId, version, who);
  const assemblies =
    index === null ? [...list.assemblies, assembly] : list.assemblies.map((one, at) => (at === index ? assembly : one));
  return saveRow(db, "cut_list", who.gardenId, listId, { assemblies: JSON.stringify(assemblies) });
});

export const removeAssembly = command("plan", assemblyRemovalSchema, async (db, { listId, version, index }, who) => {
  const list = await opened(db, listId, version, who);
  const assemblies = list.assemblies.filter((_, at) => at !== index);
  await saveRow(db, "cut_list", who.gardenId, listId, { assemblies: JSON.stringify(assemblies) });
});

/** Once a list is cut: what lay on the shelf and was used goes, what is left over and worth keeping comes. */
export const cutDone = command("plan", cutListVersionSchema, async (db, { id, version }, who) => {
  const list = await opened(db, id, version, who);
  if (!list.plan) throw new RefusedError({ room: "place", kind: "no-cut-plan" });
  for (const [lengthMm, used] of counted(list.plan.bars.filter(({ onHand }) => onHand).map(({ stockMm }) => stockMm))) {
    const row = await maybeOne<{ id: number; count: number }>(
      db,
      "select id, count from offcut where garden_id = $1 and material = $2 and length_mm = $3 for update",
      [who.gardenId, list.material, lengthMm],
    );
    if (!row || row.count < used)
      throw new RefusedError(
        { room: "place", kind: "shelf-short", lengthMm, used, there: row?.count ?? 0 },
        undefined,
        409,
      );
    if (row.count === used) await removeRow(db, "offcut", who.gardenId, row.id);
    else await saveRow(db, "offcut", who.gardenId, row.id, { count: row.count - used });
  }
  const kept = list.plan.bars
    .map(({ offcutMm }) => Math.floor(offcutMm))
    .filter((mm) => mm >= Math.max(1, list.leastOffcutMm));
  for (const [lengthMm, count] of counted(kept)) await addOffcuts(db, who, list.material, lengthMm, count);
  await saveRow(db, "cut_list", who.gardenId, id, { cut_on: isoFromDay(who.today) });
  return kept.length;
});

export const saveOffcut = command("plan", offcutSchema, (db, { id, version, material, lengthMm, count }, who) =>
  id === null
    ? addOffcuts(db, who, material, lengthMm, count)
    : saveRow(db, "offcut", who.gardenId, id, { material, length_mm: lengthMm, count }, version),
);

export const removeOffcut = command("plan", removeSchema, (db, { id }, who) =>
  removeRow(db, "offcut", who.gardenId, id),
);

/** What is on the shelf of a thing, and its price; one row for each thing. */
export const saveMaterial = command("plan", materialSchema, async (db, { id, onHand, priceEach }, who) => {
  const row = await maybeOne<{ id: number }>(db, "select id from material where garden_id = $1 and item = $2", [
    who.gardenId,
    id,
  ]);
  return saveRow(db, "material", who.gardenId, row?.id ?? null, { item: id, on_hand: onHand, price_each: priceEach });
});

export const saveSpare = command("plan", spareSchema, async (db, { spareShare }, who) => {
  await run(db, "update garden set spare_share = $2 where id = $1", [who.gardenId, spareShare]);
});

async function addOffcuts(db: Db, who: Session, material: string, lengthMm: number, count: number): Promise<number> {
  const row = await maybeOne<{ id: number; count: number }>(
    db,
    "select id, count from offcut where garden_id = $1 and material = $2 and length_mm = $3 for update",
    [who.gardenId, material, lengthMm],
  );
  return saveRow(db, "offcut", who.gardenId, row?.id ?? null, {
    material,
    length_mm: lengthMm,
    count: (row?.count ?? 0) + count,
  });
}

async function opened(db: Db, id: number, version: number, who: Session): Promise<CutListRow> {
  await refuseStale(db, "cut_list", { garden_id: who.gardenId, id }, version);
  const list = (await cutLists(db, who.gardenId)).find((one) => one.id === id);
  if (!list) throw new NotFoundError("cut-list");
  return list;
}

function counted(values: readonly number[]): Map<number, number> {
  const counts = new Map<number, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return counts;
}
