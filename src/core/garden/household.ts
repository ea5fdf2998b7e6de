import { cellsFor } from "../batches/cellsFor";
import { workOutPlan } from "../batches/plan";
import type { PlanOrder } from "../batches/types";
import { harvestPlan, type HarvestPattern } from "../growth/harvestPattern";
import { wholeUp } from "../numeric/whole";
import type { Day } from "../units/day";
import { cropMarks, type CropMark } from "./cropMarks";
import type { Garden } from "./garden";
import type { Worked } from "./worked";

/** What a household eats is taken on Saturdays. */
const EATEN_ON = 6;
/** Batches sown within so many days are ready together. */
const AT_ONCE_DAYS = 6;
/** So many weeks' portions at once are more than a household eats before they are spoilt. */
const AT_ONCE_WEEKS = 2;

/** What a household eats, as orders: one a week of each crop. Their ids are those of no kept order. */
export function householdOrders(
  varieties: readonly Pick<Garden["varieties"][number], "id" | "eatenPerWeek">[],
  from: Day,
  to: Day,
): PlanOrder[] {
  return varieties.flatMap(({ id, eatenPerWeek }) =>
    eatenPerWeek === null
      ? []
      : [
          {
            ...{ id: -id, customerName: "", varietyId: id, weekday: EATEN_ON },
            ...{ quantity: eatenPerWeek, from, to },
          },
        ],
  );
}

/** How a crop that is eaten at home is supplied over some weeks. */
export interface HouseholdCrop {
  readonly varietyId: number;
  readonly name: string;
  readonly unit: string;
  readonly mark: CropMark;
  readonly perWeek: number;
  /** What of it there is each week, by its Saturday; beside what orders take. */
  readonly weeks: readonly { readonly day: Day; readonly given: number }[];
  /** Units that ripen in these weeks and nobody takes before they are spoilt. */
  readonly glut: number;
  /** All that is still to be sown is sown within a week: so many units are ready at once. */
  readonly atOnce: { readonly day: Day; readonly units: number } | null;
  /** What would give it week by week; null where its seed never comes up. */
  readonly steady: SteadySowing | null;
}

export interface SteadySowing {
  readonly everyDays: number;
  readonly plants: number;
  readonly cells: number;
}

/**
 * Whether the plan gives a household what it eats each week, the gaps, and the glut.
 *
 * @param from first day; @param to the day after the last
 * @param confidence that a sowing gives its plants, 0–1
 */
export function household({ garden, input, today }: Worked, from: Day, to: Day, confidence: number): HouseholdCrop[] {
  const orders = householdOrders(garden.varieties, today, input.to);
  if (orders.length === 0) return [];
  const marks = cropMarks(garden.varieties);
  const plan = workOutPlan({ ...input, orders: [...input.orders, ...orders] });
  return orders.map(({ id, varietyId, quantity }): HouseholdCrop => {
    const variety = input.varieties.find((one) => one.id === varietyId)!;
    const own = plan.batches.filter((batch) => batch.variety.id === varietyId);
    const ripening = own.filter(({ readyDay, stays }) => readyDay >= from && stays.at(-1)!.to <= to);
    const ahead = own.filter(({ batch }) => batch.begun.length === 0 && batch.sowDay >= today);
    const units = ahead.reduce((sum, { unitsInAll }) => sum + unitsInAll, 0);
    const days = ahead.map(({ batch }) => batch.sowDay);
    const isAtOnce =
      variety.pattern.kind === "once" &&
      days.length > 0 &&
      Math.max(...days) - Math.min(...days) <= AT_ONCE_DAYS &&
      units > AT_ONCE_WEEKS * quantity;
    return {
      ...{ varietyId, name: variety.name, unit: variety.unit.name, mark: marks.get(varietyId)!, perWeek: quantity },
      weeks: plan.deliveries
        .filter((delivery) => delivery.orderId === id && delivery.day >= from && delivery.day < to)
        .map(({ day, given }) => ({ day, given })),
      glut: ripening.reduce((sum, { unitsInAll, unitsOrdered }) => sum + unitsInAll - unitsOrdered, 0),
      atOnce: isAtOnce ? { day: Math.min(...ahead.map(({ readyDay }) => readyDay)), units } : null,
      steady: steadySowing(variety.pattern, quantity, (plants) => cellsFor(variety, plants, confidence)),
    };
  });
}

/** How often a crop is sown, and how many plants of it, for so many units every week. */
function steadySowing(
  pattern: HarvestPattern,
  perWeek: number,
  cellsOf: (plants: number) => number | "never",
): SteadySowing | null {
  const ofPlant = harvestPlan(pattern, 0, 1).lots.reduce((sum, { units }) => sum + units, 0);
  if (ofPlant <= 0) return null;
  const everyDays =
    pattern.kind === "once"
      ? 7
      : pattern.kind === "cut"
        ? Math.max(7, pattern.cuts * pattern.daysBetween)
        : pattern.weeks * 7;
  const plants = wholeUp((perWeek * everyDays) / 7 / ofPlant);
  const cells = cellsOf(plants);
  return cells === "never" ? null : { everyDays, plants, cells };
}
