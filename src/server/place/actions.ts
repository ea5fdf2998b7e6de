"use server";
import { clashOf } from "@/core/place/houseChecks";
import { standCounts } from "@/core/place/standCounts";
import { inUnits } from "@/core/units/told";
import type { Db } from "../db/pool";
import { placeLast, removeRow, saveRow } from "../db/save";
import { command, RefusedError } from "../session/command";
import type { Session } from "../session/session";
import { refuseStandsOutside } from "./houseRoom";
import { houses, stands } from "./queries";
import { addStandsSchema, houseSchema, poolSchema, removeSchema, standSchema, type StandInput } from "./schema";

export const saveHouse = command("plan", houseSchema, async (db, house, who) => {
  if (house.id !== null) {
    const own = (await stands(db, who.gardenId)).filter((stand) => stand.houseId === house.id);
    refuseStandsOutside(house, own, who);
  }
  return saveRow(
    db,
    "house",
    who.gardenId,
    house.id,
    {
      ...(await placeLast(db, "house", who.gardenId, house.id)),
      name: house.name,
      length_m: house.lengthM,
      width_m: house.widthM,
      height_m: house.heightM,
      cover: house.cover,
      shade_share: house.shadeShare,
      x_m: house.xM,
      y_m: house.yM,
    },
    house.version,
  );
});

export const saveStand = command("plan", standSchema, (db, stand, who) => writeStand(db, stand, who));

/** Several stands at once, as when a house is filled: all of them, or none. */
export const addStands = command("plan", addStandsSchema, async (db, { stands: added }, who) => {
  const ids: number[] = [];
  for (const stand of added) ids.push(await writeStand(db, { ...stand, id: null, version: null }, who));
  return ids;
});

/** The core counts before anything is kept: measures that give no site, or no place in the house, are a slip. */
async function writeStand(db: Db, stand: StandInput, who: Session): Promise<number> {
  if (standCounts(stand.spec).sites === 0)
    throw new RefusedError("With these measures no plant fits at all.", "spec.kind");
  const house = (await houses(db, who.gardenId)).find(({ id }) => id === stand.houseId);
  if (house) {
    const others = (await stands(db, who.gardenId)).filter(({ houseId, id }) => houseId === house.id && id !== stand.id); // prettier-ignore
    const clash = clashOf(house, { ...stand, id: stand.id ?? 0 }, others);
    if (clash) throw new RefusedError(inUnits(clash.message, who.units), "xM");
  }
  return saveRow(
    db,
    "stand",
    who.gardenId,
    stand.id,
    {
      ...(await placeLast(db, "stand", who.gardenId, stand.id)),
      house_id: stand.houseId,
      pool_id: stand.poolId,
      loop_id: stand.loopId,
      name: stand.name,
      x_m: stand.xM,
      y_m: stand.yM,
      turned: stand.turned,
      kind: stand.spec.kind,
      spec: stand.spec,
    },
    stand.version,
  );
}

export const savePool = command("plan", poolSchema, async (db, pool, who) =>
  saveRow(
    db,
    "pool",
    who.gardenId,
    pool.id,
    {
      ...(await placeLast(db, "pool", who.gardenId, pool.id)),
      name: pool.name,
      cleaning_days: pool.cleaningDays,
    },
    pool.version,
  ),
);

export const removeHouse = command("plan", removeSchema, (db, { id }, who) => removeRow(db, "house", who.gardenId, id));
export const removeStand = command("plan", removeSchema, (db, { id }, who) => removeRow(db, "stand", who.gardenId, id));
export const removePool = command("plan", removeSchema, (db, { id }, who) => removeRow(db, "pool", who.gardenId, id));
