import { turnoverPerHour } from "../heldWater";
import { webBetweenHoles } from "../lineSites";
import { raftPoints, raftSites, type Packing, type RaftShape } from "../raft";
import { trayRack } from "../trayRack";
import { ACCESS, AISLE, EDGE_MARGIN, PACKING, count, number, pieces, pitch, reachWarnings, thinWebWarning, valves } from "./shared"; // prettier-ignore
import type { RectM, StandLayout, StandModel } from "./model";
import { told } from "../../units/told";

/** Rafts that float on ponds. A raft is a line: it is set, moved along and picked as one. */
export interface RaftPond {
  readonly kind: "raft-pond";
  readonly ponds: number;
  readonly pondLengthM: number;
  readonly pondWidthM: number;
  readonly waterDepthM: number;
  readonly raftLengthM: number;
  readonly raftWidthM: number;
  readonly edgeMarginM: number;
  readonly pitchM: number;
  readonly packing: Packing;
  readonly holeMm: number;
  readonly aisleM: number;
  readonly accessM: number;
  readonly linesPerValve: number;
  readonly pondFlowLph: number;
}

const LEAST_DEPTH_M = 0.15;

/** Rafts of a pond, all turned one way, the better of the two. */
function raftsOf(spec: RaftPond) {
  return trayRack({
    racks: spec.ponds,
    shelvesPerRack: 1,
    shelfLengthM: spec.pondLengthM,
    shelfWidthM: spec.pondWidthM,
    trayLengthM: spec.raftLengthM,
    trayWidthM: spec.raftWidthM,
    cellsPerTray: 1,
  });
}

const shape = (spec: RaftPond): RaftShape => ({ ...spec, lengthM: spec.raftLengthM, widthM: spec.raftWidthM });

function layout(spec: RaftPond): StandLayout {
  const { traysPerShelf, traysLengthwise } = raftsOf(spec);
  const lengthwise = traysLengthwise === traysPerShelf;
  const [xM, yM] = lengthwise ? [spec.raftLengthM, spec.raftWidthM] : [spec.raftWidthM, spec.raftLengthM];
  const perRow = Math.max(1, Math.floor((spec.pondLengthM + 0.001) / xM + 1e-9));
  const lines: RectM[] = [];
  for (let pond = 0; pond < spec.ponds; pond++)
    for (let raft = 0; raft < traysPerShelf; raft++)
      lines.push({
        xM: (raft % perRow) * xM,
        yM: pond * (spec.pondWidthM + spec.aisleM) + Math.floor(raft / perRow) * yM,
        lengthM: xM,
        widthM: yM,
      });
  return { lengthM: spec.pondLengthM, widthM: spec.ponds * spec.pondWidthM + (spec.ponds - 1) * spec.aisleM, lines };
}

export const RAFT_POND: StandModel<RaftPond> = {
  words: { name: "Raft pond", line: "raft", site: "site", about: "Rafts on deep, aired water: steady, forgiving, heavy. Leaf crops and watercress.", caution: ["Water weighs a kilogram a litre.", "Have floor and frame looked at by somebody who builds before it is filled, and keep plugs and pumps off the wet side."] },
  example: {
    kind: "raft-pond", ponds: 1, pondLengthM: 4.8, pondWidthM: 1.2, waterDepthM: 0.25, raftLengthM: 1.2, raftWidthM: 0.6, edgeMarginM: 0.1, pitchM: 0.2, packing: "hexagonal",
    holeMm: 40, aisleM: 0.8, accessM: 0, linesPerValve: 1, pondFlowLph: 600,
  },
  measures: [
    count("ponds", "Ponds", 500),
    number("pondLengthM", "Pond length", "length", 0.2, 200),
    number("pondWidthM", "Pond width", "length", 0.2, 20),
    number("waterDepthM", "Water depth", "smallLength", 0.02, 2),
    number("raftLengthM", "Raft length", "length", 0.1, 10, { atMost: { measure: "pondLengthM", times: 1, words: "it must not be longer than the pond" } }),
    number("raftWidthM", "Raft width", "length", 0.1, 10),
    pitch("raftLengthM", "it must not be wider than the raft is long"),
    PACKING,
    EDGE_MARGIN,
    number("holeMm", "Hole", "bore", 1, 1000),
    AISLE,
    ACCESS,
    count("linesPerValve", "Ponds on one valve", 500),
    number("pondFlowLph", "Flow of a pond", "flow", 0, 100_000),
  ],
  stretch: { along: { measure: "pondLengthM", by: "length" }, across: { measure: "ponds", by: "count" } },
  counts: (spec) => {
    const rafts = raftsOf(spec);
    const { sites, plantsByRow } = raftSites(shape(spec));
    const web = webBetweenHoles(spec.pitchM, spec.holeMm);
    const coveredM2 = rafts.traysPerShelf * spec.raftLengthM * spec.raftWidthM;
    const openShare = 1 - coveredM2 / (spec.pondLengthM * spec.pondWidthM);
    const warnings = [...thinWebWarning(web.webMm, web.tooThin, "raft"), ...reachWarnings(spec.pondWidthM, spec.aisleM, spec.ponds > 1)];
    if (rafts.traysPerShelf === 0) warnings.unshift("No raft of this size fits the pond.");
    else if (openShare > 0.1) warnings.push(`${told(openShare, "share")} of the water lies open between the rafts: light in it grows algae.`);
    if (sites === 0) warnings.unshift("The raft is smaller than its margins: no site fits.");
    if (spec.waterDepthM < LEAST_DEPTH_M) warnings.push(`Water under ${told(LEAST_DEPTH_M, "length")} deep warms and runs out of oxygen quickly.`);
    return {
      lines: rafts.trays,
      sitesPerLine: sites,
      sites: rafts.trays * sites,
      lineAreaM2: spec.raftLengthM * spec.raftWidthM,
      slackM: null,
      evenedPitchM: null,
      facts: [
        { label: "Rafts on a pond", value: rafts.traysPerShelf, dimension: "count", how: "Whole rafts along times whole rafts across, in the better of the two ways to turn them." },
        { label: "Rows on a raft", value: plantsByRow.length, dimension: "count", how: "Width less both margins over the distance of rows: the pitch, or hexagonal 0.866 of it." },
        { label: "Web between holes", value: web.webMm, dimension: "bore", how: "Pitch less the hole." },
        { label: "Water goes round in an hour", value: turnoverPerHour(spec.pondFlowLph, spec.pondLengthM * spec.pondWidthM * spec.waterDepthM * 1000), dimension: "ratio", how: "Flow of a pond over the water in it: how many times an hour." },
      ],
      warnings,
    };
  },
  layout,
  sitePoints: (spec) => {
    const { traysPerShelf, traysLengthwise } = raftsOf(spec);
    const sites = raftPoints(shape(spec));
    return traysLengthwise === traysPerShelf ? sites : sites.map(({ xM, yM }) => ({ xM: yM, yM: xM }));
  },
  // A raft is a line, a pond has the pipe: its rafts share its flow and open together.
  flow: (spec) => {
    const rafts = Math.max(1, raftsOf(spec).traysPerShelf);
    return { lineFlowLph: spec.pondFlowLph / rafts, linesPerValve: spec.linesPerValve * rafts, limited: false };
  },
  water: (spec) => ({
    heldL: spec.ponds * spec.pondLengthM * spec.pondWidthM * spec.waterDepthM * 1000,
    drainBackL: 0,
    how: "Length × width × depth of the water. A pond keeps its water when the pump stops, as long as its outlet stands at its level.",
  }),
  materials: (spec) => {
    const rafts = raftsOf(spec);
    const sites = raftSites(shape(spec)).sites * rafts.trays;
    const wallM = spec.waterDepthM + 0.1;
    return [
      pieces(`raft, ${told(spec.raftLengthM, "length")} × ${told(spec.raftWidthM, "length")}`, rafts.trays),
      pieces(`net cup, ${told(spec.holeMm, "bore")}`, sites),
      pieces("plug", sites),
      { item: "liner", quantity: spec.ponds * (spec.pondLengthM + 2 * wallM) * (spec.pondWidthM + 2 * wallM), unit: "m²" },
      pieces("overflow fitting", spec.ponds),
      pieces("air stone", spec.ponds * Math.ceil((spec.pondLengthM * spec.pondWidthM) / 2)),
      valves(spec.ponds, spec.linesPerValve),
    ];
  },
}; // prettier-ignore
