import type { StandFinding } from "../findings";
import { stepsIn } from "../fit";
import { turnoverPerHour } from "../turnoverPerHour";
import { plasticBetweenHoles } from "../lineSites";
import { raftPoints, raftSites, type Packing, type RaftShape } from "../raft";
import { trayRack } from "../trayRack";
import {
  ACCESS,
  AISLE,
  EDGE_MARGIN,
  FLOAT_VALVE,
  FLOAT_VALVE_MEASURES,
  PACKING,
  count,
  number,
  material,
  pieces,
  pitch,
  reachWarnings,
  thinPlasticWarning,
  valves,
  type FloatValve,
} from "./shared";
import type { RectM, StandLayout, StandModel } from "./model";

/** Rafts that float on ponds. A raft is a line: it is set, moved along and picked as one. */
export interface RaftPond extends FloatValve {
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
  const perRow = Math.max(1, stepsIn(spec.pondLengthM, xM));
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
  words: {
    name: "Raft pond",
    line: "raft",
    site: "site",
    about: "Rafts on deep, aired water: steady, forgiving, heavy. Leaf crops and watercress.",
    caution: [
      "Water weighs a kilogram a litre.",
      "Have floor and frame looked at by somebody who builds before it is filled, and keep plugs and pumps off the wet side.",
    ],
  },
  example: {
    kind: "raft-pond",
    ponds: 1,
    pondLengthM: 4.8,
    pondWidthM: 1.2,
    waterDepthM: 0.25,
    raftLengthM: 1.2,
    raftWidthM: 0.6,
    edgeMarginM: 0.1,
    pitchM: 0.2,
    packing: "hexagonal",
    holeMm: 40,
    aisleM: 0.8,
    accessM: 0,
    linesPerValve: 1,
    pondFlowLph: 600,
    ...FLOAT_VALVE,
  },
  measures: [
    count("ponds", "Ponds", 500),
    number("pondLengthM", "Pond length", "length", 0.2, 200),
    number("pondWidthM", "Pond width", "length", 0.2, 20),
    number("waterDepthM", "Water depth", "smallLength", 0.02, 2),
    number("raftLengthM", "Raft length", "length", 0.1, 10, {
      atMost: { measure: "pondLengthM", times: 1, words: "it must not be longer than the pond" },
    }),
    number("raftWidthM", "Raft width", "length", 0.1, 10),
    { ...pitch("raftLengthM", "it must not be wider than the raft is long"), greatest: 10 },
    PACKING,
    EDGE_MARGIN,
    number("holeMm", "Hole", "bore", 1, 1000),
    AISLE,
    ACCESS,
    count("linesPerValve", "Ponds on one valve", 500),
    number("pondFlowLph", "Flow of a pond", "flow", 0, 100_000, { hint: "0: still water" }),
    ...FLOAT_VALVE_MEASURES,
  ],
  stretch: { along: { measure: "pondLengthM", by: "length" }, across: { measure: "ponds", by: "count" } },
  counts: (spec) => {
    const rafts = raftsOf(spec);
    const { sites, plantsByRow } = raftSites(shape(spec));
    const plastic = plasticBetweenHoles(spec.pitchM, spec.holeMm);
    const coveredM2 = rafts.traysPerShelf * spec.raftLengthM * spec.raftWidthM;
    const openShare = 1 - coveredM2 / (spec.pondLengthM * spec.pondWidthM);
    const warnings: StandFinding[] = [
      ...thinPlasticWarning(plastic.plasticLeftMm, plastic.tooThin, "raft"),
      ...reachWarnings(spec.pondWidthM, spec.aisleM, spec.ponds > 1),
    ];
    if (rafts.traysPerShelf === 0) warnings.unshift({ kind: "no-raft" });
    else if (openShare > 0.1) warnings.push({ kind: "open-water", openShare });
    if (sites === 0) warnings.unshift({ kind: "no-site", part: "raft" });
    if (spec.waterDepthM < LEAST_DEPTH_M) warnings.push({ kind: "shallow-pond", leastM: LEAST_DEPTH_M });
    return {
      lines: rafts.trays,
      sitesPerLine: sites,
      sites: rafts.trays * sites,
      lineAreaM2: spec.raftLengthM * spec.raftWidthM,
      slackM: null,
      evenedPitchM: null,
      facts: [
        { kind: "rafts", value: rafts.traysPerShelf, dimension: "count" },
        { kind: "raft-rows", value: plantsByRow.length, dimension: "count" },
        { kind: "raft-plastic-left", value: plastic.plasticLeftMm, dimension: "bore" },
        {
          kind: "turnover",
          value: turnoverPerHour(spec.pondFlowLph, spec.pondLengthM * spec.pondWidthM * spec.waterDepthM * 1000),
          dimension: "ratio",
        },
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
    how: "ponds",
  }),
  materials: (spec) => {
    const rafts = raftsOf(spec);
    const sites = raftSites(shape(spec)).sites * rafts.trays;
    const wallM = spec.waterDepthM + 0.1;
    return [
      pieces(
        "raft",
        rafts.trays,
        { value: spec.raftLengthM, dimension: "length" },
        { value: spec.raftWidthM, dimension: "length" },
      ),
      pieces("net cup", sites, { value: spec.holeMm, dimension: "bore" }),
      pieces("plug", sites),
      material("liner", spec.ponds * (spec.pondLengthM + 2 * wallM) * (spec.pondWidthM + 2 * wallM), "m²"),
      pieces("overflow fitting", spec.ponds),
      pieces("air stone", spec.ponds * Math.ceil((spec.pondLengthM * spec.pondWidthM) / 2)),
      valves(spec.ponds, spec.linesPerValve),
    ];
  },
};
