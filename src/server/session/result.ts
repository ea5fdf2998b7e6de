import type { Refused } from "./refused";

/** Somebody saved the same thing meanwhile. */
export interface Stale {
  readonly by: string;
  readonly at: string;
}

/** Why not, in the numbers of HTTP: wrong input, signed out, not allowed, gone, changed meanwhile, too often, failed. */
export type RefusalStatus = 400 | 401 | 403 | 404 | 409 | 429 | 503;

/** Why not, as a kind with its figures; the browser makes the sentence in the garden's units. */
export interface Refusal {
  readonly ok: false;
  readonly status: RefusalStatus;
  readonly reason: Refused;
  /** The field that the reason belongs beside. */
  readonly field?: string;
  /** Fields outside their ranges, each with its reason. */
  readonly fields?: Readonly<Record<string, string>>;
  readonly stale?: Stale;
  /** The password has to be typed once more; then the same may be asked again. */
  readonly confirm?: true;
}

/** What somebody else changed of the same row since the form was opened, and that stays: labels of fields. */
export interface Also {
  readonly by: string;
  readonly fields: readonly string[];
}

/** What every action answers: done with a value, or refused with a reason and the fields it concerns. */
export type ActionResult<Value = undefined> =
  | {
      readonly ok: true;
      readonly value: Value;
      /** Names what was changed, for undo; none where nothing was. */
      readonly act?: string;
      readonly also?: Also;
    }
  | Refusal;

/**
 * A command as the browser calls it.
 * @param act an id made by the browser: asked again under the same one, it is answered again and nothing is written twice
 */
export type Action<Value = unknown> = (input: unknown, act?: unknown) => Promise<ActionResult<Value>>;
