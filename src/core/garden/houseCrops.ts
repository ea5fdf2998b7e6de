import { insideDay, type InsideDay } from "../place/climate/houseAir";
import { normalDay, type ClimateNormals, type OutsideDay } from "../place/climate/normals";
import { dailyLightMol } from "../place/climate/sun";
import { dayOfYear, type Day } from "../units/day";
import { growingYear } from "./clocks";
import type { Garden, House, Variety } from "./garden";
import type { Worked } from "./worked";

/** How a week of the year suits a crop in a house. */
export type CropWeek = "good" | "cold" | "hot" | "dark" | "untold";

/** The varieties with a stage in a house, and how each week of a normal year suits them there. */
export interface CropBand {
  readonly varietyId: number;
  readonly name: string;
  /** 52, from the first week of January. */
  readonly weeks: readonly CropWeek[];
}

/** Under this share of the light wanted a crop is drawn out. */
const DARK_SHARE = 0.5;

/**
 * When the crops of a house are inside their bands: the mean of the day over where growth begins, the warmest under where it
 * ends, and at least half of the light wanted.
 */
export function cropBands(garden: Garden, house: House, outside: readonly OutsideDay[]): CropBand[] {
  const days = growingYear(outside, house, null);
  const areas = new Set(
    garden.stands.filter(({ houseId }) => houseId === house.id).map((stand) => stand.growingAreaId),
  );
  return garden.varieties
    .filter(({ stages }) => stages.length > 0 && areas.has(stages.at(-1)!.growingAreaId))
    .map((variety) => ({
      varietyId: variety.id,
      name: variety.name,
      weeks: Array.from({ length: 52 }, (_, week) => {
        const day = days?.[week * 7 + 3];
        return day ? weekFor(variety, day) : "untold";
      }),
    }));
}

function weekFor(
  { airBaseC, airCeilingC, lightMolPerM2Day }: Variety,
  { lowestC, highestC, dliMol }: { readonly lowestC: number; readonly highestC: number; readonly dliMol: number },
): CropWeek {
  if (airBaseC === null || airCeilingC === null) return "untold";
  if ((lowestC + highestC) / 2 < airBaseC) return "cold";
  if (highestC > airCeilingC) return "hot";
  return lightMolPerM2Day !== null && dliMol < DARK_SHARE * lightMolPerM2Day ? "dark" : "good";
}

/** A day of weather that was measured. */
export interface MeasuredDay {
  readonly day: Day;
  readonly highestC: number;
  readonly lowestC: number;
}

/** A day of the coming week in a house. */
export interface DayAhead {
  readonly day: Day;
  readonly highestC: number;
  readonly lowestC: number;
  /** Frost in the house, or nearly: 2 °C at plant height is frost on a leaf. */
  readonly isFrost: boolean;
  /** Crops that stand there and are harmed by chill. */
  readonly chills: readonly string[];
  /** Crops that stand there for which it gets too hot. */
  readonly tooHot: readonly string[];
}

export interface WeekAhead {
  readonly days: readonly DayAhead[];
  /** By how much the last measured days differed from the months; null: only the months are known. */
  readonly warmerByC: { readonly low: number; readonly high: number; readonly days: number } | null;
}

const DAYS_AHEAD = 7;
/** Measured days older than this say nothing of the coming ones. */
export const MEASURED_WITHIN_DAYS = 10;
const FROST_C = 2;
/** Crops of warm places are harmed under it, over days. */
const CHILL_C = 8;

/**
 * The coming week in a house: the months of the place, moved by what the last days were measured against them. It is no
 * forecast.
 *
 * @param measured daily weather of the place, any order
 */
export function weekAhead(
  { garden, placed, plan }: Pick<Worked, "garden" | "placed" | "plan">,
  normals: ClimateNormals,
  house: House,
  measured: readonly MeasuredDay[],
  today: Day,
): WeekAhead {
  const latest = measured.filter(({ day }) => day < today && day >= today - MEASURED_WITHIN_DAYS);
  const differs = latest.map(({ day, highestC, lowestC }) => {
    const normal = normalDay(normals, dayOfYear(day));
    return { low: lowestC - normal.lowestC, high: highestC - normal.highestC };
  });
  const mean = (of: "low" | "high") => differs.reduce((sum, one) => sum + one[of], 0) / Math.max(1, differs.length);
  const by = differs.length === 0 ? null : { low: mean("low"), high: mean("high"), days: differs.length };
  const areas = garden.stands.filter(({ houseId }) => houseId === house.id).map((stand) => stand.growingAreaId);
  const days = Array.from({ length: DAYS_AHEAD }, (_, ahead): DayAhead => {
    const day = today + ahead;
    const { highestC, lowestC } = insideOn(normals, house, day, by);
    const standing = standingIn({ garden, placed, plan }, areas, day);
    return {
      ...{ day, highestC, lowestC },
      isFrost: lowestC <= FROST_C && standing.length > 0,
      chills:
        lowestC < CHILL_C ? standing.filter((one) => one.notModelled.includes("chilling")).map(({ name }) => name) : [],
      tooHot: standing.filter((one) => one.airCeilingC !== null && highestC > one.airCeilingC).map(({ name }) => name),
    };
  });
  return { days, warmerByC: by };
}

/** Something that the coming week does to a house. */
export interface WeatherAlert {
  readonly house: string;
  readonly kind: "frost" | "chill" | "heat";
  readonly day: Day;
  /** At worst on that day. */
  readonly airC: number;
  readonly crops: readonly string[];
}

/**
 * The first day of frost, chill and heat in each house of the coming week. Without measured days only frost is told: the
 * months alone say nothing of a hot week.
 */
export function weatherAlerts(
  worked: Pick<Worked, "garden" | "placed" | "plan">,
  normals: ClimateNormals,
  measured: readonly MeasuredDay[],
  today: Day,
): WeatherAlert[] {
  return worked.garden.houses.filter(isTold).flatMap((house): WeatherAlert[] => {
    const { days, warmerByC } = weekAhead(worked, normals, house, measured, today);
    const frost = days.find(({ isFrost }) => isFrost);
    const chill = warmerByC && !frost ? days.find(({ chills }) => chills.length > 0) : undefined;
    const heat = warmerByC ? days.find(({ tooHot }) => tooHot.length > 0) : undefined;
    const of = (kind: WeatherAlert["kind"], day: DayAhead, airC: number, crops: readonly string[]): WeatherAlert => ({
      ...{ house: house.name, kind, day: day.day, airC, crops },
    });
    return [
      ...(frost ? [of("frost", frost, frost.lowestC, [])] : []),
      ...(chill ? [of("chill", chill, chill.lowestC, chill.chills)] : []),
      ...(heat ? [of("heat", heat, heat.highestC, heat.tooHot)] : []),
    ];
  });
}

/** How warm a room behind solid walls is, the weather outside does not say. */
const isTold = ({ cover, heatedToC, warmerByNightC }: House) =>
  cover !== "solid" || heatedToC !== null || warmerByNightC !== 0;

function insideOn(normals: ClimateNormals, house: House, day: Day, by: WeekAhead["warmerByC"]): InsideDay {
  const normal = normalDay(normals, dayOfYear(day));
  const lowestC = Math.min(60, Math.max(-70, normal.lowestC + (by?.low ?? 0)));
  const highestC = Math.min(70, Math.max(lowestC, normal.highestC + (by?.high ?? 0)));
  return insideDay(house, { ...normal, lowestC, highestC });
}

/** Varieties with plants in some growing areas on a day. */
function standingIn(
  { garden, placed, plan }: Pick<Worked, "garden" | "placed" | "plan">,
  areas: readonly number[],
  day: Day,
): Variety[] {
  const batches = new Set(
    areas.flatMap((id) =>
      (placed.get(id) ?? []).filter(({ stay }) => stay.from <= day && day < stay.to).map(({ stay }) => stay.batchId),
    ),
  );
  const ids = new Set(plan.batches.filter(({ batch }) => batches.has(batch.id)).map(({ variety }) => variety.id));
  return garden.varieties.filter(({ id }) => ids.has(id));
}

/** Light that gets into a house on the middle day of each month without shade, mol/m². */
export function unshadedByMonth(outside: readonly OutsideDay[], house: House): number[] {
  const bare = { ...house, shadeShare: 0 };
  return [15, 45, 74, 105, 135, 166, 196, 227, 258, 288, 319, 349].map((at) =>
    dailyLightMol(insideDay(bare, outside[at]!).radiationMjPerM2Day),
  );
}
