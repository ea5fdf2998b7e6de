/** What every action answers: done with a value, or refused with a reason and the fields it concerns. */
export type ActionResult<Value = undefined> =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly message: string; readonly fields: Readonly<Record<string, string>> };

export type Action<Value = unknown> = (input: unknown) => Promise<ActionResult<Value>>;
