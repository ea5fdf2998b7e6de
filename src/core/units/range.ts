/** No figure of a garden is larger; what is has lost its decimal point or its unit. */
export const GREATEST = 1e9;

/**
 * Refuses a number outside its range, and what is no finite number, by naming the function, the argument, the value and
 * the range.
 *
 * @param where the function that checks, for the message
 * @param name the argument, unit included in its name
 * @param value the number given
 * @param min least value allowed (inclusive)
 * @param max greatest value allowed (inclusive)
 * @returns the value itself
 * @throws RangeError when `value` is not a number in the range
 * @example requireRange("lineSites", "pitchM", 0.25, 0.01, 10) // 0.25
 */
export function requireRange(where: string, name: string, value: number, min: number, max = GREATEST): number {
  // Written so that NaN fails too.
  if (!(value >= min && value <= max))
    throw new RangeError(`${where}: ${name} is ${value}; it must be from ${min} to ${max}`);
  return value;
}

/** As `requireRange`, for counts: a whole number in the range. */
export function requireWhole(where: string, name: string, value: number, min: number, max = GREATEST): number {
  requireRange(where, name, value, min, max);
  if (!Number.isInteger(value)) throw new RangeError(`${where}: ${name} is ${value}; it must be a whole number`);
  return value;
}

/** The range of a figure of an object: least, greatest, and whether it is a count. */
export type FigureRange = readonly [least: number, greatest: number, whole?: "whole"];

/**
 * Refuses an object by the first of its figures that is outside its range; a figure that is missing is not looked at.
 *
 * @param ranges by the names of the figures
 * @throws RangeError that names the figure, its value and its range
 * @example requireFigures("tank", { levelL: 80 }, { levelL: [0, 1000] }) // undefined
 */
export function requireFigures<Value extends object>(
  where: string,
  value: Value,
  ranges: { readonly [Name in keyof Value]?: FigureRange },
): void {
  for (const name in ranges) {
    const figure = value[name] as number | null | undefined;
    if (figure === null || figure === undefined) continue;
    const [least, greatest, whole] = ranges[name]!;
    if (whole) requireWhole(where, name, figure, least, greatest);
    else requireRange(where, name, figure, least, greatest);
  }
}

/**
 * The same for every number of a list or of a table by names: figures by month, milligrams by nutrient.
 * @throws RangeError that names the list, the entry, its value and its range
 */
export function requireEach(
  where: string,
  name: string,
  values: readonly number[] | Readonly<Record<string, number | undefined>>,
  least: number,
  greatest = GREATEST,
): void {
  for (const [key, value] of Object.entries(values))
    if (value !== undefined)
      requireRange(where, Array.isArray(values) ? name : `${name} ${key}`, value, least, greatest);
}
