import type Joi from "joi";
import { may, whoMay, type Right } from "@/core/people/rights";
import { databaseAway, refusedBecause } from "../db/errors";
import { NotFoundError, type Db } from "../db/pool";
import { StaleError } from "../db/save";
import { log } from "./log";
import { onBehalf } from "./onBehalf";
import type { ActionResult, Refusal, RefusalStatus } from "./result";
import { session, SignedOutError, type Session } from "./session";
import { fieldErrors, STRICT } from "./validation";

/** An input that can be read but makes no sense for this garden; shown beside the field. */
export class RefusedError extends Error {
  constructor(
    message: string,
    readonly field?: string,
    readonly status: RefusalStatus = 400,
  ) {
    super(message);
  }
}

/** Refuses whoever has not the right; for what depends on the input. */
export function requireRight(who: Session, right: Right): void {
  if (!may(who.role, right))
    throw new RefusedError(`As a ${who.role} you may not do this; ${whoMay(right)} may.`, undefined, 403);
}

/**
 * Makes a server action of a right, a schema and a piece of work: whoever asks must be signed in and have the right, the
 * input is validated, the work runs in one transaction for the garden of the session, and every refusal comes back as
 * words beside the field. Nothing is half-saved.
 */
export function command<Input, Value = undefined>(
  right: Right,
  schema: Joi.ObjectSchema<Input>,
  work: (db: Db, input: Input, who: Session) => Promise<Value>,
): (input: unknown) => Promise<ActionResult<Value>> {
  return (input) =>
    answered(async () => {
      const who = await session();
      requireRight(who, right);
      const checked = checkedInput(schema, input);
      return onBehalf(who, async (db, act) => ({ ok: true, value: await work(db, checked, who), act }));
    });
}

/** The same for those who stand before the door: signing in, taking up an invitation, the first start. */
export function openCommand<Input, Value = undefined>(
  schema: Joi.ObjectSchema<Input>,
  work: (input: Input) => Promise<Value>,
): (input: unknown) => Promise<ActionResult<Value>> {
  return (input) => answered(async () => ({ ok: true, value: await work(checkedInput(schema, input)) }));
}

/** Fields that need another look, each with its reason. */
export class InputError extends Error {
  constructor(readonly fields: Readonly<Record<string, string>>) {
    super("Not saved: some fields need another look.");
  }
}

function checkedInput<Input>(schema: Joi.ObjectSchema<Input>, input: unknown): Input {
  const checked = schema.required().validate(input, STRICT);
  if (checked.error) throw new InputError(fieldErrors(checked.error));
  return checked.value;
}

async function answered<Value>(work: () => Promise<ActionResult<Value>>): Promise<ActionResult<Value>> {
  try {
    return await work();
  } catch (error) {
    return refusal(error);
  }
}

function refusal(error: unknown): Refusal {
  const refuse = (status: RefusalStatus, message: string, fields: Refusal["fields"] = {}): Refusal => ({ ok: false, status, message, fields }); // prettier-ignore
  if (error instanceof SignedOutError) return refuse(401, error.message);
  if (error instanceof InputError) return refuse(400, error.message, error.fields);
  if (error instanceof StaleError) return { ...refuse(409, error.message), stale: error.stale };
  if (error instanceof RefusedError)
    return refuse(error.status, error.message, error.field ? { [error.field]: error.message } : {});
  if (error instanceof NotFoundError) return refuse(404, error.message);
  if (error instanceof RangeError) return refuse(400, error.message);
  const refused = refusedBecause(error);
  if (refused) return refuse(400, refused.message, refused.field ? { [refused.field]: refused.message } : {});
  log.error({ error, away: databaseAway(error) }, "an action failed");
  return refuse(
    503,
    databaseAway(error)
      ? "Not saved: the database does not answer. What you typed is still here; try again in a moment."
      : "Not saved: something failed here. What you typed is still here; nothing was half-saved.",
  );
}
