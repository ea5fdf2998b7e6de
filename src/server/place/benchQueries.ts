import type { Assembly } from "@/core/place/bench/assembly";
import { MOST_HAND_KINDS, type BarKind, type CutList, type CutProblem } from "@/core/place/bench/cutList";
import type { OnHand } from "@/core/place/layout/materials";
import type { Day } from "@/core/units/day";
import { many, one, type Db } from "../db/pool";
import type { CutListInput } from "./benchSchema";

export type CutPlan = Extract<CutList, { readonly kind: "plan" }>;

export interface CutListRow extends Omit<CutListInput, "id" | "version"> {
  readonly id: number;
  readonly version: number;
  readonly assemblies: readonly Assembly[];
  /** What was found for exactly this list; null until it is asked for. */
  readonly plan: CutPlan | null;
  readonly cutOn: Day | null;
}

export interface Offcut {
  readonly id: number;
  readonly version: number;
  readonly material: string;
  readonly lengthMm: number;
  readonly count: number;
}

export function cutLists(db: Db, gardenId: number): Promise<CutListRow[]> {
  return many<CutListRow>(
    db,
    `select id, version, name, material, saw_cut_mm as "sawCutMm", trim_mm as "trimMm", least_offcut_mm as "leastOffcutMm", objective,
            uses_offcuts as "usesOffcuts", stocks, pieces, assemblies, plan, cut_on - date '1970-01-01' as "cutOn"
       from cut_list where garden_id = $1 order by cut_on nulls first, id`,
    [gardenId],
  );
}

/** Bars and offcuts on the shelf, the longest of a material first. */
export function offcuts(db: Db, gardenId: number): Promise<Offcut[]> {
  return many<Offcut>(
    db,
    `select id, version, material, length_mm as "lengthMm", count from offcut where garden_id = $1 order by material, length_mm desc`,
    [gardenId],
  );
}

export function materials(db: Db, gardenId: number): Promise<OnHand[]> {
  return many<OnHand>(
    db,
    `select item as id, on_hand as "onHand", price_each as "priceEach" from material where garden_id = $1 order by item`,
    [gardenId],
  );
}

export async function spareShare(db: Db, gardenId: number): Promise<number> {
  const row = await one<{ share: number }>(db, "garden", `select spare_share as share from garden where id = $1`, [
    gardenId,
  ]);
  return row.share;
}

/** The bars of a list: what is on sale, and of the shelf what is of its material, the longest first. */
export function barsOf(
  list: Pick<CutListInput, "material" | "stocks" | "usesOffcuts">,
  shelf: readonly Offcut[],
): BarKind[] {
  const own = list.usesOffcuts
    ? shelf.filter(({ material }) => material === list.material).slice(0, MOST_HAND_KINDS)
    : [];
  return [
    ...list.stocks.map(({ lengthMm, price }) => ({ lengthMm, price, onHand: null })),
    ...own.map(({ lengthMm, count }) => ({ lengthMm, price: 0, onHand: count })),
  ];
}

/** A list as the solver takes it. */
export function problemOf(list: CutListRow, shelf: readonly Offcut[]): CutProblem {
  const { sawCutMm, trimMm, objective, pieces } = list;
  return { sawCutMm, trimMm, objective, pieces, bars: barsOf(list, shelf) };
}
