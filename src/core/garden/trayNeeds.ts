import { marketTrays, type MarketNeed, type MarketTrays, type TrayCrop } from "../growth/conveyor";
import { trayYieldG } from "../growth/trayYield";
import { traysOf } from "../place/kinds/racks";
import type { Day } from "../units/day";
import { GREATEST } from "../units/range";
import { clockedVarieties } from "./clocks";
import type { Garden, Variety } from "./garden";

/** A crop that is sown in trays by weight, with what it needs and what its rack has. */
export interface TrayCropOf extends TrayCrop {
  readonly varietyId: number;
  readonly name: string;
  readonly isFodder: boolean;
  readonly yieldGPerTray: number;
  readonly seedPricePerG: number | null;
  readonly growingAreaId: number;
  readonly growingArea: string;
  readonly rackPlaces: number;
  readonly cleaningDays: number;
  readonly rinseLPerTray: number;
  readonly rinsesPerDay: number;
}

/** The crops of a garden that are sown in trays by weight, by their names. */
export function trayCrops(garden: Garden): TrayCropOf[] {
  return clockedVarieties(garden).flatMap((variety) => {
    const { tray, germination, soakH, stages, kind } = variety;
    const area = garden.growingAreas.find(({ id }) => id === stages[0]?.growingAreaId);
    if (!tray || !area) return [];
    const racks = garden.stands.flatMap(({ growingAreaId, spec }) =>
      growingAreaId === area.id && spec.kind === "shoots-rack" ? [spec] : [],
    );
    const { seedGPerTray, yieldRatio, germinationOfRatio } = tray;
    const sown = { seedGPerTray, yieldRatio, germinationOfRatio, germination };
    return [
      {
        ...sown,
        ...{ varietyId: variety.id, name: variety.name, isFodder: kind === "fodder", soakH, halfTrays: true },
        blackoutDays: Math.round(tray.blackoutDays),
        lightDays: Math.max(Math.round(tray.blackoutDays) > 0 ? 0 : 1, Math.round(tray.lightDays)),
        yieldGPerTray: trayYieldG(sown),
        seedPricePerG: variety.seedPricePerG,
        growingAreaId: area.id,
        growingArea: area.name,
        rackPlaces: racks.reduce((sum, spec) => sum + traysOf(spec).trays, 0),
        cleaningDays: Math.round(area.cleaningDays),
        rinseLPerTray: racks[0]?.rinseLPerTray ?? 0,
        rinsesPerDay: racks[0]?.rinsesPerDay ?? 0,
      },
    ];
  });
}

/** What the orders ask of the crops of one rack, week after week. */
export interface RackWeek extends MarketTrays<string> {
  readonly growingAreaId: number;
  readonly growingArea: string;
  readonly rackPlaces: number;
  readonly fits: boolean;
}

/**
 * The week of each rack by the orders that run on a day: trays to sow on which weekday, what stands on it, and whether it
 * has the places.
 */
export function rackWeeks(garden: Garden, crops: readonly TrayCropOf[], today: Day): RackWeek[] {
  const areas = [...new Set(crops.map(({ growingAreaId }) => growingAreaId))];
  return areas.flatMap((areaId) => {
    const own = crops.filter(({ growingAreaId }) => growingAreaId === areaId);
    const needs = own.flatMap((crop) => needsOf(garden, crop, today));
    if (needs.length === 0) return [];
    const { cleaningDays, growingArea, rackPlaces } = own[0]!;
    const found = marketTrays(Object.fromEntries(own.map((crop) => [crop.name, crop])), needs, cleaningDays);
    const fits = found.peakPlaces <= rackPlaces;
    return [{ ...found, growingAreaId: areaId, growingArea, rackPlaces, fits }];
  });
}

/** Grams wanted of a crop on each weekday, by what a tray is sold as. */
function needsOf({ orders, varieties }: Garden, crop: TrayCropOf, today: Day): MarketNeed<string>[] {
  const variety: Variety = varieties.find(({ id }) => id === crop.varietyId)!;
  const { pattern } = variety;
  const perTray = pattern.kind === "picking" ? pattern.unitsPerPlantWeek : pattern.unitsPerPlant;
  if (perTray <= 0) return [];
  const byWeekday = new Map<number, number>();
  for (const { varietyId, weekday, quantity, from, to } of orders)
    if (varietyId === crop.varietyId && from <= today + 6 && today <= to)
      byWeekday.set(weekday, (byWeekday.get(weekday) ?? 0) + quantity);
  // A tray is sold as so many units at the germination that its yield was taken at.
  const gPerUnit = (crop.seedGPerTray * crop.yieldRatio) / perTray;
  return [...byWeekday]
    .sort(([a], [b]) => a - b)
    .map(([weekday, units]) => ({ crop: crop.name, weekday, needG: Math.min(GREATEST, units * gPerUnit) }));
}
