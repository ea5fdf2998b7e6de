import { leastWhole } from "../../numeric/leastWhole";
import { fitsIn } from "../fit";
import { GREATEST, requireFigures, requireWhole } from "../../units/range";
import { requireSpec } from "../kinds/requireSpec";
import { modelOf, type StandSpec } from "../kinds";
import type { NumberMeasure, Stretch } from "../kinds/model";

/** Lengths that are pulled on a drawing come to a step that a tape measure shows. */
export const STEP_M = 0.05;
const DUST_M = 1e-6;

/**
 * A stand pulled to another size: its lines get longer or more, as its kind grows, and never larger than asked.
 *
 * @param size wanted length along the lines and width across them, m; what is left out stays
 * @returns the stand with other measures, inside their ranges
 * @example stretched(STAND_MODELS["channel-bank"].example, { alongM: 7.52 }).lineLengthM // 7.5
 */
export function stretched<Spec extends StandSpec>(
  spec: Spec,
  size: { readonly alongM?: number; readonly acrossM?: number },
): Spec {
  requireSpec("stretched", spec);
  requireFigures("stretched", size, { alongM: [0, 10_000], acrossM: [0, 10_000] });
  const { along, across } = modelOf(spec as StandSpec).stretch;
  let grown = spec;
  if (size.alongM !== undefined) grown = grow(grown, along, size.alongM, "lengthM");
  if (size.acrossM !== undefined) grown = grow(grown, across, size.acrossM, "widthM");
  return grown;
}

function grow<Spec extends StandSpec>(spec: Spec, { measure, by }: Stretch, sizeM: number, side: "lengthM" | "widthM") {
  const { least, greatest } = modelOf(spec as StandSpec).measures.find(({ name }) => name === measure) as NumberMeasure;
  const withIt = (value: number): Spec => ({ ...spec, [measure]: Math.min(greatest, Math.max(least, value)) });
  if (by === "length") return withIt(Math.round(Math.floor(sizeM / STEP_M + DUST_M) * STEP_M * 1000) / 1000);
  const fits = (count: number) => fitsIn(modelOf(spec as StandSpec).layout(withIt(count))[side], sizeM);
  return withIt(mostThat(fits, greatest));
}

/** The greatest whole number that holds, when all below it hold too; at least 1. */
export function mostThat(holds: (count: number) => boolean, greatest: number): number {
  requireWhole("mostThat", "greatest", greatest, 1, GREATEST);
  return leastWhole(1, greatest + 1, (count) => count > greatest || !holds(count)) - 1;
}
