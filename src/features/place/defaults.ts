import type { StandKind, StandSpec } from "@/core/place/stand";

/** A worked starting example for each kind of stand, to take and change. */
export const STARTING_EXAMPLES: { readonly [Kind in StandKind]: Extract<StandSpec, { kind: Kind }> } = {
  "channel-bank": {
    kind: "channel-bank", lines: 12, lineLengthM: 6, channelWidthM: 0.1, channelDepthM: 0.05, endMarginM: 0.125, pitchM: 0.25, holeMm: 50,
    gapM: 0.1, linesPerBlock: 6, aisleM: 0.6, linesPerValve: 6, fallOneIn: 40, lineFlowLph: 90,
  },
  "drip-beds": {
    kind: "drip-beds", lines: 2, lineLengthM: 10, bedWidthM: 1, endMarginM: 0.15, edgeMarginM: 0.2, rows: 3, pitchM: 0.3, pattern: "staggered",
    aisleM: 0.6, linesPerValve: 2, lateralsPerBed: 2, emitterSpacingM: 0.3, emitterFlowLph: 1.6,
  },
  "bucket-line": {
    kind: "bucket-line", lines: 1, bucketsPerLine: 12, bucketSpacingM: 0.5, bucketDiameterM: 0.3, bucketVolumeL: 15, plantsPerBucket: 1,
    aisleM: 0.9, linesPerValve: 1, emittersPerBucket: 2, emitterFlowLph: 2,
  },
  "tray-rack": {
    kind: "tray-rack", racks: 1, shelvesPerRack: 4, shelfLengthM: 1.2, shelfWidthM: 0.6, trayLengthM: 0.54, trayWidthM: 0.28, cellsPerTray: 84, aisleM: 0.8,
  },
}; // prettier-ignore
