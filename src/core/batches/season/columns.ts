import type { SparseRow } from "../../numeric/warmProgram";
import type { SeasonPlan, SeasonProblem } from "./problem";

/** Units of a lot of a sowing that an order of its window may be given: a column behind those of the sowings. */
export interface Gift {
  readonly column: number;
  readonly sowing: number;
  readonly lot: number;
  readonly order: number;
}

/** The columns of the relaxation: units of each sowing, in their order, then gifts. */
export interface SeasonColumns {
  readonly gifts: readonly Gift[];
  readonly giftsOf: readonly (readonly Gift[])[];
  readonly giftsTo: readonly (readonly Gift[])[];
  readonly worth: readonly number[];
  readonly least: readonly number[];
  readonly most: readonly number[];
}

/** Something that a unit of a column takes on [from, to). */
export interface Taken {
  readonly column: number;
  readonly from: number;
  readonly to: number;
  readonly amount: number;
}

/** The days of [from, to) that fall into the season. */
const daysWithin = (days: number, from: number, to: number) => Math.max(0, Math.min(days, to) - Math.max(0, from));

export function seasonColumns(problem: SeasonProblem): SeasonColumns {
  const { sowings, orders, varieties, days, waterPricePerL } = problem;
  const ordersOf = varieties.map((_, variety) =>
    orders.flatMap((order, index) => (order.variety === variety ? [{ ...order, index }] : [])),
  );
  const gifts: Gift[] = [];
  const worth = sowings.map((sowing) => {
    const { wastePerUnit } = varieties[sowing.variety]!;
    const waste = sowing.lots.reduce((sum, { units }) => sum + units, 0) * wastePerUnit;
    const water = sowing.stays.reduce(
      (sum, { from, to, leave, litres }) => sum + litres * daysWithin(days, from, leave ?? to),
      0,
    );
    return -waste - water * waterPricePerL - (sowing.fixed === null ? sowing.cost : 0);
  });
  sowings.forEach((sowing, index) =>
    sowing.lots.forEach((lot, at) => {
      for (const order of ordersOf[sowing.variety]!) {
        if (order.day < lot.from || order.day > lot.until) continue;
        gifts.push({ column: sowings.length + gifts.length, sowing: index, lot: at, order: order.index });
        const held = sowing.held ? sowing.held.litres * daysWithin(days, lot.from, order.day) * waterPricePerL : 0;
        worth.push(order.valueEach * order.weight + varieties[sowing.variety]!.wastePerUnit - held);
      }
    }),
  );
  const giftsOf: Gift[][] = sowings.map(() => []);
  const giftsTo: Gift[][] = orders.map(() => []);
  for (const gift of gifts) {
    giftsOf[gift.sowing]!.push(gift);
    giftsTo[gift.order]!.push(gift);
  }
  return {
    ...{ gifts, giftsOf, giftsTo, worth },
    least: [...sowings.map(({ fixed }) => fixed ?? 0), ...gifts.map(() => 0)],
    most: [...sowings.map(({ fixed, most }) => fixed ?? most), ...gifts.map(({ order }) => orders[order]!.units)],
  };
}

/** No lot gives more than it has, and no order is given more than it wants. */
export function giftRows({ sowings, orders }: SeasonProblem, { giftsOf, giftsTo }: SeasonColumns): SparseRow[] {
  const none = -Infinity;
  return [
    ...sowings.flatMap(({ lots }, index) =>
      lots.map(({ units }, at): SparseRow => {
        const own = giftsOf[index]!.filter(({ lot }) => lot === at);
        return {
          ...{ least: none, most: 0 },
          columns: [index, ...own.map(({ column }) => column)],
          factors: [-units, ...own.map(() => 1)],
        };
      }),
    ),
    ...giftsTo.map((own, index): SparseRow => ({
      ...{ least: none, most: orders[index]!.units },
      columns: own.map(({ column }) => column),
      factors: own.map(() => 1),
    })),
  ];
}

/** What a unit of each column takes of a growing area's sites. */
export function sitesTaken({ sowings, orders }: SeasonProblem, { gifts }: SeasonColumns, area: number): Taken[] {
  return [
    ...sowings.flatMap(({ stays }, column) =>
      stays.flatMap((stay) =>
        stay.area === area ? [{ column, from: stay.from, to: stay.to, amount: stay.plants }] : [],
      ),
    ),
    ...gifts.flatMap(({ column, sowing, lot, order }) => {
      const { held, lots } = sowings[sowing]!;
      const [from, to] = [lots[lot]!.from, orders[order]!.day];
      return held?.area === area && to > from ? [{ column, from, to, amount: held.plants }] : [];
    }),
  ];
}

/** What a unit of each column takes of the water, litres a day. */
export function waterTaken({ sowings, orders }: SeasonProblem, { gifts }: SeasonColumns): Taken[] {
  return [
    ...sowings.flatMap(({ stays }, column) =>
      stays.map(({ from, to, leave, litres }) => ({ column, from, to: leave ?? to, amount: litres })),
    ),
    ...gifts.flatMap(({ column, sowing, lot, order }) => {
      const { held, lots } = sowings[sowing]!;
      const [from, to] = [lots[lot]!.from, orders[order]!.day];
      return held && held.litres > 0 && to > from ? [{ column, from, to, amount: held.litres }] : [];
    }),
  ];
}

/** A row of a sum over days: Σ amount × days of each column that fall into [from, to). */
export function rowOver(taken: readonly Taken[], from: number, to: number, most: number): SparseRow {
  const factors = new Map<number, number>();
  for (const one of taken) {
    const days = Math.min(one.to, to) - Math.max(one.from, from);
    if (days > 0) factors.set(one.column, (factors.get(one.column) ?? 0) + days * one.amount);
  }
  return { least: -Infinity, most, columns: [...factors.keys()], factors: [...factors.values()] };
}

/** A plan as values of the columns. */
export function columnsOfPlan({ gifts, worth }: SeasonColumns, { units, given }: SeasonPlan): Float64Array {
  const columns = new Float64Array(worth.length);
  columns.set(units);
  const at = new Map(gifts.map(({ sowing, lot, order, column }) => [`${sowing}/${lot}/${order}`, column]));
  for (const { sowing, lot, order, units: own } of given) columns[at.get(`${sowing}/${lot}/${order}`)!]! += own;
  return columns;
}

/** Values of columns as a plan; gifts of nothing are left out. */
export function planOfColumns(
  { sowings }: SeasonProblem,
  { gifts }: SeasonColumns,
  columns: Readonly<ArrayLike<number>>,
): SeasonPlan {
  return {
    units: sowings.map((_, index) => columns[index]!),
    given: gifts.flatMap(({ column, sowing, lot, order }) =>
      columns[column]! > 1e-9 ? [{ sowing, lot, order, units: columns[column]! }] : [],
    ),
  };
}
