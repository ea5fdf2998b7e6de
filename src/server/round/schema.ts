import Joi from "joi";
import type { Day } from "@/core/units/day";
import type { CatchCanTest } from "@/core/water/catchCans";
import { METER_PLACES, type CalibrationRun } from "@/core/feed/calibration";
import { TANK_FIGURES, type TankFigures } from "@/core/feed/tankFigures";
import { DIMENSIONS, type Dimension } from "@/core/units/dimensions";
import { day, measure, note, rowId, text, whole } from "../session/validation";

export interface TickInput {
  readonly key: string;
  /** What was really done, where it differs from the plan: plants, cells, units, litres. */
  readonly actual: number | null;
  /** When a line is cleared: units that were still picked, and units that were thrown away. */
  readonly picked?: number;
  readonly thrownAway?: number;
  /** Of a stock that was mixed: the bag that each salt came from, where it was another than the one in use. */
  readonly lots?: readonly { readonly saltId: number; readonly lot: string }[];
  /** Of what is moved or picked: the day on which it was found ready; left out where nobody looked. */
  readonly readyOn?: Day;
  readonly note: string;
}

export const tickSchema = Joi.object<TickInput>({
  key: text("Item", 80),
  actual: measure("Actually done", 0, 1_000_000, "").allow(null),
  picked: measure("Picked", 0, 1_000_000, "").optional(),
  thrownAway: measure("Thrown away", 0, 1_000_000, "").optional(),
  lots: Joi.array()
    .items(Joi.object({ saltId: rowId("Salt"), lot: text("Lot", 80) }))
    .max(40)
    .optional()
    .label("Lots"),
  readyOn: day("Found ready on").optional(),
  note: note("Note"),
});

export interface SeedlingsInput {
  readonly batchId: number;
  readonly of: number;
  readonly up: number;
}
export const seedlingsSchema = Joi.object<SeedlingsInput>({
  batchId: rowId("Batch"),
  of: whole("Of seeds", 1, 1_000_000),
  up: whole("Seedlings up", 0, 1_000_000),
});

export interface SkipInput {
  readonly key: string;
  readonly reason: string;
}
export const skipSchema = Joi.object<SkipInput>({ key: text("Item", 80), reason: text("Reason", 300) });

export const undoSchema = Joi.object<{ entryId: number }>({
  entryId: whole("Entry", 1, Number.MAX_SAFE_INTEGER),
});

export interface ReadingInput extends TankFigures {
  readonly loopId: number;
  /** Set when a suspected slip of unit was asked about and confirmed. */
  readonly sure: boolean;
}

const dimensionUnit = (dimension: Dimension) => DIMENSIONS[dimension][0]!.symbol;

/** A schema for each figure of a tank, by its name. */
const tankFigures = Object.fromEntries(
  TANK_FIGURES.map(({ name, label, dimension, least, greatest }) => [
    name,
    measure(label, least, greatest, dimensionUnit(dimension)),
  ]),
);

export const readingSchema = Joi.object<ReadingInput>({
  loopId: rowId("Tank"),
  // A reading may lack any of its figures: a meter is out, a float is stuck.
  ...Object.fromEntries(
    TANK_FIGURES.map(({ name, optional }) => {
      const schema = tankFigures[name]!.allow(null);
      return [name, optional ? schema.optional().default(null) : schema];
    }),
  ),
  sure: Joi.boolean().required(),
}).custom((reading: ReadingInput, helpers) =>
  TANK_FIGURES.some(({ name }) => reading[name] !== null)
    ? reading
    : helpers.message({ custom: "Nothing was read: write at least one figure" }),
);

export interface StoreReadingInput {
  readonly storeId: number;
  readonly storedL: number;
}
export const storeReadingSchema = Joi.object<StoreReadingInput>({
  storeId: rowId("Store"),
  storedL: measure("In store", 0, 100_000_000, "L"),
});

export interface CatchCanInput extends Omit<CatchCanTest, "runHoursPerDay"> {
  readonly standId: number;
  readonly line: number;
}
export const catchCanSchema = Joi.object<CatchCanInput>({
  standId: rowId("Stand"),
  line: whole("Line", 1, 100_000),
  volumesMl: Joi.array()
    .items(measure("Caught", 0, 100_000, "mL").optional())
    .min(4)
    .max(400)
    .required()
    .label("Caught")
    .messages({
      "array.min": "Write what at least 4 cans caught: fewer tell nothing of a line",
      "array.max": "Caught has more than 400 figures",
    }),
  durationS: measure("Time under the emitters", 10, 86_400, "s"),
  nominalFlowLph: measure("Emitter flow", 0.01, 1000, "L/h"),
});

export type CalibrationInput = Omit<CalibrationRun, "wantedR" | "convention"> & {
  readonly loopId: number;
  /** Set when a figure that looks wrong was asked about and confirmed. */
  readonly sure: boolean;
};
const drawn = measure("Stock drawn", 0, 100_000, "L");
const metered = measure("Water metered", 0.1, 1_000_000, "L");
export const calibrationSchema = Joi.object<CalibrationInput>({
  loopId: rowId("Loop"),
  setR: measure("Ratio it is set to", 1, 2000, ""),
  stockDrawnL: drawn,
  meteredL: metered,
  meter: Joi.valid(...METER_PLACES)
    .required()
    .label("The meter stands"),
  sure: Joi.boolean().required(),
}).custom((run: CalibrationInput, helpers) =>
  run.meter === "after" && run.stockDrawnL > run.meteredL
    ? helpers.message({ custom: "More stock was drawn than flowed out: check mL and litres" })
    : run,
);

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
export const LOG_FIGURES: Readonly<Record<string, Joi.NumberSchema>> = {
  ...tankFigures,
  storedL: measure("In store", 0, 100_000_000, "L"),
  picked: measure("Picked", 0, 1_000_000, ""),
  thrownAway: measure("Thrown away", 0, 1_000_000, ""),
  stockDrawnL: drawn,
  meteredL: metered,
  done: measure("Actually done", 0, 1_000_000, ""),
};

export const correctionSchema = Joi.object<CorrectionInput>({
  entryId: whole("Entry", 1, Number.MAX_SAFE_INTEGER),
  values: Joi.object(Object.fromEntries(Object.entries(LOG_FIGURES).map(([key, schema]) => [key, schema.optional()])))
    .min(1)
    .required()
    .label("Values")
    .messages({ "object.min": "Nothing to correct: write the right figure" }),
  note: text("Why", 300),
});
