import { may, type Right } from "@/core/people/rights";
import { RefusedError } from "./refusal";
import type { Session } from "./session";

/** Refuses whoever has not the right; for what depends on the input. */
export function requireRight(who: Session, right: Right): void {
  if (!may(who.role, right))
    throw new RefusedError({ room: "any", kind: "not-allowed", role: who.role, right }, undefined, 403);
}
