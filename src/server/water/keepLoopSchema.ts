import Joi from "joi";
import { PUMP, TIMER } from "@/core/garden/entities/pump";
import type { LoopPump } from "@/core/water/loopPump";
import type { TimerProgram } from "@/core/water/timer";
import { schemaOf } from "../entities/joi";
import { maybeRowId, measure } from "../session/validation";

/** What an answer about water says of a loop. */
export interface LoopChange {
  readonly timer?: TimerProgram;
  readonly tankL?: number;
  readonly pump?: LoopPump;
}

export const keepLoopSchema = Joi.object<LoopChange & { readonly loopId: number | null }>({
  loopId: maybeRowId("Loop"),
  timer: schemaOf(TIMER).optional(),
  tankL: measure("Tank", 1, 1_000_000, "L").optional(),
  pump: schemaOf(PUMP).optional(),
});
