import type { Garden } from "@/core/garden/garden";
import type { Db } from "../db/pool";
import type { ViewQuery } from "../session/query";
import { changes, dayColumns, type Change } from "./queries";
import { isUndoable, isUnlinked } from "./undo";

/** One row of an act: as it was before and after, null where it was not there. */
export type ChangeView = Pick<Change, "id" | "table" | "before" | "after">;

/** Names of the rows that others point to; a batch has its variety. */
export interface HistoryNames {
  readonly house: ReadonlyMap<number, string>;
  readonly growingArea: ReadonlyMap<number, string>;
  readonly stand: ReadonlyMap<number, string>;
  readonly loop: ReadonlyMap<number, string>;
  readonly source: ReadonlyMap<number, string>;
  readonly salt: ReadonlyMap<number, string>;
  readonly recipe: ReadonlyMap<number, string>;
  readonly variety: ReadonlyMap<number, string>;
  readonly unit: ReadonlyMap<number, string>;
  readonly customer: ReadonlyMap<number, string>;
  readonly batch: ReadonlyMap<number, number>;
}

/** Columns that hold days, as "table.column". What a text looks like says nothing: a bench may be called "2027-02-30". */
export type DayColumns = ReadonlySet<string>;

export interface HistoryView {
  readonly acts: readonly ActView[];
  /** From which change on there is more. */
  readonly next: number | null;
  readonly names: HistoryNames;
  readonly days: DayColumns;
}

/** What somebody did at once. */
export interface ActView {
  readonly act: string;
  readonly at: Date;
  readonly personName: string | null;
  readonly undone: boolean;
  readonly undoes: boolean;
  readonly canUndo: boolean;
  readonly changes: readonly ChangeView[];
  /** Rows of the act beyond those shown. */
  readonly more: number;
}

const CHANGES_SHOWN = 300;
const ROWS_OF_ACT = 8;

/** The newest acts that touch what is asked for. */
export async function historyView(db: Db, gardenId: number, asked: ViewQuery, rows: Garden): Promise<HistoryView> {
  const found = await changes(db, gardenId, {
    personId: asked.person ?? null,
    batchId: asked.batch ?? null,
    houseId: asked.house ?? null,
    standId: asked.stand ?? null,
    loopId: asked.loop ?? null,
    before: asked.before ?? null,
    limit: CHANGES_SHOWN,
  });
  const days = await dayColumns(db);
  const byAct = new Map<string, Change[]>();
  for (const change of found) byAct.set(change.act, [...(byAct.get(change.act) ?? []), change]);
  const acts = [...byAct.values()].map((own): ActView => {
    const shown = own.filter((change) => !isUnlinked(change));
    return {
      act: own[0]!.act,
      at: own[0]!.at,
      personName: own[0]!.personName,
      undone: own[0]!.undone,
      undoes: own[0]!.undoes !== null,
      canUndo: isUndoable(own),
      changes: shown.slice(0, ROWS_OF_ACT).map(({ id, table, before, after }) => ({ id, table, before, after })),
      more: Math.max(0, shown.length - ROWS_OF_ACT),
    };
  });
  return {
    acts,
    next: found.length === CHANGES_SHOWN ? Math.min(...found.map(({ id }) => id)) : null,
    names: namesOf(rows),
    days,
  };
}

export function namesOf(rows: Garden): HistoryNames {
  const named = (list: readonly { readonly id: number; readonly name: string }[]) =>
    new Map(list.map((row) => [row.id, row.name]));
  return {
    house: named(rows.houses),
    growingArea: named(rows.growingAreas),
    stand: named(rows.stands),
    loop: named(rows.loops.map(({ id, name }) => ({ id, name: `${name} loop` }))),
    source: named(rows.sources),
    salt: named(rows.salts),
    recipe: named(rows.recipes),
    variety: named(rows.varieties),
    unit: named(rows.harvestUnits),
    customer: named(rows.customers),
    batch: new Map(rows.batches.map((batch) => [batch.id, batch.varietyId])),
  };
}
