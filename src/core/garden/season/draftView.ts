import type { Day } from "../../units/day";
import type { Changes } from "../changes";
import type { Worked } from "../worked";

/** A batch that a planned season brings, changes or drops. */
export interface DraftRow {
  readonly batchId: number;
  readonly what: "new" | "changed" | "dropped" | "placed";
  readonly variety: string;
  readonly unit: string;
  readonly sowDay: Day;
  readonly plants: { readonly before: number | null; readonly after: number | null };
}

export interface SeasonFigures {
  /** Market days of orders in the days planned, and those of them that are met. */
  readonly ordersAhead: number;
  readonly ordersMet: number;
  readonly batches: number;
  /** Stays that have no place. */
  readonly leftOut: number;
}

/** A planned season beside the plan as it is. */
export interface DraftView {
  readonly rows: readonly DraftRow[];
  readonly now: SeasonFigures;
  readonly then: SeasonFigures;
}

/**
 * What of a planned season differs from the plan as it is, the first sow day first; and both in figures.
 * @param days that are planned
 */
export function draftView(now: Worked, then: Worked, changes: Changes, days: number): DraftView {
  const { added = {}, removed = {}, updated = {} } = changes.batch ?? {};
  const places = new Set(Object.values(changes.batch_place?.added ?? {}).map(({ batchId }) => Number(batchId)));
  const nameOf = new Map(then.garden.varieties.map(({ id, name, unit }) => [id, { name, unit: unit.name }]));
  const ids = new Set([...Object.keys(added), ...Object.keys(removed), ...Object.keys(updated)].map(Number));
  for (const id of places) ids.add(id);
  const rows = [...ids].flatMap((batchId): DraftRow[] => {
    const before = now.garden.batches.find(({ id }) => id === batchId) ?? null;
    const after = then.garden.batches.find(({ id }) => id === batchId) ?? null;
    const batch = after ?? before;
    if (!batch) return [];
    const { name = "", unit = "" } = nameOf.get(batch.varietyId) ?? {};
    const what = !before ? "new" : !after ? "dropped" : updated[batchId] ? "changed" : "placed";
    const plants = { before: before?.targetPlants ?? null, after: after?.targetPlants ?? null };
    return [{ batchId, what, variety: name, unit, sowDay: batch.sowDay, plants }];
  });
  return {
    rows: rows.sort((a, b) => a.sowDay - b.sowDay || a.variety.localeCompare(b.variety, "en")),
    now: figuresOf(now, days),
    then: figuresOf(then, days),
  };
}

function figuresOf({ deliveries, plan, placed, today }: Worked, days: number): SeasonFigures {
  const ahead = deliveries.filter(({ day }) => day >= today && day < today + days);
  const isAhead = (from: Day, to: Day) => to > today && from < today + days;
  return {
    ordersAhead: ahead.length,
    ordersMet: ahead.filter(({ state }) => state.kind === "met").length,
    batches: plan.batches.filter(({ stays }) => isAhead(stays[0]!.from, stays.at(-1)!.to)).length,
    leftOut: [...placed.values()].flat().filter(({ stay, over }) => over > 0 && isAhead(stay.from, stay.to)).length,
  };
}
