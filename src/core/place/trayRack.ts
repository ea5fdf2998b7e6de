import { requireRange, requireWhole } from "../units/range";
import { stepsIn } from "./fit";

export interface TrayRackShape {
  readonly racks: number;
  readonly shelvesPerRack: number;
  readonly shelfLengthM: number;
  readonly shelfWidthM: number;
  readonly trayLengthM: number;
  readonly trayWidthM: number;
  readonly cellsPerTray: number;
}

export interface TrayRackCount {
  readonly traysPerShelf: number;
  /** Trays per shelf with the tray's length along the shelf's length, and across it. */
  readonly traysLengthwise: number;
  readonly traysCrosswise: number;
  readonly trays: number;
  readonly cells: number;
}

/**
 * Trays and cells of a rack. All trays of a shelf are turned one way, the better of the two.
 *
 * @throws RangeError when an argument is outside its range
 * @source rectangle packing without mixing; cases in tests/reference/place/counts.json
 * @example trayRack({ racks: 1, shelvesPerRack: 4, shelfLengthM: 1.2, shelfWidthM: 0.6, trayLengthM: 0.6, trayWidthM: 0.3, cellsPerTray: 72 }).cells // 1152
 */
export function trayRack(rack: TrayRackShape): TrayRackCount {
  requireWhole("trayRack", "racks", rack.racks, 1, 1000);
  requireWhole("trayRack", "shelvesPerRack", rack.shelvesPerRack, 1, 50);
  requireWhole("trayRack", "cellsPerTray", rack.cellsPerTray, 1, 2000);
  requireRange("trayRack", "shelfLengthM", rack.shelfLengthM, 0, 100);
  requireRange("trayRack", "shelfWidthM", rack.shelfWidthM, 0, 100);
  requireRange("trayRack", "trayLengthM", rack.trayLengthM, 0.05, 10);
  requireRange("trayRack", "trayWidthM", rack.trayWidthM, 0.05, 10);
  const traysLengthwise = stepsIn(rack.shelfLengthM, rack.trayLengthM) * stepsIn(rack.shelfWidthM, rack.trayWidthM);
  const traysCrosswise = stepsIn(rack.shelfLengthM, rack.trayWidthM) * stepsIn(rack.shelfWidthM, rack.trayLengthM);
  const traysPerShelf = Math.max(traysLengthwise, traysCrosswise);
  const trays = rack.racks * rack.shelvesPerRack * traysPerShelf;
  return { traysPerShelf, traysLengthwise, traysCrosswise, trays, cells: trays * rack.cellsPerTray };
}
