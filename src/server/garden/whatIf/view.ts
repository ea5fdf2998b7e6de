import { apply, type Conflict, type Row, type Table, type Tables } from "@/core/garden/changes";
import { displacedStays, gardenFigures, type Displaced, type GardenFigures } from "@/core/garden/comparison";
import { ENTITIES } from "@/core/garden/entities";
import { gardenOf } from "@/core/garden/gardenOf";
import { rowsOf } from "@/core/garden/part";
import { workOut } from "@/core/garden/workOut";
import type { Worked } from "@/core/garden/worked";
import { many, type Db } from "../../db/pool";
import { toColumns } from "../../entities/columns";
import { dayColumns } from "../../history/queries";
import { namesOf, type ChangeView, type DayColumns, type HistoryNames } from "../../history/view";
import { materials } from "../../place/benchQueries";
import { gardenFacts } from "../facts";
import type { Session } from "../../session/session";
import { gardenSite, keptTables } from "../tables";
import { whatIfOnGarden, whatIfs, type OnGarden, type WhatIf } from "./store";

/** A what-if in figures. */
export interface ComparedWhatIf extends WhatIf {
  readonly figures: GardenFigures;
  readonly changes: number;
  readonly conflicts: number;
}

/** A row that a what-if changes. */
export interface WhatIfRow {
  readonly entity: string;
  readonly rowId: number;
  readonly change: ChangeView;
}

/** Something that the what-if and somebody in the garden both changed. */
export interface WhatIfConflict {
  readonly entity: string;
  readonly rowId: number;
  readonly kind: Conflict["kind"];
  readonly field: string | null;
  /** The row, for its title; its field as it is now and as the what-if has it. */
  readonly row: ChangeView;
  readonly values: ChangeView | null;
}

export interface ChosenWhatIf extends WhatIf {
  readonly rows: readonly WhatIfRow[];
  readonly conflicts: readonly WhatIfConflict[];
  readonly displaced: readonly Displaced[];
  /** How many batches were looked at for that. */
  readonly batches: number;
  readonly names: HistoryNames;
  readonly days: DayColumns;
}

export interface WhatIfView {
  readonly now: GardenFigures;
  readonly compared: readonly ComparedWhatIf[];
  readonly chosen: ChosenWhatIf | null;
  /** Layouts that were saved before there were what-ifs. */
  readonly layouts: readonly { readonly id: number; readonly name: string }[];
}

/** All what-ifs beside the garden as it is, and one of them in full. */
export async function whatIfView(db: Db, who: Session, chosenId: number | null): Promise<WhatIfView> {
  const { gardenId } = who;
  const live = await keptTables(db, gardenId);
  const site = await gardenSite(db, gardenId);
  const { facts } = await gardenFacts(db, who);
  const shelf = await materials(db, gardenId);
  const worked = (tables: Tables) => workOut(gardenOf(tables, site), facts, who.today);
  const now = worked(live);
  const compared: ComparedWhatIf[] = [];
  const kept = new Map<number, OnGarden>();
  for (const one of await whatIfs(db, gardenId)) {
    const on = await whatIfOnGarden(db, gardenId, one.id);
    kept.set(one.id, on);
    const figures = gardenFigures(worked(on.tables), shelf);
    compared.push({ ...one, figures, changes: rowsOf(on.changes).length, conflicts: on.conflicts.length });
  }
  const chosen = compared.find(({ id }) => id === chosenId) ?? compared[0];
  return {
    now: gardenFigures(now, shelf),
    compared,
    chosen: chosen ? await chosenView(db, chosen, kept.get(chosen.id)!, live, now, worked) : null,
    layouts: await many(db, "select id, name from layout where garden_id = $1 order by id", [gardenId]),
  };
}

async function chosenView(
  db: Db,
  { id, name, purpose }: WhatIf,
  { changes, conflicts, stored, tables }: OnGarden,
  live: Tables,
  now: Worked,
  worked: (tables: Tables) => Worked,
): Promise<ChosenWhatIf> {
  const then = worked(tables);
  return {
    id,
    name,
    purpose,
    rows: rowsOf(changes).map(({ entity, id: rowId }, index) => ({
      entity,
      rowId,
      change: changeView(index, entity, live[entity]?.[rowId], apply(live, changes)[entity]?.[rowId]),
    })),
    conflicts: conflicts.map((conflict, index) => conflictView(index, conflict, live, stored)),
    displaced: displacedStays(now, then),
    batches: now.plan.batches.length,
    names: allNames(namesOf(now.garden), namesOf(then.garden)),
    days: await dayColumns(db),
  };
}

function changeView(id: number, entity: string, before: Row | undefined, after: Row | undefined): ChangeView {
  const columns = (row: Row | undefined) => (row ? toColumns(ENTITIES[entity]!, row) : null);
  return { id, table: entity, before: columns(before), after: columns(after) };
}

function conflictView(
  index: number,
  conflict: Conflict,
  live: Tables,
  stored: Readonly<Record<string, StoredRows>>,
): WhatIfConflict {
  const { entity, id: rowId, kind, field } = conflict;
  const own = stored[entity];
  const row = live[entity]?.[rowId] ?? own?.added[rowId] ?? own?.removed[rowId];
  const isValue = field !== undefined && kind === "changed";
  return {
    entity,
    rowId,
    kind,
    field: field ?? null,
    row: changeView(index, entity, row, row),
    values: isValue
      ? changeView(index, entity, { [field]: conflict.live ?? null }, { [field]: conflict.to ?? null })
      : null,
  };
}

interface StoredRows {
  readonly added: Table;
  readonly removed: Table;
}

function allNames(one: HistoryNames, other: HistoryNames): HistoryNames {
  return Object.fromEntries(
    Object.entries(one).map(([kind, names]) => [kind, new Map([...names, ...other[kind as keyof HistoryNames]])]),
  ) as unknown as HistoryNames;
}
