import type { UnitPreferences } from "@/core/units/dimensions";
import { inUnits } from "@/core/units/told";
import type { GardenRows } from "../batches/season";
import type { Db } from "../db/pool";
import type { ViewQuery } from "../session/query";
import { changes, dayColumns, type Change } from "./queries";
import { canTakeBack, isLetGo } from "./undo";
import { changedParts, titleOf, type ChangedPart, type Names } from "./words";

/** One row of an act, in words. */
export interface ChangeView {
  readonly id: number;
  readonly does: "made" | "changed" | "removed";
  readonly title: string;
  readonly parts: readonly ChangedPart[];
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

/** The newest acts that touch what is asked for. @returns also from which change on there is more */
export async function historyView(
  db: Db,
  gardenId: number,
  asked: ViewQuery,
  rows: GardenRows,
  units: UnitPreferences,
): Promise<{ readonly acts: readonly ActView[]; readonly next: number | null }> {
  const found = await changes(db, gardenId, {
    personId: asked.person ?? null,
    batchId: asked.batch ?? null,
    houseId: asked.house ?? null,
    standId: asked.stand ?? null,
    loopId: asked.loop ?? null,
    before: asked.before ?? null,
    limit: CHANGES_SHOWN,
  });
  const names = namesOf(rows);
  const days = await dayColumns(db);
  const byAct = new Map<string, Change[]>();
  for (const change of found) byAct.set(change.act, [...(byAct.get(change.act) ?? []), change]);
  const acts = [...byAct.values()].map((own): ActView => {
    const told = own.filter((change) => !isLetGo(change));
    return {
      act: own[0]!.act,
      at: own[0]!.at,
      personName: own[0]!.personName,
      undone: own[0]!.undone,
      undoes: own[0]!.undoes !== null,
      canUndo: canTakeBack(own),
      changes: told.slice(0, ROWS_OF_ACT).map((change) => ({
        id: change.id,
        does: change.before === null ? "made" : change.after === null ? "removed" : "changed",
        title: inUnits(titleOf(change, names), units),
        parts: changedParts(change, names, days),
      })),
      more: Math.max(0, told.length - ROWS_OF_ACT),
    };
  });
  return { acts, next: found.length === CHANGES_SHOWN ? Math.min(...found.map(({ id }) => id)) : null };
}

function namesOf(rows: GardenRows): Names {
  const named = (list: readonly { readonly id: number; readonly name: string }[]) => new Map(list.map((row) => [row.id, row.name])); // prettier-ignore
  return {
    house: named(rows.houses),
    pool: named(rows.pools),
    stand: named(rows.stands),
    loop: named(rows.loops.map(({ id, name }) => ({ id, name: `${name} loop` }))),
    source: named(rows.sources),
    salt: named(rows.salts),
    recipe: named(rows.recipes),
    variety: named(rows.varieties),
    outlet: named(rows.outlets),
    batch: new Map(rows.batches.map((batch) => [batch.id, batch.varietyId])),
  };
}
