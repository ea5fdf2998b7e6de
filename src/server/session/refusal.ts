import type { Refused } from "./refused";
import type { RefusalStatus } from "./result";

/** An input that can be read but makes no sense for this garden; shown beside the field. */
export class RefusedError extends Error {
  constructor(
    readonly reason: Refused,
    readonly field?: string,
    readonly status: RefusalStatus = 400,
  ) {
    super(`${reason.room}: ${reason.kind}`);
  }
}

/** Fields that need another look, each with its reason. */
export class InputError extends Error {
  constructor(readonly fields: Readonly<Record<string, string>>) {
    super("some fields need another look");
  }
}
