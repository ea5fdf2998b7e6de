/**
 * Refuses a number outside its range, and NaN, by naming the function, the argument, the value and the range.
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
export function requireRange(where: string, name: string, value: number, min: number, max = Infinity): number {
  // Written so that NaN fails too.
  if (!(value >= min && value <= max)) {
    const range = max === Infinity ? `at least ${min}` : `from ${min} to ${max}`;
    throw new RangeError(`${where}: ${name} is ${value}; it must be ${range}`);
  }
  return value;
}

/** As `requireRange`, for counts: a whole number in the range. */
export function requireWhole(where: string, name: string, value: number, min: number, max = Infinity): number {
  requireRange(where, name, value, min, max);
  if (!Number.isInteger(value)) throw new RangeError(`${where}: ${name} is ${value}; it must be a whole number`);
  return value;
}
