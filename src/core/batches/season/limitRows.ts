import type { SparseRow } from "../../numeric/warmProgram";
import { rowOver, sitesTaken, waterTaken, type SeasonColumns, type Taken } from "./columns";
import type { SeasonProblem } from "./problem";

/** What a row of the relaxation limits, so that it can be named. */
export type Limit =
  | { readonly kind: "sites"; readonly area: number; readonly from: number; readonly to: number }
  | { readonly kind: "labour"; readonly week: number }
  | { readonly kind: "stock"; readonly stock: number }
  | { readonly kind: "water"; readonly from: number; readonly to: number };

export interface LimitRow {
  readonly limit: Limit;
  readonly row: SparseRow;
}

/** Rows of sites, hours and stocks. Those of the water are found when they are needed. */
export function limitRows(problem: SeasonProblem, columns: SeasonColumns): LimitRow[] {
  return [
    ...problem.areas.flatMap((_, area) => siteRows(problem, columns, area)),
    ...labourRows(problem, columns),
    ...stockRows(problem),
  ].filter(({ row }) => canBind(row, columns));
}

/** Whether so much could be taken at all. */
function canBind({ columns, factors, most }: SparseRow, bounds: SeasonColumns): boolean {
  return columns.reduce((sum, column, at) => sum + Math.max(0, factors[at]!) * bounds.most[column]!, 0) > most + 1e-9;
}

interface Block {
  readonly from: number;
  to: number;
  readonly most: number;
  readonly starts: boolean;
  readonly ends: boolean;
}

/**
 * Rows of the sites of a growing area, only for days that no other day implies: a day is implied by the next when nothing
 * leaves between them, and by the one before when nothing comes, unless there is more room.
 */
function siteRows(problem: SeasonProblem, columns: SeasonColumns, area: number): LimitRow[] {
  const taken = sitesTaken(problem, columns, area);
  const { sites } = problem.areas[area]!;
  const room = (day: number) => (typeof sites === "number" ? sites : sites[day]!);
  const starts = new Set(taken.map(({ from }) => from));
  const ends = new Set(taken.map(({ to }) => to));
  const blocks: Block[] = [];
  for (let day = 0; day < problem.days; day++) {
    const last = blocks.at(-1);
    if (last && !starts.has(day) && !ends.has(day) && room(day) === last.most) last.to = day + 1;
    else blocks.push({ from: day, to: day + 1, most: room(day), starts: starts.has(day), ends: ends.has(day) });
  }
  const isImplied = ({ most, starts: begins }: Block, at: number) => {
    const [before, next] = [blocks[at - 1], blocks[at + 1]];
    return (next && !next.ends && next.most <= most) || (before && !begins && before.most <= most);
  };
  return blocks
    .filter((block, at) => !isImplied(block, at))
    .map(({ from, to, most }) => ({ limit: { kind: "sites", area, from, to }, row: rowAt(taken, from, most) }));
}

const rowAt = (taken: readonly Taken[], day: number, most: number) => rowOver(taken, day, day + 1, most);

function labourRows({ labourMinutes, sowings, orders }: SeasonProblem, { gifts }: SeasonColumns): LimitRow[] {
  if (!labourMinutes) return [];
  const factors = labourMinutes.map(() => new Map<number, number>());
  const add = (day: number, column: number, minutes: number) => {
    const week = factors[Math.floor(day / 7)];
    if (day >= 0 && week && minutes > 0) week.set(column, (week.get(column) ?? 0) + minutes);
  };
  sowings.forEach(({ work }, column) => {
    for (const { day, minutes } of work) add(day, column, minutes);
  });
  for (const { column, sowing, order } of gifts) add(orders[order]!.day, column, sowings[sowing]!.pickMinutesPerUnit);
  return labourMinutes.map((most, week) => ({
    limit: { kind: "labour", week },
    row: { least: -Infinity, most, columns: [...factors[week]!.keys()], factors: [...factors[week]!.values()] },
  }));
}

function stockRows({ stocks = [], sowings, days }: SeasonProblem): LimitRow[] {
  return stocks.map(({ amount }, stock) => {
    const factors = sowings.map(({ stays }) =>
      stays.reduce((sum, { from, to, leave, stocks: own }) => {
        const there = Math.min(days, leave ?? to) - Math.max(0, from);
        return sum + (own?.[stock] ?? 0) * Math.max(0, there);
      }, 0),
    );
    const columns = factors.flatMap((factor, column) => (factor > 0 ? [column] : []));
    return {
      limit: { kind: "stock", stock },
      row: { least: -Infinity, most: amount, columns, factors: columns.map((column) => factors[column]!) },
    };
  });
}

/**
 * Finds runs of days on which a plan drinks more than there is. A store whose overflow is free is enough exactly when on every
 * run of days no more is drunk than flows in, with what was stored on the first day of all, or with a full store.
 */
export class WaterRows {
  readonly #taken: readonly Taken[];
  readonly #water: NonNullable<SeasonProblem["water"]> | null;

  constructor(
    readonly problem: SeasonProblem,
    columns: SeasonColumns,
  ) {
    this.#water = problem.water;
    this.#taken = problem.water ? waterTaken(problem, columns) : [];
  }

  /** Runs of days that the columns break, each as a row that forbids it. */
  broken(columns: Readonly<ArrayLike<number>>): LimitRow[] {
    const water = this.#water;
    if (!water) return [];
    const { days } = this.problem;
    const changes = new Float64Array(days + 1);
    for (const { column, from, to, amount } of this.#taken) {
      const units = columns[column]!;
      if (units === 0) continue;
      changes[Math.min(days, Math.max(0, from))]! += units * amount;
      changes[Math.min(days, Math.max(0, to))]! -= units * amount;
    }
    const found: LimitRow[] = [];
    let [stored, use, since] = [water.startL, 0, 0];
    for (let day = 0; day < days; day++) {
      use += changes[day]!;
      if (stored >= water.mostL - 1e-9 && day > 0) since = day;
      const left = stored + water.inflowL[day]! - use;
      const next = day + 1 < days ? water.inflowL[day + 1]! - use - changes[day + 1]! : 0;
      // What is short is carried on as a debt: a run of days ends where it begins, and again wherever it is deepest.
      const isFirst = left < -1e-6 && stored >= -1e-6;
      const isDeepest = left < -1e-6 && left < stored && next >= 0;
      if (isFirst || isDeepest) found.push(this.#row(since, day + 1));
      stored = Math.min(water.mostL, left);
    }
    return found;
  }

  #row(from: number, to: number): LimitRow {
    const { inflowL, mostL, startL } = this.#water!;
    const inflow = inflowL.slice(from, to).reduce((sum, one) => sum + one, 0);
    const most = (from === 0 ? startL : mostL) + inflow;
    return { limit: { kind: "water", from, to }, row: rowOver(this.#taken, from, to, most) };
  }
}
