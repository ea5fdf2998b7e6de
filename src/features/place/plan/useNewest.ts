import { useEffect, useRef } from "react";

interface Saved<Row> {
  readonly row: Row;
  /** What the row was before it, as the page may still show it. */
  readonly past: ReadonlySet<string>;
}

/**
 * Rows as they are, while the page still shows what was there before the last save, or the one before that, which comes in
 * late: one of one's own until the page has moved on.
 */
export function useNewest<Row extends { readonly id: number }>(page: readonly Row[]) {
  const saved = useRef(new Map<number, Saved<Row>>());
  const shown = useRef(page);
  useEffect(() => {
    shown.current = page;
    for (const row of page)
      if (saved.current.get(row.id)?.past.has(JSON.stringify(row)) === false) saved.current.delete(row.id);
  }, [page]);
  const onPage = (id: number) => shown.current.find((row) => row.id === id);
  return {
    /** The row to build on. */
    newest: (id: number): Row | undefined => onPage(id) && (saved.current.get(id)?.row ?? onPage(id)),
    /** Says that a row was saved. */
    keep: (row: Row) => {
      const before = saved.current.get(row.id);
      const past = [...(before?.past ?? []), JSON.stringify(before?.row), JSON.stringify(onPage(row.id))];
      saved.current.set(row.id, { row, past: new Set(past) });
    },
    /** Says that something was undone, or may have been: the page may go back to what it showed before. */
    forget: () => saved.current.clear(),
  };
}
