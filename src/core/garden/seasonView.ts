import type { Worked } from "./worked";
import type { SiteRun } from "../batches/places/siteRuns";
import type { Day } from "../units/day";
import type { DeliveryState } from "../batches/deliveryStates";

/** One stay of a batch, as a block of the thread chart. */
export interface BlockView {
  readonly batchId: number;
  readonly stage: number;
  readonly growingAreaId: number;
  readonly from: Day;
  readonly to: Day;
  readonly plants: number;
  readonly runs: readonly SiteRun[];
  readonly over: number;
}

export interface BatchView {
  readonly id: number;
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
  readonly pinned: boolean;
  readonly unitsOrdered: number;
  readonly unitsInAll: number;
  readonly steps: readonly {
    readonly name: string;
    readonly growingAreaId: number;
    readonly from: Day;
    readonly to: Day;
    readonly plants: number;
  }[];
}

export interface GrowingAreaView {
  readonly id: number;
  readonly name: string;
  readonly sites: number;
  readonly lines: number;
  readonly daysOver: number;
  readonly firstOver: { readonly day: Day; readonly sites: number } | null;
}

/** An order line that is not met, and why. */
export interface MissedLine {
  readonly day: Day;
  readonly orderId: number;
  readonly customer: string;
  readonly variety: string;
  readonly unit: string;
  readonly state: Exclude<DeliveryState, { kind: "met" }>;
}

/** How well a market day is served: its order lines, and those that miss something. */
export interface MarketView {
  readonly day: Day;
  readonly lines: number;
  readonly missed: readonly MissedLine[];
}

export interface SeasonView {
  readonly from: Day;
  readonly to: Day;
  readonly today: Day;
  readonly growingAreas: readonly GrowingAreaView[];
  readonly blocks: readonly BlockView[];
  readonly batches: readonly BatchView[];
  readonly market: readonly MarketView[];
}

/** The part of a season that falls into a window of days. */
export function seasonView(season: Worked, from: Day, to: Day): SeasonView {
  const { plan, garden: rows, placed, input } = season;
  const blocks = [...placed.values()].flatMap((stays) =>
    stays
      .filter(({ stay }) => stay.to > from && stay.from < to)
      .map(({ stay, runs, over }): BlockView => ({
        batchId: stay.batchId,
        stage: stay.stage,
        growingAreaId: stay.growingAreaId,
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
    growingAreas: input.growingAreas.map((growingArea) => {
      const occupied = plan.growingAreas.find((candidate) => candidate.growingAreaId === growingArea.id)!;
      const days = Array.from(
        { length: Math.max(0, Math.min(to, plan.to) - Math.max(from, plan.from)) },
        (_, i) => Math.max(from, plan.from) - plan.from + i,
      );
      const over = days.filter((day) => occupied.plants[day]! + occupied.blocked[day]! > growingArea.sites);
      const first = over[0];
      return {
        id: growingArea.id,
        name: growingArea.name,
        sites: growingArea.sites,
        lines: growingArea.sitesPerLine.length,
        daysOver: over.length,
        firstOver:
          first === undefined
            ? null
            : {
                day: plan.from + first,
                sites: occupied.plants[first]! + occupied.blocked[first]! - growingArea.sites,
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
        unit: worked.variety.unit.name,
        tone: rows.varieties.findIndex((variety) => variety.id === worked.variety.id),
        sowDay: worked.batch.sowDay,
        cells: worked.batch.cells,
        targetPlants: worked.batch.targetPlants,
        readyDay: worked.readyDay,
        begun: worked.stays[0]!.begun,
        cleared: worked.batch.clearedDay !== null,
        note: kept.get(worked.batch.id)!.note,
        pinned: kept.get(worked.batch.id)!.pinned,
        unitsOrdered: worked.unitsOrdered,
        unitsInAll: worked.unitsInAll,
        steps: worked.stays.map((stay) => ({
          name: worked.variety.stages[stay.stage]!.name,
          growingAreaId: stay.growingAreaId,
          from: stay.from,
          to: stay.to,
          plants: stay.plants,
        })),
      })),
    market: marketDays(season, from, to),
  };
}

function marketDays({ garden: rows, deliveries }: Worked, from: Day, to: Day): MarketView[] {
  const byDay = new Map<Day, { lines: number; missed: MissedLine[] }>();
  for (const { day, orderId, customerName, varietyId, state } of deliveries) {
    if (day < from || day >= to) continue;
    const entry = byDay.get(day) ?? { lines: 0, missed: [] };
    byDay.set(day, entry);
    entry.lines += 1;
    if (state.kind === "met") continue;
    const variety = rows.varieties.find((candidate) => candidate.id === varietyId)!;
    entry.missed.push({ day, orderId, customer: customerName, variety: variety.name, unit: variety.unit.name, state });
  }
  return [...byDay].map(([day, entry]) => ({ day, ...entry })).sort((a, b) => a.day - b.day);
}
