import Joi from "joi";
import { edited, type Edited, choice, maybeRowId, measure, rowId, text, whole } from "../session/validation";
import type { StandSpec } from "@/core/place/stand";

export interface HouseInput extends Edited {
  readonly name: string;
  readonly lengthM: number;
  readonly widthM: number;
  readonly heightM: number;
  readonly cover: "net" | "film" | "glass" | "polycarbonate" | "open";
  readonly shadeShare: number;
}

export const houseSchema = Joi.object<HouseInput>({
  ...edited("House"),
  name: text("Name"),
  lengthM: measure("Length", 0.5, 500, "m"),
  widthM: measure("Width", 0.5, 500, "m"),
  heightM: measure("Height", 0.3, 30, "m"),
  cover: choice("Cover", "net", "film", "glass", "polycarbonate", "open"),
  shadeShare: measure("Shade", 0, 1, ""),
});

const lines = whole("Lines", 1, 2000);
const pitchM = measure("Pitch", 0.005, 50, "m");
const aisleM = measure("Aisle", 0, 20, "m");
const linesPerValve = whole("Lines on one valve", 1, 2000);

const channelBank = Joi.object({
  kind: Joi.valid("channel-bank").required(),
  lines,
  lineLengthM: measure("Channel length", 0.1, 500, "m"),
  channelWidthM: measure("Channel width", 0.01, 5, "m"),
  channelDepthM: measure("Channel depth", 0.005, 2, "m"),
  endMarginM: measure("End margin", 0, 50, "m"),
  pitchM: pitchM
    .max(Joi.ref("lineLengthM"))
    .messages({ "number.max": "Pitch is {#value} m; it must not be wider than the line" }),
  holeMm: measure("Hole", 1, 1000, "mm"),
  gapM: measure("Gap between channels", 0, 20, "m"),
  linesPerBlock: whole("Lines between aisles", 1, 2000),
  aisleM,
  linesPerValve,
  fallOneIn: measure("Fall, one in", 0, 1000, ""),
  lineFlowLph: measure("Flow of a channel", 0, 10_000, "L/h"),
});

const dripBeds = Joi.object({
  kind: Joi.valid("drip-beds").required(),
  lines,
  lineLengthM: measure("Bed length", 0.1, 500, "m"),
  bedWidthM: measure("Bed width", 0.05, 20, "m"),
  endMarginM: measure("End margin", 0, 50, "m"),
  edgeMarginM: measure("Side margin", 0, 10, "m"),
  rows: whole("Rows", 1, 200),
  pitchM: pitchM
    .max(Joi.ref("lineLengthM"))
    .messages({ "number.max": "Pitch is {#value} m; it must not be wider than the bed is long" }),
  pattern: choice("Pattern", "square", "staggered"),
  aisleM,
  linesPerValve,
  lateralsPerBed: whole("Drip lines in a bed", 0, 100),
  emitterSpacingM: measure("Emitter spacing", 0.02, 10, "m"),
  emitterFlowLph: measure("Emitter flow", 0, 1000, "L/h"),
});

const bucketLine = Joi.object({
  kind: Joi.valid("bucket-line").required(),
  lines,
  bucketsPerLine: whole("Buckets in a row", 1, 2000),
  bucketSpacingM: measure("Bucket spacing", 0.05, 20, "m"),
  bucketDiameterM: measure("Bucket diameter", 0.02, 5, "m"),
  bucketVolumeL: measure("Bucket volume", 0.1, 2000, "L"),
  plantsPerBucket: whole("Plants in a bucket", 1, 50),
  aisleM,
  linesPerValve,
  emittersPerBucket: whole("Emitters on a bucket", 0, 50),
  emitterFlowLph: measure("Emitter flow", 0, 1000, "L/h"),
});

const trayRack = Joi.object({
  kind: Joi.valid("tray-rack").required(),
  racks: whole("Racks", 1, 1000),
  shelvesPerRack: whole("Shelves", 1, 50),
  shelfLengthM: measure("Shelf length", 0.1, 20, "m"),
  shelfWidthM: measure("Shelf width", 0.1, 10, "m"),
  trayLengthM: measure("Tray length", 0.05, 10, "m"),
  trayWidthM: measure("Tray width", 0.05, 10, "m"),
  cellsPerTray: whole("Cells in a tray", 1, 2000),
  aisleM,
});

export interface StandInput extends Edited {
  readonly houseId: number;
  readonly poolId: number;
  readonly loopId: number | null;
  readonly name: string;
  readonly xM: number;
  readonly yM: number;
  readonly turned: boolean;
  readonly spec: StandSpec;
}

export const standSchema = Joi.object<StandInput>({
  ...edited("Stand"),
  houseId: rowId("House"),
  poolId: rowId("Pool"),
  loopId: maybeRowId("Loop"),
  name: text("Name"),
  xM: measure("From the left", 0, 500, "m"),
  yM: measure("From the top", 0, 500, "m"),
  turned: Joi.boolean().required(),
  // The kind decides which measures are asked for; only those are reported.
  spec: Joi.alternatives()
    .conditional(".kind", {
      switch: [
        { is: "channel-bank", then: channelBank },
        { is: "drip-beds", then: dripBeds },
        { is: "bucket-line", then: bucketLine },
        { is: "tray-rack", then: trayRack },
      ],
    })
    .required()
    .messages({
      "alternatives.any": "Kind of stand is not known",
      "alternatives.all": "Kind of stand is not known",
    }),
});

export interface PoolInput extends Edited {
  readonly name: string;
  readonly cleaningDays: number;
}

export const poolSchema = Joi.object<PoolInput>({
  ...edited("Pool"),
  name: text("Name"),
  cleaningDays: whole("Cleaning days", 0, 60),
});

export const removeSchema = Joi.object<{ id: number }>({ id: rowId("What to remove") });
