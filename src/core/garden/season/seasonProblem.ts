import type { SeasonProblem, Sowing } from "../../batches/season/problem";
import { lastDay, varietyClocks } from "../../batches/timeline";
import type { PlanVariety } from "../../batches/types";
import { unitsAtFirst } from "../../growth/harvestPattern";
import { seedOfBatchG } from "../../growth/seedNeed";
import { groupBy } from "../../numeric/groupBy";
import { weekdayOf, type Day } from "../../units/day";
import type { BatchRow, Garden, SeasonSettings } from "../garden";
import { planInput } from "../planInput";
import { saltStores } from "../supply";
import type { Worked } from "../worked";
import { drinking, keptSowing } from "./keptSowings";
import { labourOf, waterOf, withRoom } from "./seasonLimits";
import { cellsPerPlant, optionsFor, type OptionsOf, type SowingOption } from "./sowingOptions";
import { supplyPrices } from "./supplyPrices";
import { wantedDays, type WantedDay } from "./wantedDays";

/** The next days are left alone: what is to be done then is in people's heads already. */
const LEFT_ALONE_DAYS = 3;
/** Crops that take longer than this from seed to their last picking are looked at so far behind the season. */
const LONGEST_TAIL_DAYS = 400;
/** Clocks of stages are set so far past the last day that is looked at. */
const CLOCK_MARGIN_DAYS = 800;

/** A batch that stands, is pinned, or is to be sown in the next days: only its harvest is decided. */
export interface KeptBatch {
  readonly batchId: number;
}

/** A garden's season as a problem to solve, and what its parts stand for. */
export interface GardenSeason {
  readonly problem: SeasonProblem;
  readonly from: Day;
  /** Days that are planned; the problem goes on behind them so that the season does not end in an empty house. */
  readonly days: number;
  /** Of each sowing: the batch that is kept, or the one that could be sown. */
  readonly sowings: readonly (KeptBatch | SowingOption)[];
  readonly orders: readonly WantedDay[];
  readonly settings: SeasonSettings;
  /** Ordered varieties without a price, and those whose seed never comes up or that give nothing. */
  readonly unpriced: readonly string[];
  readonly hopeless: readonly string[];
}

/**
 * A garden's season as a problem: every batch that could be sown once the next days are over, for the orders of the days
 * planned and of the longest crop behind them.
 *
 * @param mostTailDays looked at behind the days planned
 */
export function seasonProblem(
  worked: Worked,
  settings: SeasonSettings,
  sowWeekdays: readonly number[],
  mostTailDays = LONGEST_TAIL_DAYS,
): GardenSeason {
  const { garden, today } = worked;
  const days = settings.horizonDays;
  const all = days + Math.min(mostTailDays, longestCropDays(worked, today));
  const input = planInput(garden, worked.growingAreaStands, today, today + all);
  const { varieties } = input;
  const work = workOf(settings);
  const wanted = wantedDays(garden, input, today + days, today + all, work.wagePerMinute * work.minutes.pickUnit);
  const byVariety = groupBy(wanted.demands, ({ varietyId }) => varietyId);
  const varietyAt = new Map(varieties.map(({ id }, index) => [id, index]));
  const areaAt = new Map(input.growingAreas.map(({ id, cleaningDays }, index) => [id, { index, cleaningDays }]));
  const stocks = settings.buysSalts
    ? []
    : saltStores(garden, worked.feeds).filter(({ gPerLByLoop }) => gPerLByLoop.size > 0);
  const drinks = drinking(
    input,
    stocks.map(({ gPerLByLoop }) => gPerLByLoop),
    supplyPrices(worked),
  );
  const open = garden.batches.filter((batch) => isOpenBatch(batch, { from: today, days }));
  const openIds = new Set(open.map(({ id }) => id));
  const kept = worked.plan.batches.filter(({ batch }) => batch.clearedDay === null && !openIds.has(batch.id));
  const off = new Set(garden.closedDays.filter(({ kind }) => kind === "off").map(({ day }) => day));
  const hopeless: string[] = [];
  const options = varieties.flatMap((variety, index) => {
    const own = byVariety.get(variety.id);
    if (!own) return [];
    const usualPlants = median(own.map((demand) => demand.wanted)) / Math.max(1e-9, unitsAtFirst(variety.pattern));
    const cells =
      unitsAtFirst(variety.pattern) > 0 ? cellsPerPlant(variety, usualPlants, settings.confidence) : "never";
    if (cells === "never") {
      hopeless.push(variety.name);
      return [];
    }
    const wantedOn = new Map<Day, number>();
    for (const demand of own) wantedOn.set(demand.day, (wantedOn.get(demand.day) ?? 0) + demand.wanted);
    const of: OptionsOf = {
      ...{ variety, index, from: today, wanted: wantedOn, cellsPerPlant: cells, usualPlants, areaAt, closed: off },
      ...{ least: settings.leastBatch, minutes: work.minutes },
      clocks: varietyClocks(variety, today - 10, today + all + CLOCK_MARGIN_DAYS),
      worth: unitsAtFirst(variety.pattern) * wanted.priceOf.get(variety.id)!,
      cost: costOfPlant(garden, variety, cells, work),
      litresOn: (stage, from, to) => drinks(variety, stage, from, to),
    };
    const planned = new Set(open.filter(({ varietyId }) => varietyId === variety.id).map(({ sowDay }) => sowDay));
    const isSowDay = (day: Day) => planned.has(day) || (sowWeekdays.includes(weekdayOf(day)) && !off.has(day));
    const ahead = Array.from({ length: all - LEFT_ALONE_DAYS }, (_, at) => today + LEFT_ALONE_DAYS + at);
    return optionsFor(of, ahead.filter(isSowDay), planned);
  });
  const sowings: Sowing[] = [
    ...kept.map((one) => keptSowing(one, varietyAt, areaAt, drinks, today, settings)),
    ...options.map(({ sowing }) => sowing),
  ];
  return {
    ...{ from: today, days, orders: wanted.days, settings, hopeless },
    sowings: [...kept.map(({ batch }): KeptBatch => ({ batchId: batch.id })), ...options],
    problem: {
      // Each sowing bears what it drinks, at the price of its days.
      ...{ days: all, sowings, orders: wanted.orders, waterPricePerL: 0 },
      areas: withRoom(input, sowings, all),
      water: waterOf(garden, input, today, all),
      labourMinutes: labourOf(settings, off, today, all),
      ...(stocks.length > 0 && { stocks: stocks.map(({ name, onHandG }) => ({ id: name, amount: onHandG })) }),
      varieties: varieties.map(({ id, name }) => ({
        id: name,
        wastePerUnit: settings.wasteShare * wanted.priceOf.get(id)!,
      })),
    },
    unpriced: garden.varieties
      .filter(({ id, pricePerUnit }) => pricePerUnit === null && byVariety.has(id))
      .map(({ name }) => name),
  };
}

interface Work {
  readonly minutes: OptionsOf["minutes"];
  readonly wagePerMinute: number;
}

function workOf(settings: SeasonSettings): Work {
  const { sowSecondsPerCell, moveSecondsPerPlant, pickSecondsPerUnit, wagePerHour } = settings;
  return {
    minutes: {
      sowCell: sowSecondsPerCell / 60,
      movePlant: moveSecondsPerPlant / 60,
      pickUnit: pickSecondsPerUnit / 60,
    },
    wagePerMinute: wagePerHour / 60,
  };
}

/** Seed of a finished plant, and the work until it is picked. */
function costOfPlant({ varieties }: Garden, variety: PlanVariety, cells: number, { minutes, wagePerMinute }: Work) {
  const row = varieties.find(({ id }) => id === variety.id)!;
  const moves = variety.stages.length - 1;
  return (
    seedOfBatchG(row, cells) * (row.seedPricePerG ?? 0) +
    wagePerMinute * (cells * minutes.sowCell + moves * minutes.movePlant)
  );
}

function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 1;
}

/** Days from sowing to the last picking of the slowest crop that is ordered. */
function longestCropDays({ garden, input, plan }: Worked, today: Day): number {
  const atHome = garden.varieties.filter(({ eatenPerWeek }) => eatenPerWeek !== null);
  const ordered = new Set([...garden.orders.map(({ varietyId }) => varietyId), ...atHome.map(({ id }) => id)]);
  const days = plan.batches
    .filter(({ variety, stays }) => ordered.has(variety.id) && stays[0]!.from >= today - 400)
    .map(({ batch, variety, readyDay }) => lastDay({ ...batch, clearedDay: null }, variety, readyDay) - batch.sowDay);
  const told = input.varieties
    .filter(({ id }) => ordered.has(id))
    .map(({ stages }) => stages.reduce((sum, { daysByMonth }) => sum + Math.max(...daysByMonth), 0));
  return Math.ceil(Math.max(28, ...days, ...told));
}

/** A batch that a solved plan may move or drop. */
export function isOpenBatch(
  { begun, clearedDay, pinned, sowDay }: BatchRow,
  { from, days }: Pick<GardenSeason, "from" | "days">,
): boolean {
  return (
    begun.length === 0 && clearedDay === null && !pinned && sowDay >= from + LEFT_ALONE_DAYS && sowDay < from + days
  );
}
