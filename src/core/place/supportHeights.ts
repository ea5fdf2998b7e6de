import { requireRange } from "../units/range";

/**
 * Height of every support along a line with a fall, from its inlet (the high end) on; one more at the outlet end when the
 * length is no multiple of the spacing.
 *
 * @param lengthM of the line, 0–500
 * @param supportSpacingM 0.05–50
 * @param fallOneIn drop as one in so many, 0 is level
 * @param outletEndHeightM over the floor
 * @source straight line; cases in tests/reference/place/held-water.json
 * @example supportHeights(6, 1.2, 40, 0.85)[0] // { distanceFromInletM: 0, heightM: 1 }
 */
export function supportHeights(
  lengthM: number,
  supportSpacingM: number,
  fallOneIn: number,
  outletEndHeightM: number,
): { readonly distanceFromInletM: number; readonly heightM: number }[] {
  requireRange("supportHeights", "lengthM", lengthM, 0, 500);
  requireRange("supportHeights", "supportSpacingM", supportSpacingM, 0.05, 50);
  requireRange("supportHeights", "fallOneIn", fallOneIn, 0, 10_000);
  requireRange("supportHeights", "outletEndHeightM", outletEndHeightM, -10, 50);
  const spans = Math.ceil(lengthM / supportSpacingM - 1e-9);
  return Array.from({ length: spans + 1 }, (_, support) => {
    const distanceFromInletM = Math.min(lengthM, support * supportSpacingM);
    const dropM = fallOneIn === 0 ? 0 : (lengthM - distanceFromInletM) / fallOneIn;
    return { distanceFromInletM, heightM: outletEndHeightM + dropM };
  });
}
