import { cellsFor } from "../../batches/coverOrders";
import type { Sowing, SowingLot, SowingStay } from "../../batches/season/problem";
import type { PlanVariety } from "../../batches/types";
import { eachLot, latestFree, serveDays } from "../../growth/harvestPattern";
import { NEVER_DAYS } from "../../growth/stageDays";
import type { Clocks } from "../../batches/timeline";
import type { Day } from "../../units/day";

/** A batch that could be sown: on a day, and with the last day on which something of it is taken. */
export interface SowingOption {
  readonly varietyId: number;
  readonly sowDay: Day;
  readonly endDay: Day;
  readonly sowing: Sowing;
}

/** What all sowings of a variety have in common. */
export interface OptionsOf {
  readonly variety: PlanVariety;
  /** Its place in the problem. */
  readonly index: number;
  readonly clocks: Clocks;
  /** Day 0 of the problem. */
  readonly from: Day;
  /** Days on which something of it is wanted, rising, and how much. */
  readonly wanted: ReadonlyMap<Day, number>;
  readonly cellsPerPlant: number;
  readonly least: number;
  /** Money of a finished plant: its seed. */
  readonly cost: number;
  /** Places of the growing areas in the problem, and their cleaning days. */
  readonly areaAt: ReadonlyMap<number, { readonly index: number; readonly cleaningDays: number }>;
  /** Litres a plant of a stage takes from its loops on a day, what drains included; grams of stocks go with them. */
  readonly litresOn: (
    stage: number,
    from: Day,
    to: Day,
  ) => { readonly litres: number; readonly stocks: readonly number[] };
  readonly minutes: { readonly sowCell: number; readonly movePlant: number; readonly pickUnit: number };
}

/** Cells that a finished plant takes at the usual size of a batch, for the chance that is wanted. */
export function cellsPerPlant(variety: PlanVariety, usualPlants: number, confidence: number): number | "never" {
  const plants = Math.max(1, Math.round(usualPlants));
  const cells = cellsFor(variety, plants, confidence);
  return cells === "never" ? "never" : cells / plants;
}

/**
 * The ways to sow a variety on a day. A crop that is taken once stands until the last market day that it serves: one way for
 * each such day. Crops that are cut or picked on stand to their end.
 */
export function optionsOn(of: OptionsOf, sowDay: Day): SowingOption[] {
  const { variety, clocks } = of;
  const bounds: Day[] = [sowDay];
  for (const clock of clocks) {
    const at = bounds.at(-1)!;
    const end = clock(at);
    if (end - at >= NEVER_DAYS) return [];
    bounds.push(end);
  }
  const ready = bounds.at(-1)!;
  const { pattern } = variety;
  if (pattern.kind !== "once") {
    const lots: SowingLot[] = [];
    eachLot(pattern, ready, 1, (from, until, units) =>
      lots.push({ from: from - of.from, until: until - of.from, units }),
    );
    const most = lots.reduce((all, { from, until, units }) => Math.max(all, wantedIn(of, from, until) / units), 0);
    return most > 0 ? [option(of, bounds, latestFree(pattern, ready), lots, most)] : [];
  }
  const ends = [...of.wanted.keys()].filter((day) => day >= ready && day <= ready + serveDays(pattern));
  return ends.map((end) => {
    const lot = { from: ready - of.from, until: end - of.from, units: pattern.unitsPerPlant };
    return option(of, bounds, end, [lot], wantedIn(of, lot.from, lot.until) / pattern.unitsPerPlant);
  });
}

function wantedIn({ wanted, from: start }: OptionsOf, from: number, until: number): number {
  let sum = 0;
  for (const [day, units] of wanted) if (day - start >= from && day - start <= until) sum += units;
  return sum;
}

function option(
  of: OptionsOf,
  bounds: readonly Day[],
  endDay: Day,
  lots: readonly SowingLot[],
  most: number,
): SowingOption {
  const { variety, from: start } = of;
  const counts = plantsPerFinished(variety, of.cellsPerPlant);
  const last = variety.stages.length - 1;
  const stays: SowingStay[] = [];
  const work = [{ day: bounds[0]! - start, minutes: of.cellsPerPlant * of.minutes.sowCell }];
  variety.stages.forEach(({ growingAreaId }, stage) => {
    const [from, leave] = [bounds[stage]!, stage === last ? endDay : bounds[stage + 1]!];
    const area = of.areaAt.get(growingAreaId);
    if (stage > 0) work.push({ day: from - start, minutes: counts[stage]! * of.minutes.movePlant });
    if (!area || leave <= from) return;
    const { litres, stocks } = of.litresOn(stage, from, leave);
    stays.push({
      ...{ area: area.index, from: from - start, to: leave + area.cleaningDays - start, leave: leave - start },
      ...{ plants: counts[stage]!, litres: litres * counts[stage]! },
      ...(stocks.length > 0 && { stocks: stocks.map((grams) => grams * counts[stage]!) }),
    });
  });
  const units = Math.max(1, Math.ceil(most - 1e-9));
  return {
    ...{ varietyId: variety.id, sowDay: bounds[0]!, endDay },
    sowing: {
      ...{ variety: of.index, day: bounds[0]! - start, fixed: null, least: Math.min(of.least, units), most: units },
      ...{ cost: of.cost, stays, lots, work, pickMinutesPerUnit: of.minutes.pickUnit, held: null },
    },
  };
}

/** Plants in each stage for one that is finished; in the first, cells. */
export function plantsPerFinished({ stages }: PlanVariety, cells: number): number[] {
  const counts = new Array<number>(stages.length).fill(cells);
  let needed = 1;
  for (let stage = stages.length - 1; stage > 0; stage--) {
    needed /= Math.max(1e-6, stages[stage]!.survival);
    counts[stage] = Math.min(needed, cells);
  }
  return counts;
}
