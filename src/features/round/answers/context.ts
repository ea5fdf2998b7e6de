import type { Day } from "@/core/units/day";
import type { UnitPreferences } from "@/core/units/dimensions";

/** What the answers know of the garden they are asked in; before one is there, little. */
export interface AnswerContext {
  readonly units: UnitPreferences;
  readonly latitudeDeg: number;
  /** Whether the latitude is the garden's, or a guess. */
  readonly latitudeIsKnown: boolean;
  readonly today: Day;
  /** Null before signing in. */
  readonly garden: {
    readonly houses: readonly { readonly id: number; readonly name: string }[];
    readonly loops: readonly { readonly id: number; readonly name: string }[];
    readonly mayPlan: boolean;
  } | null;
}

/** Latitude that is taken while none is known. */
export const GUESSED_LATITUDE_DEG = 45;

/** Where the blanks of a question are kept on the device; the same before and after signing in. */
export const answerKey = (question: string) => `draft:answer:${question}`;
