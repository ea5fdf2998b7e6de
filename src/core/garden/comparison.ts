import type { Shortage } from "../batches/shortages";
import { layoutFigures, type LayoutFigures } from "../place/layout/compare";
import type { OnHand } from "../place/layout/materials";
import type { Day } from "../units/day";
import { liveLayout } from "./layoutTables";
import { loopLadder } from "./tank";
import type { Worked } from "./worked";

/** Figures hang on no name. */
const WHATEVER = "garden";

/** A garden in figures, to be set beside another. */
export interface GardenFigures {
  readonly places: LayoutFigures;
  /** First day on which a growing area is over its sites. */
  readonly sitesShort: Day | null;
  /** What all loops want with their banks open, and what their pumps bring at their duty points. */
  readonly flowWantedLph: number;
  readonly flowGivenLph: number;
  /** Loops whose tightest rung falls short. */
  readonly weakLoops: readonly string[];
  /** Mean of the days ahead. */
  readonly waterLpd: number;
  readonly waterShort: Day | null;
  /** Of the days ahead. */
  readonly saltsG: number;
  readonly saltsShort: Day | null;
  readonly ordersAhead: number;
  readonly ordersMet: number;
  readonly waterCost: number;
  readonly saltCost: number;
  /** What the deliveries that are met sell for, of varieties with a price. */
  readonly sales: number;
  /** Whether every variety that is ordered has one. */
  readonly allPriced: boolean;
}

/**
 * Places, flow, water, salts, orders and money of a garden's days ahead.
 *
 * @param shelf materials with their prices
 * @source sums over what workOut gives: layoutFigures, loopLadder, supply, saltUses, deliveries
 */
export function gardenFigures(worked: Worked, shelf: readonly OnHand[]): GardenFigures {
  const { garden, plan, supply, saltUses, shortages, deliveries } = worked;
  const ladders = garden.loops.map((loop) => ({ loop, rungs: loopLadder(worked, loop) }));
  const ahead = deliveries.filter(({ day }) => day >= plan.today);
  const met = ahead.filter(({ state }) => state.kind === "met");
  const priceOf = new Map(garden.varieties.map(({ id, pricePerUnit }) => [id, pricePerUnit]));
  const perKg = new Map(garden.salts.map(({ id, pricePerKg }) => [id, pricePerKg]));
  const need = plan.needL.subarray(plan.today - plan.from);
  return {
    places: layoutFigures(liveLayout(garden, WHATEVER), shelf),
    sitesShort: firstDay(shortages, "sites"),
    flowWantedLph: sum(ladders, ({ rungs }) => rungs.wantedFlowLph),
    flowGivenLph: sum(ladders, ({ rungs }) => rungs.pumpFlowLph),
    weakLoops: ladders
      .filter(({ rungs: { rungs, tightest } }) => tightest !== null && rungs[tightest]!.verdict === "short")
      .map(({ loop }) => loop.name),
    waterLpd: need.length > 0 ? need.reduce((all, litres) => all + litres, 0) / need.length : 0,
    waterShort: firstDay(shortages, "water"),
    saltsG: sum(saltUses, ({ wantedG }) => wantedG),
    saltsShort: firstDay(shortages, "salt"),
    ordersAhead: ahead.length,
    ordersMet: met.length,
    waterCost: supply.cost,
    saltCost: sum(saltUses, ({ salt, wantedG }) => (wantedG / 1000) * (perKg.get(salt.id) ?? 0)),
    sales: sum(met, ({ varietyId, wanted }) => wanted * (priceOf.get(varietyId) ?? 0)),
    allPriced: ahead.every(({ varietyId }) => (priceOf.get(varietyId) ?? null) !== null),
  };
}

function sum<One>(all: readonly One[], of: (one: One) => number): number {
  return all.reduce((total, one) => total + of(one), 0);
}

const firstDay = (shortages: readonly Shortage[], kind: Shortage["kind"]): Day | null =>
  shortages.find((shortage) => shortage.kind === kind)?.day ?? null;

/** A stay of a batch that has fewer places in a what-if than it has now. It stays in the plan, above capacity. */
export interface Displaced {
  readonly batchId: number;
  readonly variety: string;
  readonly sownOn: Day;
  readonly growingAreaName: string;
  readonly from: Day;
  readonly plants: number;
  readonly over: number;
}

/** Stays from today on that lack more places than before. */
export function displacedStays(before: Worked, after: Worked): Displaced[] {
  const over = new Map(
    [...before.placed.values()].flat().map((one) => [`${one.stay.batchId}/${one.stay.stage}`, one.over]),
  );
  return [...after.placed]
    .flatMap(([growingAreaId, stays]) =>
      stays.flatMap(({ stay, over: lacks }): Displaced[] => {
        if (stay.to <= after.plan.today || lacks <= (over.get(`${stay.batchId}/${stay.stage}`) ?? 0)) return [];
        const worked = after.plan.batches.find(({ batch }) => batch.id === stay.batchId)!;
        return [
          {
            batchId: stay.batchId,
            variety: worked.variety.name,
            sownOn: worked.stays[0]!.from,
            growingAreaName: after.garden.growingAreas.find(({ id }) => id === growingAreaId)?.name ?? "",
            from: stay.from,
            plants: stay.plants,
            over: lacks,
          },
        ];
      }),
    )
    .sort((a, b) => a.from - b.from);
}
