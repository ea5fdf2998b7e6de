"use server";
import { stockConflict } from "@/core/feed/stocks";
import { isoFromDay } from "@/core/units/day";
import { many, one } from "../db/pool";
import { refuseStale, saveRow } from "../db/save";
import { command, RefusedError } from "../session/command";
import { salts } from "./queries";
import { recipeSchema, saltSchema, stockTankSchema } from "./schema";

export const saveRecipe = command("plan", recipeSchema, async (db, recipe, who) => {
  const shelf = await salts(db, who.gardenId);
  for (const letter of ["A", "B"] as const) {
    const own = recipe.salts
      .filter((entry) => entry.stock === letter)
      .flatMap((entry) => shelf.filter((salt) => salt.id === entry.saltId));
    const conflict = stockConflict(own);
    if (conflict) throw new RefusedError(`Stock ${letter} is refused: ${conflict.reason}`, "salts");
  }
  const id = await saveRow(
    db,
    "recipe",
    who.gardenId,
    recipe.id,
    {
      name: recipe.name,
      targets_mg_per_l: recipe.targetsMgPerL,
      ec_ms_per_cm: recipe.ecMsPerCm,
      ec_low: recipe.ecLow,
      ec_high: recipe.ecHigh,
      ph_low: recipe.phLow,
      ph_high: recipe.phHigh,
    },
    recipe.version,
  );
  await many(db, "delete from recipe_salt where garden_id = $1 and recipe_id = $2", [who.gardenId, id]);
  await many(
    db,
    `insert into recipe_salt (garden_id, recipe_id, salt_id, stock)
     select $1::integer, $2::integer, * from unnest($3::integer[], $4::text[])`,
    [who.gardenId, id, recipe.salts.map((entry) => entry.saltId), recipe.salts.map((entry) => entry.stock)],
  );
  return id;
});

export const saveSalt = command("plan", saltSchema, (db, salt, who) =>
  saveRow(
    db,
    "salt",
    who.gardenId,
    salt.id,
    {
      name: salt.name,
      percent: salt.percent,
      on_hand_g: salt.onHandG,
      price_per_kg: salt.pricePerKg,
      caution: salt.caution,
    },
    salt.version,
  ),
);

export const saveStockTank = command("dose", stockTankSchema, async (db, tank, who) => {
  await refuseStale(
    db,
    "stock_tank",
    { garden_id: who.gardenId, loop_id: tank.loopId, letter: tank.letter },
    tank.version,
  );
  await one(
    db,
    "This stock tank",
    `update stock_tank set volume_l = $4, left_l = $5, read_on = $6::date
      where garden_id = $1 and loop_id = $2 and letter = $3 returning letter`,
    [who.gardenId, tank.loopId, tank.letter, tank.volumeL, tank.leftL, isoFromDay(tank.readOn)],
  );
});
