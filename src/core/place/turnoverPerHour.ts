import { requireRange } from "../units/range";

/**
 * How often an hour a loop's water goes round: flow ÷ water in the tank at its normal fill level.
 * @source definition; case in tests/reference/place/held-water.json
 * @example turnoverPerHour(1200, 200) // 6
 */
export function turnoverPerHour(flowLph: number, normalFillL: number): number {
  requireRange("turnoverPerHour", "flowLph", flowLph, 0, 1_000_000);
  requireRange("turnoverPerHour", "normalFillL", normalFillL, 0.1, 1_000_000);
  return flowLph / normalFillL;
}
