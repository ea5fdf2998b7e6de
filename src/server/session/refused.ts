import type { Right, Role } from "@/core/people/rights";
import type { BatchesRefusal } from "../batches/refused";
import type { Constraint, UsedBy } from "../db/constraints";
import type { FeedRefusal } from "../feed/refused";
import type { GrowthRefusal } from "../growth/refused";
import type { HistoryRefusal } from "../history/refused";
import type { PeopleRefusal } from "../people/refused";
import type { PlaceRefusal } from "../place/refused";
import type { RoundRefusal } from "../round/refused";
import type { WaterRefusal } from "../water/refused";

/** What may be looked for and be gone. */
export type Gone =
  "account" | "cut-list" | "entry" | "garden" | "job" | "layout" | "log" | "reading" | "stock-tank" | "store";

/** Why something is not saved, whatever room it is of. */
export type CommonRefusal = { readonly room: "any" } & (
  | {
      readonly kind:
        | "signed-out"
        | "password-again"
        | "fields"
        | "outside-range"
        | "database-away"
        | "failed"
        | "act-without-id"
        | "act-used"
        | "there-already"
        | "refers-elsewhere"
        | "not-in-what-if"
        | "what-if-gone"
        | "conflict-open"
        | "nothing-to-adopt"
        | "job-gave-up";
    }
  | { readonly kind: "not-allowed"; readonly role: Role; readonly right: Right }
  | { readonly kind: "stale"; readonly by: string }
  | { readonly kind: "gone"; readonly what: Gone | null }
  | { readonly kind: "constraint"; readonly name: Constraint }
  | { readonly kind: "still-used"; readonly by: UsedBy | null }
);

/** Why something is not saved: a kind and its figures; features/ROOM/words.ts makes the sentence, in the garden's units. */
export type Refused =
  | CommonRefusal
  | PlaceRefusal
  | RoundRefusal
  | FeedRefusal
  | GrowthRefusal
  | BatchesRefusal
  | HistoryRefusal
  | PeopleRefusal
  | WaterRefusal;
