import type { SparseRow } from "../../numeric/warmProgram";
import { rowOver, sitesTaken, waterTaken, type SeasonColumns, type Taken } from "./columns";
import type { SeasonProblem } from "./problem";

/** What a row of the relaxation limits, so that it can be named. */
export type Limit =
  | { readonly kind: "sites"; readonly area: number; readonly from: number; readonly to: number }
  | { readonly kind: "labour"; readonly week: number }
  | { readonly kind: "stock"; readonly stock: number }
  /** Of the days of the run so many are counted: what comes daily and cannot be stored counts on these. */
  | { readonly kind: "water"; readonly from: number; readonly to: number; readonly days: number };

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
  if (taken.length === 0) return [];
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
 * run of days no more is drunk than flows in, with what was stored on the first day of all, or with a full store. What comes
 * daily and cannot be stored counts on the days on which more than it is drunk.
 */
export class WaterRows {
  readonly #taken: readonly Taken[];
  readonly #water: NonNullable<SeasonProblem["water"]> | null;
  /** Litres a day that come besides, while more water is tried. */
  moreL = 0;

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
    const use = this.#use(columns);
    const { days } = this.problem;
    const beyond = (day: number) => Math.max(0, use[day]! - (water.dailyL?.[day] ?? 0) - this.moreL);
    const found: LimitRow[] = [];
    let [stored, since] = [water.startL, 0];
    for (let day = 0; day < days; day++) {
      if (stored >= water.mostL - 1e-9 && day > 0) since = day;
      const left = stored + water.inflowL[day]! - beyond(day);
      const next = day + 1 < days ? water.inflowL[day + 1]! - beyond(day + 1) : 0;
      // What is short is carried on as a debt: a run of days ends where it begins, and again wherever it is deepest.
      const isFirst = left < -1e-6 && stored >= -1e-6;
      const isDeepest = left < -1e-6 && left < stored && next >= 0;
      if (isFirst || isDeepest) found.push(this.#row(since, day + 1, beyond));
      stored = Math.min(water.mostL, left);
    }
    return found;
  }

  /** Litres a day. */
  #use(columns: Readonly<ArrayLike<number>>): Float64Array {
    const { days } = this.problem;
    const use = new Float64Array(days + 1);
    for (const { column, from, to, amount } of this.#taken) {
      const units = columns[column]!;
      if (units === 0) continue;
      use[Math.min(days, Math.max(0, from))]! += units * amount;
      use[Math.min(days, Math.max(0, to))]! -= units * amount;
    }
    for (let day = 1; day < days; day++) use[day]! += use[day - 1]!;
    return use;
  }

  #row(from: number, to: number, beyond: (day: number) => number): LimitRow {
    const { inflowL, dailyL, mostL, startL } = this.#water!;
    let most = from === 0 ? startL : mostL;
    // Days up to and with each one of the run that are counted: those on which what comes daily is not enough.
    const counted = new Float64Array(to - from + 1);
    for (let day = from; day < to; day++) {
      const isCounted = (dailyL === undefined && this.moreL === 0) || beyond(day) > 0;
      counted[day - from + 1] = counted[day - from]! + (isCounted ? 1 : 0);
      most += inflowL[day]! + (isCounted ? (dailyL?.[day] ?? 0) + this.moreL : 0);
    }
    const factors = new Map<number, number>();
    for (const one of this.#taken) {
      const [first, last] = [Math.max(one.from, from) - from, Math.min(one.to, to) - from];
      const days = last > first ? counted[last]! - counted[first]! : 0;
      if (days > 0) factors.set(one.column, (factors.get(one.column) ?? 0) + days * one.amount);
    }
    return {
      limit: { kind: "water", from, to, days: counted[to - from]! },
      row: { least: -Infinity, most, columns: [...factors.keys()], factors: [...factors.values()] },
    };
  }
}
