import { bedPlants } from "./bedPlants";
import { lineSites, webBetweenHoles } from "./lineSites";
import { trayRack } from "./trayRack";
import type { BucketLine, ChannelBank, DripBeds, StandSpec, TrayRack } from "./stand";
import { told } from "../units/told";

export interface StandCounts {
  readonly lines: number;
  readonly sitesPerLine: number;
  readonly sites: number;
  /** Ground of one line by itself. */
  readonly lineAreaM2: number;
  /** Length left over at the end of each line, where there is one pitch to speak of. */
  readonly slackM: number | null;
  /** What is wrong or doubtful with the stand as measured, in plain words. */
  readonly warnings: readonly string[];
}

/** Widest block that two arms reach from its two aisles; from one side half of it. */
const REACH_FROM_TWO_SIDES_M = 1.2;
const LEAST_AISLE_M = 0.6;

/**
 * Lines, sites and doubts of a stand of any kind.
 *
 * @throws RangeError when a measure is outside its range
 * @source domain rules of counting; cases in tests/reference/place/counts.json
 */
export function standCounts(spec: StandSpec): StandCounts {
  switch (spec.kind) {
    case "channel-bank":
      return channelBank(spec);
    case "drip-beds":
      return dripBeds(spec);
    case "bucket-line":
      return bucketLine(spec);
    case "tray-rack":
      return rack(spec);
  }
}

function channelBank(spec: ChannelBank): StandCounts {
  const along = lineSites(spec.lineLengthM, spec.endMarginM, spec.pitchM);
  const web = webBetweenHoles(spec.pitchM, spec.holeMm);
  const blockM = spec.linesPerBlock * spec.channelWidthM + (spec.linesPerBlock - 1) * spec.gapM;
  const warnings: string[] = [];
  if (along.sites === 0) warnings.push("The line is shorter than its two end margins: no site fits.");
  if (web.tooThin)
    warnings.push(
      `Only ${told(web.webMm, "bore")} of channel is left between holes; ${told(25, "bore")} keeps it from tearing.`,
    );
  if (spec.holeMm / 1000 > spec.channelWidthM) warnings.push("The hole is wider than the channel.");
  if (spec.fallOneIn === 0 || spec.fallOneIn > 100) warnings.push("A fall under 1:100 lets the film pond.");
  else if (spec.fallOneIn < 25) warnings.push("A fall over 1:25 lets the film run thin.");
  if (spec.lineLengthM > 15)
    warnings.push(`Past ${told(15, "length")}, oxygen and nutrients run down along the channel.`);
  warnings.push(...reachWarnings(blockM, spec.aisleM, spec.lines > spec.linesPerBlock));
  return {
    lines: spec.lines,
    sitesPerLine: along.sites,
    sites: spec.lines * along.sites,
    lineAreaM2: spec.lineLengthM * spec.channelWidthM,
    slackM: along.slackM,
    warnings,
  };
}

function dripBeds(spec: DripBeds): StandCounts {
  const bed = bedPlants({ ...spec, lengthM: spec.lineLengthM, widthM: spec.bedWidthM });
  const warnings = reachWarnings(spec.bedWidthM, spec.aisleM, spec.lines > 1);
  if (bed.plants === 0) warnings.unshift("The bed is shorter than its two end margins: no plant fits.");
  return {
    lines: spec.lines,
    sitesPerLine: bed.plants,
    sites: spec.lines * bed.plants,
    lineAreaM2: spec.lineLengthM * spec.bedWidthM,
    slackM: lineSites(spec.lineLengthM, spec.endMarginM, spec.pitchM).slackM,
    warnings,
  };
}

function bucketLine(spec: BucketLine): StandCounts {
  const sitesPerLine = spec.bucketsPerLine * spec.plantsPerBucket;
  const warnings = spec.lines > 1 ? reachWarnings(0, spec.aisleM, true) : [];
  if (spec.bucketDiameterM > spec.bucketSpacingM) warnings.unshift("The buckets are wider than their spacing.");
  return {
    lines: spec.lines,
    sitesPerLine,
    sites: spec.lines * sitesPerLine,
    lineAreaM2: spec.bucketsPerLine * spec.bucketSpacingM * spec.bucketDiameterM,
    slackM: null,
    warnings,
  };
}

function rack(spec: TrayRack): StandCounts {
  const count = trayRack(spec);
  return {
    lines: count.trays,
    sitesPerLine: spec.cellsPerTray,
    sites: count.cells,
    lineAreaM2: spec.trayLengthM * spec.trayWidthM,
    slackM: null,
    warnings: count.traysPerShelf === 0 ? ["No tray fits on a shelf of this size."] : [],
  };
}

function reachWarnings(blockM: number, aisleM: number, hasAisles: boolean): string[] {
  const warnings: string[] = [];
  if (hasAisles && aisleM < LEAST_AISLE_M - 1e-9)
    warnings.push(`An aisle under ${told(0.6, "length")} is hard to work in; ${told(0.9, "length")} is accessible.`);
  if (blockM > REACH_FROM_TWO_SIDES_M + 1e-9)
    warnings.push(
      `A block ${told(blockM, "length")} wide is past the ${told(1.2, "length")} that arms reach from its two sides.`,
    );
  return warnings;
}
