import Joi from "joi";
import { METER, RECIPE, RECIPE_SALT, SALT, SALT_LOT } from "@/core/garden/entities/feed";
import { fieldOf, type FieldsOf } from "@/core/garden/entities/field";
import { STOCK_TANK } from "@/core/garden/entities/water";
import type { RecipeSalt } from "@/core/garden/garden";
import { OUT_OF_BALANCE, targetsOutBy } from "@/core/feed/compareRecipes";
import type { AimAmounts } from "@/core/feed/recipeWish";
import type { NutrientAmounts } from "@/core/feed/nutrients";
import { entitySchema, partsOf, schemaOf } from "../entities/joi";
import type { Opened } from "../session/validation";

export type RecipeInput = Opened & FieldsOf<typeof RECIPE> & { readonly salts: readonly RecipeSalt[] };

const { saltId, stock, gPer1000L } = partsOf(RECIPE_SALT);

// What says whose they are: the recipe does.
const strip = Joi.any().strip();

export const recipeSchema = entitySchema<RecipeInput>(RECIPE).keys({
  targetsMgPerL: schemaOf(fieldOf(RECIPE, "targetsMgPerL")).custom((targets: AimAmounts, helpers) => {
    const isKept = (helpers.state.ancestors as readonly [Partial<RecipeInput>])[0].balanceDoubted === true;
    // What is no number has its own message.
    const outBy = isKept || !Object.values(targets).every(Number.isFinite) ? null : targetsOutBy(targets);
    return outBy === null || Math.abs(outBy) <= OUT_OF_BALANCE
      ? targets
      : helpers.message({
          custom: `Charges do not balance: ${outBy > 0 ? "cations" : "anions"} are ${(100 * Math.abs(outBy)).toFixed(0)} % over. Was nitrate typed as NO3 (× 0.226) or sulfate as SO4 (× 0.334)? Mend it, or say that the targets are kept as they are`,
        });
  }),
  salts: Joi.array()
    .items(Joi.object({ saltId, stock, gPer1000L: gPer1000L!.optional(), id: strip, recipeId: strip, typed: strip }))
    .unique("saltId")
    .max(40)
    .required()
    .label("Salts"),
});

export type SaltInput = Opened &
  FieldsOf<typeof SALT> & { readonly lots: readonly Omit<FieldsOf<typeof SALT_LOT>, "saltId">[] };

const { saltId: _salt, ...lot } = partsOf(SALT_LOT);

export const saltSchema = entitySchema<SaltInput>(SALT)
  .keys({
    percent: schemaOf(fieldOf(SALT, "percent")).custom((percent: NutrientAmounts, helpers) => {
      // What is no number has its own message.
      const sum = Object.values(percent).reduce((total, value) => total + (Number.isFinite(value) ? value : 0), 0);
      // A bottle whose label prints nothing is kept without its content.
      return sum <= 100
        ? percent
        : helpers.message({
            custom: `The contents add up to ${sum.toFixed(1)} %; a label tells at most 100 %. Is it told by volume, or is one figure an oxide and not an element?`,
          });
    }),
    lots: Joi.array()
      .items(Joi.object({ ...lot, id: strip, saltId: strip, typed: strip }))
      .unique("name")
      .max(60)
      .required()
      .label("Lots")
      .messages({ "array.unique": "Two lots have the same name" }),
  })
  .custom((salt: SaltInput, helpers) =>
    salt.form === "liquid" && salt.densityKgPerL === null
      ? helpers.message({ custom: "A liquid is dosed by volume: say how heavy a litre of it is" })
      : salt,
  );

export type StockTankInput = Opened & FieldsOf<typeof STOCK_TANK>;
export const stockTankSchema = entitySchema<StockTankInput>(STOCK_TANK);

export type MeterInput = Opened & FieldsOf<typeof METER>;
export const meterSchema = entitySchema<MeterInput>(METER);
