import Joi from "joi";
import { DOSE_UNITS, PER_L } from "@/core/feed/label";
import type { LabelProduct } from "@/core/feed/labelFeed";
import { NUTRIENTS } from "@/core/feed/nutrients";
import { SALT_FORMS } from "@/core/feed/salts";
import { choice, figures, measure, rowId, text } from "../session/validation";

const ON_LABELS = ["N", ...NUTRIENTS, "P2O5", "K2O", "CaO", "MgO", "SO3"];

export interface LabelFeedInput {
  readonly name: string;
  readonly products: readonly LabelProduct[];
  /** Of the labels' doses. */
  readonly share: number;
  readonly labelEcMsPerCm: number | null;
  /** The loop that is fed with it from now on, by hand. */
  readonly loopId: number | null;
  /** Weaker for seedlings: from this share of the labels' doses to the whole, over so many days. */
  readonly ramp: { readonly startShare: number; readonly maturityDays: number } | null;
  /** The solution is changed every so many weeks; null keeps the rule that the loop has. */
  readonly changeWeeks: number | null;
  /** Set when what looked wrong was asked about and confirmed. */
  readonly sure: boolean;
}

const product = Joi.object<LabelProduct>({
  name: text("Name of the product", 80),
  form: choice("Form", ...SALT_FORMS),
  densityKgPerL: measure("Weight of a litre", 0.05, 20, "kg").allow(null),
  label: figures(
    Object.fromEntries(ON_LABELS.map((name) => [name, measure(`${name} on the pack`, 0, 100, "%").optional()])),
    "What the pack says",
  ),
  isByVolume: Joi.boolean().required(),
  amount: measure("Dose", 0.001, 10_000, ""),
  unit: choice("Measure", ...DOSE_UNITS),
  per: choice("To a", ...Object.keys(PER_L)),
  measureL: measure("It holds", 0.0001, 10, "L").allow(null),
});

export const labelFeedSchema = Joi.object<LabelFeedInput>({
  name: text("Name", 80),
  products: Joi.array().items(product).min(1).max(3).required().label("Products"),
  share: measure("Share of the label’s dose", 0.05, 3, ""),
  labelEcMsPerCm: measure("EC of the label’s dose", 0.05, 10, "mS/cm").allow(null),
  loopId: rowId("Loop").allow(null),
  ramp: Joi.object({
    startShare: measure("Share for seedlings", 0.05, 3, ""),
    maturityDays: measure("Grown after", 1, 400, "days"),
  })
    .allow(null)
    .required()
    .label("Ramp"),
  changeWeeks: measure("Weeks", 1, 52, "").integer().allow(null),
  sure: Joi.boolean().required(),
});
