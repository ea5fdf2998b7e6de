import Joi from "joi";
import { ENTITIES } from "@/core/garden/entities";
import { note, rowId, text } from "../../session/validation";

const whatIf = rowId("What-if");
const about = { name: text("Name"), purpose: note("What for") };

export const addSchema = Joi.object<{ name: string; purpose: string }>(about);
export const copySchema = Joi.object<{ id: number; name: string }>({ id: whatIf, name: text("Name") });
export const renameSchema = Joi.object<{ id: number; name: string; purpose: string }>({ id: whatIf, ...about });
export const removeWhatIfSchema = Joi.object<{ id: number }>({ id: whatIf });

const row = {
  entity: Joi.valid(...Object.keys(ENTITIES)).required(),
  rowId: rowId("Row"),
};

export interface RowOfWhatIf {
  readonly entity: string;
  readonly rowId: number;
}

export interface Settling extends RowOfWhatIf {
  readonly id: number;
  readonly field: string | null;
  /** As it is now in the garden, or as the what-if has it. */
  readonly as: "live" | "mine";
}
export const settleSchema = Joi.object<Settling>({
  id: whatIf,
  ...row,
  field: text("Field").allow(null),
  as: Joi.valid("live", "mine").required(),
});

const MOST_ROWS = 10_000;
export const adoptSchema = Joi.object<{ id: number; rows: readonly RowOfWhatIf[] | null }>({
  id: whatIf,
  rows: Joi.array().items(Joi.object(row)).min(1).max(MOST_ROWS).required().allow(null).label("Changes"),
});
