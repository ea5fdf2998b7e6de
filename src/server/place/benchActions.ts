"use server";
import { isoFromDay } from "@/core/units/day";
import { many, maybeOne, NotFoundError, type Db } from "../db/pool";
import { refuseStale, removeRow, saveRow } from "../db/save";
import { command, RefusedError } from "../session/command";
import type { Session } from "../session/session";
import { barsOf, cutLists, offcuts, type CutListRow, type Offcut } from "./benchQueries";
import { assemblyRemovalSchema, assemblySchema, cutListVersionSchema, cutListSchema, materialSchema, offcutSchema, spareSchema, type CutListInput } from "./benchSchema"; // prettier-ignore
import { removeSchema } from "./schema";

export const saveCutList = command("plan", cutListSchema, async (db, list, who) => {
  if (list.objective === "money" && list.stocks.some(({ price }) => price <= 0))
    throw new RefusedError("For the least money every length on sale needs its price.", "objective");
  refuseWhatNoBarGives(list, await offcuts(db, who.gardenId));
  return saveRow(
    db,
    "cut_list",
    who.gardenId,
    list.id,
    {
      name: list.name,
      material: list.material,
      kerf_mm: list.kerfMm,
      trim_mm: list.trimMm,
      least_offcut_mm: list.leastOffcutMm,
      objective: list.objective,
      uses_offcuts: list.usesOffcuts,
      stocks: JSON.stringify(list.stocks),
      pieces: JSON.stringify(list.pieces),
      // A plan is for the list as it was; a list that is cut anew is no longer done.
      plan: null,
      cut_on: null,
    },
    list.version,
  );
});

/** A piece longer than every bar, on sale or on the shelf, is told before anything is kept. */
function refuseWhatNoBarGives(list: CutListInput, shelf: readonly Offcut[]): void {
  const bars = barsOf(list, shelf);
  if (bars.length === 0) throw new RefusedError("Give at least one length on sale, or put bars of this material on the shelf.", "stocks"); // prettier-ignore
  const longest = Math.max(...bars.map(({ lengthMm, onHand }) => lengthMm - (onHand === null ? 2 * list.trimMm : 0)));
  const tooLong = list.pieces.find((piece) => piece.lengthMm > longest + 1e-6);
  if (tooLong) throw new RefusedError(`A piece of ${tooLong.lengthMm} mm is longer than any bar ${bars.some(({ onHand }) => onHand !== null) ? "on sale or on the shelf" : "on sale"} gives (${longest} mm)`, "pieces"); // prettier-ignore
}

export const removeCutList = command("plan", removeSchema, (db, { id }, who) => removeRow(db, "cut_list", who.gardenId, id)); // prettier-ignore

export const saveAssembly = command("plan", assemblySchema, async (db, { listId, version, index, assembly }, who) => {
  const list = await opened(db, listId, version, who);
  const assemblies = index === null ? [...list.assemblies, assembly] : list.assemblies.map((one, at) => (at === index ? assembly : one)); // prettier-ignore
  return saveRow(db, "cut_list", who.gardenId, listId, { assemblies: JSON.stringify(assemblies) });
});

export const removeAssembly = command("plan", assemblyRemovalSchema, async (db, { listId, version, index }, who) => {
  const list = await opened(db, listId, version, who);
  const assemblies = list.assemblies.filter((_, at) => at !== index);
  await saveRow(db, "cut_list", who.gardenId, listId, { assemblies: JSON.stringify(assemblies) });
});

/** The saw has been at it: what lay on the shelf and was used goes, what is left over and worth keeping comes. */
export const cutDone = command("plan", cutListVersionSchema, async (db, { id, version }, who) => {
  const list = await opened(db, id, version, who);
  if (!list.plan) throw new RefusedError("There is no plan to cut by yet.");
  for (const [lengthMm, used] of counted(list.plan.bars.filter(({ onHand }) => onHand).map(({ stockMm }) => stockMm))) {
    const row = await maybeOne<{ id: number; count: number }>(db, "select id, count from offcut where garden_id = $1 and material = $2 and length_mm = $3 for update", [who.gardenId, list.material, lengthMm]); // prettier-ignore
    if (!row || row.count < used)
      throw new RefusedError(`The plan takes ${used} of ${lengthMm} mm from the shelf, and ${row?.count ?? 0} lie there. Plan it anew.`, undefined, 409); // prettier-ignore
    if (row.count === used) await removeRow(db, "offcut", who.gardenId, row.id);
    else await saveRow(db, "offcut", who.gardenId, row.id, { count: row.count - used });
  }
  const kept = list.plan.bars.map(({ offcutMm }) => Math.floor(offcutMm)).filter((mm) => mm >= Math.max(1, list.leastOffcutMm)); // prettier-ignore
  for (const [lengthMm, count] of counted(kept)) await addOffcuts(db, who, list.material, lengthMm, count);
  await saveRow(db, "cut_list", who.gardenId, id, { cut_on: isoFromDay(who.today) });
  return kept.length;
});

export const saveOffcut = command("plan", offcutSchema, (db, { id, version, material, lengthMm, count }, who) =>
  id === null ? addOffcuts(db, who, material, lengthMm, count) : saveRow(db, "offcut", who.gardenId, id, { material, length_mm: lengthMm, count }, version),
); // prettier-ignore

export const removeOffcut = command("plan", removeSchema, (db, { id }, who) => removeRow(db, "offcut", who.gardenId, id)); // prettier-ignore

/** What is on the shelf of a thing, and its price; one row for each thing. */
export const saveMaterial = command("plan", materialSchema, async (db, { item, onHand, priceEach }, who) => {
  const row = await maybeOne<{ id: number }>(db, "select id from material where garden_id = $1 and item = $2", [who.gardenId, item]); // prettier-ignore
  return saveRow(db, "material", who.gardenId, row?.id ?? null, { item, on_hand: onHand, price_each: priceEach });
});

export const saveSpare = command("plan", spareSchema, async (db, { spareShare }, who) => {
  await many(db, "update garden set spare_share = $2 where id = $1", [who.gardenId, spareShare]);
});

async function addOffcuts(db: Db, who: Session, material: string, lengthMm: number, count: number): Promise<number> {
  const row = await maybeOne<{ id: number; count: number }>(db, "select id, count from offcut where garden_id = $1 and material = $2 and length_mm = $3 for update", [who.gardenId, material, lengthMm]); // prettier-ignore
  return saveRow(db, "offcut", who.gardenId, row?.id ?? null, { material, length_mm: lengthMm, count: (row?.count ?? 0) + count }); // prettier-ignore
}

async function opened(db: Db, id: number, version: number, who: Session): Promise<CutListRow> {
  await refuseStale(db, "cut_list", { garden_id: who.gardenId, id }, version);
  const list = (await cutLists(db, who.gardenId)).find((one) => one.id === id);
  if (!list) throw new NotFoundError("This list is not there any more: somebody may have removed it.");
  return list;
}

function counted(values: readonly number[]): Map<number, number> {
  const counts = new Map<number, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return counts;
}
