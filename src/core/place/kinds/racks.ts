import { runsOf } from "../runsOf";
import { stepsIn } from "../fit";
import { trayRack, type TrayRackCount } from "../trayRack";
import { AISLE, count, number, NO_FLOW, material, pieces, points } from "./shared";
import type { Measure, PointM, RectM, StandCounts, StandLayout, StandModel } from "./model";

interface Shelves {
  readonly racks: number;
  readonly shelvesPerRack: number;
  readonly shelfLengthM: number;
  readonly shelfWidthM: number;
  readonly trayLengthM: number;
  readonly trayWidthM: number;
  readonly aisleM: number;
}

/** Racks with plug trays on shelves. A tray is a line; a cell is a site. */
export interface TrayRack extends Shelves {
  readonly kind: "tray-rack";
  readonly cellsPerTray: number;
  readonly cellL: number;
}

/** Racks for shoots or fodder, sown broadcast: a tray is a line and one position. */
export interface ShootsRack extends Shelves {
  readonly kind: "shoots-rack";
  readonly use: "shoots" | "fodder";
  readonly rinseLPerTray: number;
  readonly rinsesPerDay: number;
}

type AnyRack = TrayRack | ShootsRack;
const cellsOf = (spec: AnyRack) => (spec.kind === "tray-rack" ? spec.cellsPerTray : 1);
/** Trays of a rack of either kind. */
export const traysOf = (spec: AnyRack): TrayRackCount => trayRack({ ...spec, cellsPerTray: cellsOf(spec) });

function rackCounts(spec: AnyRack): StandCounts {
  const found = traysOf(spec);
  return {
    lines: found.trays,
    sitesPerLine: cellsOf(spec),
    sites: found.cells,
    lineAreaM2: spec.trayLengthM * spec.trayWidthM,
    slackM: null,
    evenedPitchM: null,
    facts: [
      { kind: "trays-on-shelf", value: found.traysPerShelf, dimension: "count" },
      { kind: "trays", value: found.trays, dimension: "count" },
    ],
    warnings: found.traysPerShelf === 0 ? [{ kind: "no-tray" }] : [],
  };
}

function trayTurned(spec: AnyRack): readonly [alongM: number, acrossM: number] {
  const { traysPerShelf, traysLengthwise } = traysOf(spec);
  return traysLengthwise === traysPerShelf ? [spec.trayLengthM, spec.trayWidthM] : [spec.trayWidthM, spec.trayLengthM];
}

function layout(spec: AnyRack): StandLayout {
  const { traysPerShelf } = traysOf(spec);
  const [trayXM, trayYM] = trayTurned(spec);
  const perRow = Math.max(1, stepsIn(spec.shelfLengthM, trayXM));
  const lines: RectM[] = [];
  for (let rack = 0; rack < spec.racks; rack++) {
    const rackYM = rack * (spec.shelfWidthM + spec.aisleM);
    for (let tray = 0; tray < spec.shelvesPerRack * traysPerShelf; tray++) {
      const onShelf = tray % traysPerShelf;
      lines.push({
        xM: (onShelf % perRow) * trayXM,
        yM: rackYM + Math.floor(onShelf / perRow) * trayYM,
        lengthM: trayXM,
        widthM: trayYM,
      });
    }
  }
  return { lengthM: spec.shelfLengthM, widthM: spec.racks * spec.shelfWidthM + (spec.racks - 1) * spec.aisleM, lines };
}

/** Cells of a tray in the grid that comes nearest to square cells. */
function cellPoints(spec: AnyRack): PointM[] {
  const cells = cellsOf(spec);
  const [lengthM, widthM] = trayTurned(spec);
  const across = nearestGrid(cells, widthM / lengthM);
  const along = Math.ceil(cells / across);
  return points(cells, (cell) => ({
    xM: ((Math.floor(cell / across) + 0.5) * lengthM) / along,
    yM: (((cell % across) + 0.5) * widthM) / across,
  }));
}

function nearestGrid(cells: number, widthPerLength: number): number {
  const ideal = Math.sqrt(cells * widthPerLength);
  const divisors = Array.from({ length: cells }, (_, index) => index + 1).filter((of) => cells % of === 0);
  return divisors.reduce((best, of) => (Math.abs(of - ideal) < Math.abs(best - ideal) ? of : best), 1);
}

function lineLabel(spec: AnyRack, line: number): string {
  const { traysPerShelf } = traysOf(spec);
  const shelf = Math.floor(line / Math.max(1, traysPerShelf));
  const rackWords = spec.racks > 1 ? `rack ${Math.floor(shelf / spec.shelvesPerRack) + 1}, ` : "";
  return `${rackWords}shelf ${(shelf % spec.shelvesPerRack) + 1}, tray ${(line % traysPerShelf) + 1}`;
}

/** Trays shelf by shelf: "shelf 5, trays 1–2; shelf 6, tray 1". */
function linesWords(spec: AnyRack, lines: readonly number[]): string {
  const perShelf = Math.max(1, traysOf(spec).traysPerShelf);
  const shelves = [...new Set(lines.map((line) => Math.floor(line / perShelf)))];
  return shelves
    .map((shelf) => {
      const trays = lines.filter((line) => Math.floor(line / perShelf) === shelf);
      const [head] = lineLabel(spec, trays[0]!).split(", tray ");
      const names = runsOf(trays.map((line) => line % perShelf)).map(([a, b]) =>
        a === b ? `${a + 1}` : `${a + 1}–${b + 1}`,
      );
      return `${head}, tray${trays.length > 1 ? "s" : ""} ${names.join(", ")}`;
    })
    .join("; ");
}

/** Trays of lower shelves lie under those of the top one. */
function isInSight(spec: AnyRack, line: number): boolean {
  const { traysPerShelf } = traysOf(spec);
  return line % (traysPerShelf * spec.shelvesPerRack) < traysPerShelf;
}

const SHELF_MEASURES: readonly Measure[] = [
  count("racks", "Racks", 1000),
  count("shelvesPerRack", "Shelves on each", 50),
  number("shelfLengthM", "Shelf length", "length", 0.1, 20),
  number("shelfWidthM", "Shelf width", "length", 0.1, 10),
  number("trayLengthM", "Tray length", "length", 0.05, 10),
  number("trayWidthM", "Tray width", "length", 0.05, 10),
];
const STRETCH = {
  along: { measure: "shelfLengthM", by: "length" },
  across: { measure: "racks", by: "count" },
} as const;

export const TRAY_RACK: StandModel<TrayRack> = {
  words: {
    name: "Tray rack",
    line: "tray",
    site: "cell",
    about: "Plug trays on shelves: where plants begin.",
    caution: [
      "Lamps and heat mats are near water here.",
      "Wiring is for a licensed electrician, behind a residual-current breaker as local codes ask.",
    ],
  },
  example: {
    kind: "tray-rack",
    racks: 1,
    shelvesPerRack: 4,
    shelfLengthM: 1.2,
    shelfWidthM: 0.6,
    trayLengthM: 0.54,
    trayWidthM: 0.28,
    cellsPerTray: 84,
    cellL: 0.025,
    aisleM: 0.8,
  },
  measures: [
    ...SHELF_MEASURES,
    count("cellsPerTray", "Cells in a tray", 2000),
    number("cellL", "Cell volume", "dose", 0.0001, 5),
    AISLE,
  ],
  stretch: STRETCH,
  counts: rackCounts,
  layout,
  sitePoints: cellPoints,
  flow: () => NO_FLOW,
  water: () => ({ heldL: 0, drainBackL: 0, how: "trays" }),
  materials: (spec) => {
    const { trays, cells } = traysOf(spec);
    return [
      pieces(`plug tray, ${spec.cellsPerTray} cells`, trays),
      material("sowing mix", cells * spec.cellL, "L"),
      pieces("tray label", trays),
    ];
  },
  lineLabel,
  linesWords,
  isInSight,
  forYoungPlants: true,
};

export const SHOOTS_RACK: StandModel<ShootsRack> = {
  words: {
    name: "Shoots or fodder rack",
    line: "tray",
    site: "tray",
    about: "Trays sown broadcast and rinsed: shoots for the kitchen, fodder for animals. Clean hands, clean trays.",
    caution: [
      "Sprouted seed can carry germs that make people ill.",
      "Seed sold for sprouting, clean trays and hands, cold storage, and the local food rules.",
    ],
  },
  example: {
    kind: "shoots-rack",
    racks: 1,
    shelvesPerRack: 5,
    shelfLengthM: 1.15,
    shelfWidthM: 0.3,
    trayLengthM: 0.27,
    trayWidthM: 0.28,
    use: "shoots",
    rinseLPerTray: 0.5,
    rinsesPerDay: 2,
    aisleM: 0.8,
  },
  measures: [
    ...SHELF_MEASURES,
    { type: "choice", name: "use", label: "For", options: ["shoots", "fodder"] },
    number("rinseLPerTray", "Water for one rinse of a tray", "dose", 0, 100),
    number("rinsesPerDay", "Rinses a day", "ratio", 0, 48),
    AISLE,
  ],
  stretch: STRETCH,
  counts: (spec) => {
    const common = rackCounts(spec);
    const rinseLpd = common.lines * spec.rinseLPerTray * spec.rinsesPerDay;
    return {
      ...common,
      facts: [...common.facts, { kind: "rinse-water", value: rinseLpd, dimension: "volume" }],
      warnings: [
        ...common.warnings,
        ...(spec.rinsesPerDay < 1 && spec.rinsesPerDay > 0 ? [{ kind: "rare-rinse" as const, usualPerDay: 2 }] : []),
      ],
    };
  },
  layout,
  sitePoints: cellPoints,
  flow: () => NO_FLOW,
  water: () => ({ heldL: 0, drainBackL: 0, how: "rinsed" }),
  materials: (spec) => {
    const { trays } = traysOf(spec);
    return [
      pieces("tray with holes", trays),
      pieces("tray without holes", trays),
      pieces("blackout lid", Math.ceil(trays / 3)),
    ];
  },
  lineLabel,
  linesWords,
  isInSight,
  forYoungPlants: true,
};
