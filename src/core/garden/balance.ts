import type { Shortage } from "../batches/shortages";
import type { Day } from "../units/day";
import { countedInShortages, type Counted } from "./ahead";
import { loopNeedLpd } from "./loopNeed";
import type { Worked } from "./worked";

const WEEK = 7;

/** The litres that a loop takes, week by week; null is what is watered by hand. */
export interface LoopNeed {
  readonly loopName: string | null;
  readonly todayLpd: number;
  /** Mean litres a day of each week ahead. */
  readonly litres: readonly number[];
}

/** How full a growing area is, week by week. */
export interface AreaUse {
  readonly name: string;
  readonly sites: number;
  readonly usedToday: number;
  /** Most sites taken on a day of each week ahead. */
  readonly used: readonly number[];
}

export interface BalanceView {
  readonly shortages: readonly Shortage[];
  readonly counted: Counted;
  /** First day of each week ahead. */
  readonly weeks: readonly Day[];
  readonly needs: readonly LoopNeed[];
  readonly growingAreas: readonly AreaUse[];
  readonly waterCost: number;
  /** Deliveries from today on, and those of them that are met. */
  readonly ahead: number;
  readonly met: number;
}

/** Space, water and salts of the plan ahead, week by week. @source sums and means over the days of a week */
export function balanceView(worked: Worked): BalanceView {
  const { plan, garden, shortages, supply, deliveries } = worked;
  const count = Math.floor((plan.to - plan.today) / WEEK);
  const weeks = Array.from({ length: count }, (_, week) => plan.today + week * WEEK);
  const loops = [
    ...garden.loops.map(({ id, name }) => ({ key: id, loopName: name })),
    { key: "hand" as const, loopName: null },
  ];
  const ahead = deliveries.filter(({ day }) => day >= plan.today);
  return {
    shortages,
    counted: countedInShortages(worked),
    weeks,
    needs: loops
      .map(({ key, loopName }): LoopNeed => ({
        loopName,
        todayLpd: loopNeedLpd(plan, key),
        litres: weeks.map((day) => meanOfWeek(plan.needLByLoop.get(key), day - plan.from)),
      }))
      .filter(({ litres }) => litres.some((litre) => litre > 0)),
    growingAreas: areaUses(worked, weeks),
    waterCost: supply.cost,
    ahead: ahead.length,
    met: ahead.filter(({ state }) => state.kind === "met").length,
  };
}

function meanOfWeek(series: Float64Array | undefined, offset: number): number {
  if (!series) return 0;
  return series.subarray(offset, offset + WEEK).reduce((sum, value) => sum + value, 0) / WEEK;
}

function areaUses({ plan, input }: Worked, weeks: readonly Day[]): AreaUse[] {
  return input.growingAreas.map(({ id, name, sites }) => {
    const used = plan.growingAreas.find(({ growingAreaId }) => growingAreaId === id)!;
    const on = (day: Day) => used.plants[day - plan.from]! + used.blocked[day - plan.from]!;
    return {
      name,
      sites,
      usedToday: on(plan.today),
      used: weeks.map((first) => Math.max(...Array.from({ length: WEEK }, (_, day) => on(first + day)))),
    };
  });
}
