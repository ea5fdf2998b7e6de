import { ionsFromElements, type Ion, type IonAmounts } from "../feed/nutrients";
import type { LoopChangeRule } from "../feed/changeRule";
import type { TankDaysInput } from "../feed/tankDays";
import { stageNeedLpd } from "../batches/plantNeed";
import { requireFigures } from "../units/range";
import type { Loop } from "./garden";
import { USUAL_LIMIT_MG_PER_L } from "./waterQuality";
import { plantsWithin, standsWithStays } from "./standing";
import type { Worked } from "./worked";

/** The schools, with what is usual in each. */
export const CHANGE_SCHOOLS: readonly LoopChangeRule[] = [
  { kind: "weeks", weeks: 1 },
  { kind: "weeks", weeks: 4 },
  { kind: "topped-up", tanks: 1 },
  { kind: "limits", sodiumMgPerL: USUAL_LIMIT_MG_PER_L.Na, chlorideMgPerL: USUAL_LIMIT_MG_PER_L.Cl },
  { kind: "never" },
];

/** What a grower may say of it. */
export interface ChangeHabits {
  /** Of the sodium and chloride in the tank, what plants take with the water they drink. */
  readonly saltShare: number;
  readonly minutesPerChange: number;
  readonly minutesPerDay: number;
}
export const USUAL_HABITS: ChangeHabits = { saltShare: 0.1, minutesPerChange: 45, minutesPerDay: 5 };
/** Further ahead nobody plans a solution. */
const MOST_DAYS = 366;

/** Why a loop's tank is not followed. */
export type NotFollowed =
  | "runs-to-waste"
  | "no-recipe"
  | "no-strength"
  | "nothing-drinks"
  /** Fed by a label that does not tell what is in it. */
  | "ions-not-told";

/**
 * What a loop's tank is worked out from: its recipe at the strength that it is run at, its water, what the plan drinks, and what
 * its plants take with each litre.
 *
 * @source tankDays; uptake of the varieties that stand there today, by what they drink; as fed where it is not told
 */
export function changeInput(worked: Worked, loop: Loop, habits: ChangeHabits): TankDaysInput | NotFollowed {
  requireFigures("changeInput", habits, {
    ...{ saltShare: [0, 1], minutesPerChange: [0, 10_000], minutesPerDay: [0, 1440] },
  });
  if (loop.kind !== "recirculating") return "runs-to-waste";
  const feed = worked.feeds.get(loop.id);
  if (!feed) return "no-recipe";
  const { sheet, strength } = feed;
  if (sheet.strength === null) return "no-strength";
  if (sheet.ionsUntold) return "ions-not-told";
  const { plan, input } = worked;
  const from = plan.today - plan.from;
  const needL = plan.needLByLoop.get(loop.id)?.subarray(from, from + MOST_DAYS) ?? new Float64Array(0);
  const openL = input.openWaterLByLoop?.[loop.id]?.subarray(from, from + MOST_DAYS);
  const evaporatedL = needL.map((_, day) => loop.needFactor * (openL?.[day] ?? 0));
  const drunkL = needL.map((litres, day) => Math.max(0, litres - evaporatedL[day]!));
  if (!drunkL.some((litres) => litres > 0)) return "nothing-drinks";
  const { HCO3: _gone, ...waterMmolPerL } = sheet.waterIons;
  return {
    tankL: loop.normalFillL,
    drunkL,
    evaporatedL,
    recipeMmolPerL: sheet.recipeIons,
    recipeGPer1000L: sheet.writtenGPer1000L.reduce((sum, grams) => sum + grams, 0),
    waterMmolPerL,
    strength: sheet.strength,
    topUp: { kind: "strength", strength: sheet.strength },
    uptakeMmolPerL: uptake(worked, loop, fresh(sheet.recipeIons, sheet.strength)),
    uptakeShare: { Na: habits.saltShare, Cl: habits.saltShare },
    ...{ ecLow: strength.ecLow, ecHigh: strength.ecHigh },
    ...{ minutesPerDay: habits.minutesPerDay, minutesPerChange: habits.minutesPerChange },
  };
}

const fresh = (recipe: IonAmounts, strength: number): IonAmounts =>
  Object.fromEntries(Object.entries(recipe).map(([ion, mmol]) => [ion, mmol * strength]));

/** Of the plants that stand on a loop today, by what they drink; a nutrient that their stage does not tell is taken as fed. */
function uptake(worked: Worked, loop: Loop, asFed: IonAmounts): IonAmounts {
  const drinkers = drinkersOn(worked, loop);
  const all = drinkers.reduce((sum, { litres }) => sum + litres, 0);
  const nutrients = (Object.entries(asFed) as [Ion, number][]).filter(([ion]) => ion !== "Na" && ion !== "Cl");
  return Object.fromEntries(
    nutrients.map(([ion, fed]) => [
      ion,
      all === 0 ? fed : drinkers.reduce((sum, { litres, told }) => sum + (litres / all) * (told[ion] ?? fed), 0),
    ]),
  );
}

/** What the plants of each stage drink on a loop today, and what they are told to take with a litre. */
function drinkersOn(worked: Worked, loop: Loop): { readonly litres: number; readonly told: IonAmounts }[] {
  const { input, garden, today } = worked;
  const batches = new Map(garden.batches.map(({ id, varietyId }) => [id, varietyId]));
  const varieties = new Map(garden.varieties.map((variety) => [variety.id, variety]));
  const own = standsWithStays(worked, today).filter(({ stand }) => stand.loopId === loop.id);
  return own.flatMap(({ start, end, stays }) =>
    stays.flatMap(({ stay, runs }) => {
      const stage = varieties.get(batches.get(stay.batchId)!)!.stages[stay.stage]!;
      const litres = plantsWithin(runs, start, end) * stageNeedLpd(stage, input, today - input.from);
      return litres > 0 ? [{ litres, told: ionsFromElements(stage.uptakeMgPerL) }] : [];
    }),
  );
}
