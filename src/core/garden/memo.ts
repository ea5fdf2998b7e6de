interface Entry {
  readonly name: string;
  readonly from: readonly unknown[];
  readonly value: unknown;
}

/** What was worked out from a table hangs on that table, and goes when it does. */
const entries = new WeakMap<object, Entry[]>();
/** Of one part on one table so many are kept: a what-if beside the garden, and the one before. */
const MOST = 4;

/**
 * Works a part out, or gives it again while everything it is made from is the same.
 *
 * @param name tells the parts of a garden apart
 * @param from tables and other parts that it reads; the first is an object that it hangs on
 */
export function memo<Value>(name: string, from: readonly [object, ...unknown[]], make: () => Value): Value {
  const own = entries.get(from[0]) ?? [];
  const isSame = (entry: Entry) =>
    entry.from.length === from.length && entry.from.every((part, index) => part === from[index]);
  const found = own.find((entry) => entry.name === name && isSame(entry));
  if (found) return found.value as Value;
  const value = make();
  const others = own.filter((entry) => entry.name !== name);
  const same = own.filter((entry) => entry.name === name).slice(-(MOST - 1));
  entries.set(from[0], [...others, ...same, { name, from, value }]);
  return value;
}
