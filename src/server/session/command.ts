import { InputError, RefusedError } from "./refusal";
import type Joi from "joi";
import type { Right } from "@/core/people/rights";
import { databaseDown, refusedBecause } from "../db/errors";
import { NotFoundError, type Db } from "../db/pool";
import { StaleError } from "../db/save";
import { actOf, inAct } from "./act";
import { log } from "./log";
import { requireRight } from "./rights";
import type { Refused } from "./refused";
import type { Action, ActionResult, Refusal, RefusalStatus } from "./result";
import { session, SignedOutError, type Session } from "./session";
import { fieldErrors, STRICT } from "./validation";

/** A keeper's acts want the password once more when it was typed longer ago than this. */
const CONFIRMED_MS = 3_600_000;

function requireConfirmed({ confirmedAt }: Session): void {
  if (Date.now() - confirmedAt.getTime() > CONFIRMED_MS)
    throw new RefusedError({ room: "any", kind: "password-again" }, undefined, 403);
}

export interface CommandOptions {
  /** Changes who can get in: the password must have been typed within the hour. */
  readonly confirm?: true;
  /** Its answer holds a secret, and is kept sealed. */
  readonly secret?: boolean;
  /** Works in a what-if as well: what it changes is the what-if, or its own matter. */
  readonly inWhatIf?: true;
}

/**
 * Makes a server action of a right, a schema and a piece of work: whoever asks must be signed in and have the right, the
 * input is validated, the work runs in one transaction for the garden of the session, and every refusal comes back as
 * a finding beside the field. Nothing is half-saved. The browser's id for the act is kept with the answer.
 */
export function command<Input, Value = undefined>(
  right: Right,
  schema: Joi.ObjectSchema<Input>,
  work: (db: Db, input: Input, who: Session) => Promise<Value>,
  { confirm, secret = false, inWhatIf }: CommandOptions = {},
): Action<Value> {
  return (input, act) =>
    answered(async () => {
      const who = await session();
      requireRight(who, right);
      // What happened, what is on the shelf and who is a member are never part of a what-if.
      if (who.whatIf !== null && !inWhatIf) throw new RefusedError({ room: "any", kind: "not-in-what-if" });
      if (confirm) requireConfirmed(who);
      const checked = checkedInput(schema, input);
      return inAct({ who, act: actOf(act), input: checked, secret }, (db) => work(db, checked, who));
    });
}

/** The same for those who are not signed in: signing in, taking up an invitation, the first start. */
export function openCommand<Input, Value = undefined>(
  schema: Joi.ObjectSchema<Input>,
  work: (input: Input, act: string) => Promise<Value>,
): Action<Value> {
  return (input, act) =>
    answered(async () => ({ ok: true, value: await work(checkedInput(schema, input), actOf(act)) }));
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
  const refuse = (status: RefusalStatus, reason: Refused, more: Partial<Refusal> = {}): Refusal => ({
    ok: false,
    status,
    reason,
    ...more,
  });
  if (error instanceof SignedOutError) return refuse(401, { room: "any", kind: "signed-out" });
  if (error instanceof InputError) return refuse(400, { room: "any", kind: "fields" }, { fields: error.fields });
  if (error instanceof StaleError)
    return refuse(409, { room: "any", kind: "stale", by: error.stale.by }, { stale: error.stale });
  if (error instanceof RefusedError)
    return refuse(error.status, error.reason, {
      ...(error.field !== undefined && { field: error.field }),
      ...(error.reason.kind === "password-again" && { confirm: true }),
    });
  if (error instanceof NotFoundError) return refuse(404, { room: "any", kind: "gone", what: error.what });
  if (error instanceof RangeError) {
    // What the core refuses is named for developers; whoever typed reads it in plain words.
    log.warn({ error }, "an action was refused by the core");
    return refuse(400, { room: "any", kind: "outside-range" });
  }
  const refused = refusedBecause(error);
  if (refused) return refuse(400, refused.reason, refused.field === undefined ? {} : { field: refused.field });
  log.error({ error, away: databaseDown(error) }, "an action failed");
  return refuse(503, { room: "any", kind: databaseDown(error) ? "database-away" : "failed" });
}
