"use server";
import Joi from "joi";
import type { Changes } from "@/core/garden/changes";
import { NotFoundError } from "../db/pool";
import { planCommand } from "../garden/planCommand";
import { rowId } from "../session/validation";

const schema = Joi.object<{ readonly varietyId: number; readonly learns: boolean }>({
  varietyId: rowId("Variety"),
  learns: Joi.boolean().required().label("Learn"),
});

/** Whether days and germination of a variety follow what its batches have taught. */
export const setLearning = planCommand("plan", schema, ({ varietyId, learns }, tables) => {
  const row = tables.variety?.[varietyId];
  if (!row) throw new NotFoundError(null);
  const updated = { [varietyId]: { learns: [row.learns!, learns] as const } };
  const changes: Changes = row.learns === learns ? {} : { variety: { added: {}, removed: {}, updated } };
  return { changes, value: () => undefined };
});
