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
}

/** What every action answers: done with a value, or refused with a reason and the fields it concerns. */
export type ActionResult<Value = undefined> =
  | { readonly ok: true; readonly value: Value; /** Names what was changed, for undo. */ readonly act?: string }
  | Refusal;

export type Action<Value = unknown> = (input: unknown) => Promise<ActionResult<Value>>;
