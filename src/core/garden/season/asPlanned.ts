import type { OpenProgram } from "../../numeric/warmProgram";
import type { Day } from "../../units/day";
import { apply, squash, type Changes, type Row, type Table, type TableChanges, type Tables } from "../changes";
import { newRow } from "../edit";
import { BATCH_STAGE } from "../entities/batches";
import { NO_FACTS } from "../facts";
import { gardenOf, type Site } from "../gardenOf";
import { workOut } from "../workOut";
import { planSeason } from "./planSeason";
import { seasonSettings } from "./usualSeason";

/** Looks after which the best so far is taken: rows that are made for a new garden need not be the very best. */
const MOST_LOOKS = 25;

export interface PlannedBefore {
  readonly plannedOn: Day;
  readonly today: Day;
  /** Days planned, from the day on which it was planned. */
  readonly days: number;
  readonly sowWeekdays: readonly number[];
  readonly open: OpenProgram;
}

/**
 * A season that was planned some time ago and has gone by the plan since: its batches, the stages that they have begun by
 * today, and the places that they stand on or will stand on.
 *
 * @returns changes with new ids below 0; nothing where no season can be planned
 * @source planSeason
 */
export function seasonAsPlanned(
  tables: Tables,
  site: Site,
  { plannedOn, today, days, sowWeekdays, open }: PlannedBefore,
): Changes {
  let looks = 0;
  const settings = { ...seasonSettings(gardenOf(tables, site)), horizonDays: days };
  const planned = planSeason(tables, site, plannedOn, sowWeekdays, {
    ...{ open, settings, mostTailDays: 0, gap: 1e-4 },
    look: () => (++looks > MOST_LOOKS ? "enough" : undefined),
  });
  if (planned.kind !== "season") return {};
  const { plan } = workOut(gardenOf(apply(tables, planned.changes), site), NO_FACTS, plannedOn);
  const fresh = new Set(Object.keys(planned.changes.batch?.added ?? {}).map(Number));
  let next = Math.min(0, ...Object.values(planned.changes).flatMap(({ added }) => Object.keys(added).map(Number)));
  const begun: Record<number, Row> = {};
  const cleared: Record<number, { clearedDay: readonly [null, Day] }> = {};
  const over = new Set<string>();
  for (const { batch, stays } of plan.batches) {
    if (!fresh.has(batch.id)) continue;
    for (const { stage, from, to, plants } of stays) {
      if (to <= today) over.add(`${batch.id}/${stage}`);
      if (from >= today) continue;
      next -= 1;
      begun[next] = newRow(tables, BATCH_STAGE, next, { batchId: batch.id, position: stage, day: from, plants });
    }
    const { to } = stays.at(-1)!;
    if (to < today) cleared[batch.id] = { clearedDay: [null, to] };
  }
  const isBegun = new Set(
    Object.values(begun).map(({ batchId, position }) => `${String(batchId)}/${String(position)}`),
  );
  const places = Object.entries(planned.changes.batch_place?.added ?? {}).flatMap(([id, row]) => {
    const key = `${String(row.batchId)}/${String(row.stage)}`;
    return over.has(key) ? [] : [[Number(id), isBegun.has(key) ? { ...row, how: "stood" } : row] as const];
  });
  const only = (table: string, changes: Partial<TableChanges>): Changes => ({
    [table]: { added: {}, removed: {}, updated: {}, ...changes },
  });
  return [
    only("batch", { updated: cleared }),
    only("batch_stage", { added: begun }),
    only("batch_place", { added: Object.fromEntries(places) as Table }),
  ].reduce(squash, { batch: planned.changes.batch! } as Changes);
}
