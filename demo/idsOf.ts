/** Saves a row of the demo. @returns its id */
export type Save = (table: string, row: Record<string, unknown>) => Promise<number>;

/** Saves entries in their order. @returns their ids by name */
export async function idsOf<T extends { readonly name: string }>(
  entries: readonly T[],
  save: (entry: T, position: number) => Promise<number>,
): Promise<Map<string, number>> {
  const ids = new Map<string, number>();
  for (const [index, entry] of entries.entries()) ids.set(entry.name, await save(entry, index + 1));
  return ids;
}
