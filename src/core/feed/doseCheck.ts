import { requireFigures } from "../units/range";

/** What was put into a tank, and what should have been. */
export interface PutIn {
  readonly productG: number;
  readonly volumeL: number;
  readonly labelGPerL: number;
  readonly planGPerL: number;
  /** Room over the level. */
  readonly headspaceL: number;
}

/** How to put right what was dosed. Mass counts, so the figures are exact. */
export type DoseMend =
  | { readonly kind: "nothing" }
  | { readonly kind: "add-product"; readonly addG: number }
  | { readonly kind: "add-water"; readonly addL: number; readonly thenL: number }
  | {
      readonly kind: "drain-and-fill";
      readonly drainL: number;
      readonly thenAddL: number;
      readonly thenL: number;
      readonly drainedG: number;
    };

/**
 * What was really put in against label and plan, and how to mend it: short, the missing product; over by the factor r,
 * water V(r − 1), or, where that does not fit, the least drain (V·k − h)/(1 + k) with k = r − 1, then full to the brim.
 *
 * @throws RangeError when a figure is outside its range
 * @source conservation of mass; tests/reference/feed/label.json, "doseCheck"
 */
export function doseCheck(putIn: PutIn): {
  readonly labelG: number;
  readonly planG: number;
  readonly ratioToLabel: number;
  readonly ratioToPlan: number;
  readonly mend: DoseMend;
} {
  requireFigures("doseCheck", putIn, {
    productG: [0, 1_000_000],
    volumeL: [0.01, 1_000_000],
    labelGPerL: [0.0001, 1000],
    planGPerL: [0.0001, 1000],
    headspaceL: [0, 1_000_000],
  });
  const { productG, volumeL, labelGPerL, planGPerL } = putIn;
  const [labelG, planG] = [labelGPerL * volumeL, planGPerL * volumeL];
  const ratioToPlan = productG / planG;
  return { labelG, planG, ratioToLabel: productG / labelG, ratioToPlan, mend: mendOf(putIn, planG, ratioToPlan) };
}

function mendOf({ productG, volumeL, headspaceL }: PutIn, planG: number, ratio: number): DoseMend {
  if (Math.abs(ratio - 1) < 1e-9) return { kind: "nothing" };
  if (ratio < 1) return { kind: "add-product", addG: planG - productG };
  const over = ratio - 1;
  const waterL = volumeL * over;
  if (waterL <= headspaceL + 1e-9) return { kind: "add-water", addL: waterL, thenL: volumeL + waterL };
  const drainL = (volumeL * over - headspaceL) / (1 + over);
  return {
    kind: "drain-and-fill",
    drainL,
    thenAddL: headspaceL + drainL,
    thenL: volumeL + headspaceL,
    drainedG: (productG * drainL) / volumeL,
  };
}
