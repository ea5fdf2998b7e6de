import type { Branched, Branching, OpenProgram, SparseRow, WarmProgram, WarmSolution } from "../../numeric/warmProgram";
import { columnsOfPlan, giftRows, planOfColumns, seasonColumns, type SeasonColumns } from "./columns";
import { limitRows, WaterRows, type Limit } from "./limitRows";
import type { SeasonPlan, SeasonProblem } from "./problem";
import { RoundingCuts } from "./roundingCuts";

export type Relaxed = Extract<WarmSolution, { readonly kind: "solved" }>;

/** What a row limits from outside, or which order it is of; and what it allows. */
export interface RowAbout {
  readonly limit: Limit | null;
  readonly order: number | null;
  readonly most: number;
}

/** A cut that the bound is not made much better by is worth no more rounds. */
const LEAST_GAIN = 2e-5;
const MOST_ROUNDS = 60;

/**
 * The linear relaxation of a season: units of a sowing need not be whole. Rows of the water and rounding cuts are added as
 * solutions break them, and stay.
 */
export class Relaxation {
  readonly columns: SeasonColumns;
  readonly #program: WarmProgram;
  readonly #water: WaterRows;
  readonly #cuts: RoundingCuts;
  /** What the rows are about, by their place. */
  readonly #rows: RowAbout[];

  constructor(
    readonly problem: SeasonProblem,
    open: OpenProgram,
  ) {
    this.columns = seasonColumns(problem);
    this.#water = new WaterRows(problem, this.columns);
    this.#cuts = new RoundingCuts(problem, this.columns);
    const gifts = giftRows(problem, this.columns);
    const limits = limitRows(problem, this.columns);
    const lots = gifts.length - problem.orders.length;
    this.#rows = [
      ...gifts.map(({ most }, at) => ({ limit: null, order: at < lots ? null : at - lots, most })),
      ...limits.map(({ limit, row: { most } }) => ({ limit, order: null, most })),
    ];
    const { worth, least, most } = this.columns;
    this.#program = open({ worth, least, most, rows: [...gifts, ...limits.map(({ row }) => row)] });
  }

  /** Solves with the water kept; null where the bounds leave no solution. */
  solve(): Relaxed | null {
    for (;;) {
      const found = this.#program.solve();
      if (found.kind === "none") return null;
      const broken = this.#water.broken(found.columns);
      if (broken.length === 0) return found;
      this.#add(
        broken.map(({ row }) => row),
        broken.map(({ limit }) => limit),
      );
    }
  }

  /**
   * Solves, and cuts off what no whole units can give, until nothing is broken or it gains no more.
   * @param each told the bound after each round
   */
  tighten(each: (bound: number) => void = () => undefined): Relaxed | null {
    let found = this.solve();
    for (let round = 0; found && round < MOST_ROUNDS; round++) {
      each(found.value);
      const cuts = this.#cuts.broken(found.columns);
      if (cuts.length === 0) return found;
      this.#add(
        cuts,
        cuts.map(() => null),
      );
      const before = found.value;
      found = this.solve();
      if (found && before - found.value < LEAST_GAIN * Math.abs(before)) return found;
    }
    return found;
  }

  /**
   * Branches until the gap is small enough or whoever looks has enough.
   * @returns the best plan that it came to, or null, and what no plan can be better than
   */
  branch(
    start: SeasonPlan,
    { gap, look }: Pick<Branching, "gap" | "look">,
  ): { best: Branched; plan: SeasonPlan | null } {
    const { sowings } = this.problem;
    const whole = sowings.flatMap(({ fixed }, index) => (fixed === null ? [index] : []));
    const [least, most] = [whole.map((index) => sowings[index]!.least), whole.map((index) => sowings[index]!.most)];
    for (;;) {
      const best = this.#program.branch({ whole, least, most, start: columnsOfPlan(this.columns, start), gap, look });
      const broken = best.kind === "solved" ? this.#water.broken(best.columns) : [];
      if (broken.length === 0)
        return { best, plan: best.kind === "solved" ? planOfColumns(this.problem, this.columns, best.columns) : null };
      this.#add(
        broken.map(({ row }) => row),
        broken.map(({ limit }) => limit),
      );
    }
  }

  #add(rows: readonly SparseRow[], limits: readonly (Limit | null)[]): void {
    this.#program.addRows(rows);
    const { moreL } = this.#water;
    rows.forEach(({ most }, at) => {
      const limit = limits[at]!;
      // Found while more water is tried, it is kept as it is without.
      this.#rows.push({ limit, order: null, most: limit?.kind === "water" ? most - moreL * limit.days : most });
    });
  }

  /**
   * Solves with more or less of some rows, and leaves them as they were.
   * @param mostOf what a row allows then
   * @param moreL litres that come each day besides
   * @param isTight whether cuts are looked for; they hold for all that is tried
   */
  withMore(mostOf: (row: RowAbout) => number, moreL: number, isTight: boolean): Relaxed | null {
    this.#water.moreL = moreL;
    const withWater = (row: RowAbout) => mostOf(row) + (row.limit?.kind === "water" ? moreL * row.limit.days : 0);
    this.#rows.forEach((row, at) => {
      if (withWater(row) !== row.most) this.#program.setMost(at, withWater(row));
    });
    const found = isTight ? this.tighten() : this.solve();
    this.#water.moreL = 0;
    this.#rows.forEach((row, at) => {
      if (withWater(row) !== row.most) this.#program.setMost(at, row.most);
    });
    return found;
  }

  /** Bounds of units of sowings. */
  setUnits(sowings: readonly number[], least: readonly number[], most: readonly number[]): void {
    this.#program.setBounds(sowings, least, most);
  }

  planOf({ columns }: Relaxed): SeasonPlan {
    return planOfColumns(this.problem, this.columns, columns);
  }

  free(): void {
    this.#program.free();
  }
}
