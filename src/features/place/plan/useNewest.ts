import { useRef } from "react";

interface Saved<Row> {
  readonly row: Row;
  /** What the page showed when it was saved. */
  readonly pageText: string;
}

/**
 * Rows as they are, while the page still shows what was there before the last save: one of one's own until the page has
 * moved on.
 */
export function useNewest<Row extends { readonly id: number }>(page: readonly Row[]) {
  const saved = useRef(new Map<number, Saved<Row>>());
  const onPage = (id: number) => page.find((row) => row.id === id);
  return {
    /** The row to build on. */
    newest: (id: number): Row | undefined => {
      const row = onPage(id);
      const own = saved.current.get(id);
      return own && row && JSON.stringify(row) === own.pageText ? own.row : row;
    },
    /** Says that a row was saved. */
    keep: (row: Row) => void saved.current.set(row.id, { row, pageText: JSON.stringify(onPage(row.id)) }),
  };
}
