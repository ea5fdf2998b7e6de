import { requireFigures } from "../units/range";
import { outletOf, type Emitter } from "./emitter";
import type { Lateral } from "./lateral";
import { frictionOf, type Pipe } from "./pipeFriction";

/** Litres from one metre of hose in some minutes, at two heads. */
export interface PorousTest {
  readonly firstHeadM: number;
  readonly firstLitres: number;
  readonly secondHeadM: number;
  readonly secondLitres: number;
  readonly minutes: number;
}

/** Why a test tells nothing. */
export type PorousRefusal = "equal-heads" | "no-water" | "less-at-more-head";

/**
 * A porous hose as an emitter per metre, q = k·H^x, from a test at two heads.
 *
 * @throws RangeError when a figure is outside its range
 * @source two equations of q = k·H^x; tests/reference/water/series.json, "porousTest"
 */
export function porousHose(test: PorousTest): Emitter | PorousRefusal {
  requireFigures("porousHose", test, {
    firstHeadM: [0.01, 100],
    firstLitres: [0, 1000],
    secondHeadM: [0.01, 100],
    secondLitres: [0, 1000],
    minutes: [0.1, 1440],
  });
  const { firstHeadM, firstLitres, secondHeadM, secondLitres, minutes } = test;
  if (Math.abs(firstHeadM - secondHeadM) < 1e-9) return "equal-heads";
  if (firstLitres <= 0 || secondLitres <= 0) return "no-water";
  const exponent = Math.log(secondLitres / firstLitres) / Math.log(secondHeadM / firstHeadM);
  if (exponent < -1e-9) return "less-at-more-head";
  const hourly = 60 / minutes;
  return {
    nominalFlowLph: firstLitres * hourly,
    nominalHeadM: firstHeadM,
    exponent: Math.max(0, exponent),
    leastHeadM: null,
  };
}

/** A porous hose as a line: an emitter in the middle of each metre. @param metres 1–1000 */
export function porousLine(emitter: Emitter, pipe: Pipe, metres: number, slopeRise: number): Lateral {
  requireFigures("porousLine", { metres, slopeRise }, { metres: [1, 1000], slopeRise: [-1, 1] });
  const [count, spacingM, firstSpacingM] = [Math.round(metres), 1, 0.5];
  outletOf(emitter);
  frictionOf(pipe);
  return { pipe, emitter, count, spacingM, firstSpacingM, slopeRise, equivalentLengthM: 0 };
}
