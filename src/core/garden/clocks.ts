import type { Stall } from "../growth/stageDays";
import { dailyProgress, type GrowingDay, type ThermalLightStage } from "../growth/thermalLight";
import { insideDay, LIGHT_THROUGH } from "../place/climate/houseAir";
import { MOL_PER_UMOL_HOUR } from "../place/climate/lamps";
import type { OutsideDay } from "../place/climate/normals";
import { dailyLightMol } from "../place/climate/sun";
import { standCounts } from "../place/standCounts";
import { outsideYear } from "./climate";
import type { Garden, House, Stage, Stand, Variety } from "./garden";
import { learnedStages } from "./learnedDays";
import { memo } from "./memo";
import { germinationFigure } from "./seed";

/** Why the days of a stage are not worked out from warmth and light, though they should be. */
export type ClockFault =
  | { readonly kind: "no-climate" }
  | { readonly kind: "no-temperatures" }
  | { readonly kind: "no-light-wanted" }
  | { readonly kind: "no-stand"; readonly growingAreaId: number }
  | { readonly kind: "no-lamp-strength"; readonly houseName: string };

type Clocked = Pick<Garden, "climate" | "latitudeDeg" | "houses" | "stands" | "varieties" | "batches">;

/** Temperatures of a crop that are told to be the same are held so far apart. */
const APART_C = 0.2;
/** Less light than this is no light that a crop could want. */
const LEAST_DLI_MOL = 0.1;
/** Progress is kept to a ten-millionth of a stage, the same on the server and in the browser. */
const STEP = 1e7;

/** What plants need of the climate to grow by it; null where something of it is not told. */
export function thermalStage(variety: Variety, stage: Stage): ThermalLightStage | ClockFault {
  const { airBaseC, airOptimumC, airCeilingC, lightMolPerM2Day } = variety;
  if (airBaseC === null || airOptimumC === null || airCeilingC === null) return { kind: "no-temperatures" };
  if (stage.usesLight && !lightMolPerM2Day) return { kind: "no-light-wanted" };
  const referenceDliMol = Math.max(LEAST_DLI_MOL, lightMolPerM2Day ?? 0);
  const optimumC = Math.max(airOptimumC, airBaseC + APART_C);
  return {
    referenceDays: stage.referenceDays ?? Math.min(...stage.daysByMonth),
    baseC: airBaseC,
    optimumC,
    maxC: Math.max(airCeilingC, optimumC + APART_C),
    halfLightMol: variety.halfLightMol ?? Math.max(LEAST_DLI_MOL, referenceDliMol / 2),
    referenceDliMol,
    usesLight: stage.usesLight,
  };
}

/** Light that lamps bring in a day, mol/m²; null where they burn but their strength is not told. */
function lampMol(house: House, stand: Pick<Stand, "lampsUmolPerM2S" | "lampHours"> | null): number | null {
  const own = (stand?.lampsUmolPerM2S ?? 0) * (stand?.lampHours ?? 0) * MOL_PER_UMOL_HOUR;
  const { lampsFromMin, lampsToMin, lampsUmolPerM2S } = house;
  if (lampsFromMin === null || lampsToMin === null) return own;
  if (lampsUmolPerM2S === null) return own > 0 ? own : null;
  const hours = (lampsToMin > lampsFromMin ? lampsToMin - lampsFromMin : 1440 - lampsFromMin + lampsToMin) / 60;
  return own + lampsUmolPerM2S * hours * MOL_PER_UMOL_HOUR;
}

/**
 * What each day of the normal year gives plants in a house, on a stand with its mat and lamps.
 * @param stand null: without any of its own
 * @returns 366 days; null where lamps burn whose strength is not told
 */
export function growingYear(
  outside: readonly OutsideDay[],
  house: House,
  stand: Pick<Stand, "matC" | "lampsUmolPerM2S" | "lampHours"> | null,
): readonly GrowingDay[] | null {
  const lamps = lampMol(house, stand);
  if (lamps === null) return null;
  const matC = stand?.matC ?? -Infinity;
  return outside.map((day) => {
    const { lowestC, highestC, radiationMjPerM2Day } = insideDay(house, day);
    return {
      lowestC: Math.max(lowestC, matC),
      highestC: Math.max(highestC, matC),
      dliMol: dailyLightMol(radiationMjPerM2Day) + lamps,
    };
  });
}

/** The years of the stands that serve a growing area, with the share of its sites that each has. */
interface AreaYear {
  readonly share: number;
  readonly days: readonly GrowingDay[];
}

function areaYears(garden: Clocked, outside: readonly OutsideDay[], areaId: number): readonly AreaYear[] | ClockFault {
  const own = garden.stands.filter(({ growingAreaId }) => growingAreaId === areaId);
  const sites = own.map(({ spec }) => standCounts(spec).sites);
  const all = sites.reduce((sum, count) => sum + count, 0);
  if (all === 0) return { kind: "no-stand", growingAreaId: areaId };
  // Stands that give their plants the same year are worked out once.
  const byYear = new Map<string, AreaYear>();
  for (const [at, stand] of own.entries()) {
    const key = [stand.houseId, stand.matC, stand.lampsUmolPerM2S, stand.lampHours].join();
    const known = byYear.get(key);
    const house = garden.houses.find(({ id }) => id === stand.houseId)!;
    const days = known?.days ?? growingYear(outside, house, stand);
    if (!days) return { kind: "no-lamp-strength", houseName: house.name };
    byYear.set(key, { days, share: (known?.share ?? 0) + sites[at]! / all });
  }
  return [...byYear.values()];
}

/**
 * Share of a stage that each day of the year brings where it is spent, the mean over its sites.
 * @param years of the stands; shares sum to one
 */
export function progressByDay(stage: ThermalLightStage, years: readonly AreaYear[]): number[] {
  return years[0]!.days.map((_, at) => {
    const progress = years.reduce((sum, { share, days }) => sum + share * dailyProgress(stage, days[at]!), 0);
    // No stage is over within less than a day.
    return Math.round(Math.min(1, progress) * STEP) / STEP;
  });
}

/** Why a variety that should go by warmth and light goes by its table; null where it does not have to. */
export function clockFault(garden: Clocked, variety: Variety): ClockFault | null {
  if (variety.clock !== "warmth") return null;
  const outside = outsideYear(garden);
  if (!outside) return { kind: "no-climate" };
  for (const stage of variety.stages) {
    const thermal = thermalStage(variety, stage);
    if ("kind" in thermal) return thermal;
    const years = areaYears(garden, outside, stage.growingAreaId);
    if ("kind" in years) return years;
  }
  return null;
}

/**
 * The varieties of a garden with the clocks of their stages: by the calendar, by the table read at the start, or by warmth
 * and light where each stage is spent; with what their batches have taught. Where something for warmth and light is missing, the whole variety goes by its
 * table (`clockFault` tells why).
 */
export function clockedVarieties(garden: Clocked): readonly Variety[] {
  const { varieties, batches, stands, houses, climate, latitudeDeg } = garden;
  const byTheirClocks = varieties.every(({ clock }) => clock === "calendar")
    ? varieties
    : memo("clocks", [varieties, stands, houses, climate, latitudeDeg], () => {
        const outside = outsideYear(garden);
        return varieties.map((variety) => clocked(garden, outside, variety));
      });
  return memo("learned", [byTheirClocks, batches], () => withLearned(byTheirClocks, batches));
}

/** The same list where nothing was learned. */
function withLearned(varieties: readonly Variety[], batches: Garden["batches"]): readonly Variety[] {
  let hasLearned = false;
  const learned = varieties.map((variety) => {
    const { used } = germinationFigure(variety, batches);
    const ratios = learnedStages(variety, batches);
    if (used === variety.germination && !ratios) return variety;
    hasLearned = true;
    const stages = ratios
      ? variety.stages.map((stage, at) => (ratios[at] === 1 ? stage : { ...stage, learnedRatio: ratios[at]! }))
      : variety.stages;
    return { ...variety, germination: used, stages };
  });
  return hasLearned ? learned : varieties;
}

function clocked(garden: Clocked, outside: readonly OutsideDay[] | null, variety: Variety): Variety {
  if (variety.clock === "calendar") return variety;
  if (variety.clock === "start")
    return { ...variety, stages: variety.stages.map((stage) => ({ ...stage, daysRead: "start" })) };
  if (!outside || clockFault(garden, variety)) return variety;
  return { ...variety, stages: variety.stages.map((stage) => warmthStage(garden, outside, variety, stage)) };
}

function warmthStage(garden: Clocked, outside: readonly OutsideDay[], variety: Variety, stage: Stage): Stage {
  const thermal = thermalStage(variety, stage) as ThermalLightStage;
  const years = memo(`growing years of ${stage.growingAreaId}`, [garden.stands, garden.houses, outside], () =>
    areaYears(garden, outside, stage.growingAreaId),
  ) as readonly AreaYear[];
  return { ...stage, progressByDay: progressByDay(thermal, years) };
}

/** What keeps a stage from getting on in a month. */
export type StallCause = "cold" | "hot" | "dark";

/** What keeps a variety from getting on where it stalls; null where it does not go by warmth and light. */
export function stallCauseOf(garden: Clocked, variety: Variety, { stage, month }: Stall): StallCause | null {
  const outside = outsideYear(garden);
  const stalled = variety.stages[stage];
  if (!outside || !stalled?.progressByDay) return null;
  const thermal = thermalStage(variety, stalled);
  const years = areaYears(garden, outside, stalled.growingAreaId);
  return "kind" in thermal || "kind" in years ? null : stallCause(thermal, years[0]!.days, month);
}

/**
 * What stands in the way in a month, of cold, heat and dark the one that leaves least.
 * @param month 1 January … 12 December
 */
function stallCause(stage: ThermalLightStage, days: readonly GrowingDay[], month: number): StallCause {
  const middle = days[Math.min(days.length - 1, Math.round((month - 0.5) * (366 / 12)))]!;
  const meanC = (middle.lowestC + middle.highestC) / 2;
  const inLight = { ...middle, dliMol: stage.referenceDliMol };
  const byWarmth = dailyProgress(stage, inLight) * stage.referenceDays;
  const byLight = stage.usesLight ? middle.dliMol / (middle.dliMol + stage.halfLightMol) : 1;
  if (byLight < byWarmth) return "dark";
  return meanC < stage.optimumC ? "cold" : "hot";
}

/** A house in which the last stage of a variety could be spent, and how it would get on there. */
export interface ElsewhereYear {
  readonly houseId: number;
  readonly name: string;
  readonly stages: readonly Stage[];
}

/**
 * A variety with its last stage in each other house of the garden, without mats and lamps of stands; none where it does not go by
 * warmth and light.
 */
export function inEachHouse(garden: Clocked, variety: Variety): readonly ElsewhereYear[] {
  const outside = outsideYear(garden);
  const last = variety.stages.at(-1);
  if (variety.clock !== "warmth" || !outside || !last?.progressByDay) return [];
  const thermal = thermalStage(variety, last);
  if ("kind" in thermal) return [];
  const stands = garden.stands.filter(({ growingAreaId }) => growingAreaId === last.growingAreaId);
  const own = stands.every(({ houseId }) => houseId === stands[0]?.houseId) ? stands[0]?.houseId : null;
  return garden.houses.flatMap((house) => {
    if (house.id === own) return [];
    const days = growingYear(outside, house, null);
    if (!days || LIGHT_THROUGH[house.cover] + (house.lampsUmolPerM2S ?? 0) === 0) return [];
    const stage = { ...last, progressByDay: progressByDay(thermal, [{ share: 1, days }]) };
    return [{ houseId: house.id, name: house.name, stages: [...variety.stages.slice(0, -1), stage] }];
  });
}
