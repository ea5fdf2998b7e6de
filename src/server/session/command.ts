import type Joi from "joi";
import { may, whoMay, type Right } from "@/core/people/rights";
import { databaseAway, refusedBecause } from "../db/errors";
import { NotFoundError, type Db } from "../db/pool";
import { StaleError } from "../db/save";
import { actOf, inAct } from "./act";
import { log } from "./log";
import type { Action, ActionResult, Refusal, RefusalStatus } from "./result";
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

/** A keeper's acts want the password once more when it was typed longer ago than this. */
const CONFIRMED_MS = 3_600_000;

/** The password has to be typed again first: it was typed too long ago for what is asked. */
export class ConfirmError extends Error {
  constructor() {
    super("Type your password once more: this opens or closes doors.");
  }
}

function requireConfirmed({ confirmedAt }: Session): void {
  if (Date.now() - confirmedAt.getTime() > CONFIRMED_MS) throw new ConfirmError();
}

export interface CommandOptions {
  /** Opens or closes doors: the password must have been typed within the hour. */
  readonly confirm?: true;
  /** Its answer holds a secret, and is kept sealed. */
  readonly secret?: boolean;
}

/**
 * Makes a server action of a right, a schema and a piece of work: whoever asks must be signed in and have the right, the
 * input is validated, the work runs in one transaction for the garden of the session, and every refusal comes back as
 * words beside the field. Nothing is half-saved. The browser's id for the act is kept with the answer.
 */
export function command<Input, Value = undefined>(
  right: Right,
  schema: Joi.ObjectSchema<Input>,
  work: (db: Db, input: Input, who: Session) => Promise<Value>,
  { confirm, secret = false }: CommandOptions = {},
): Action<Value> {
  return (input, act) =>
    answered(async () => {
      const who = await session();
      requireRight(who, right);
      if (confirm) requireConfirmed(who);
      const checked = checkedInput(schema, input);
      return inAct({ who, act: actOf(act), input: checked, secret }, (db) => work(db, checked, who));
    });
}

/** The same for those who stand before the door: signing in, taking up an invitation, the first start. */
export function openCommand<Input, Value = undefined>(
  schema: Joi.ObjectSchema<Input>,
  work: (input: Input, act: string) => Promise<Value>,
): Action<Value> {
  return (input, act) =>
    answered(async () => ({ ok: true, value: await work(checkedInput(schema, input), actOf(act)) }));
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
  if (error instanceof ConfirmError) return { ...refuse(403, error.message), confirm: true };
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
