import type { SparseRow } from "../../numeric/warmProgram";
import type { Gift, SeasonColumns } from "./columns";
import type { SeasonProblem } from "./problem";

const MOST_ORDERS = 5;
const LEAST_BREAK = 1e-4;

/** Orders of one variety that follow one another, and the lots that may serve them. */
interface Window {
  readonly demand: number;
  readonly unitsPerSowing: number;
  /** Of each sowing that may serve: its gifts to the orders. */
  readonly servers: readonly { readonly sowing: number; readonly gifts: readonly Gift[] }[];
}

/**
 * Cuts that know that units are whole. Of up to five orders that follow one another with demand D, where a sowing gives Y a
 * unit, c = ⌈D ÷ Y⌉ and r = D − Y(c − 1): whatever set S of sowings serves them, units from S to the orders ≤ D − r(c − units
 * of S). The set that breaks it most is that of the sowings which give more than r times their units.
 *
 * @source mixed-integer rounding for lot sizing (Pochet and Wolsey 2006, chapter 4)
 */
export class RoundingCuts {
  readonly #windows: readonly (readonly Window[])[];

  constructor(
    readonly problem: SeasonProblem,
    readonly columns: SeasonColumns,
  ) {
    this.#windows = problem.varieties.flatMap((_, variety) => windowsOf(problem, columns, variety));
  }

  /** The three most broken cuts of each order that begins a window. */
  broken(columns: Readonly<ArrayLike<number>>): SparseRow[] {
    const found: SparseRow[] = [];
    for (const windows of this.#windows) {
      const broken = windows
        .map((window) => ({ window, by: breakOf(window, columns) }))
        .filter(({ by }) => by > LEAST_BREAK)
        .sort((a, b) => b.by - a.by);
      for (const { window } of broken.slice(0, 3)) found.push(cutOf(window, columns));
    }
    found.push(...this.#leastCuts(columns));
    return found;
  }

  /** A sowing that is made has its least units: an order of D takes no more of it than D × units ÷ least. */
  #leastCuts(columns: Readonly<ArrayLike<number>>): SparseRow[] {
    const { sowings, orders } = this.problem;
    return this.columns.gifts.flatMap(({ column, sowing, lot, order }): SparseRow[] => {
      const { fixed, least, lots } = sowings[sowing]!;
      const share = orders[order]!.units / least;
      if (fixed !== null || least <= 1 || share >= lots[lot]!.units) return [];
      if (columns[column]! <= share * columns[sowing]! + LEAST_BREAK) return [];
      return [{ least: -Infinity, most: 0, columns: [column, sowing], factors: [1, -share] }];
    });
  }
}

function windowsOf(problem: SeasonProblem, columns: SeasonColumns, variety: number): Window[][] {
  const { sowings, orders } = problem;
  const own = orders
    .flatMap((order, index) => (order.variety === variety ? [{ index, ...order }] : []))
    .sort((a, b) => a.day - b.day || a.index - b.index);
  return own.map((_, at) => {
    const windows: Window[] = [];
    for (let count = 1; count <= MOST_ORDERS && at + count <= own.length; count++) {
      const chosen = own.slice(at, at + count);
      const demand = chosen.reduce((sum, { units }) => sum + units, 0);
      const gifts = new Map<number, Gift[]>();
      for (const { index } of chosen)
        for (const gift of columns.giftsTo[index]!) {
          const { fixed, lots } = sowings[gift.sowing]!;
          // Cuts hold for sowings of one lot whose units are open; what stands there is left out of the set.
          if (fixed !== null || lots.length !== 1) continue;
          const before = gifts.get(gift.sowing);
          if (before) before.push(gift);
          else gifts.set(gift.sowing, [gift]);
        }
      for (const unitsPerSowing of new Set([...gifts.keys()].map((sowing) => sowings[sowing]!.lots[0]!.units))) {
        const servers = [...gifts].flatMap(([sowing, list]) =>
          sowings[sowing]!.lots[0]!.units === unitsPerSowing ? [{ sowing, gifts: list }] : [],
        );
        if (unitsPerSowing > 1.5 && demand > 0) windows.push({ demand, unitsPerSowing, servers });
      }
    }
    return windows;
  });
}

function figures({ demand, unitsPerSowing }: Window): { readonly wholes: number; readonly rest: number } {
  const wholes = Math.ceil(demand / unitsPerSowing - 1e-9);
  return { wholes, rest: demand - unitsPerSowing * (wholes - 1) };
}

const givenBy = (gifts: readonly Gift[], columns: Readonly<ArrayLike<number>>) =>
  gifts.reduce((sum, { column }) => sum + columns[column]!, 0);

function breakOf(window: Window, columns: Readonly<ArrayLike<number>>): number {
  const { wholes, rest } = figures(window);
  let over = rest * wholes - window.demand;
  for (const { sowing, gifts } of window.servers)
    over += Math.max(0, givenBy(gifts, columns) - rest * columns[sowing]!);
  return over / (1 + rest);
}

function cutOf(window: Window, values: Readonly<ArrayLike<number>>): SparseRow {
  const { wholes, rest } = figures(window);
  const set = window.servers.filter(({ sowing, gifts }) => givenBy(gifts, values) > rest * values[sowing]! + 1e-9);
  return {
    least: -Infinity,
    most: window.demand - rest * wholes,
    columns: set.flatMap(({ sowing, gifts }) => [sowing, ...gifts.map(({ column }) => column)]),
    factors: set.flatMap(({ gifts }) => [-rest, ...gifts.map(() => 1)]),
  };
}
