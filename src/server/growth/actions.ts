"use server";
import { many } from "../db/pool";
import { removeRow, saveRow } from "../db/save";
import { command } from "../session/command";
import { removeSchema } from "../place/schema";
import { varietySchema } from "./schema";

export const saveVariety = command("plan", varietySchema, async (db, variety, who) => {
  const id = await saveRow(
    db,
    "variety",
    who.gardenId,
    variety.id,
    {
      name: variety.name,
      crop: variety.crop,
      kind: variety.kind,
      unit: variety.unit,
      germination: variety.germination,
      seeds_per_cell: variety.seedsPerCell,
      seeds_per_g: variety.seedsPerG,
      pattern: variety.pattern,
    },
    variety.version,
  );
  await many(db, "delete from variety_stage where garden_id = $1 and variety_id = $2", [who.gardenId, id]);
  for (const [position, stage] of variety.stages.entries())
    await many(
      db,
      `insert into variety_stage (garden_id, variety_id, position, name, pool_id, days_by_month, survival, need_lpd)
       values ($1, $2, $3, $4, $5, $6::double precision[], $7, $8)`,
      [who.gardenId, id, position, stage.name, stage.poolId, stage.daysByMonth, stage.survival, stage.needLpd],
    );
  return id;
});

export const removeVariety = command("plan", removeSchema, (db, { id }, who) =>
  removeRow(db, "variety", who.gardenId, id),
);
