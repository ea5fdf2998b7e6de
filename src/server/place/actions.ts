"use server";
import { standCounts } from "@/core/place/standCounts";
import { placeLast, removeRow, saveRow } from "../db/save";
import { command, RefusedError } from "../session/command";
import { houseSchema, poolSchema, removeSchema, standSchema } from "./schema";

export const saveHouse = command("plan", houseSchema, async (db, house, who) =>
  saveRow(
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
    },
    house.version,
  ),
);

export const saveStand = command("plan", standSchema, async (db, stand, who) => {
  // The core counts before anything is kept: measures that give no site at all are a slip.
  if (standCounts(stand.spec).sites === 0)
    throw new RefusedError("With these measures no plant fits at all.", "spec.kind");
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
});

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
