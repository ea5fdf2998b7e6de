import { cellsFor } from "../../batches/cellsFor";
import type { Sowing, SowingLot, SowingStay } from "../../batches/season/problem";
import type { PlanVariety } from "../../batches/types";
import { eachLot, latestFree, serveDays } from "../../growth/harvestPattern";
import { sowDayFor } from "../../growth/sowDay";
import { NEVER_DAYS } from "../../growth/stageDays";
import type { Clocks } from "../../batches/timeline";
import type { Day } from "../../units/day";

/** A batch that could be sown: on a day, and with the last day on which something of it is taken. */
export interface SowingOption {
  readonly varietyId: number;
  readonly sowDay: Day;
  readonly readyDay: Day;
  readonly endDay: Day;
  readonly sowing: Sowing;
}

/** A held plant loses so much of its worth a day; of plans that are worth the same the one that takes fewer sites is taken. */
const LOSS_PER_HELD_DAY = 0.002;
const LOSS_PER_SITE_DAY = 0.0002;

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
  /** Finished plants of a usual batch. */
  readonly usualPlants: number;
  readonly least: number;
  /** Money of a finished plant: its seed and the work of it; what it drinks comes to it. */
  readonly cost: number;
  /** What a finished plant brings. */
  readonly worth: number;
  /** Days on which nobody works. */
  readonly closed: ReadonlySet<Day>;
  /** Places of the growing areas in the problem, and their cleaning days. */
  readonly areaAt: ReadonlyMap<number, { readonly index: number; readonly cleaningDays: number }>;
  /** Litres a plant of a stage takes from its loops on a day, what drains included; grams of stocks, and money, go with them. */
  readonly litresOn: (
    stage: number,
    from: Day,
    to: Day,
  ) => { readonly litres: number; readonly stocks: readonly number[]; readonly money: number };
  readonly minutes: { readonly sowCell: number; readonly movePlant: number; readonly pickUnit: number };
}

/** Cells that a finished plant takes at the usual size of a batch, for the chance that is wanted. */
export function cellsPerPlant(variety: PlanVariety, usualPlants: number, confidence: number): number | "never" {
  const plants = Math.max(1, Math.round(usualPlants));
  const cells = cellsFor(variety, plants, confidence);
  return cells === "never" ? "never" : cells / plants;
}

/** Of sow days that serve the same last market day so many are looked at: the latest ones, whose plants wait least. */
const LATEST_SOW_DAYS = 2;
/** Crops that are cut or picked for weeks need not be looked at on every day. */
const DAYS_APART = 3;

/**
 * The ways to sow a variety that are worth looking at.
 *
 * @param sowDays rising
 * @param planned days on which it is sown by the plan as it is: all of them are looked at
 */
export function optionsFor(of: OptionsOf, sowDays: readonly Day[], planned: ReadonlySet<Day>): SowingOption[] {
  if (of.variety.pattern.kind !== "once") {
    let last = -Infinity;
    const apart = sowDays.filter((day) => {
      if (!planned.has(day) && day - last < DAYS_APART) return false;
      last = day;
      return true;
    });
    return apart.flatMap((day) => optionsOn(of, day));
  }
  const all = sowDays.flatMap((day) => optionsOn(of, day));
  all.push(...betweenSowDays(of, new Set(all.map(({ endDay }) => endDay)), sowDays));
  all.sort((a, b) => a.sowDay - b.sowDay || a.endDay - b.endDay);
  const later = new Map<Day, number>();
  return all
    .toReversed()
    .filter(({ sowDay, endDay }) => {
      const count = later.get(endDay) ?? 0;
      later.set(endDay, count + 1);
      return count < LATEST_SOW_DAYS || planned.has(sowDay);
    })
    .toReversed();
}

/** A crop that would not keep from any sowing weekday to a market day is sown on the very day that it takes. */
function betweenSowDays(of: OptionsOf, served: ReadonlySet<Day>, sowDays: readonly Day[]): SowingOption[] {
  const first = sowDays[0];
  if (first === undefined) return [];
  return [...of.wanted.keys()].flatMap((day) => {
    if (served.has(day)) return [];
    const found = sowDayFor(day, of.variety.stages);
    if ("kind" in found || found.sowDay < first || of.closed.has(found.sowDay)) return [];
    return optionsOn(of, found.sowDay).filter(({ endDay }) => endDay === day);
  });
}

/** Units of a lot for one plant: where they are sold whole, what is over at a usual batch is given to nobody. */
function unitsOf({ variety, usualPlants }: OptionsOf, units: number): number {
  const plants = Math.max(1, Math.round(usualPlants));
  const whole = Math.floor(units * plants + 1e-9) / plants;
  return variety.unit.divisible || whole === 0 ? units : whole;
}

/**
 * The ways to sow a variety on a day. A crop that is taken once stands until the last market day that it serves: one way for
 * each such day. Crops that are cut or picked on stand to their end.
 */
function optionsOn(of: OptionsOf, sowDay: Day): SowingOption[] {
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
      lots.push({ from: from - of.from, until: until - of.from, units: unitsOf(of, units) }),
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
  const counts = plantsPerFinished(variety, of.cellsPerPlant, of.usualPlants);
  const last = variety.stages.length - 1;
  const stays: SowingStay[] = [];
  const work = [{ day: bounds[0]! - start, minutes: of.cellsPerPlant * of.minutes.sowCell }];
  let drunk = 0;
  variety.stages.forEach(({ growingAreaId }, stage) => {
    const [from, leave] = [bounds[stage]!, stage === last ? endDay : bounds[stage + 1]!];
    const area = of.areaAt.get(growingAreaId);
    if (stage > 0) work.push({ day: from - start, minutes: counts[stage]! * of.minutes.movePlant });
    if (!area || leave <= from) return;
    const { litres, stocks, money } = of.litresOn(stage, from, leave);
    drunk += money * counts[stage]! * (leave - from);
    stays.push({
      ...{ area: area.index, from: from - start, to: leave + area.cleaningDays - start, leave: leave - start },
      ...{ plants: counts[stage]!, litres: litres * counts[stage]! },
      ...(stocks.length > 0 && { stocks: stocks.map((grams) => grams * counts[stage]!) }),
    });
  });
  const units = Math.max(1, Math.ceil(most - 1e-9));
  const siteDays = stays.reduce((sum, { plants, from, to }) => sum + plants * (to - from), 0);
  const heldDays = variety.pattern.kind === "once" ? endDay - bounds.at(-1)! : 0;
  const cost = of.cost + drunk + of.worth * (siteDays * LOSS_PER_SITE_DAY + heldDays * LOSS_PER_HELD_DAY);
  return {
    ...{ varietyId: variety.id, sowDay: bounds[0]!, readyDay: bounds.at(-1)!, endDay },
    sowing: {
      ...{ variety: of.index, day: bounds[0]! - start, fixed: null, least: Math.min(of.least, units), most: units },
      ...{ cost, stays, lots, work, pickMinutesPerUnit: of.minutes.pickUnit, held: null },
    },
  };
}

/** Plants in each stage for one that is finished; in the first, cells. Whole plants take half a one more than shares do, on the mean. */
function plantsPerFinished({ stages }: PlanVariety, cells: number, usualPlants: number): number[] {
  const counts = new Array<number>(stages.length).fill(cells);
  let needed = 1;
  for (let stage = stages.length - 1; stage > 0; stage--) {
    needed /= Math.max(1e-6, stages[stage]!.survival);
    counts[stage] = Math.min(needed > 1 ? needed + 0.5 / Math.max(1, usualPlants) : needed, cells);
  }
  return counts;
}
