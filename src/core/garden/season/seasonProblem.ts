import { demandsOf } from "../../batches/allocate";
import type { SeasonOrder, SeasonProblem, Sowing } from "../../batches/season/problem";
import { lastDay, varietyClocks } from "../../batches/timeline";
import type { PlanOrder } from "../../batches/types";
import { groupBy } from "../../numeric/groupBy";
import { unitsAtFirst } from "../../growth/harvestPattern";
import { seedOfBatchG } from "../../growth/seedNeed";
import { weekdayOf, type Day } from "../../units/day";
import type { BatchRow, SeasonSettings } from "../garden";
import { planInput } from "../planInput";
import { saltStores } from "../supply";
import type { Worked } from "../worked";
import { drinking, keptSowing } from "./keptSowings";
import { labourOf, waterOf, withRoom, type LessRoom } from "./seasonLimits";
import { cellsPerPlant, optionsFor, type OptionsOf, type SowingOption } from "./sowingOptions";

/** The next days are left alone: what is to be done then is in people's heads already. */
export const LEFT_ALONE_DAYS = 3;
/** A unit that no price is told of is counted as worth this much. */
const UNTOLD_PRICE = 1;
/** How much an order counts against others. */
const WEIGHTS = { first: 3, usual: 1, spare: 0.4 } as const;
/** Crops that take longer than this from seed to their last picking are looked at so far behind the season. */
const LONGEST_TAIL_DAYS = 400;

/** A batch that stands, is pinned, or is to be sown in the next days: only its harvest is decided. */
export interface KeptBatch {
  readonly batchId: number;
}

/** A market day of a variety, with the orders that it is made of. */
export interface WantedDay {
  readonly varietyId: number;
  readonly day: Day;
  readonly orderIds: readonly number[];
}

/** A garden's season as a problem to solve, and what its parts stand for. */
export interface GardenSeason {
  readonly problem: SeasonProblem;
  readonly from: Day;
  /** Days that are planned; the problem goes on behind them so that the season does not end in an empty house. */
  readonly days: number;
  readonly areaIds: readonly number[];
  /** Of each sowing: the batch that is kept, or the one that could be sown. */
  readonly sowings: readonly (KeptBatch | SowingOption)[];
  readonly orders: readonly WantedDay[];
  readonly settings: SeasonSettings;
  readonly stockIds: readonly number[];
  /** Ordered varieties without a price, and those whose seed never comes up or that give nothing. */
  readonly unpriced: readonly string[];
  readonly hopeless: readonly string[];
}

/**
 * A garden's season as a problem: every batch that could be sown from the day after tomorrow's morrow on, for the orders of
 * the days planned and of the longest crop behind them.
 *
 * @param less room that was found not to be usable
 * @param mostTailDays looked at behind the days planned
 */
export function seasonProblem(
  worked: Worked,
  settings: SeasonSettings,
  sowWeekdays: readonly number[],
  less: LessRoom = new Map(),
  mostTailDays = LONGEST_TAIL_DAYS,
): GardenSeason {
  const { garden, today } = worked;
  const days = settings.horizonDays;
  const reach = Math.min(mostTailDays, longestCropDays(worked, today));
  const all = days + reach;
  const input = planInput(garden, worked.growingAreaStands, today, today + all);
  const orders = repeated(garden.orders, today + days, today + all);
  const demands = demandsOf(orders, today, today + all, input.noMarket);
  const byVariety = groupBy(demands, ({ varietyId }) => varietyId);
  const varieties = input.varieties;
  const varietyAt = new Map(varieties.map(({ id }, index) => [id, index]));
  const wantedDays: WantedDay[] = [];
  const wantedOrders: SeasonOrder[] = [];
  const priceOf = new Map(garden.varieties.map(({ id, pricePerUnit }) => [id, pricePerUnit ?? UNTOLD_PRICE]));
  const matters = new Map(garden.orders.map(({ id, matters: how }) => [id, WEIGHTS[how]]));
  for (const demand of demands) {
    const weight = matters.get(demand.orderId) ?? 1;
    const same = wantedDays.findIndex(
      (one, at) => one.varietyId === demand.varietyId && one.day === demand.day && wantedOrders[at]!.weight === weight,
    );
    if (same >= 0) {
      wantedOrders[same] = { ...wantedOrders[same]!, units: wantedOrders[same]!.units + demand.wanted };
      wantedDays[same] = { ...wantedDays[same]!, orderIds: [...wantedDays[same]!.orderIds, demand.orderId] };
      continue;
    }
    wantedDays.push({ varietyId: demand.varietyId, day: demand.day, orderIds: [demand.orderId] });
    wantedOrders.push({
      ...{ variety: varietyAt.get(demand.varietyId)!, day: demand.day - today, units: demand.wanted },
      ...{ valueEach: priceOf.get(demand.varietyId)!, weight },
    });
  }
  const areaIds = input.growingAreas.map(({ id }) => id);
  const areaAt = new Map(input.growingAreas.map(({ id, cleaningDays }, index) => [id, { index, cleaningDays }]));
  const stockSalts = settings.buysSalts
    ? []
    : saltStores(garden, worked.feeds).filter(({ gPerLByLoop }) => gPerLByLoop.size > 0);
  const drinks = drinking(
    input,
    stockSalts.map(({ gPerLByLoop }) => gPerLByLoop),
  );
  const isOpen = new Set(
    garden.batches.filter((batch) => isOpenBatch(batch, { from: today, days })).map(({ id }) => id),
  );
  const kept = worked.plan.batches.filter(({ batch }) => batch.clearedDay === null && !isOpen.has(batch.id));
  const sowings: (KeptBatch | SowingOption)[] = kept.map(({ batch }) => ({ batchId: batch.id }));
  const rows: Sowing[] = kept.map((one) => keptSowing(one, varietyAt, areaAt, drinks, today, settings));
  const off = new Set(garden.closedDays.filter(({ kind }) => kind === "off").map(({ day }) => day));
  const wages = (settings.wagePerHour ?? 0) / 60;
  const hopeless: string[] = [];
  for (const [index, variety] of varieties.entries()) {
    const own = byVariety.get(variety.id);
    if (!own) continue;
    const perPlant = unitsAtFirst(variety.pattern);
    const usual = median(own.map(({ wanted }) => wanted)) / Math.max(1e-9, perPlant);
    const cells = perPlant > 0 ? cellsPerPlant(variety, usual, settings.confidence) : "never";
    if (cells === "never") {
      hopeless.push(variety.name);
      continue;
    }
    const wanted = new Map<Day, number>();
    for (const { day, wanted: units } of own) wanted.set(day, (wanted.get(day) ?? 0) + units);
    const row = garden.varieties.find(({ id }) => id === variety.id)!;
    const minutes = {
      sowCell: settings.sowSecondsPerCell / 60,
      movePlant: settings.moveSecondsPerPlant / 60,
      pickUnit: settings.pickSecondsPerUnit / 60,
    };
    const of: OptionsOf = {
      ...{
        variety,
        index,
        from: today,
        wanted,
        cellsPerPlant: cells,
        usualPlants: usual,
        areaAt,
        minutes,
        closed: off,
      },
      clocks: varietyClocks(variety, today - 10, today + all + 800),
      least: settings.leastBatch,
      worth: perPlant * priceOf.get(variety.id)!,
      cost:
        seedOfBatchG(row, cells) * (row.seedPricePerG ?? 0) +
        wages * (cells * minutes.sowCell + Math.max(0, variety.stages.length - 1) * minutes.movePlant),
      litresOn: (stage, from, to) => drinks(variety, stage, from, to),
    };
    const planned = new Set(
      garden.batches
        .filter(({ id, varietyId }) => varietyId === variety.id && isOpen.has(id))
        .map(({ sowDay }) => sowDay),
    );
    const sowDays: Day[] = [];
    for (let day = today + LEFT_ALONE_DAYS; day < today + all; day++)
      if ((sowWeekdays.includes(weekdayOf(day)) && !off.has(day)) || planned.has(day)) sowDays.push(day);
    for (const option of optionsFor(of, sowDays, planned)) {
      sowings.push(option);
      rows.push(option.sowing);
    }
  }
  const problem: SeasonProblem = {
    days: all,
    areas: [],
    water: waterOf(garden, input, today, all),
    labourMinutes: labourOf(settings, off, today, all),
    ...(stockSalts.length > 0 && { stocks: stockSalts.map(({ name, onHandG }) => ({ id: name, amount: onHandG })) }),
    waterPricePerL: 0,
    varieties: varieties.map(({ id, name }) => ({
      id: name,
      wastePerUnit: settings.wasteShare * priceOf.get(id)!,
    })),
    sowings: rows,
    orders: wantedOrders,
  };
  return {
    ...{ from: today, days, areaIds, sowings, orders: wantedDays, settings, hopeless },
    problem: withRoom(problem, input, less),
    stockIds: stockSalts.map(({ id }) => id),
    unpriced: garden.varieties
      .filter(({ id, pricePerUnit }) => pricePerUnit === null && byVariety.has(id))
      .map(({ name }) => name),
  };
}

/** Orders that still run when the days planned end are taken to go on behind them. */
function repeated(orders: readonly PlanOrder[], end: Day, all: Day): PlanOrder[] {
  return orders.map((order) =>
    order.to >= end - 7 && order.from < end ? { ...order, to: Math.max(order.to, all) } : order,
  );
}

function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 1;
}

/** Days from sowing to the last picking of the slowest crop that is ordered. */
function longestCropDays({ garden, input, plan }: Worked, today: Day): number {
  const ordered = new Set(garden.orders.map(({ varietyId }) => varietyId));
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
