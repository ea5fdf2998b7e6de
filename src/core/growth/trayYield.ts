import { wholeUp } from "../numeric/whole";
import { GREATEST, requireFigures, type FigureRange } from "../units/range";

/** What a tray sown by weight gives. */
export interface TraySown {
  readonly seedGPerTray: number;
  /** Fresh mass for dry seed. */
  readonly yieldRatio: number;
  /** Of the seed that is sown; of dead seed nothing is cut. */
  readonly germination: number;
  /** At which the ratio was taken. */
  readonly germinationOfRatio: number;
}

const SHARE: FigureRange = [0.001, 1];
const TRAY = {
  seedGPerTray: [0.001, 100_000],
  yieldRatio: [0.01, 100],
  germination: [0, 1],
  germinationOfRatio: SHARE,
} as const;

/**
 * Fresh mass of a tray: seed × ratio × germination ÷ the germination at which the ratio was taken. Poor seed makes every tray
 * lighter; it leaves none empty.
 *
 * @returns g
 * @throws RangeError when a figure is outside its range
 * @source tests/reference/growth/trays.json, tray
 * @example trayYieldG({ seedGPerTray: 37.8, yieldRatio: 5, germination: 0.76, germinationOfRatio: 0.95 }) // 151.2
 */
export function trayYieldG(tray: TraySown): number {
  requireFigures("trayYieldG", tray, TRAY);
  return (tray.seedGPerTray * tray.yieldRatio * tray.germination) / tray.germinationOfRatio;
}

/**
 * Trays that give so much: the least number of them, or of half trays, that reaches the need.
 *
 * @param needG 0 or more
 * @param halfTrays whether a tray may be sown by halves
 * @throws RangeError when a figure is outside its range
 * @source tests/reference/growth/shoots.json; 1e-9 of slack
 * @example traysFor(1200, 384, true) // 3.5
 */
export function traysFor(needG: number, yieldGPerTray: number, halfTrays: boolean): number {
  requireFigures("traysFor", { needG, yieldGPerTray }, { needG: [0, GREATEST], yieldGPerTray: [1e-6, GREATEST] });
  const parts = halfTrays ? 2 : 1;
  return wholeUp((needG * parts) / yieldGPerTray) / parts;
}
