import Joi from "joi";
import { NUTRIENTS, type NutrientAmounts } from "@/core/feed/nutrients";
import { version, edited, type Edited, choice, day, measure, note, rowId, text } from "../session/validation";

const amounts = (label: string, greatest: number, unit: string) =>
  Joi.object()
    .pattern(Joi.string().valid(...NUTRIENTS), measure(label, 0, greatest, unit))
    .required()
    .label(label);

export interface RecipeInput extends Edited {
  readonly name: string;
  readonly targetsMgPerL: NutrientAmounts;
  readonly ecMsPerCm: number;
  readonly ecLow: number;
  readonly ecHigh: number;
  readonly phLow: number;
  readonly phHigh: number;
  readonly salts: readonly { readonly saltId: number; readonly stock: "A" | "B" }[];
}

export const recipeSchema = Joi.object<RecipeInput>({
  ...edited("Recipe"),
  name: text("Name"),
  targetsMgPerL: amounts("Target", 2000, "mg/L"),
  ecMsPerCm: measure("EC", 0.1, 8, "mS/cm"),
  ecLow: measure("EC from", 0.05, 8, "mS/cm")
    .max(Joi.ref("ecMsPerCm"))
    .messages({ "number.max": "EC from is {#value} mS/cm; it must not be over the EC wanted" }),
  ecHigh: measure("EC to", 0.05, 10, "mS/cm")
    .min(Joi.ref("ecMsPerCm"))
    .messages({ "number.min": "EC to is {#value} mS/cm; it must not be under the EC wanted" }),
  phLow: measure("pH from", 3, 10, ""),
  phHigh: measure("pH to", 3, 10, "")
    .min(Joi.ref("phLow"))
    .messages({ "number.min": "pH to is {#value}; it must not be under pH from" }),
  salts: Joi.array()
    .items(Joi.object({ saltId: rowId("Salt"), stock: choice("Stock", "A", "B") }))
    .unique("saltId")
    .max(40)
    .required()
    .label("Salts"),
});

export interface SaltInput extends Edited {
  readonly name: string;
  readonly percent: NutrientAmounts;
  readonly onHandG: number;
  readonly pricePerKg: number;
  readonly caution: string;
}

export const saltSchema = Joi.object<SaltInput>({
  ...edited("Salt"),
  name: text("Name"),
  percent: amounts("Content", 100, "%").custom((percent: NutrientAmounts, helpers) => {
    // What is no number has its own message.
    const sum = Object.values(percent).reduce((total, value) => total + (Number.isFinite(value) ? value : 0), 0);
    return sum > 0 && sum <= 100
      ? percent
      : helpers.message({
          custom: `The contents add up to ${sum.toFixed(1)} %; they must add up to something, and at most 100 %`,
        });
  }),
  onHandG: measure("On hand", 0, 100_000_000, "g"),
  pricePerKg: measure("Price per kg", 0, 100_000, ""),
  caution: note("Caution"),
});

export interface StockTankInput {
  readonly version: number;
  readonly loopId: number;
  readonly letter: "A" | "B";
  readonly volumeL: number;
  readonly leftL: number;
  readonly readOn: number;
}

export const stockTankSchema = Joi.object<StockTankInput>({
  version,
  loopId: rowId("Loop"),
  letter: choice("Stock", "A", "B"),
  volumeL: measure("Stock tank", 0.1, 100_000, "L"),
  leftL: measure("Left in it", 0, 100_000, "L")
    .max(Joi.ref("volumeL"))
    .messages({ "number.max": "Left in it is {#value} L; it must not be more than the tank holds" }),
  readOn: day("Read on"),
});
