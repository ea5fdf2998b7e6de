import { cropMarks, type CropMark } from "./cropMarks";
import { seasonAreas, type GrowingAreaView } from "./seasonAreas";
import type { Worked } from "./worked";
import type { PlacedStay } from "../batches/places/areaPlaces";
import { rangesOfRuns, type SiteRun } from "../batches/places/siteRuns";
import { isSownInTrays } from "../growth/cropKind";
import { stepDay } from "../growth/stepDay";
import { lineWords } from "../place/lineWords";
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
  /** Its lines in words: "channels 7–9"; empty where it has no place. */
  readonly where: string;
  /** How its place came about, where it is kept. */
  readonly kept: PlacedStay["kept"];
  /** A place is kept for it, but it was put elsewhere: that one is not free. */
  readonly isDisplaced?: true;
}

export interface BatchView {
  readonly id: number;
  readonly varietyId: number;
  readonly variety: string;
  readonly unit: string;
  readonly mark: CropMark;
  readonly sowDay: Day;
  /** Cells, or trays of what is sown in trays. */
  readonly cells: number;
  readonly isTrays: boolean;
  readonly targetPlants: number;
  readonly readyDay: Day;
  readonly begun: boolean;
  readonly cleared: boolean;
  readonly note: string;
  readonly pinned: boolean;
  readonly unitsOrdered: number;
  readonly unitsInAll: number;
  readonly steps: readonly {
    readonly growingAreaId: number;
    readonly from: Day;
    readonly to: Day;
    readonly plants: number;
    /** Plants stand there, or stood. */
    readonly begun: boolean;
  }[];
  /** Days on which its cells are thinned. */
  readonly thinned: readonly Day[];
  /** What orders take of it, day by day. */
  readonly serves: readonly { readonly day: Day; readonly customer: string; readonly units: number }[];
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
  const { plan, garden: rows, placed } = season;
  const whereOf = lineNames(season);
  const blocks = [...placed.values()].flatMap((stays) =>
    stays
      .filter(({ stay }) => stay.to > from && stay.from < to)
      .map(({ stay, runs, over, kept, isDisplaced }): BlockView => ({
        batchId: stay.batchId,
        stage: stay.stage,
        growingAreaId: stay.growingAreaId,
        from: stay.from,
        to: stay.to,
        plants: stay.plants,
        ...{ runs, over, kept },
        ...(isDisplaced && { isDisplaced }),
        where: over > 0 ? "" : whereOf(stay.growingAreaId, runs),
      })),
  );
  const marks = cropMarks(rows.varieties);
  const serves = servedBy(season);
  const kept = new Map(rows.batches.map((row) => [row.id, row]));
  const shown = new Set(blocks.map((block) => block.batchId));
  return {
    from,
    to,
    today: plan.today,
    growingAreas: seasonAreas(season, from, to),
    blocks,
    batches: plan.batches
      .filter(({ batch }) => shown.has(batch.id))
      .map((worked): BatchView => ({
        id: worked.batch.id,
        varietyId: worked.variety.id,
        variety: worked.variety.name,
        unit: worked.variety.unit.name,
        mark: marks.get(worked.variety.id)!,
        sowDay: worked.batch.sowDay,
        cells: worked.batch.cells,
        isTrays: isSownInTrays(worked.variety.kind),
        targetPlants: worked.batch.targetPlants,
        readyDay: worked.readyDay,
        begun: worked.stays[0]!.begun,
        cleared: worked.batch.clearedDay !== null,
        note: kept.get(worked.batch.id)!.note,
        pinned: kept.get(worked.batch.id)!.pinned,
        unitsOrdered: worked.unitsOrdered,
        unitsInAll: worked.unitsInAll,
        steps: worked.stays.map((stay) => ({
          growingAreaId: stay.growingAreaId,
          from: stay.from,
          to: stay.to,
          plants: stay.plants,
          begun: stay.begun,
        })),
        thinned: thinDays(worked),
        serves: serves.get(worked.batch.id) ?? [],
      })),
    market: marketDays(season, from, to),
  };
}

/** What a run of sites is called stays as long as the plan does: it is asked for with every look at the season. */
const named = new WeakMap<readonly SiteRun[], string>();

/** Lines of runs of sites in words. */
function lineNames({ input, growingAreaStands }: Worked): (areaId: number, runs: readonly SiteRun[]) => string {
  const areas = new Map(input.growingAreas.map((area) => [area.id, area]));
  const linesOf = (id: number, runs: readonly SiteRun[]) =>
    rangesOfRuns(areas.get(id)!.sitesPerLine, runs).map(({ line }) => Number(line));
  return (id, runs) => {
    const known = named.get(runs);
    if (known !== undefined) return known;
    const words = lineWords(growingAreaStands.get(id) ?? [], [...new Set(linesOf(id, runs))]);
    named.set(runs, words);
    return words;
  };
}

function thinDays({ stays, variety }: Worked["plan"]["batches"][number]): Day[] {
  return (variety.steps ?? []).flatMap(({ kind, stageNumber, due }) => {
    const stay = stays[stageNumber - 1];
    return kind === "thin" && stay ? [stepDay(due, stay.from, variety.stages[stay.stage]!)] : [];
  });
}

/** What each batch gives to orders. */
function servedBy({ deliveries }: Worked): Map<number, BatchView["serves"]> {
  const byBatch = new Map<number, { day: Day; customer: string; units: number }[]>();
  for (const { day, customerName, parts } of deliveries)
    for (const { batchId, units } of parts) {
      const own = byBatch.get(batchId) ?? [];
      byBatch.set(batchId, own);
      own.push({ day, customer: customerName, units });
    }
  return byBatch;
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
