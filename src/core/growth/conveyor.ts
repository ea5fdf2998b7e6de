import { wholeDown, wholeUp } from "../numeric/whole";
import { requireFigures, requireRange, GREATEST, type FigureRange } from "../units/range";
import { traysFor, trayYieldG, type TraySown } from "./trayYield";

/** A crop of trays on its way: soaked off the rack, then dark, then light. */
export interface TrayCrop extends TraySown {
  readonly soakH: number;
  readonly blackoutDays: number;
  readonly lightDays: number;
  readonly halfTrays: boolean;
}

const DAYS: FigureRange = [0, 60, "whole"];
const WEEK = 7;

function requireCrop(where: string, { soakH, blackoutDays, lightDays }: TrayCrop): void {
  requireFigures(where, { soakH, blackoutDays, lightDays }, { soakH: [0, 96], blackoutDays: DAYS, lightDays: DAYS });
  requireRange(where, "days on the rack", blackoutDays + lightDays, 1, 120);
}

/** A rack that is sown and cut every day. */
export interface DailyTrays {
  readonly yieldGPerTray: number;
  readonly traysPerDay: number;
  readonly daysOnRack: number;
  readonly traysOnRack: number;
  /** With those that are being cleaned. */
  readonly rackPlaces: number;
  /** Trays on the rack where a half tray takes a whole place. */
  readonly onRackIfHalvesTakeOne: number;
  /** At most at one time. */
  readonly traysInSoak: number;
  readonly seedGPerDay: number;
  readonly cutGPerDay: number;
  readonly surplusGPerDay: number;
}

/**
 * Trays to start each day for a daily need, and what stands on the rack once it runs.
 *
 * @param needGPerDay 0 or more
 * @param cleaningDays a place stays empty after a cut, whole, 0–60
 * @throws RangeError when a figure is outside its range
 * @source Little's law; tests/reference/growth/shoots.json, conveyor, and trays.json, daily
 */
export function dailyTrays(crop: TrayCrop, needGPerDay: number, cleaningDays = 0): DailyTrays {
  requireCrop("dailyTrays", crop);
  requireFigures("dailyTrays", { needGPerDay, cleaningDays }, { needGPerDay: [0, GREATEST], cleaningDays: DAYS });
  const yieldGPerTray = trayYieldG(crop);
  const traysPerDay = traysFor(needGPerDay, yieldGPerTray, crop.halfTrays);
  const daysOnRack = crop.blackoutDays + crop.lightDays;
  const cutGPerDay = traysPerDay * yieldGPerTray;
  return {
    ...{ yieldGPerTray, traysPerDay, daysOnRack, cutGPerDay },
    traysOnRack: traysPerDay * daysOnRack,
    rackPlaces: traysPerDay * (daysOnRack + cleaningDays),
    onRackIfHalvesTakeOne: wholeUp(traysPerDay) * daysOnRack,
    traysInSoak: traysPerDay * wholeUp(crop.soakH / 24),
    seedGPerDay: traysPerDay * crop.seedGPerTray,
    surplusGPerDay: Math.max(0, cutGPerDay - needGPerDay),
  };
}

/** What is wanted of a crop on a day of the week. */
export interface MarketNeed<Crop extends string> {
  readonly crop: Crop;
  /** 1 Monday … 7 Sunday. */
  readonly weekday: number;
  readonly needG: number;
}

/** A sowing of a crop, each week on that day. */
export interface WeeklySowing<Crop extends string> {
  readonly crop: Crop;
  readonly weekday: number;
  readonly trays: number;
  /** The day of the week on which it is cut. */
  readonly cutOn: number;
}

export interface MarketTrays<Crop extends string> {
  readonly sowings: readonly WeeklySowing<Crop>[];
  /** Trays on the rack on each day of the week, Monday first. */
  readonly onRack: readonly number[];
  /** The same with places that are being cleaned. */
  readonly places: readonly number[];
  readonly peakPlaces: number;
  readonly seedGPerWeek: Readonly<Record<Crop, number>>;
}

/**
 * Trays of several crops on one rack for market days, week after week: each is cut on the day itself and sown its days on the
 * rack before.
 *
 * @param crops by name
 * @param needs of each crop and market day
 * @param cleaningDays a place stays empty after a cut, whole, 0–60
 * @throws RangeError when a figure is outside its range
 * @source tests/reference/growth/trays.json, marketDays
 */
export function marketTrays<Crop extends string>(
  crops: Readonly<Record<Crop, TrayCrop>>,
  needs: readonly MarketNeed<Crop>[],
  cleaningDays = 0,
): MarketTrays<Crop> {
  requireFigures("marketTrays", { cleaningDays }, { cleaningDays: DAYS });
  const onRack = new Array<number>(WEEK).fill(0);
  const places = new Array<number>(WEEK).fill(0);
  const seedG = Object.fromEntries(Object.keys(crops).map((name) => [name, 0])) as Record<Crop, number>;
  const sowings = needs.map(({ crop: name, weekday, needG }): WeeklySowing<Crop> => {
    const crop = crops[name];
    requireCrop("marketTrays", crop);
    requireFigures("marketTrays", { weekday }, { weekday: [1, WEEK, "whole"] });
    const trays = traysFor(needG, trayYieldG(crop), crop.halfTrays);
    const daysOnRack = crop.blackoutDays + crop.lightDays;
    const cut = weekday - 1;
    seedG[name] += trays * crop.seedGPerTray;
    for (let back = 1; back <= daysOnRack; back++) onRack[turned(cut - back)]! += trays;
    for (let day = -daysOnRack; day < cleaningDays; day++) places[turned(cut + day)]! += trays;
    return { crop: name, weekday: turned(cut - daysOnRack) + 1, trays, cutOn: weekday };
  });
  return { sowings, onRack, places, peakPlaces: Math.max(...places), seedGPerWeek: seedG };
}

/** A day of the week, 0 Monday … 6 Sunday, however far off. */
const turned = (day: number) => ((day % WEEK) + WEEK) % WEEK;

/**
 * The most trays that a rack carries at each start once it runs.
 *
 * @param rackPlaces whole, 0–100 000; a half tray takes half a place
 * @param startEveryDays whole, 1–60
 * @throws RangeError when a figure is outside its range
 * @source batches at once = ⌈(days + cleaning) ÷ days between starts⌉; tests/reference/growth/trays.json, rackCarries
 * @example rackCarries(24, { daysOnRack: 8, cleaningDays: 0, startEveryDays: 2, halfTrays: false }).traysPerStart // 6
 */
export function rackCarries(
  rackPlaces: number,
  rhythm: {
    readonly daysOnRack: number;
    readonly cleaningDays: number;
    readonly startEveryDays: number;
    readonly halfTrays: boolean;
  },
): { readonly traysPerStart: number; readonly peakPlaces: number } {
  const { daysOnRack, cleaningDays, startEveryDays, halfTrays } = rhythm;
  requireFigures(
    "rackCarries",
    { rackPlaces, daysOnRack, cleaningDays, startEveryDays },
    {
      rackPlaces: [0, 100_000, "whole"],
      daysOnRack: [1, 120, "whole"],
      cleaningDays: DAYS,
      startEveryDays: [1, 60, "whole"],
    },
  );
  const atOnce = wholeUp((daysOnRack + cleaningDays) / startEveryDays);
  const parts = halfTrays ? 2 : 1;
  const traysPerStart = wholeDown((rackPlaces * parts) / atOnce) / parts;
  return { traysPerStart, peakPlaces: traysPerStart * atOnce };
}
