import Joi from "joi";
import type { PumpPoint } from "@/core/water/pumpCurve";
import type { TimerProgram } from "@/core/water/timer";
import {
  version,
  edited,
  type Edited,
  choice,
  day,
  maybeRowId,
  measure,
  rowId,
  text,
  whole,
} from "../session/validation";

/** A pump and the pipe it pushes through. */
export interface PumpInput {
  readonly points: readonly PumpPoint[];
  readonly highestOutletM: number;
  readonly lowestWaterM: number;
  readonly headWantedM: number;
  readonly pipeLengthM: number;
  readonly boreMm: number;
  readonly fittingsK: number;
  /** Keeps the pipe full while the pump stands; without one its water runs back into the tank. */
  readonly nonReturnValve?: boolean;
}

export interface LoopInput extends Edited {
  readonly name: string;
  readonly kind: "recirculating" | "run-to-waste";
  readonly feeding: "injector" | "stocks" | "dry";
  readonly tankL: number;
  readonly workingL: number;
  readonly drainShare: number;
  readonly pump: PumpInput | null;
  readonly timer: TimerProgram;
  readonly turns: number;
  readonly recipeId: number | null;
  readonly sourceId: number | null;
  readonly ratioR: number;
  readonly ratioConvention: "in" | "to";
  readonly injectorLeastLph: number | null;
  readonly injectorGreatestLph: number | null;
  readonly acid: "phosphoric" | "citric";
  readonly coldestC: number;
  readonly readEveryDays: number;
}

const pump = Joi.object<PumpInput>({
  points: Joi.array()
    .items(Joi.object({ flowLph: measure("Flow", 0, 1_000_000, "L/h"), headM: measure("Head", 0, 500, "m") }))
    .min(2)
    .max(30)
    .required()
    .label("Pump curve")
    .custom((points: PumpPoint[], helpers) => {
      // What is no point has its own message.
      if (!points.every((point) => Number.isFinite(point?.flowLph))) return points;
      const at = points.findIndex((point, index) => index > 0 && !(point.flowLph > points[index - 1]!.flowLph));
      return at < 0
        ? points
        : helpers.message({
            custom: `Pump curve: the flow of point ${at + 1} is ${points[at]!.flowLph} L/h; flows must rise from point to point`,
          });
    })
    .messages({ "array.min": "Pump curve needs at least two points" }),
  highestOutletM: measure("Highest outlet", -20, 100, "m"),
  lowestWaterM: measure("Lowest water level", -20, 100, "m"),
  headWantedM: measure("Head wanted at the outlet", 0, 200, "m"),
  pipeLengthM: measure("Pipe length", 0, 5000, "m"),
  boreMm: measure("Bore", 2, 1000, "mm"),
  fittingsK: measure("Fittings, sum of K", 0, 1000, ""),
  nonReturnValve: Joi.boolean().optional(),
});

const timer = Joi.object({
  kind: choice("Timer", "continuous", "every", "times"),
  everyMin: Joi.when("kind", {
    is: "every",
    then: measure("Every", 1, 1440, "min"),
    otherwise: Joi.any().strip(),
  }),
  runMin: Joi.when("kind", {
    is: "continuous",
    then: Joi.any().strip(),
    otherwise: measure("Run", 0.05, 1440, "min"),
  }),
  fromMin: Joi.when("kind", {
    is: "every",
    then: measure("From", 0, 1440, "min"),
    otherwise: Joi.any().strip(),
  }),
  toMin: Joi.when("kind", {
    is: "every",
    then: measure("Until", 0, 1440, "min"),
    otherwise: Joi.any().strip(),
  }),
  timesMin: Joi.when("kind", {
    is: "times",
    then: Joi.array()
      .items(measure("Time", 0, 1439, "min").optional())
      .min(1)
      .max(200)
      .required()
      .label("Times")
      .messages({ "array.min": "Times: write at least one" }),
    otherwise: Joi.any().strip(),
  }),
}).custom((value: TimerProgram, helpers) => {
  if (value.kind !== "every") return value;
  if (value.runMin > value.everyMin)
    return helpers.message({
      custom: `Run is ${value.runMin} min; it must not be longer than the ${value.everyMin} min between starts`,
    });
  return value.toMin > value.fromMin ? value : helpers.message({ custom: "Until lies before From" });
});

export const loopSchema = Joi.object<LoopInput>({
  ...edited("Loop"),
  name: text("Name"),
  kind: choice("Kind", "recirculating", "run-to-waste"),
  feeding: choice("Feeding", "injector", "stocks", "dry"),
  tankL: measure("Tank", 1, 1_000_000, "L"),
  workingL: measure("Working volume", 1, 1_000_000, "L")
    .max(Joi.ref("tankL"))
    .messages({ "number.max": "Working volume is {#value} L; it must not be larger than the tank" }),
  drainShare: measure("Drain share", 0, 0.89, ""),
  pump: pump.allow(null).required(),
  timer: timer.required(),
  turns: whole("Turns", 1, 50),
  recipeId: maybeRowId("Recipe"),
  sourceId: maybeRowId("Water source"),
  ratioR: measure("Ratio 1 to", 1, 2000, ""),
  ratioConvention: choice("Ratio meaning", "in", "to"),
  injectorLeastLph: measure("Injector, least flow", 0, 100_000, "L/h").allow(null),
  injectorGreatestLph: measure("Injector, greatest flow", 0, 1_000_000, "L/h").allow(null),
  acid: choice("Acid", "phosphoric", "citric"),
  coldestC: measure("Coldest stock store", -10, 40, "°C"),
  readEveryDays: whole("Read every", 1, 60),
});

export interface SourceInput extends Edited {
  readonly name: string;
  readonly kind: "rain" | "well" | "mains" | "carried";
  readonly priority: number;
  readonly flowLph: number;
  readonly hoursPerDay: number;
  readonly allowanceLpd: number;
  readonly roofAreaM2: number;
  readonly pricePerM3: number;
  readonly analysisMgPerL: Readonly<Record<string, number>>;
  readonly alkalinityMgCaco3PerL: number;
}

export const sourceSchema = Joi.object<SourceInput>({
  ...edited("Source"),
  name: text("Name"),
  kind: choice("Kind", "rain", "well", "mains", "carried"),
  priority: whole("Order of use", 1, 99),
  flowLph: measure("Flow", 0, 1_000_000, "L/h"),
  hoursPerDay: measure("Hours a day", 0, 24, "h"),
  allowanceLpd: measure("Allowance a day", 0, 10_000_000, "L"),
  roofAreaM2: measure("Roof", 0, 1_000_000, "m²"),
  pricePerM3: measure("Price per m³", 0, 10_000, ""),
  analysisMgPerL: Joi.object()
    .pattern(
      Joi.string().valid("NO3-N", "NH4-N", "P", "K", "Ca", "Mg", "S", "Na", "Cl", "Fe", "Mn", "Zn", "Cu", "B", "Mo"),
      measure("Analysis", 0, 20_000, "mg/L"),
    )
    .required(),
  alkalinityMgCaco3PerL: measure("Alkalinity", 0, 5000, "mg/L as CaCO₃"),
});

export interface StoreInput extends Edited {
  readonly name: string;
  readonly capacityL: number;
  readonly storedL: number;
  readonly readOn: number;
}

export const storeSchema = Joi.object<StoreInput>({
  ...edited("Store"),
  name: text("Name"),
  capacityL: measure("Capacity", 1, 100_000_000, "L"),
  storedL: measure("In store now", 0, 100_000_000, "L")
    .max(Joi.ref("capacityL"))
    .messages({ "number.max": "In store now is {#value} L; it must not be more than the capacity" }),
  readOn: day("Read on"),
});

export interface TurnsInput {
  readonly id: number;
  readonly version: number;
  readonly turns: number;
}
export const turnsSchema = Joi.object<TurnsInput>({ id: rowId("Loop"), version, turns: whole("Turns", 1, 50) });
