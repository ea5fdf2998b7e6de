"use server";
import type { LayoutDocument, LayoutStand } from "@/core/place/layout/document";
import { layoutFaults, standsIn, withHouse } from "@/core/place/layout/document";
import { layoutTextInSvg } from "@/core/place/layout/svg";
import { clashOf } from "@/core/place/houseChecks";
import { standCounts } from "@/core/place/standCounts";
import { inUnits } from "@/core/units/told";
import { gardenRows, seasonFor, type GardenRows } from "../batches/season";
import { NotFoundError, type Db } from "../db/pool";
import { refuseStale, removeRow, saveRow } from "../db/save";
import { command, InputError, RefusedError } from "../session/command";
import type { Session } from "../session/session";
import { rainNormals } from "../water/queries";
import { adoptedRows, adoptionOf, type Adoption } from "./adoption";
import { parsedLayout } from "./layoutFile";
import { layoutById, type LayoutRow } from "./layoutQueries";
import { adoptLayoutSchema, copyLayoutSchema, importLayoutSchema, layoutHouseSchema, layoutPartRemovalSchema, layoutPoolSchema, layoutStandSchema, layoutStandsSchema, renameLayoutSchema } from "./layoutSchema"; // prettier-ignore
import { layoutRows, liveLayout } from "./layoutViews";
import { refuseStandsOutside } from "./houseRoom";
import { removeSchema, type StandInput } from "./schema";

/** Puts the garden as it stands by as a copy, or copies a copy. */
export const copyLayout = command("plan", copyLayoutSchema, async (db, { from, name }, who) => {
  const document = from === null ? liveLayout(await gardenRows(db, who.gardenId), name) : (await wanted(db, from, who)).document; // prettier-ignore
  return saveRow(db, "layout", who.gardenId, null, { name, document: { ...document, name } });
});

export const renameLayout = command("plan", renameLayoutSchema, async (db, { id, version, name }, who) => {
  const { document } = await wanted(db, id, who);
  return saveRow(db, "layout", who.gardenId, id, { name, document: { ...document, name } }, version);
});

export const removeLayout = command("plan", removeSchema, (db, { id }, who) =>
  removeRow(db, "layout", who.gardenId, id),
);

/** Brings a layout file in as one more copy: nothing of the garden changes, and a file with a fault changes nothing at all. */
export const importLayout = command("plan", importLayoutSchema, async (db, { name, text }, who) => {
  const { loops } = await gardenRows(db, who.gardenId);
  const read = parsedLayout(layoutTextInSvg(text) ?? text, loops.map((loop) => loop.name)); // prettier-ignore
  if (read.kind === "faults")
    throw new InputError({ text: inUnits(read.faults.map(({ path, message }) => (path ? `${path}: ${message}` : message)).join("\n"), who.units) }); // prettier-ignore
  return saveRow(db, "layout", who.gardenId, null, { name, document: { ...read.layout, name } });
});

export const saveLayoutStand = command("plan", layoutStandSchema, async (db, { layoutId, stand }, who) => {
  const { layout, rows } = await opened(db, layoutId, who, stand.version);
  const { stands } = layout.document;
  const at = placeOf(stand.id, stands, "stand");
  const written = writtenStand(stand, layout, rows, who);
  return keep(
    db,
    layout,
    { ...layout.document, stands: [...stands.slice(0, at), written, ...stands.slice(at + 1)] },
    who,
  );
});

export const addLayoutStands = command("plan", layoutStandsSchema, async (db, { layoutId, stands }, who) => {
  const { layout, rows } = await opened(db, layoutId, who, null);
  let document = layout.document;
  for (const stand of stands) {
    const written = writtenStand({ ...stand, id: null, version: null }, { ...layout, document }, rows, who);
    document = { ...document, stands: [...document.stands, written] };
  }
  return [await keep(db, layout, document, who)];
});

export const removeLayoutStand = command(
  "plan",
  layoutPartRemovalSchema,
  async (db, { layoutId, version, id }, who) => {
    const { layout } = await opened(db, layoutId, who, version);
    const at = placeOf(id, layout.document.stands, "stand");
    await keep(
      db,
      layout,
      { ...layout.document, stands: layout.document.stands.filter((_, index) => index !== at) },
      who,
    );
  },
);

export const saveLayoutHouse = command("plan", layoutHouseSchema, async (db, { layoutId, house }, who) => {
  const { layout } = await opened(db, layoutId, who, house.version);
  const { houses } = layout.document;
  const at = placeOf(house.id, houses, "house");
  const { id: _id, version: _version, ...written } = house;
  if (houses.some(({ name }, place) => place !== at && name === house.name)) throw new RefusedError("Another house has this name.", "name"); // prettier-ignore
  const document = withHouse(layout.document, at, written);
  refuseStandsOutside(written, standsIn(document, written.name), who);
  return keep(db, layout, document, who);
});

export const removeLayoutHouse = command(
  "plan",
  layoutPartRemovalSchema,
  async (db, { layoutId, version, id }, who) => {
    const { layout } = await opened(db, layoutId, who, version);
    const { houses } = layout.document;
    const at = placeOf(id, houses, "house");
    const stands = standsIn(layout.document, houses[at]!.name).length;
    if (stands > 0) throw new RefusedError(`${houses[at]!.name} has stands in it: take them away first.`);
    await keep(db, layout, { ...layout.document, houses: houses.filter((_, place) => place !== at) }, who);
  },
);

/** @returns the new pool's number in the layout. Pools that the garden has stay as they are: no layout renames or removes one. */
export const addLayoutPool = command(
  "plan",
  layoutPoolSchema,
  async (db, { layoutId, pool: { name, cleaningDays } }, who) => {
    const { layout } = await opened(db, layoutId, who, null);
    const { pools } = layout.document;
    if (pools.some((pool) => pool.name === name)) throw new RefusedError("Another pool has this name.", "name");
    await keep(db, layout, { ...layout.document, pools: [...pools, { name, cleaningDays }] }, who);
    return pools.length + 1;
  },
);

/** Parts of a copy are numbered by their places from 1 on; a new one comes last. */
function placeOf(id: number | null, parts: readonly unknown[], word: string): number {
  if (id !== null && id > parts.length) throw new NotFoundError(`This ${word} is not in the layout any more.`);
  return id === null ? parts.length : id - 1;
}

/**
 * Puts a layout in the place of the garden as it stands, as one act that can be taken back. Batches stay as they are; those
 * that have too few places then are given back by name.
 */
export const adoptLayout = command("plan", adoptLayoutSchema, async (db, { id, version }, who): Promise<Adoption> => {
  await refuseStale(db, "layout", { garden_id: who.gardenId, id }, version);
  const { document } = await wanted(db, id, who);
  const season = await seasonFor(db, who);
  const faults = layoutFaults(document, season.rows.loops.map(({ name }) => name)); // prettier-ignore
  if (faults.length > 0)
    throw new RefusedError(`This layout cannot be adopted: ${inUnits(faults[0]!.message, who.units)}`);
  const adoption = adoptionOf(season, document, await rainNormals(db, who.gardenId));
  await writeRows(db, season.rows, adoptedRows(season.rows, document), who);
  return adoption;
});

async function writeRows(db: Db, old: GardenRows, next: GardenRows, who: Session) {
  const gone = <Row extends { readonly id: number }>(before: readonly Row[], after: readonly Row[]) => before.filter(({ id }) => !after.some((row) => row.id === id)); // prettier-ignore
  for (const { id } of gone(old.stands, next.stands)) await removeRow(db, "stand", who.gardenId, id);
  for (const { id } of gone(old.houses, next.houses)) await removeRow(db, "house", who.gardenId, id);
  const real = new Map<number, number>();
  const save = async (table: string, id: number, row: Record<string, unknown>) => void real.set(id, await saveRow(db, table, who.gardenId, id > 0 ? id : null, row)); // prettier-ignore
  for (const house of next.houses)
    await save("house", house.id, {
      name: house.name, position: house.position, length_m: house.lengthM, width_m: house.widthM, height_m: house.heightM, cover: house.cover,
      shade_share: house.shadeShare, x_m: house.xM, y_m: house.yM,
    }); // prettier-ignore
  for (const pool of next.pools.filter(({ id }) => id < 0))
    await save("pool", pool.id, { name: pool.name, position: pool.position, cleaning_days: pool.cleaningDays });
  for (const stand of next.stands)
    await save("stand", stand.id, {
      house_id: real.get(stand.houseId), pool_id: real.get(stand.poolId) ?? stand.poolId, loop_id: stand.loopId, name: stand.name, position: stand.position,
      x_m: stand.xM, y_m: stand.yM, turned: stand.turned, kind: stand.spec.kind, spec: stand.spec,
    }); // prettier-ignore
}

async function wanted(db: Db, id: number, who: Session, lock = false): Promise<LayoutRow> {
  const row = await layoutById(db, who.gardenId, id, lock);
  if (!row) throw new NotFoundError("This layout is not there any more: somebody may have removed it.");
  return row;
}

async function opened(db: Db, id: number, who: Session, version: number | null) {
  if (version !== null) await refuseStale(db, "layout", { garden_id: who.gardenId, id }, version);
  const layout = await wanted(db, id, who, true);
  return { layout, rows: await gardenRows(db, who.gardenId) };
}

function keep(db: Db, layout: LayoutRow, document: LayoutDocument, who: Session): Promise<number> {
  return saveRow(db, "layout", who.gardenId, layout.id, { document });
}

/** A stand of a copy, checked as one of the garden is, with names in the place of numbers. */
function writtenStand(stand: StandInput, layout: LayoutRow, garden: GardenRows, who: Session): LayoutStand {
  if (standCounts(stand.spec).sites === 0) throw new RefusedError("With these measures no plant fits at all.", "spec.kind"); // prettier-ignore
  const { houses, pools, stands } = layoutRows(layout.document, layout.version, garden.loops);
  const house = houses.find(({ id }) => id === stand.houseId);
  const pool = pools.find(({ id }) => id === stand.poolId);
  if (!house || !pool) throw new RefusedError("It refers to something that is not in this layout.");
  const others = stands.filter(({ houseId, id }) => houseId === house.id && id !== stand.id);
  if (others.some(({ name }) => name === stand.name)) throw new RefusedError("Another stand in this house has this name.", "name"); // prettier-ignore
  const clash = clashOf(house, { ...stand, id: stand.id ?? 0 }, others);
  if (clash) throw new RefusedError(inUnits(clash.message, who.units), "xM");
  const loop = garden.loops.find(({ id }) => id === stand.loopId)?.name ?? null;
  return { name: stand.name, house: house.name, pool: pool.name, loop, xM: stand.xM, yM: stand.yM, turned: stand.turned, spec: stand.spec }; // prettier-ignore
}
