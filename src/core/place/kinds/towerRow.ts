import { noonElevationDeg, towerShade, towerSites } from "../towers";
import {
  ACCESS,
  AISLE,
  LINES_PER_VALVE,
  count,
  number,
  material,
  pieces,
  points,
  reachWarnings,
  valves,
} from "./shared";
import type { RectM, StandModel } from "./model";

/** Towers in rows. A tower is a line. */
export interface TowerRow {
  readonly kind: "towers";
  readonly rows: number;
  readonly towersPerRow: number;
  readonly towerSpacingM: number;
  readonly towerDiameterM: number;
  readonly tiers: number;
  readonly plantsPerTier: number;
  readonly firstTierHeightM: number;
  readonly tierPitchM: number;
  readonly aboveTopTierM: number;
  readonly aisleM: number;
  readonly accessM: number;
  readonly linesPerValve: number;
  readonly towerFlowLph: number;
  /** Of the thin tube that feeds each tower; 0: a dripper of its own. */
  readonly microBoreMm: number;
  readonly microLengthM: number;
  /** Water on its way down a tower while it runs. */
  readonly inFlightL: number;
}

const REACH_UP_M = 1.9;

const sitesOf = (spec: TowerRow) => towerSites({ ...spec, towers: spec.rows * spec.towersPerRow });

/** Days in the middle of the months. */
const MID_MONTH = [15, 46, 74, 105, 135, 166, 196, 227, 258, 288, 319, 349];

/** Tiers that the neighbour shades at noon, in the darkest and in the brightest month of a place. */
export function noonShade(spec: TowerRow, latitudeDeg: number) {
  const noons = MID_MONTH.map((day, month) => ({ month, elevationDeg: noonElevationDeg(latitudeDeg, day) }));
  const byHeight = noons.sort((a, b) => a.elevationDeg - b.elevationDeg);
  return [byHeight[0]!, byHeight.at(-1)!].map((noon) => ({
    ...noon,
    ...towerShade({ ...spec, sunElevationDeg: Math.min(noon.elevationDeg, 89.9) }),
  }));
}

export const TOWER_ROW: StandModel<TowerRow> = {
  words: {
    name: "Towers",
    line: "tower",
    site: "site",
    about: "Plants above one another round a column: much on little ground, where light reaches.",
    caution: [
      "A full tower is heavy and tips.",
      "Anchor it at the top, lift it with two, and step only on firm ground.",
    ],
  },
  example: {
    kind: "towers",
    rows: 2,
    towersPerRow: 6,
    towerSpacingM: 0.8,
    towerDiameterM: 0.2,
    tiers: 8,
    plantsPerTier: 4,
    firstTierHeightM: 0.3,
    tierPitchM: 0.18,
    aboveTopTierM: 0.1,
    aisleM: 0.9,
    accessM: 0,
    linesPerValve: 6,
    towerFlowLph: 60,
    microBoreMm: 0,
    microLengthM: 1,
    inFlightL: 0.5,
  },
  measures: [
    count("rows", "Rows of towers", 200),
    count("towersPerRow", "Towers in a row", 500),
    number("towerSpacingM", "Tower to tower", "length", 0.05, 20),
    number("towerDiameterM", "Tower diameter", "smallLength", 0.03, 3, {
      atMost: { measure: "towerSpacingM", times: 1, words: "it must not be wider than the distance between towers" },
    }),
    count("tiers", "Tiers", 100),
    count("plantsPerTier", "Plants on a tier", 100),
    number("firstTierHeightM", "First tier over the floor", "length", 0, 10),
    number("tierPitchM", "Tier to tier", "smallLength", 0.02, 5),
    number("aboveTopTierM", "Above the top tier", "smallLength", 0, 5),
    AISLE,
    ACCESS,
    LINES_PER_VALVE,
    number("towerFlowLph", "Flow of a tower", "lineFlow", 0, 10_000),
    number("microBoreMm", "Thin tube to each tower, inside diameter", "bore", 0, 50, {
      initial: 0,
      hint: "0: each tower has a dripper of its own",
    }),
    number("microLengthM", "Length of that tube", "length", 0.01, 50, { initial: 1 }),
    number("inFlightL", "Water on its way in a tower", "dose", 0, 100),
  ],
  stretch: { along: { measure: "towersPerRow", by: "count" }, across: { measure: "rows", by: "count" } },
  counts: (spec) => {
    const { sites, heightM } = sitesOf(spec);
    const lines = spec.rows * spec.towersPerRow;
    const warnings = reachWarnings(0, spec.aisleM, spec.rows > 1);
    const topM = heightM - spec.aboveTopTierM;
    if (topM > REACH_UP_M) warnings.push({ kind: "high-tier", topM });
    return {
      lines,
      sitesPerLine: spec.tiers * spec.plantsPerTier,
      sites,
      lineAreaM2: (Math.PI * spec.towerDiameterM ** 2) / 4,
      slackM: null,
      evenedPitchM: null,
      facts: [{ kind: "tower-height", value: heightM, dimension: "length" }],
      warnings,
    };
  },
  layout: (spec) => {
    const { rows, towersPerRow, towerSpacingM, towerDiameterM: d, aisleM } = spec;
    const lines: RectM[] = [];
    for (let row = 0; row < rows; row++)
      for (let tower = 0; tower < towersPerRow; tower++)
        lines.push({ xM: tower * towerSpacingM, yM: row * (d + aisleM), lengthM: d, widthM: d });
    return { lengthM: (towersPerRow - 1) * towerSpacingM + d, widthM: rows * d + (rows - 1) * aisleM, lines };
  },
  // Tiers lie over one another: from above, the lowest is drawn innermost.
  sitePoints: ({ tiers, plantsPerTier, towerDiameterM }) =>
    points(tiers * plantsPerTier, (site) => {
      const tier = Math.floor(site / plantsPerTier);
      const angle = ((site % plantsPerTier) / plantsPerTier + (tier % 2) / (2 * plantsPerTier)) * 2 * Math.PI;
      const radiusM = (towerDiameterM / 2) * (0.2 + (0.75 * (tier + 1)) / tiers);
      return { xM: towerDiameterM / 2 + radiusM * Math.cos(angle), yM: towerDiameterM / 2 + radiusM * Math.sin(angle) };
    }),
  flow: ({ towerFlowLph, linesPerValve }) => ({ lineFlowLph: towerFlowLph, linesPerValve, limited: false }),
  water: (spec) => ({
    heldL: 0,
    drainBackL: spec.rows * spec.towersPerRow * spec.inFlightL,
    how: "towers",
  }),
  materials: (spec) => {
    const towers = spec.rows * spec.towersPerRow;
    const { sites, heightM } = sitesOf(spec);
    return [
      pieces(`tower tier, ${spec.plantsPerTier} places`, towers * spec.tiers),
      pieces("tower base", towers),
      pieces("drip head", towers),
      pieces("plug", sites),
      material("riser tube", towers * heightM, "m"),
      valves(towers, spec.linesPerValve),
    ];
  },
  checks: (spec, { latitudeDeg }) => ({
    warnings: [],
    facts: noonShade(spec, latitudeDeg).map((noon, index) => ({
      kind: index === 0 ? ("shade-darkest" as const) : ("shade-brightest" as const),
      value: noon.tiersShaded,
      dimension: "count" as const,
      noon: { month: noon.month, elevationDeg: noon.elevationDeg },
    })),
  }),
};
