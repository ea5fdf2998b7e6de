import { FIT_TOLERANCE_M } from "../fit";
import type { StandFinding } from "../findings";
import { gradedLine } from "../gradedLine";
import { FILM_DEPTH_MM, rectangularChannelL } from "../rectangularChannel";
import { segmentAreaM2 } from "../segmentArea";
import { dammedLineL } from "../dammedLine";
import { supportHeights } from "../supportHeights";
import { LONG_RUN_M, runsInSeries, type SeriesRuns } from "../runsInSeries";
import { LEAST_PLASTIC_MM, lineSites, plasticBetweenHoles } from "../lineSites";
import {
  ACCESS,
  AISLE,
  END_MARGIN,
  LINES_PER_VALVE,
  count,
  material,
  mm,
  number,
  parallelLines,
  pieces,
  pitch,
  reachWarnings,
  thinPlasticWarning,
  valves,
} from "./shared";
import type { MaterialNeed, StandCounts, StandFact, StandModel, StandWater } from "./model";

/** A part of a line with a pitch of its own, and how many weeks a plant stays in it. */
export interface ChannelZone {
  readonly lengthM: number;
  readonly pitchM: number;
  readonly weeks: number;
}

/** A bank of film channels: lines side by side in blocks, each block reachable from its aisles. */
export interface ChannelBank {
  readonly kind: "channel-bank";
  readonly lines: number;
  readonly lineLengthM: number;
  readonly section: "rectangular" | "round";
  /** Of a round one, the bore. */
  readonly channelWidthM: number;
  readonly channelDepthM: number;
  readonly endMarginM: number;
  readonly pitchM: number;
  /** From the inlet on, close for young plants and wide for old ones; without zones one pitch holds all along. */
  readonly zones: readonly ChannelZone[];
  readonly holeMm: number;
  /** Clear distance between two channels of a block. */
  readonly gapM: number;
  readonly linesPerBlock: number;
  readonly aisleM: number;
  readonly accessM: number;
  /** Lines that share one valve. */
  readonly linesPerValve: number;
  /** Channels that one flow goes through, one after another; 1: each is fed by itself. */
  readonly linesPerRun: number;
  /** Of the tube from a channel to the next one of its run. */
  readonly joinLengthM: number;
  /** Drop as one in so many: 40 is 25 mm a metre; 0 is level. */
  readonly fallOneIn: number;
  /** Raised outlet or dam; 0 is none. */
  readonly damMm: number;
  readonly supportSpacingM: number;
  readonly outletHeightM: number;
  readonly lineFlowLph: number;
}

/** Distances of the sites from the inlet end. */
function sitesAlong(spec: ChannelBank): readonly number[] {
  if (spec.zones.length > 0) return gradedLine(spec.lineLengthM, spec.endMarginM, spec.zones).siteAtM;
  const { sites } = lineSites(spec.lineLengthM, spec.endMarginM, spec.pitchM);
  return Array.from({ length: sites }, (_, site) => spec.endMarginM + site * spec.pitchM);
}

function counts(spec: ChannelBank): StandCounts {
  const graded = spec.zones.length > 0;
  const plain = graded ? null : lineSites(spec.lineLengthM, spec.endMarginM, spec.pitchM);
  const sites = plain ? plain.sites : sitesAlong(spec).length;
  const nearestM = graded ? Math.min(...spec.zones.map(({ pitchM }) => pitchM)) : spec.pitchM;
  const plastic = plasticBetweenHoles(nearestM, spec.holeMm);
  const blockM = spec.linesPerBlock * spec.channelWidthM + (spec.linesPerBlock - 1) * spec.gapM;
  const warnings: StandFinding[] = [];
  if (sites === 0) warnings.push({ kind: "no-site", part: "channel" });
  warnings.push(...thinPlasticWarning(plastic.plasticLeftMm, plastic.tooThin, "channel"));
  const endMm = spec.endMarginM * 1000 - spec.holeMm / 2;
  if (Math.round(endMm * 10) < LEAST_PLASTIC_MM * 10)
    warnings.push({ kind: "thin-end", endMm, leastMm: LEAST_PLASTIC_MM });
  if (spec.holeMm / 1000 > spec.channelWidthM) warnings.push({ kind: "wide-hole" });
  warnings.push(...fallWarnings(spec), ...zoneWarnings(spec));
  const { longestM, isTooLong } = seriesOf(spec, sites);
  if (isTooLong) warnings.push({ kind: "long-channel", lengthM: longestM, mostM: LONG_RUN_M });
  warnings.push(...reachWarnings(blockM, spec.aisleM, spec.lines > spec.linesPerBlock));
  return {
    lines: spec.lines,
    sitesPerLine: sites,
    sites: spec.lines * sites,
    lineAreaM2: spec.lineLengthM * spec.channelWidthM,
    slackM: plain?.slackM ?? null,
    evenedPitchM: plain?.evenedPitchM ?? null,
    facts: facts(spec, plastic.plasticLeftMm, sites),
    warnings,
  };
}

function facts(spec: ChannelBank, plasticLeftMm: number, sites: number): StandFact[] {
  const dropM = spec.fallOneIn === 0 ? 0 : spec.lineLengthM / spec.fallOneIn;
  return [
    { kind: "plastic-left", value: plasticLeftMm, dimension: "bore" },
    { kind: "drop", value: dropM, dimension: "smallLength" },
    ...(sites > 0 ? [flowFact(spec, sites)] : []),
  ];
}

function flowFact(spec: ChannelBank, sites: number): StandFact {
  // Of the fullest run.
  const value = Math.min(...seriesOf(spec, sites).perPlantLph);
  return { kind: "flow-per-plant", value, dimension: "flow" };
}

function seriesOf(spec: ChannelBank, plantsPerLine: number): SeriesRuns {
  return runsInSeries({ ...spec, flowPerRunLph: spec.lineFlowLph, plantsPerLine });
}

function fallWarnings({ fallOneIn, lineLengthM, outletHeightM }: ChannelBank): StandFinding[] {
  if (fallOneIn === 0 || fallOneIn > 100) return [{ kind: "flat-fall" }];
  if (fallOneIn < 25) return [{ kind: "steep-fall" }];
  const inletM = outletHeightM + lineLengthM / fallOneIn;
  return inletM > 1.6 ? [{ kind: "high-inlet", inletM }] : [];
}

/** A zone gives on as many plants a week as it has sites for each of its weeks. */
function zoneWarnings(spec: ChannelBank): StandFinding[] {
  if (spec.zones.length === 0) return [];
  const warnings: StandFinding[] = [];
  const usedM = spec.zones.reduce((sum, { lengthM }) => sum + lengthM, 0);
  if (Math.abs(usedM - spec.lineLengthM) > FIT_TOLERANCE_M)
    warnings.push({ kind: "zones-length", zonesM: usedM, lineM: spec.lineLengthM });
  const { sitesByZone } = gradedLine(spec.lineLengthM, spec.endMarginM, spec.zones);
  for (let zone = 1; zone < spec.zones.length; zone++) {
    const rate = (index: number) => (spec.lines * sitesByZone[index]!) / Math.max(0.1, spec.zones[index]!.weeks);
    if (rate(zone) < rate(zone - 1) - 0.5)
      warnings.push({
        kind: "zone-overrun",
        zone: zone + 1,
        takesPerWeek: Math.floor(rate(zone)),
        passedOnPerWeek: Math.floor(rate(zone - 1)),
      });
  }
  return warnings;
}

function water(spec: ChannelBank): StandWater {
  const { lines, lineLengthM, channelWidthM, damMm, fallOneIn } = spec;
  const sizeMm = channelWidthM * 1000;
  const round = spec.section === "round";
  const heldL =
    damMm > 0
      ? dammedLineL({
          section: round ? "round" : "rect",
          sizeMm,
          damHeightMm: damMm,
          fallOneIn,
          lengthM: lineLengthM,
          lines,
        }).volumeL
      : 0;
  const drainBackL = round
    ? segmentAreaM2(sizeMm, FILM_DEPTH_MM) * lineLengthM * lines * 1000
    : rectangularChannelL(sizeMm, FILM_DEPTH_MM, lineLengthM, lines);
  return {
    heldL,
    drainBackL,
    how: "channels",
  };
}

function materials(spec: ChannelBank): MaterialNeed[] {
  const { lines, lineLengthM, holeMm } = spec;
  const [channel, sizes] =
    spec.section === "round"
      ? (["pipe", [mm(spec.channelWidthM)]] as const)
      : (["channel", [mm(spec.channelWidthM), mm(spec.channelDepthM)]] as const);
  const supports = supportHeights(lineLengthM, spec.supportSpacingM, spec.fallOneIn, spec.outletHeightM).length;
  const plants = counts(spec).sites;
  const feeds = Math.ceil(lines / spec.linesPerRun);
  return [
    material(channel, lines * lineLengthM, "m", ...sizes),
    pieces(`end cap for ${channel}`, 2 * lines, ...sizes),
    pieces("drain elbow", lines),
    pieces("inlet tube", feeds),
    ...(lines > feeds ? [material("tube from channel to channel", (lines - feeds) * spec.joinLengthM, "m")] : []),
    valves(lines, spec.linesPerValve),
    pieces("net cup", plants, { value: holeMm, dimension: "bore" }),
    pieces("plug", plants),
    pieces("support", lines * supports),
  ];
}

export const CHANNEL_BANK: StandModel<ChannelBank> = {
  words: {
    name: "Channel bank",
    line: "channel",
    site: "site",
    about: "A film of water over the floor of sloped channels: leaf crops, close and quick.",
  },
  noRootCrops: true,
  example: {
    kind: "channel-bank",
    lines: 12,
    lineLengthM: 6,
    section: "rectangular",
    channelWidthM: 0.1,
    channelDepthM: 0.05,
    endMarginM: 0.125,
    pitchM: 0.25,
    zones: [],
    holeMm: 50,
    gapM: 0.1,
    linesPerBlock: 6,
    aisleM: 0.6,
    accessM: 0,
    linesPerValve: 6,
    linesPerRun: 1,
    joinLengthM: 0.4,
    fallOneIn: 40,
    damMm: 0,
    supportSpacingM: 1.2,
    outletHeightM: 0.8,
    lineFlowLph: 90,
  },
  measures: [
    count("lines", "Channels", 2000),
    number("lineLengthM", "Channel length", "length", 0.1, 500),
    { type: "choice", name: "section", label: "Section", options: ["rectangular", "round"] },
    number("channelWidthM", "Channel width", "smallLength", 0.01, 5, { hint: "of a round one, its bore" }),
    number("channelDepthM", "Channel depth", "smallLength", 0.005, 2),
    pitch("lineLengthM", "it must not be wider than the line is long"),
    END_MARGIN,
    number("holeMm", "Hole", "bore", 1, 1000, {
      atMost: { measure: "channelWidthM", times: 1000, words: "it must not be wider than the channel" },
    }),
    {
      type: "list",
      name: "zones",
      label: "Zones of a graded line, from the inlet on",
      most: 6,
      addWords: "Add a zone",
      fresh: { lengthM: 2, pitchM: 0.1, weeks: 2 },
      hint: "without zones the one pitch holds all along",
      columns: [
        number("lengthM", "Zone length", "length", 0.01, 500),
        number("pitchM", "Zone pitch", "smallLength", 0.005, 50),
        number("weeks", "Weeks in it", "ratio", 0.1, 52),
      ],
    },
    number("gapM", "Gap between channels", "smallLength", 0, 20),
    count("linesPerBlock", "Channels between aisles", 2000),
    AISLE,
    ACCESS,
    LINES_PER_VALVE,
    number("linesPerRun", "Channels in series, one feeding the next", "count", 1, 200, {
      whole: true,
      initial: 1,
      hint: "1: each is fed by itself",
    }),
    number("joinLengthM", "Tube from channel to channel", "smallLength", 0, 50, {
      initial: 0.4,
      hint: "in series only",
    }),
    number("fallOneIn", "Fall, one in", "count", 0, 1000, { hint: "1:30 to 1:50 is common" }),
    number("damMm", "Dam or raised outlet", "bore", 0, 2000, { hint: "0 for none" }),
    number("supportSpacingM", "Support every", "length", 0.05, 50),
    number("outletHeightM", "Outlet end over the floor", "length", 0, 10),
    number("lineFlowLph", "Flow of a channel", "lineFlow", 0, 10_000),
  ],
  stretch: { along: { measure: "lineLengthM", by: "length" }, across: { measure: "lines", by: "count" } },
  counts,
  layout: (spec) =>
    parallelLines(spec.lines, spec.lineLengthM, spec.channelWidthM, (line) =>
      line % spec.linesPerBlock === 0 ? spec.aisleM : spec.gapM,
    ),
  sitePoints: (spec) => sitesAlong(spec).map((xM) => ({ xM, yM: spec.channelWidthM / 2 })),
  flow: ({ lineFlowLph, linesPerValve, linesPerRun }) => ({ lineFlowLph, linesPerValve, linesPerRun, limited: false }),
  water,
  materials,
  checks: (_, { rootCrops }) => ({
    facts: [],
    warnings: rootCrops.length > 0 ? [{ kind: "root-crops", crops: rootCrops }] : [],
  }),
};
