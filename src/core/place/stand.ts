/** A bank of film channels: lines side by side in blocks, each block reachable from its aisles. */
export interface ChannelBank {
  readonly kind: "channel-bank";
  readonly lines: number;
  readonly lineLengthM: number;
  readonly channelWidthM: number;
  readonly channelDepthM: number;
  readonly endMarginM: number;
  readonly pitchM: number;
  readonly holeMm: number;
  /** Clear distance between two channels of a block. */
  readonly gapM: number;
  readonly linesPerBlock: number;
  readonly aisleM: number;
  /** Lines that share one valve. */
  readonly linesPerValve: number;
  /** Drop as one in so many: 40 is 25 mm a metre; 0 is level. */
  readonly fallOneIn: number;
  readonly lineFlowLph: number;
}

/** Beds with drip lines. */
export interface DripBeds {
  readonly kind: "drip-beds";
  readonly lines: number;
  readonly lineLengthM: number;
  readonly bedWidthM: number;
  readonly endMarginM: number;
  readonly edgeMarginM: number;
  readonly rows: number;
  readonly pitchM: number;
  readonly pattern: "square" | "staggered";
  readonly aisleM: number;
  readonly linesPerValve: number;
  readonly lateralsPerBed: number;
  readonly emitterSpacingM: number;
  readonly emitterFlowLph: number;
}

/** Buckets in one or more rows. */
export interface BucketLine {
  readonly kind: "bucket-line";
  readonly lines: number;
  readonly bucketsPerLine: number;
  readonly bucketSpacingM: number;
  readonly bucketDiameterM: number;
  readonly bucketVolumeL: number;
  readonly plantsPerBucket: number;
  readonly aisleM: number;
  readonly linesPerValve: number;
  readonly emittersPerBucket: number;
  readonly emitterFlowLph: number;
}

/** Racks with trays on shelves. A tray is a line; a cell is a site. */
export interface TrayRack {
  readonly kind: "tray-rack";
  readonly racks: number;
  readonly shelvesPerRack: number;
  readonly shelfLengthM: number;
  readonly shelfWidthM: number;
  readonly trayLengthM: number;
  readonly trayWidthM: number;
  readonly cellsPerTray: number;
  readonly aisleM: number;
}

export type StandSpec = ChannelBank | DripBeds | BucketLine | TrayRack;
export type StandKind = StandSpec["kind"];

/** A stand where it is: corner in the house, turned a quarter or not. */
export interface PlacedStand {
  readonly id: number;
  readonly name: string;
  readonly xM: number;
  readonly yM: number;
  readonly turned: boolean;
  readonly spec: StandSpec;
}

export const STAND_KIND_WORDS: Readonly<
  Record<StandKind, { readonly name: string; readonly line: string; readonly site: string }>
> = {
  "channel-bank": { name: "Channel bank", line: "channel", site: "site" },
  "drip-beds": { name: "Drip beds", line: "bed", site: "site" },
  "bucket-line": { name: "Bucket line", line: "row", site: "bucket place" },
  "tray-rack": { name: "Tray rack", line: "tray", site: "cell" },
};
