import { requireRange } from "../units/range";
import { requireDay, type Day } from "../units/day";
import type { Delivery } from "./allocate";
import type { PlacedStay } from "./places/areaPlaces";
import type { Plan, WorkedBatch } from "./plan";

/** How a market day of an order stands: met, or the first thing that keeps it from being met. */
export type DeliveryState =
  | { readonly kind: "met" }
  /** The batches that are ready then give less than is wanted. */
  | { readonly kind: "short"; readonly missing: number }
  /** Plants that it takes have no site on the days of a stage. */
  | { readonly kind: "no-sites"; readonly batchId: number; readonly growingAreaId: number; readonly plants: number }
  /** A batch that it takes should have been sown by now. */
  | { readonly kind: "not-sown"; readonly batchId: number; readonly due: Day }
  /** The day is past and so much was never picked. */
  | { readonly kind: "not-picked"; readonly missing: number };

export interface StatedDelivery extends Delivery {
  readonly state: DeliveryState;
}

/** Units that were really picked for a market day of an order. */
export interface PickedUnits {
  readonly orderId: number;
  readonly day: Day;
  readonly units: number;
}

const DUST = 1e-6;

/**
 * Every delivery of a plan with its state: what lies before today by what was picked, what lies ahead by what the plan
 * gives, where its plants stand and whether they were sown.
 *
 * @param placed stays of the plan on their sites
 */
export function deliveryStates(
  plan: Plan,
  placed: Iterable<readonly PlacedStay[]>,
  picked: readonly PickedUnits[],
): StatedDelivery[] {
  for (const { day, units } of picked) {
    requireDay("deliveryStates", "day", day);
    requireRange("deliveryStates", "units", units, 0);
  }
  const unitsPicked = new Map<string, number>();
  const keyOf = ({ orderId, day }: Pick<PickedUnits, "orderId" | "day">) => `${orderId}/${day}`;
  for (const pick of picked) unitsPicked.set(keyOf(pick), (unitsPicked.get(keyOf(pick)) ?? 0) + pick.units);
  const troubles = troublesByBatch(plan, placed);
  return plan.deliveries.map((delivery) => {
    const given = delivery.day < plan.today ? (unitsPicked.get(keyOf(delivery)) ?? 0) : delivery.given;
    const missing = delivery.wanted - given;
    if (missing > DUST)
      return { ...delivery, state: { kind: delivery.day < plan.today ? "not-picked" : "short", missing } };
    if (delivery.day < plan.today) return { ...delivery, state: { kind: "met" } };
    const trouble = delivery.parts.map(({ batchId }) => troubles.get(batchId)).find((found) => found !== undefined);
    return { ...delivery, state: trouble ?? { kind: "met" } };
  });
}

/** What keeps a batch from giving what the plan says. */
function troublesByBatch(plan: Plan, placed: Iterable<readonly PlacedStay[]>): Map<number, DeliveryState> {
  const troubles = new Map<number, DeliveryState>();
  for (const stays of placed)
    for (const { stay, over } of stays)
      if (over > 0 && stay.to > plan.today)
        troubles.set(stay.batchId, {
          kind: "no-sites",
          batchId: stay.batchId,
          growingAreaId: stay.growingAreaId,
          plants: over,
        });
  for (const worked of plan.batches) if (isSownLate(worked, plan.today)) troubles.set(worked.batch.id, notSown(worked));
  return troubles;
}

const isSownLate = ({ batch, stays }: WorkedBatch, today: Day) => !stays[0]!.begun && batch.sowDay < today;
const notSown = ({ batch }: WorkedBatch): DeliveryState => ({ kind: "not-sown", batchId: batch.id, due: batch.sowDay });
