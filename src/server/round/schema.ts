import Joi from "joi";
import { day, measure, note, rowId, text, whole } from "../session/validation";

export interface TickInput {
  readonly key: string;
  /** What was really done, where it differs from the plan: plants, cells, units, litres. */
  readonly actual: number | null;
  readonly note: string;
}

export const tickSchema = Joi.object<TickInput>({
  key: text("Item", 80),
  actual: measure("Really done", 0, 1_000_000, "").allow(null),
  note: note("Note"),
});

export interface SkipInput {
  readonly key: string;
  readonly reason: string;
}
export const skipSchema = Joi.object<SkipInput>({ key: text("Item", 80), reason: text("Reason", 300) });

export const undoSchema = Joi.object<{ entryId: number }>({
  entryId: whole("Entry", 1, Number.MAX_SAFE_INTEGER),
});

export interface ReadingInput {
  readonly loopId: number;
  readonly ecMsPerCm: number;
  readonly ph: number;
  readonly waterC: number;
  readonly levelL: number;
  /** Set when a suspected slip of unit was asked about and confirmed. */
  readonly sure: boolean;
}

export const readingSchema = Joi.object<ReadingInput>({
  loopId: rowId("Tank"),
  ecMsPerCm: measure("EC", 0, 20, "mS/cm"),
  ph: measure("pH", 0, 14, ""),
  waterC: measure("Water", -5, 60, "°C"),
  levelL: measure("Level", 0, 1_000_000, "L"),
  sure: Joi.boolean().required(),
});

export interface StoreReadingInput {
  readonly storeId: number;
  readonly storedL: number;
}
export const storeReadingSchema = Joi.object<StoreReadingInput>({
  storeId: rowId("Store"),
  storedL: measure("In store", 0, 100_000_000, "L"),
});

export interface NoteInput {
  readonly day: number;
  readonly place: string;
  readonly title: string;
  readonly note: string;
}
export const noteSchema = Joi.object<NoteInput>({
  day: day("Day"),
  place: note("Place", 80),
  title: text("What", 200),
  note: note("Note", 1000),
});

export interface CorrectionInput {
  readonly entryId: number;
  readonly values: Readonly<Record<string, number>>;
  readonly note: string;
}
/** Each figure that a log entry may hold, with the range in which it can be corrected. */
export const LOG_FIGURES = {
  ecMsPerCm: measure("EC", 0, 20, "mS/cm"),
  ph: measure("pH", 0, 14, ""),
  waterC: measure("Water", -5, 60, "°C"),
  levelL: measure("Level", 0, 1_000_000, "L"),
  storedL: measure("In store", 0, 100_000_000, "L"),
  done: measure("Really done", 0, 1_000_000, ""),
} as const;

export const correctionSchema = Joi.object<CorrectionInput>({
  entryId: whole("Entry", 1, Number.MAX_SAFE_INTEGER),
  values: Joi.object(Object.fromEntries(Object.entries(LOG_FIGURES).map(([key, schema]) => [key, schema.optional()])))
    .min(1)
    .required()
    .label("Values")
    .messages({ "object.min": "Nothing to correct: write the right figure" }),
  note: text("Why", 300),
});
