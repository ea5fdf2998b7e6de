import { randomUUID } from "node:crypto";
import { type Db, many, run } from "../db/pool";
import { RefusedError } from "./refusal";
import { keyedHash, seal, unseal } from "./cookie";
import { onBehalf } from "./onBehalf";
import type { ActionResult, Also } from "./result";
import type { Session } from "./session";

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/u;

/** The id that a browser gave to an act, or a new one where it gave none. @throws RefusedError for what is no id */
export function actOf(given: unknown): string {
  if (given === undefined || given === null) return randomUUID();
  if (typeof given !== "string" || !UUID.test(given)) throw new RefusedError({ room: "any", kind: "act-without-id" });
  return given;
}

interface Act<Input> {
  readonly who: Session;
  readonly act: string;
  readonly input: Input;
  readonly secret: boolean;
}

/** An answer with what somebody else changed of the same. */
export class Told {
  constructor(
    readonly value: unknown,
    readonly also: Also,
  ) {}
}

/** What the table keeps of an answer. */
type Kept = { readonly value?: unknown; readonly also?: Also } | { readonly sealed: string };

/**
 * Does a piece of work once: in one transaction, with its answer kept under the id of the act. Asked again with the same
 * id and input by the same person, the kept answer is given and nothing is written. A refused act is not kept: what it
 * lacked may be there the next time.
 *
 * @throws RefusedError 409 when the id was used for something else
 */
export async function inAct<Input, Value>(
  { who, act, input, secret }: Act<Input>,
  work: (db: Db) => Promise<Value>,
): Promise<ActionResult<Value>> {
  const { gardenId, personId, accountId } = who;
  return onBehalf({ gardenId, personId, accountId, act }, async (db) => {
    const hash = keyedHash(JSON.stringify(input));
    const [done] = await many<{ answer: Kept; same: boolean }>(db, "select * from begin_act($1, $2, $3, $4)", [
      gardenId,
      act,
      personId,
      hash,
    ]);
    if (done && !done.same) throw new RefusedError({ room: "any", kind: "act-used" }, undefined, 409);
    const answered = { db, gardenId, act };
    if (done) return answerOf(answered, (await opened(done.answer)) as Answer<Value>);
    const answer = await work(db);
    const told = answer instanceof Told ? answer : { value: answer };
    const kept: Kept = secret ? { sealed: await seal(told.value) } : { ...told };
    await run(db, "update act set answer = $3 where garden_id = $1 and id = $2", [gardenId, act, JSON.stringify(kept)]);
    return answerOf(answered, told as Answer<Value>);
  });
}

interface Answer<Value> {
  readonly value?: Value;
  readonly also?: Also;
}

/** Names the act where the history keeps something of it: what was saved as it was leaves nothing to undo. */
async function answerOf<Value>(
  { db, gardenId, act }: { readonly db: Db; readonly gardenId: number; readonly act: string },
  { value, also }: Answer<Value>,
): Promise<ActionResult<Value>> {
  const kept = await many(db, "select 1 from change where garden_id = $1 and act = $2 limit 1", [gardenId, act]);
  return { ok: true, value: value as Value, ...(kept.length > 0 && { act }), ...(also && { also }) };
}

async function opened(kept: Kept): Promise<unknown> {
  return "sealed" in kept ? { value: await unseal(kept.sealed) } : kept;
}
