import { requireRange, requireWhole } from "../../units/range";
import { STAND_MODELS, type StandKind, type StandSpec } from "../kinds";
import type { NumberMeasure } from "../kinds/model";
import { count, FLOAT_VALVE, number } from "../kinds/shared";

/** Values of what was told, by the names of the measures. */
export type Told = Readonly<Record<string, number>>;

/** A stand as a grower tells it: the few measures that decide how many plants stand there. */
export interface ToldKind {
  readonly kind: StandKind;
  /** More than one of its lines: channels, beds. */
  readonly name: string;
  readonly measures: readonly NumberMeasure[];
  /** Round figures to begin with, in metric and in US gardens. */
  readonly first: { readonly metric: Told; readonly us: Told };
  /** All measures of the stand: what was told, and what goes with it. */
  readonly specOf: (told: Told) => StandSpec;
}

const FOOT = 0.3048;
const INCH = 0.0254;

const lines = (words: string) => count("lines", words, 2000);
const long = number("lengthM", "Length", "length", 0.1, 500);
const wide = number("widthM", "Width", "length", 0.05, 20);
const every = number("spacingM", "A plant every", "smallLength", 0.005, 50, {
  atMost: { measure: "lengthM", times: 1, words: "it must not be more than the length" },
});

/** A hole for a net cup that leaves plastic between two holes, in whole mm. */
const holeMm = (spacingM: number) => Math.max(5, Math.min(50, Math.round(spacingM * 1000 - 30)));
const block = (told: Told) => told.pathEvery ?? Math.min(told.lines!, 6);
const bed = (told: Told) => ({ lines: told.lines!, lineLengthM: told.lengthM!, bedWidthM: told.widthM! });
/** Half a spacing to the end, as plants at the same distance have it from their neighbours. */
const half = (told: Told) => Math.min(told.spacingM!, told.lengthM!) / 2;
const rowsIn = (told: Told) => Math.max(1, Math.floor(told.widthM! / told.spacingM! + 1e-9));

function channels(told: Told, section: "rectangular" | "round"): StandSpec {
  return {
    ...STAND_MODELS["channel-bank"].example,
    section,
    lines: told.lines!,
    lineLengthM: told.lengthM!,
    pitchM: told.spacingM!,
    endMarginM: told.endM ?? half(told),
    holeMm: holeMm(told.spacingM!),
    linesPerBlock: block(told),
    linesPerValve: told.lines!,
    linesPerRun: told.inSeries ?? 1,
    // Short nursery lines want half of what long ones do.
    lineFlowLph: told.lengthM! <= 3 ? 30 : 90,
    ...(section === "round" && { channelWidthM: told.pipeM!, channelDepthM: told.pipeM! }),
  };
}

/** Tray positions in one row along a shelf of that length. */
function shelf(told: Told, trayLengthM: number, trayWidthM: number) {
  return {
    racks: 1,
    shelvesPerRack: told.lines!,
    shelfLengthM: told.trays! * trayWidthM,
    shelfWidthM: trayLengthM,
    trayLengthM,
    trayWidthM,
  };
}

export const TOLD_KINDS = {
  channels: {
    kind: "channel-bank",
    name: "channels",
    measures: [
      lines("Channels"),
      long,
      every,
      number("endM", "First plant from the end", "smallLength", 0, 50),
      count("pathEvery", "Channels between paths", 2000),
    ],
    first: {
      metric: { lines: 12, lengthM: 6, spacingM: 0.2, endM: 0.1, pathEvery: 6 },
      us: { lines: 12, lengthM: 20 * FOOT, spacingM: 8 * INCH, endM: 4 * INCH, pathEvery: 6 },
    },
    specOf: (told) => channels(told, "rectangular"),
  },
  pipes: {
    kind: "channel-bank",
    name: "pipes",
    measures: [lines("Pipes"), long, number("pipeM", "Pipe, inside", "smallLength", 0.02, 1), every],
    first: {
      metric: { lines: 6, lengthM: 4, pipeM: 0.1, spacingM: 0.2 },
      us: { lines: 6, lengthM: 12 * FOOT, pipeM: 4 * INCH, spacingM: 8 * INCH },
    },
    specOf: (told) => channels(told, "round"),
  },
  buckets: {
    kind: "bucket-line",
    name: "buckets",
    measures: [
      count("lines", "Buckets", 2000),
      number("volumeL", "Bucket", "volume", 0.1, 2000),
      count("plants", "Plants in each", 50),
      count("emitters", "Drippers on each", 50, undefined, 0),
      number("emitterLph", "Dripper", "flow", 0, 1000),
    ],
    first: {
      metric: { lines: 12, volumeL: 15, plants: 1, emitters: 2, emitterLph: 2 },
      us: { lines: 12, volumeL: 5 * 3.785411784, plants: 1, emitters: 2, emitterLph: 0.5 * 3.785411784 },
    },
    specOf: (told) => {
      // As wide as it is high: the usual bucket.
      const diameterM = Math.round(((4 * told.volumeL!) / 1000 / Math.PI) ** (1 / 3) * 100) / 100;
      const rows = told.lines! > 12 ? 2 : 1;
      return {
        ...STAND_MODELS["bucket-line"].example,
        lines: told.lines! % rows === 0 ? rows : 1,
        bucketsPerLine: told.lines! % rows === 0 ? told.lines! / rows : told.lines!,
        bucketVolumeL: told.volumeL!,
        bucketDiameterM: diameterM,
        bucketSpacingM: Math.max(0.5, diameterM + 0.05),
        plantsPerBucket: told.plants!,
        emittersPerBucket: told.emitters!,
        emitterFlowLph: told.emitterLph!,
      };
    },
  },
  beds: {
    kind: "drip-beds",
    name: "beds",
    measures: [lines("Beds"), long, wide, every],
    first: {
      metric: { lines: 3, lengthM: 4, widthM: 1, spacingM: 0.3 },
      us: { lines: 3, lengthM: 12 * FOOT, widthM: 4 * FOOT, spacingM: 12 * INCH },
    },
    specOf: (told) => ({
      ...STAND_MODELS["drip-beds"].example,
      ...bed(told),
      rows: rowsIn(told),
      pattern: "square",
      pitchM: told.spacingM!,
      endMarginM: half(told),
      edgeMarginM: rowsIn(told) > 1 ? Math.min(told.spacingM! / 2, told.widthM! / 4) : told.widthM! / 2,
      linesPerValve: told.lines!,
      lateralsPerBed: Math.max(1, Math.ceil(rowsIn(told) / 2)),
      ...(told.emitterHeadM !== undefined && { emitterHeadM: told.emitterHeadM }),
      ...(told.emitterLph !== undefined && { emitterFlowLph: told.emitterLph }),
      ...(told.emitterEveryM !== undefined && { emitterSpacingM: told.emitterEveryM }),
    }),
  },
  rafts: {
    kind: "raft-pond",
    name: "raft ponds",
    measures: [lines("Ponds"), long, wide, every],
    first: {
      metric: { lines: 1, lengthM: 2.4, widthM: 1.2, spacingM: 0.2 },
      us: { lines: 1, lengthM: 8 * FOOT, widthM: 4 * FOOT, spacingM: 8 * INCH },
    },
    specOf: (told) => ({
      ...STAND_MODELS["raft-pond"].example,
      ponds: told.lines!,
      pondLengthM: told.lengthM!,
      pondWidthM: told.widthM!,
      raftLengthM: told.lengthM!,
      raftWidthM: told.widthM!,
      pitchM: told.spacingM!,
      edgeMarginM: Math.min(half(told), told.widthM! / 4),
      holeMm: Math.min(40, holeMm(told.spacingM!)),
      linesPerValve: told.lines!,
    }),
  },
  towers: {
    kind: "towers",
    name: "towers",
    measures: [count("lines", "Towers", 500), count("tiers", "Tiers", 100), count("plants", "Plants on a tier", 100)],
    first: {
      metric: { lines: 6, tiers: 6, plants: 3 },
      us: { lines: 6, tiers: 6, plants: 3 },
    },
    specOf: (told) => ({
      ...STAND_MODELS.towers.example,
      rows: 1,
      towersPerRow: told.lines!,
      tiers: told.tiers!,
      plantsPerTier: told.plants!,
      linesPerValve: told.lines!,
    }),
  },
  seedTrays: {
    kind: "tray-rack",
    name: "seed trays",
    measures: [
      count("lines", "Shelves", 50),
      count("trays", "Trays on each", 100),
      count("cells", "Cells in a tray", 2000),
    ],
    first: {
      metric: { lines: 1, trays: 4, cells: 84 },
      us: { lines: 1, trays: 4, cells: 72 },
    },
    specOf: (told) => ({ ...STAND_MODELS["tray-rack"].example, ...shelf(told, 0.54, 0.28), cellsPerTray: told.cells! }),
  },
  shootTrays: {
    kind: "shoots-rack",
    name: "shoot trays",
    measures: [count("lines", "Shelves", 50), count("trays", "Trays on each", 100)],
    first: { metric: { lines: 4, trays: 3 }, us: { lines: 4, trays: 3 } },
    specOf: (told) => ({ ...STAND_MODELS["shoots-rack"].example, ...shelf(told, 0.54, 0.28) }),
  },
  floodBenches: {
    kind: "flood-bench",
    name: "flood benches",
    measures: [lines("Benches"), long, wide, every],
    first: {
      metric: { lines: 2, lengthM: 2.4, widthM: 1.2, spacingM: 0.15 },
      us: { lines: 2, lengthM: 8 * FOOT, widthM: 4 * FOOT, spacingM: 6 * INCH },
    },
    specOf: (told) => ({
      ...STAND_MODELS["flood-bench"].example,
      ...bed(told),
      pitchM: told.spacingM!,
      edgeMarginM: Math.min(half(told), told.widthM! / 4),
      potMm: Math.max(20, Math.min(110, Math.round(told.spacingM! * 1000) - 20)),
    }),
  },
  mediaBeds: {
    kind: "media-bed",
    name: "media beds",
    measures: [lines("Beds"), long, wide, every],
    first: {
      metric: { lines: 2, lengthM: 3, widthM: 0.9, spacingM: 0.25 },
      us: { lines: 2, lengthM: 10 * FOOT, widthM: 3 * FOOT, spacingM: 10 * INCH },
    },
    specOf: (told) => ({
      ...STAND_MODELS["media-bed"].example,
      ...bed(told),
      pitchM: told.spacingM!,
      edgeMarginM: Math.min(half(told), told.widthM! / 4),
    }),
  },
  wickingBeds: {
    kind: "wicking-bed",
    name: "wicking beds",
    measures: [lines("Beds"), long, wide, every],
    first: {
      metric: { lines: 1, lengthM: 2.4, widthM: 1, spacingM: 0.3 },
      us: { lines: 1, lengthM: 8 * FOOT, widthM: 4 * FOOT, spacingM: 12 * INCH },
    },
    specOf: (told) => ({
      ...STAND_MODELS["wicking-bed"].example,
      ...bed(told),
      rows: rowsIn(told),
      pattern: "square",
      pitchM: told.spacingM!,
      endMarginM: half(told),
      edgeMarginM: rowsIn(told) > 1 ? Math.min(told.spacingM! / 2, told.widthM! / 4) : told.widthM! / 2,
      ...(told.floatRatedLph !== undefined && {
        floatRatedLph: told.floatRatedLph,
        headAtFloatM: told.headAtFloatM ?? FLOAT_VALVE.headAtFloatM,
      }),
    }),
  },
} as const satisfies Record<string, ToldKind>;

export type ToldKindName = keyof typeof TOLD_KINDS;
export const TOLD_KIND_NAMES = Object.keys(TOLD_KINDS) as readonly ToldKindName[];

/** A kind by its name. */
export const toldKind = (name: ToldKindName): ToldKind => TOLD_KINDS[name];

/**
 * The stand that was told in a few measures. What was not told is taken from the kind, made to go with it.
 *
 * @throws RangeError for a measure that is missing or outside its range
 * @example toldSpec("towers", { lines: 1, tiers: 5, plants: 3 }).kind // "towers"
 */
export function toldSpec(name: ToldKindName, told: Told): StandSpec {
  const { measures, specOf, first } = toldKind(name);
  const whole = { ...told };
  for (const { name: measure, least, greatest, whole: isCount } of measures) {
    const value = told[measure];
    // Only the ends of channels and the paths between them may stay untold.
    if (value === undefined && OPTIONAL.has(measure)) continue;
    (isCount ? requireWhole : requireRange)("toldSpec", measure, value ?? Number.NaN, least, greatest);
    whole[measure] = value ?? first.metric[measure]!;
  }
  return specOf(whole);
}
const OPTIONAL = new Set(["endM", "pathEvery"]);
