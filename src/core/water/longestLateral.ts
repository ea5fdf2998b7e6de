import { requireRange } from "../units/range";
import { requireLateral, solveLateral, type Lateral } from "./lateral";

export interface LongestLateral {
  /** The most emitters; 0 where even one is too many. */
  readonly count: number;
  readonly lengthM: number;
  /** A tenth more emitters would vary hardly more: the limit is a matter of taste there. */
  readonly nearlyLevel: boolean;
  /** No end was found up to the most that is looked at. */
  readonly endless: boolean;
}

const MOST = 20_000;
/** Points of flow variation that nobody sees. */
const LEVEL_SHARE = 0.005;

/**
 * The longest lateral whose flow varies no more than is permitted: the count doubled until it varies too much, then halved.
 * On a gentle downhill line the flow may vary more, then less, then more: the first crossing is taken, and it is said.
 *
 * @param lateral its count is not looked at
 * @param inletHeadM pressure head at the inlet, m
 * @param permittedVariation (greatest − least) ÷ greatest, 0.001–1
 * @throws RangeError when a figure is outside its range
 * @source exact solution for each count; tests/reference/water/lateral.json, longest
 */
export function longestLateral(
  lateral: Omit<Lateral, "count">,
  inletHeadM: number,
  permittedVariation: number,
): LongestLateral {
  requireLateral("longestLateral", { ...lateral, count: 1 });
  requireRange("longestLateral", "inletHeadM", inletHeadM, 0, 500);
  requireRange("longestLateral", "permittedVariation", permittedVariation, 0.001, 1);
  const variation = (count: number) => {
    const { flowsLph } = solveLateral({ ...lateral, count }, inletHeadM);
    const [least, greatest] = [Math.min(...flowsLph), Math.max(...flowsLph)];
    return greatest > 0 ? (greatest - least) / greatest : 1;
  };
  const lengthM = (count: number) => (count === 0 ? 0 : lateral.firstSpacingM + (count - 1) * lateral.spacingM);
  if (variation(1) > permittedVariation) return { count: 0, lengthM: 0, nearlyLevel: false, endless: false };
  let [good, bad] = [1, 2];
  while (bad <= MOST && variation(bad) <= permittedVariation) [good, bad] = [bad, bad * 2];
  if (bad > MOST) return { count: good, lengthM: lengthM(good), nearlyLevel: false, endless: true };
  while (bad - good > 1) {
    const middle = Math.floor((good + bad) / 2);
    if (variation(middle) <= permittedVariation) good = middle;
    else bad = middle;
  }
  const nearlyLevel = variation(Math.ceil(good * 1.1)) - permittedVariation < LEVEL_SHARE;
  return { count: good, lengthM: lengthM(good), nearlyLevel, endless: false };
}
