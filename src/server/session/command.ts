import type Joi from "joi";
import { NotFoundError, transaction, type Db } from "../db/pool";
import { refusedBecause } from "../db/errors";
import type { ActionResult } from "./result";
import { session, type Session } from "./session";
import { fieldErrors, STRICT } from "./validation";

/** An input that can be read but makes no sense for this garden; shown beside the field. */
export class RefusedError extends Error {
  constructor(
    message: string,
    readonly field?: string,
  ) {
    super(message);
  }
}

/**
 * Makes a server action of a schema and a piece of work: the input is validated, the work runs in one transaction for
 * the garden of the session, and every refusal comes back as words beside the field. Nothing is half-saved.
 */
export function command<Input, Value = undefined>(
  schema: Joi.ObjectSchema<Input>,
  work: (db: Db, input: Input, who: Session) => Promise<Value>,
): (input: unknown) => Promise<ActionResult<Value>> {
  return async (input) => {
    const checked = schema.validate(input, STRICT);
    if (checked.error)
      return {
        ok: false,
        message: "Not saved: some fields need another look.",
        fields: fieldErrors(checked.error),
      };
    try {
      const who = await session();
      return { ok: true, value: await transaction((db) => work(db, checked.value, who)) };
    } catch (error) {
      return refusal(error);
    }
  };
}

function refusal(error: unknown): ActionResult<never> {
  const refused = error instanceof RefusedError ? error : refusedBecause(error);
  if (refused)
    return {
      ok: false,
      message: refused.message,
      fields: refused.field ? { [refused.field]: refused.message } : {},
    };
  if (error instanceof NotFoundError || error instanceof RangeError)
    return { ok: false, message: error.message, fields: {} };
  console.error(error);
  return {
    ok: false,
    message: "Not saved: the database did not answer. What you typed is still here; try again.",
    fields: {},
  };
}
