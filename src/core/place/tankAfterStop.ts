import { requireRange } from "../units/range";

/** A tank by its levels, and what comes back into it. */
export interface TankLevels {
  /** Water in flight that comes back when the pump stops. */
  readonly drainBackL: number;
  readonly tankPlanAreaM2: number;
  readonly normalFillLevelM: number;
  readonly tankRimM: number;
}

/** Equal is no overflow. */
const OVERFLOW_TOLERANCE_L = 1e-6;

/**
 * What a tank does when the pump stops: headspace = (rim − normal fill level) × plan area, and whether what comes back fits.
 *
 * @throws RangeError when an argument is outside its range
 * @source box volume; cases in tests/reference/place/held-water.json
 */
export function tankAfterStop(room: TankLevels): {
  readonly headspaceL: number;
  readonly levelRiseM: number;
  readonly overflows: boolean;
  readonly overflowL: number;
} {
  requireRange("tankAfterStop", "tankPlanAreaM2", room.tankPlanAreaM2, 0.001, 10_000);
  requireRange("tankAfterStop", "tankRimM", room.tankRimM, 0, 1_000_000);
  requireRange("tankAfterStop", "normalFillLevelM", room.normalFillLevelM, 0, room.tankRimM);
  requireRange("tankAfterStop", "drainBackL", room.drainBackL, 0);
  const headspaceL = (room.tankRimM - room.normalFillLevelM) * room.tankPlanAreaM2 * 1000;
  const overflows = room.drainBackL > headspaceL + OVERFLOW_TOLERANCE_L;
  return {
    headspaceL,
    levelRiseM: room.drainBackL / 1000 / room.tankPlanAreaM2,
    overflows,
    overflowL: overflows ? room.drainBackL - headspaceL : 0,
  };
}
