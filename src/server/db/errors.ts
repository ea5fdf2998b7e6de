import { DatabaseError } from "pg";
import { CONSTRAINTS, USERS, type Constraint } from "./constraints";
import type { CommonRefusal } from "../session/refused";

const UNIQUE = "23505";
const FOREIGN_KEY = "23503";
const CHECK = "23514";

/** What a refusal of the database means, or undefined for a failure that is nobody's input. */
export function refusedBecause(
  error: unknown,
): { readonly field?: string; readonly reason: CommonRefusal } | undefined {
  if (!(error instanceof DatabaseError)) return undefined;
  const name = error.constraint;
  if (name !== undefined && isKnown(name))
    return {
      reason: { room: "any", kind: "constraint", name },
      ...(CONSTRAINTS[name] && { field: CONSTRAINTS[name] }),
    };
  switch (error.code) {
    case UNIQUE:
      return { reason: { room: "any", kind: "there-already" } };
    case FOREIGN_KEY:
      return error.detail?.includes("still referenced")
        ? { reason: { room: "any", kind: "still-used", by: USERS.find((table) => table === error.table) ?? null } }
        : { reason: { room: "any", kind: "refers-elsewhere" } };
    case CHECK:
      return { reason: { room: "any", kind: "outside-range" } };
    default:
      return undefined;
  }
}

const isKnown = (name: string): name is Constraint => Object.hasOwn(CONSTRAINTS, name);

const NO_ANSWER_CODES = new Set([
  "ECONNREFUSED",
  "ECONNRESET",
  "EPIPE",
  "ETIMEDOUT",
  "57P01",
  "57P02",
  "57P03",
  "53300",
  "08006",
  "08001",
  "08003",
]);

/** Whether an error says that the database does not answer, starting or has no connection left: it will pass. */
export function databaseDown(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code } = error as { code?: string };
  return (
    (code !== undefined && NO_ANSWER_CODES.has(code)) ||
    /Connection terminated|timeout exceeded when trying to connect|not queryable/u.test(error.message)
  );
}
