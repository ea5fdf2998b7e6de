import type { UnitPreferences } from "@/core/units/dimensions";
import type { HistoryRefusal } from "@/server/history/refused";
import type { Refused } from "@/server/session/refused";
import type { ActionResult, Refusal, Stale } from "@/server/session/result";
import { batchesRefusalWords } from "../batches/words";
import { feedRefusalWords } from "../feed/words";
import { growthRefusalWords } from "../growth/words";
import { peopleRefusalWords } from "../people/words";
import { placeRefusalWords } from "../place/words";
import { roundRefusalWords } from "../round/words";
import { waterRefusalWords } from "../water/words";
import { commonRefusalWords } from "./words";

const HISTORY: Readonly<Record<HistoryRefusal["kind"], string>> = {
  "unknown-change": "This change is not in the history.",
  "cannot-be-undone": "This cannot be undone, or it was undone already.",
  "changed-since": "It cannot be undone: it has been changed again since.",
  "used-since": "It cannot be undone: it has been used since.",
};

/** Why something was not saved, in the garden's units. */
export function refusalWords(reason: Refused, units: UnitPreferences): string {
  switch (reason.room) {
    case "any":
      return commonRefusalWords(reason);
    case "place":
      return placeRefusalWords(reason, units);
    case "round":
      return roundRefusalWords(reason, units);
    case "water":
      return waterRefusalWords(reason);
    case "feed":
      return feedRefusalWords(reason);
    case "growth":
      return growthRefusalWords(reason);
    case "batches":
      return batchesRefusalWords(reason);
    case "history":
      return HISTORY[reason.kind];
    case "people":
      return peopleRefusalWords(reason);
  }
}

/** A refusal in words, and the words beside the fields they concern. */
export interface WordedRefusal {
  readonly ok: false;
  readonly status: Refusal["status"];
  readonly message: string;
  readonly fields: Readonly<Record<string, string>>;
  readonly stale?: Stale;
  readonly confirm?: true;
}

/** What a command comes to for whoever sent it. */
export type Answer<Value> = Extract<ActionResult<Value>, { readonly ok: true }> | WordedRefusal;

export function worded(result: Refusal, units: UnitPreferences): WordedRefusal {
  const { reason, field, fields, ...refusal } = result;
  const message = refusalWords(reason, units);
  return { ...refusal, message, fields: { ...fields, ...(field !== undefined && { [field]: message }) } };
}
