import type { SiteRun } from "@/core/batches/lanes";
import { dayInWords, type Day } from "@/core/units/day";
import type { Season } from "./season";

/** One stay of a batch, as a block of the thread chart. */
export interface BlockView {
  readonly batchId: number;
  readonly stage: number;
  readonly poolId: number;
  readonly from: Day;
  readonly to: Day;
  readonly plants: number;
  readonly runs: readonly SiteRun[];
  readonly over: number;
}

export interface BatchView {
  readonly id: number;
  readonly version: number;
  readonly varietyId: number;
  readonly variety: string;
  readonly unit: string;
  readonly tone: number;
  readonly sowDay: Day;
  readonly cells: number;
  readonly targetPlants: number;
  readonly readyDay: Day;
  readonly begun: boolean;
  readonly cleared: boolean;
  readonly note: string;
  readonly unitsOrdered: number;
  readonly unitsInAll: number;
  readonly steps: readonly {
    readonly name: string;
    readonly poolId: number;
    readonly from: Day;
    readonly to: Day;
    readonly plants: number;
  }[];
}

export interface PoolView {
  readonly id: number;
  readonly name: string;
  readonly sites: number;
  readonly lines: number;
  readonly daysOver: number;
  readonly firstOver: { readonly day: Day; readonly sites: number } | null;
}

/** How well a market day is served: its order lines, and those that miss something. */
export interface MarketView {
  readonly day: Day;
  readonly lines: number;
  readonly missed: readonly { readonly words: string }[];
}

export interface SeasonView {
  readonly from: Day;
  readonly to: Day;
  readonly today: Day;
  readonly pools: readonly PoolView[];
  readonly blocks: readonly BlockView[];
  readonly batches: readonly BatchView[];
  readonly market: readonly MarketView[];
}

/** The part of a season that falls into a window of days. */
export function seasonView(season: Season, from: Day, to: Day): SeasonView {
  const { plan, rows, placed, input } = season;
  const blocks = [...placed.values()].flatMap((stays) =>
    stays
      .filter(({ stay }) => stay.to > from && stay.from < to)
      .map(({ stay, runs, over }): BlockView => ({
        batchId: stay.batchId,
        stage: stay.stage,
        poolId: stay.poolId,
        from: stay.from,
        to: stay.to,
        plants: stay.plants,
        runs,
        over,
      })),
  );
  const kept = new Map(rows.batches.map((row) => [row.id, row]));
  const shown = new Set(blocks.map((block) => block.batchId));
  return {
    from,
    to,
    today: plan.today,
    pools: input.pools.map((pool) => {
      const occupied = plan.pools.find((candidate) => candidate.poolId === pool.id)!;
      const days = Array.from(
        { length: Math.max(0, Math.min(to, plan.to) - Math.max(from, plan.from)) },
        (_, i) => Math.max(from, plan.from) - plan.from + i,
      );
      const over = days.filter((day) => occupied.plants[day]! + occupied.blocked[day]! > pool.sites);
      const first = over[0];
      return {
        id: pool.id,
        name: pool.name,
        sites: pool.sites,
        lines: pool.sitesPerLine.length,
        daysOver: over.length,
        firstOver:
          first === undefined
            ? null
            : {
                day: plan.from + first,
                sites: occupied.plants[first]! + occupied.blocked[first]! - pool.sites,
              },
      };
    }),
    blocks,
    batches: plan.batches
      .filter(({ batch }) => shown.has(batch.id))
      .map((worked): BatchView => ({
        id: worked.batch.id,
        varietyId: worked.variety.id,
        variety: worked.variety.name,
        unit: worked.variety.unit,
        tone: rows.varieties.findIndex((variety) => variety.id === worked.variety.id),
        sowDay: worked.batch.sowDay,
        cells: worked.batch.cells,
        targetPlants: worked.batch.targetPlants,
        readyDay: worked.readyDay,
        begun: worked.stays[0]!.begun,
        cleared: worked.batch.clearedDay !== null,
        version: kept.get(worked.batch.id)!.version,
        note: kept.get(worked.batch.id)!.note,
        unitsOrdered: worked.unitsOrdered,
        unitsInAll: worked.unitsInAll,
        steps: worked.stays.map((stay) => ({
          name: worked.variety.stages[stay.stage]!.name,
          poolId: stay.poolId,
          from: stay.from,
          to: stay.to,
          plants: stay.plants,
        })),
      })),
    market: marketDays(season, from, to),
  };
}

function marketDays({ plan, rows }: Season, from: Day, to: Day): MarketView[] {
  const byDay = new Map<Day, { lines: number; missed: { words: string }[] }>();
  for (const delivery of plan.deliveries) {
    if (delivery.day < from || delivery.day >= to) continue;
    const day = byDay.get(delivery.day) ?? { lines: 0, missed: [] };
    byDay.set(delivery.day, day);
    day.lines += 1;
    const missing = delivery.wanted - delivery.given;
    if (missing <= 1e-6) continue;
    const variety = rows.varieties.find((candidate) => candidate.id === delivery.varietyId);
    day.missed.push({
      words: `${delivery.outletName}, ${dayInWords(delivery.day)}: ${Number(missing.toFixed(1))} ${variety?.unit ?? ""} of ${variety?.name ?? ""} missing`,
    });
  }
  return [...byDay].map(([day, entry]) => ({ day, ...entry })).sort((a, b) => a.day - b.day);
}
