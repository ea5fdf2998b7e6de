import type { Right } from "@/core/people/rights";
import { isDose } from "@/core/round/dosing";
import type { RoundItem, RoundKind, RoundTask } from "@/core/round/types";

/** What a member needs to settle an item of a kind. */
export function rightOf(kind: RoundKind): Right {
  return isDose(kind) ? "dose" : "log";
}

/** Items that are settled by what is entered, not by a tick. */
export function asksFirst({ task: { kind } }: RoundItem): boolean {
  return (
    kind === "reading" ||
    kind === "read-again" ||
    kind === "store" ||
    kind === "bring-back" ||
    kind === "calibrate" ||
    kind === "count-seedlings"
  );
}

export type WashTask = Extract<RoundTask, { readonly kind: "wash" }>;

/** A line that is cleared while units of it were never picked: what became of them is asked. */
export function hasUnitsLeft(task: RoundTask): boolean {
  return task.kind === "wash" && (task.unitsLeft?.units ?? 0) > 0;
}
