import { STAND_SPEC } from "@/core/garden/entities/place";
import { schemaOf } from "../entities/joi";

/** The measures of a stand, checked by its kind; only those of that kind are reported. */
export const specSchema = schemaOf(STAND_SPEC);
