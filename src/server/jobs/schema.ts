import Joi from "joi";
import { rowId } from "../session/validation";

export const stopJobSchema = Joi.object<{ id: number }>({ id: rowId("Job") });
