import { told } from "../../units/told";
import { gradedLine } from "../gradedLine";
import {
  FILM_DEPTH_MM,
  channelFlow,
  dammedLineL,
  rectangularChannelL,
  segmentAreaM2,
  supportHeights,
} from "../heldWater";
import { lineSites, webBetweenHoles } from "../lineSites";
import { ACCESS, AISLE, END_MARGIN, LINES_PER_VALVE, count, number, parallelLines, pieces, pitch, reachWarnings, thinWebWarning, valves } from "./shared"; // prettier-ignore
import type { MaterialNeed, StandCounts, StandFact, StandModel, StandWater } from "./model";

/** A part of a line with a pitch of its own, and how many weeks a plant stands in it. */
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
  /** Drop as one in so many: 40 is 25 mm a metre; 0 is level. */
  readonly fallOneIn: number;
  /** Raised outlet or dam; 0 is none. */
  readonly damMm: number;
  readonly supportSpacingM: number;
  readonly outletHeightM: number;
  readonly lineFlowLph: number;
}

const MOST_LENGTH_M = 15;

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
  const web = webBetweenHoles(nearestM, spec.holeMm);
  const blockM = spec.linesPerBlock * spec.channelWidthM + (spec.linesPerBlock - 1) * spec.gapM;
  const warnings: string[] = [];
  if (sites === 0) warnings.push("The line is shorter than its two end margins: no site fits.");
  warnings.push(...thinWebWarning(web.webMm, web.tooThin, "channel"));
  const endMm = spec.endMarginM * 1000 - spec.holeMm / 2;
  if (Math.round(endMm * 10) < 250) warnings.push(`Only ${told(endMm, "bore")} of channel is left before the first hole; ${told(25, "bore")} keeps it from tearing.`); // prettier-ignore
  if (spec.holeMm / 1000 > spec.channelWidthM) warnings.push("The hole is wider than the channel.");
  warnings.push(...fallWarnings(spec), ...zoneWarnings(spec));
  if (spec.lineLengthM > MOST_LENGTH_M)
    warnings.push(`Past ${told(MOST_LENGTH_M, "length")}, oxygen and nutrients run down along the channel.`);
  warnings.push(...reachWarnings(blockM, spec.aisleM, spec.lines > spec.linesPerBlock));
  return {
    lines: spec.lines,
    sitesPerLine: sites,
    sites: spec.lines * sites,
    lineAreaM2: spec.lineLengthM * spec.channelWidthM,
    slackM: plain?.slackM ?? null,
    evenedPitchM: plain?.evenedPitchM ?? null,
    facts: facts(spec, web.webMm, sites),
    warnings,
  };
}

function facts(spec: ChannelBank, webMm: number, sites: number): StandFact[] {
  const dropM = spec.fallOneIn === 0 ? 0 : spec.lineLengthM / spec.fallOneIn;
  return [
    { label: "Web between holes", value: webMm, dimension: "bore", how: "Nearest distance between two plants less the hole." },
    { label: "Drop from end to end", value: dropM, dimension: "smallLength", how: "Length of the channel divided by the run of its fall." },
    ...(sites > 0 ? [flowFact(spec, sites)] : []),
  ]; // prettier-ignore
}

function flowFact({ lines, linesPerValve, lineFlowLph }: ChannelBank, sites: number): StandFact {
  const { flowPerPlantLph } = channelFlow(Math.min(lines, linesPerValve), lineFlowLph / 60, sites);
  return { label: "Flow for a plant", value: flowPerPlantLph, dimension: "flow", how: "Flow of a channel over the plants in it, while its valve is open." }; // prettier-ignore
}

function fallWarnings({ fallOneIn, lineLengthM, outletHeightM }: ChannelBank): string[] {
  if (fallOneIn === 0 || fallOneIn > 100) return ["A fall under 1:100 lets the film pond."];
  if (fallOneIn < 25) return ["A fall over 1:25 lets the film run thin."];
  const inletM = outletHeightM + lineLengthM / fallOneIn;
  return inletM > 1.6 ? [`The inlet end is ${told(inletM, "length")} high: out of easy reach.`] : [];
}

/** A zone gives on as many plants a week as it has sites for each of its weeks. */
function zoneWarnings(spec: ChannelBank): string[] {
  if (spec.zones.length === 0) return [];
  const warnings: string[] = [];
  const usedM = spec.zones.reduce((sum, { lengthM }) => sum + lengthM, 0);
  if (Math.abs(usedM - spec.lineLengthM) > 0.001)
    warnings.push(`The zones come to ${told(usedM, "length")}, the line is ${told(spec.lineLengthM, "length")} long.`);
  const { sitesByZone } = gradedLine(spec.lineLengthM, spec.endMarginM, spec.zones);
  for (let zone = 1; zone < spec.zones.length; zone++) {
    const rate = (index: number) => (spec.lines * sitesByZone[index]!) / Math.max(0.1, spec.zones[index]!.weeks);
    if (rate(zone) < rate(zone - 1) - 0.5)
      warnings.push(
        `Zone ${zone + 1} takes ${Math.floor(rate(zone))} plants a week, zone ${zone} hands on ${Math.floor(rate(zone - 1))}.`,
      );
  }
  return warnings;
}

function water(spec: ChannelBank): StandWater {
  const { lines, lineLengthM, channelWidthM, damMm, fallOneIn } = spec;
  const sizeMm = channelWidthM * 1000;
  const round = spec.section === "round";
  const heldL =
    damMm > 0
      ? dammedLineL({ section: round ? "round" : "rect", sizeMm, damHeightMm: damMm, fallOneIn, lengthM: lineLengthM, lines }).volumeL
      : 0; // prettier-ignore
  const drainBackL = round
    ? segmentAreaM2(sizeMm, FILM_DEPTH_MM) * lineLengthM * lines * 1000
    : rectangularChannelL(sizeMm, FILM_DEPTH_MM, lineLengthM, lines);
  return {
    heldL,
    drainBackL,
    how: "Held: the wedge behind the dam of each channel, which reaches as far up as the dam is high times the run of the fall. Running back: width × depth of the film (4 mm) × length of all channels.",
  };
}

function materials(spec: ChannelBank): MaterialNeed[] {
  const { lines, lineLengthM, holeMm } = spec;
  const size = (metres: number) => told(Math.round(metres * 1000), "bore");
  const channel = spec.section === "round" ? `pipe, ${size(spec.channelWidthM)} bore` : `channel, ${size(spec.channelWidthM)} × ${size(spec.channelDepthM)}`; // prettier-ignore
  const supports = supportHeights(lineLengthM, spec.supportSpacingM, spec.fallOneIn, spec.outletHeightM).length;
  const plants = counts(spec).sites;
  return [
    { item: channel, quantity: lines * lineLengthM, unit: "m" },
    pieces(`end cap for ${channel}`, 2 * lines),
    pieces("drain elbow", lines),
    pieces("inlet tube", lines),
    valves(lines, spec.linesPerValve),
    pieces(`net cup, ${told(holeMm, "bore")}`, plants),
    pieces("plug", plants),
    pieces("support", lines * supports),
  ];
}

export const CHANNEL_BANK: StandModel<ChannelBank> = {
  words: { name: "Channel bank", line: "channel", site: "site", about: "A film of water over the floor of sloped channels: leaf crops, close and quick." },
  example: {
    kind: "channel-bank", lines: 12, lineLengthM: 6, section: "rectangular", channelWidthM: 0.1, channelDepthM: 0.05, endMarginM: 0.125, pitchM: 0.25, zones: [],
    holeMm: 50, gapM: 0.1, linesPerBlock: 6, aisleM: 0.6, accessM: 0, linesPerValve: 6, fallOneIn: 40, damMm: 0, supportSpacingM: 1.2, outletHeightM: 0.8, lineFlowLph: 90,
  },
  measures: [
    count("lines", "Channels", 2000),
    number("lineLengthM", "Channel length", "length", 0.1, 500),
    { type: "choice", name: "section", label: "Section", options: ["rectangular", "round"] },
    number("channelWidthM", "Channel width", "smallLength", 0.01, 5, { hint: "of a round one, its bore" }),
    number("channelDepthM", "Channel depth", "smallLength", 0.005, 2),
    pitch("lineLengthM", "it must not be wider than the line is long"),
    END_MARGIN,
    number("holeMm", "Hole", "bore", 1, 1000, { atMost: { measure: "channelWidthM", times: 1000, words: "it must not be wider than the channel" } }),
    {
      type: "list", name: "zones", label: "Zones of a graded line, from the inlet on", most: 6, addWords: "Add a zone", fresh: { lengthM: 2, pitchM: 0.1, weeks: 2 },
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
  flow: ({ lineFlowLph, linesPerValve }) => ({ lineFlowLph, linesPerValve, limited: false }),
  water,
  materials,
}; // prettier-ignore
