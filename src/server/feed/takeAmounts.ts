"use server";
import Joi from "joi";
import { squash, type Changes, type Row } from "@/core/garden/changes";
import { newRow } from "@/core/garden/edit";
import { RECIPE_SALT } from "@/core/garden/entities/feed";
import { NotFoundError } from "../db/pool";
import { partsOf } from "../entities/joi";
import { planCommand } from "../garden/planCommand";
import { rowId } from "../session/validation";

const { saltId, stock, gPer1000L } = partsOf(RECIPE_SALT);

interface Taken {
  readonly recipeId: number;
  readonly salts: readonly { readonly saltId: number; readonly stock: string; readonly gPer1000L: number }[];
}

const schema = Joi.object<Taken>({
  recipeId: rowId("Recipe"),
  salts: Joi.array().items(Joi.object({ saltId, stock, gPer1000L })).unique("saltId").max(40).required().label("Salts"),
});

/** Accepts amounts for the salts of a recipe, and the stocks that they go into; those that it does not have come to it. */
export const takeAmounts = planCommand("plan", schema, ({ recipeId, salts }, tables) => {
  if (!tables.recipe?.[recipeId]) throw new NotFoundError(null);
  const parts = Object.entries(tables.recipe_salt ?? {}).filter(([, part]) => part.recipeId === recipeId);
  const changes = salts.map((taken, at): Changes => {
    if (!tables.salt?.[taken.saltId]) throw new NotFoundError(null);
    const there = parts.find(([, part]) => part.saltId === taken.saltId);
    if (!there) {
      const id = -1 - at;
      const row = newRow(tables, RECIPE_SALT, id, { recipeId, ...taken } as unknown as Row);
      return { recipe_salt: { added: { [id]: row }, removed: {}, updated: {} } };
    }
    const [id, part] = there;
    const change = {
      ...(part.gPer1000L !== taken.gPer1000L && { gPer1000L: [part.gPer1000L ?? null, taken.gPer1000L] as const }),
      ...(part.stock !== taken.stock && { stock: [part.stock ?? null, taken.stock] as const }),
    };
    if (Object.keys(change).length === 0) return {};
    return { recipe_salt: { added: {}, removed: {}, updated: { [id]: change } } };
  });
  return { changes: changes.reduce(squash, {}), value: () => undefined };
});
