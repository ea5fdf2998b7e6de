import type { OpenProgram } from "../../numeric/warmProgram";
import type { SeasonProblem } from "./problem";
import { Relaxation, type Relaxed, type RowAbout } from "./relaxation";

/** More of a limit, the whole season through. */
export type More =
  | { readonly kind: "sites"; readonly area: number; readonly sites: number }
  | { readonly kind: "labour"; readonly minutesPerWeek: number }
  | { readonly kind: "stock"; readonly stock: number; readonly amount: number }
  | { readonly kind: "water"; readonly litresPerDay: number }
  /** Orders that are given no more than so many units. */
  | { readonly kind: "orders"; readonly orders: readonly number[]; readonly most: number };

/** What more of a limit would bring: an estimate, for units need not be whole in it. */
export interface WorthOfMore {
  readonly worth: number;
  /** Units that orders of each variety would be given more. */
  readonly unitsByVariety: readonly number[];
  /** First and last day on which an order is given more; null where none is. */
  readonly days: readonly [number, number] | null;
}

/**
 * What more of each of some limits is worth: the relaxation is solved with it again, from where it was.
 *
 * @returns in the order of `asked`
 * @source solving again; never a dual price times an amount
 */
export function worthOfMore(problem: SeasonProblem, asked: readonly More[], open: OpenProgram): WorthOfMore[] {
  if (asked.length === 0) return [];
  const relaxation = new Relaxation(problem, open);
  try {
    if (!relaxation.tighten()) return asked.map(() => NOTHING);
    const solve = (more: More, isTight: boolean) =>
      relaxation.withMore((row) => add(more, row), more.kind === "water" ? more.litresPerDay : 0, isTight);
    // First the cuts that each of them asks for: compared are solutions with the same ones.
    for (const more of asked) solve(more, true);
    const base = relaxation.solve();
    return asked.map((more) => {
      const found = base && solve(more, false);
      return found ? compared(problem, relaxation, base, found) : NOTHING;
    });
  } finally {
    relaxation.free();
  }
}

const NOTHING: WorthOfMore = { worth: 0, unitsByVariety: [], days: null };

/** What a row allows with more of a limit. */
function add(more: More, { limit, order, most }: RowAbout): number {
  switch (more.kind) {
    case "sites":
      return limit?.kind === "sites" && limit.area === more.area ? most + more.sites : most;
    case "labour":
      return limit?.kind === "labour" ? most + more.minutesPerWeek : most;
    case "stock":
      return limit?.kind === "stock" && limit.stock === more.stock ? most + more.amount : most;
    case "orders":
      return order !== null && more.orders.includes(order) ? Math.min(most, more.most) : most;
    case "water":
      return most;
  }
}

const DUST = 0.05;

function compared(problem: SeasonProblem, { columns }: Relaxation, base: Relaxed, found: Relaxed): WorthOfMore {
  const unitsByVariety = problem.varieties.map(() => 0);
  const more = problem.orders.map(() => 0);
  for (const { column, order } of columns.gifts) {
    const units = found.columns[column]! - base.columns[column]!;
    unitsByVariety[problem.orders[order]!.variety]! += units;
    more[order]! += units;
  }
  const days = problem.orders.flatMap(({ day }, order) => (more[order]! > DUST ? [day] : []));
  return {
    worth: found.value - base.value,
    unitsByVariety,
    days: days.length > 0 ? [Math.min(...days), Math.max(...days)] : null,
  };
}
