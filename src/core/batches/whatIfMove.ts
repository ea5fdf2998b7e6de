import { requirePlanInput } from "./requirePlan";
import { requireDay, type Day } from "../units/day";
import { workOutPlan, type Plan } from "./plan";
import type { PlanInput } from "./types";

export interface MoveConsequences {
  readonly sowDay: Day;
  /** Growing areas that would be over on more days than now. */
  readonly growingAreas: readonly {
    readonly growingAreaId: number;
    readonly firstDay: Day;
    readonly sitesOver: number;
    readonly moreDaysOver: number;
  }[];
  /** Units of orders that would be missed and are met now (negative: won back), by market day. */
  readonly orders: readonly {
    readonly customerName: string;
    readonly varietyId: number;
    readonly day: Day;
    readonly moreMissing: number;
  }[];
  readonly breaks: boolean;
}

const MENDING_REACH_DAYS = 14;

/** What a batch sown on another day would do to growing areas and orders, against the plan as it is. */
export function whatIfMove(input: PlanInput, now: Plan, batchId: number, sowDay: Day): MoveConsequences {
  requirePlanInput("whatIfMove", input);
  requireDay("whatIfMove", "sowDay", sowDay);
  const moved = workOutPlan({
    ...input,
    batches: input.batches.map((batch) => (batch.id === batchId ? { ...batch, sowDay } : batch)),
  });
  const growingAreas = moved.growingAreas.flatMap((after, index) => {
    const before = now.growingAreas[index]!;
    const moreDaysOver = after.daysOver - before.daysOver;
    const worse = firstWorse(before, after);
    return worse
      ? [
          {
            growingAreaId: after.growingAreaId,
            firstDay: input.from + worse.offset,
            sitesOver: worse.sitesOver,
            moreDaysOver,
          },
        ]
      : [];
  });
  const missing = (plan: Plan) => new Map(plan.deliveries.map((d) => [`${d.orderId}/${d.day}`, d.wanted - d.given]));
  const before = missing(now);
  const orders = moved.deliveries.flatMap((delivery) => {
    const moreMissing = delivery.wanted - delivery.given - (before.get(`${delivery.orderId}/${delivery.day}`) ?? 0);
    const { customerName, varietyId, day } = delivery;
    return Math.abs(moreMissing) > 1e-6 ? [{ customerName, varietyId, day, moreMissing }] : [];
  });
  return {
    sowDay,
    growingAreas,
    orders,
    breaks: growingAreas.length > 0 || orders.some((order) => order.moreMissing > 0),
  };
}

/**
 * The sow day nearest to the one wanted, within two weeks of it, not before today and not where the batch is now, that
 * breaks nothing.
 * @returns null when there is none
 */
export function mendingSowDay(input: PlanInput, now: Plan, batchId: number, wanted: Day): MoveConsequences | null {
  requirePlanInput("mendingSowDay", input);
  requireDay("mendingSowDay", "wanted", wanted);
  const own = input.batches.find((batch) => batch.id === batchId)?.sowDay;
  for (let distance = 1; distance <= MENDING_REACH_DAYS; distance++)
    for (const sowDay of [wanted - distance, wanted + distance]) {
      if (sowDay < input.today || sowDay === own) continue;
      const tried = whatIfMove(input, now, batchId, sowDay);
      if (!tried.breaks) return tried;
    }
  return null;
}

type Used = Pick<Plan["growingAreas"][number], "plants" | "blocked" | "sites">;

function firstWorse(before: Used, after: Used): { offset: number; sitesOver: number } | null {
  const over = (growingArea: Used, day: number) =>
    Math.max(0, growingArea.plants[day]! + growingArea.blocked[day]! - growingArea.sites);
  let first: number | null = null;
  let most = 0;
  for (let day = 0; day < after.plants.length; day++) {
    if (over(after, day) <= over(before, day)) continue;
    first ??= day;
    most = Math.max(most, over(after, day));
  }
  return first === null ? null : { offset: first, sitesOver: most };
}
