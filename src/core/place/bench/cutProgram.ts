import { isBought, type Goal, type Model, type Pattern } from "./cutModel";

/**
 * The program that takes patterns a number of times each, in the LP text format: variables x0, x1 … for patterns and u0,
 * u1 … for pieces left uncut; rows c0, c1 … for pieces, s0, s1 … for bars of which only so many lie there, `bars` for those
 * bought.
 *
 * @param whole as an integer program
 */
export function cutProgram(patterns: readonly Pattern[], goal: Goal, model: Model, whole: boolean): string {
  const { cost, mostBought, uncutCost } = goal;
  const { types, bars } = model;
  const terms = (factor: (pattern: Pattern) => number) =>
    patterns.flatMap((pattern, index) => (factor(pattern) > 0 ? [`${factor(pattern)} x${index}`] : []));
  const uncutNames = uncutCost === null ? [] : types.map((_, type) => `u${type}`);
  const pieces = types.map(({ count }, type) => {
    const cut = terms(({ counts }) => counts[type]!);
    const left = uncutCost === null ? [] : [`1 u${type}`];
    return ` c${type}: ${[...cut, ...left].join(" + ")} >= ${count}`;
  });
  const limits = goal.bars.flatMap((bar) => {
    const own = terms((pattern) => (pattern.bar === bar ? 1 : 0));
    const { limit } = bars[bar]!;
    return limit === null || own.length === 0 ? [] : [` s${bar}: ${own.join(" + ")} <= ${limit}`];
  });
  const bought = terms(({ bar }) => (isBought(model, bar) ? 1 : 0));
  const boughtRow = mostBought === null || bought.length === 0 ? [] : [` bars: ${bought.join(" + ")} <= ${mostBought}`];
  const names = [...patterns.map((_, index) => `x${index}`), ...uncutNames];
  const objective = [...terms(({ bar }) => cost(bar)), ...uncutNames.map((name) => `${uncutCost} ${name}`)];
  return [
    "Minimize",
    ` obj: ${objective.length > 0 ? objective.join(" + ") : `0 ${names[0]}`}`,
    "Subject To",
    ...pieces,
    ...limits,
    ...boughtRow,
    ...(whole ? ["General", ` ${names.join(" ")}`] : []),
    "End",
  ].join("\n");
}
