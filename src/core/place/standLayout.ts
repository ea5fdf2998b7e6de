import { bedPlants } from "./bedPlants";
import { lineSites } from "./lineSites";
import { trayRack } from "./trayRack";
import type { BucketLine, DripBeds, PlacedStand, StandSpec, TrayRack } from "./stand";

/** A rectangle in metres. */
export interface RectM {
  readonly xM: number;
  readonly yM: number;
  readonly lengthM: number;
  readonly widthM: number;
}

export interface PointM {
  readonly xM: number;
  readonly yM: number;
}

/** Where everything of a stand lies, before it is placed or turned: x along the lines, y across them. */
export interface StandLayout {
  readonly lengthM: number;
  readonly widthM: number;
  /** Lines seen from above. Trays of lower shelves lie under those of the top one. */
  readonly lines: readonly RectM[];
}

/** Lays a stand out in its own rectangle. @source sums of widths, gaps and aisles */
export function standLayout(spec: StandSpec): StandLayout {
  switch (spec.kind) {
    case "channel-bank":
      return parallelLines(spec.lines, spec.lineLengthM, spec.channelWidthM, (line) =>
        line % spec.linesPerBlock === 0 ? spec.aisleM : spec.gapM,
      );
    case "drip-beds":
      return parallelLines(spec.lines, spec.lineLengthM, spec.bedWidthM, () => spec.aisleM);
    case "bucket-line":
      return parallelLines(
        spec.lines,
        spec.bucketsPerLine * spec.bucketSpacingM,
        spec.bucketDiameterM,
        () => spec.aisleM,
      );
    case "tray-rack":
      return rackLayout(spec);
  }
}

/** Sites of one line in the line's own rectangle. */
export function lineSitePoints(spec: StandSpec): readonly PointM[] {
  switch (spec.kind) {
    case "channel-bank": {
      const { sites } = lineSites(spec.lineLengthM, spec.endMarginM, spec.pitchM);
      return points(sites, (site) => ({
        xM: spec.endMarginM + site * spec.pitchM,
        yM: spec.channelWidthM / 2,
      }));
    }
    case "drip-beds":
      return bedPoints(spec);
    case "bucket-line":
      return bucketPoints(spec);
    case "tray-rack":
      return cellPoints(spec);
  }
}

/** The rectangle of a placed stand in its house. */
export function standFootprint(stand: PlacedStand): RectM {
  const { lengthM, widthM } = standLayout(stand.spec);
  const [alongX, alongY] = stand.turned ? [widthM, lengthM] : [lengthM, widthM];
  return { xM: stand.xM, yM: stand.yM, lengthM: alongX, widthM: alongY };
}

/** Turns a rectangle of the stand's own layout into the house's coordinates. */
export function toHouse(rect: RectM, stand: PlacedStand): RectM {
  return stand.turned
    ? { xM: stand.xM + rect.yM, yM: stand.yM + rect.xM, lengthM: rect.widthM, widthM: rect.lengthM }
    : { ...rect, xM: stand.xM + rect.xM, yM: stand.yM + rect.yM };
}

/** What a person calls a line of a stand: "channel 7", "bed 2", "shelf 1, tray 3". */
export function lineLabel(spec: StandSpec, line: number): string {
  switch (spec.kind) {
    case "channel-bank":
      return `channel ${line + 1}`;
    case "drip-beds":
      return `bed ${line + 1}`;
    case "bucket-line":
      return `row ${line + 1}`;
    case "tray-rack": {
      const { traysPerShelf } = trayRack(spec);
      const shelf = Math.floor(line / Math.max(1, traysPerShelf));
      const rackWords = spec.racks > 1 ? `rack ${Math.floor(shelf / spec.shelvesPerRack) + 1}, ` : "";
      return `${rackWords}shelf ${(shelf % spec.shelvesPerRack) + 1}, tray ${(line % traysPerShelf) + 1}`;
    }
  }
}

function parallelLines(
  count: number,
  lengthM: number,
  widthM: number,
  gapBefore: (line: number) => number,
): StandLayout {
  const lines: RectM[] = [];
  let yM = 0;
  for (let line = 0; line < count; line++) {
    if (line > 0) yM += gapBefore(line);
    lines.push({ xM: 0, yM, lengthM, widthM });
    yM += widthM;
  }
  return { lengthM, widthM: yM, lines };
}

function rackLayout(spec: TrayRack): StandLayout {
  const { traysPerShelf, traysLengthwise } = trayRack(spec);
  const lengthwise = traysLengthwise === traysPerShelf;
  const [trayXM, trayYM] = lengthwise ? [spec.trayLengthM, spec.trayWidthM] : [spec.trayWidthM, spec.trayLengthM];
  const perRow = Math.max(1, Math.floor((spec.shelfLengthM + 0.001) / trayXM + 1e-9));
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
  const widthM = spec.racks * spec.shelfWidthM + (spec.racks - 1) * spec.aisleM;
  return { lengthM: spec.shelfLengthM, widthM, lines };
}

function bedPoints(spec: DripBeds): PointM[] {
  const bed = bedPlants({ ...spec, lengthM: spec.lineLengthM, widthM: spec.bedWidthM });
  const gapM = bed.rowGapM ?? 0;
  return bed.plantsByRow.flatMap((count, row) => {
    const shiftM = spec.pattern === "staggered" && row % 2 === 1 ? spec.pitchM / 2 : 0;
    const yM = bed.rowGapM === null ? spec.bedWidthM / 2 : spec.edgeMarginM + row * gapM;
    return points(count, (site) => ({ xM: spec.endMarginM + shiftM + site * spec.pitchM, yM }));
  });
}

function bucketPoints(spec: BucketLine): PointM[] {
  const { plantsPerBucket: plants, bucketDiameterM: diameterM } = spec;
  return points(spec.bucketsPerLine * plants, (site) => {
    const inBucket = (site % plants) - (plants - 1) / 2;
    return {
      xM: (Math.floor(site / plants) + 0.5) * spec.bucketSpacingM + (inBucket * diameterM) / (plants + 1),
      yM: diameterM / 2,
    };
  });
}

/** Cells of a tray in the grid that comes nearest to square cells. */
function cellPoints(spec: TrayRack): PointM[] {
  const { traysPerShelf, traysLengthwise } = trayRack(spec);
  const [lengthM, widthM] =
    traysLengthwise === traysPerShelf ? [spec.trayLengthM, spec.trayWidthM] : [spec.trayWidthM, spec.trayLengthM];
  const across = nearestGrid(spec.cellsPerTray, widthM / lengthM);
  const along = Math.ceil(spec.cellsPerTray / across);
  return points(spec.cellsPerTray, (cell) => ({
    xM: ((Math.floor(cell / across) + 0.5) * lengthM) / along,
    yM: (((cell % across) + 0.5) * widthM) / across,
  }));
}

function nearestGrid(cells: number, widthPerLength: number): number {
  const ideal = Math.sqrt(cells * widthPerLength);
  const divisors = Array.from({ length: cells }, (_, index) => index + 1).filter((count) => cells % count === 0);
  return divisors.reduce((best, count) => (Math.abs(count - ideal) < Math.abs(best - ideal) ? count : best), 1);
}

function points(count: number, at: (site: number) => PointM): PointM[] {
  return Array.from({ length: count }, (_, site) => at(site));
}
