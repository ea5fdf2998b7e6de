const MOST = 300;
const kept = new Map<string, { readonly at: string; readonly value: Promise<unknown> }>();

/**
 * What was made last under a name, if it was made at the same point; else it is made again. All requests of a process share
 * it, so that nothing of it may be changed.
 *
 * @param at the point up to which it holds: another one makes it again
 */
export function cachedAt<Value>(name: string, at: string, make: () => Promise<Value>): Promise<Value> {
  const found = kept.get(name);
  if (found?.at === at) {
    // The one that was used last goes last.
    kept.delete(name);
    kept.set(name, found);
    return found.value as Promise<Value>;
  }
  const entry = { at, value: make() };
  kept.set(name, entry);
  entry.value.catch(() => kept.get(name) === entry && kept.delete(name));
  if (kept.size > MOST) kept.delete(kept.keys().next().value!);
  return entry.value;
}
