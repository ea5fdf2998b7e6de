/** Somebody saved the same thing meanwhile. */
export interface Stale {
  /** The version that stands now; a save that builds on it is taken. */
  readonly version: number;
  readonly by: string;
  readonly at: string;
}

/** Why not, in the numbers of HTTP: wrong input, signed out, not allowed, gone, changed meanwhile, too often, failed. */
export type RefusalStatus = 400 | 401 | 403 | 404 | 409 | 429 | 503;

export interface Refusal {
  readonly ok: false;
  readonly status: RefusalStatus;
  readonly message: string;
  readonly fields: Readonly<Record<string, string>>;
  readonly stale?: Stale;
  /** The password has to be typed once more; then the same may be asked again. */
  readonly confirm?: true;
}

/** What every action answers: done with a value, or refused with a reason and the fields it concerns. */
export type ActionResult<Value = undefined> =
  | { readonly ok: true; readonly value: Value; /** Names what was changed, for undo. */ readonly act?: string }
  | Refusal;

/**
 * A command as the browser calls it.
 * @param act an id made by the browser: asked again under the same one, it is answered again and nothing is written twice
 */
export type Action<Value = unknown> = (input: unknown, act?: unknown) => Promise<ActionResult<Value>>;
