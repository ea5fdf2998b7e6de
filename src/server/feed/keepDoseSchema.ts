import Joi from "joi";
import { NUTRIENTS } from "@/core/feed/nutrients";
import type { LabelPercent } from "@/core/feed/label";
import { measure, text } from "../session/validation";

const PARTS = [...NUTRIENTS, "P2O5", "K2O", "CaO", "MgO", "SO3"];

export const keepDoseSchema = Joi.object<{
  readonly name: string;
  readonly label: LabelPercent;
  readonly gramsPerL: number;
  readonly ecMsPerCm: number;
}>({
  name: text("Name", 80),
  label: Joi.object()
    .pattern(Joi.string().valid(...PARTS), measure("Per cent", 0, 100, "%"))
    .min(1)
    .required()
    .label("What the pack says"),
  gramsPerL: measure("Dose", 0.001, 100, "g/L"),
  ecMsPerCm: measure("EC", 0.1, 8, "mS/cm"),
});
