import { schoolEc, type StrengthBasis, type StrengthSchool } from "../feed/strengthSchool";
import type { EcWish } from "../feed/sharedEc";
import { sunOfDay } from "../place/climate/sun";
import { dayOfYear, type Day } from "../units/day";
import type { LoopStrength } from "./fed";
import type { Garden, Recipe } from "./garden";
import { memo } from "./memo";
import { plantsWithin, standsWithStays } from "./standing";
import type { Worked } from "./worked";

type Standing = Pick<Worked, "garden" | "plan" | "placed" | "growingAreaStands" | "today">;

/** Plants of a crop and an age that stand on a loop on a day. */
interface Aged {
  readonly varietyId: number;
  readonly name: string;
  readonly ageDays: number;
  readonly plants: number;
}

/** What stands on a loop on a day, by crop and age. */
function standingByAge(worked: Standing, loopId: number, day: Day): Aged[] {
  const { placed, garden } = worked;
  return memo(`aged ${loopId} ${day}`, [placed, garden.stands], () => {
    const batches = new Map(worked.plan.batches.map((one) => [one.batch.id, one]));
    const found = new Map<number, Aged>();
    for (const { stand, start, end, stays } of standsWithStays(worked, day)) {
      if (stand.loopId !== loopId) continue;
      for (const { stay, runs } of stays) {
        const plants = plantsWithin(runs, start, end);
        const { batch, variety } = batches.get(stay.batchId)!;
        if (plants === 0) continue;
        const before = found.get(batch.id)?.plants ?? 0;
        const aged = { varietyId: variety.id, name: variety.name, ageDays: day - batch.sowDay };
        found.set(batch.id, { ...aged, plants: before + plants });
      }
    }
    return [...found.values()];
  });
}

/** Days ahead over which bands are weighed: a tank is not made anew every day. */
export const AHEAD_DAYS = 28;

/** Plant-days of each crop on a loop in the weeks ahead, with the band that it tells; those that tell none by name. */
export function wishesAhead(
  worked: Standing,
  loopId: number,
): { readonly wishes: readonly EcWish[]; readonly untold: readonly string[] } {
  const last = Math.min(worked.plan.to, worked.today + AHEAD_DAYS);
  const days = new Map<number, number>();
  for (let day = worked.today; day < last; day++)
    for (const { varietyId, plants } of standingByAge(worked, loopId, day))
      days.set(varietyId, (days.get(varietyId) ?? 0) + plants);
  const crops = worked.garden.varieties.filter(({ id }) => days.has(id));
  return {
    wishes: crops.flatMap(({ id, name, ecLow, ecHigh, phLow, phHigh }) =>
      ecLow === null || ecHigh === null ? [] : [{ name, plants: days.get(id)!, ecLow, ecHigh, phLow, phHigh }],
    ),
    untold: crops.filter(({ ecLow, ecHigh }) => ecLow === null || ecHigh === null).map(({ name }) => name),
  };
}

/** Which share of the year's range of sunlight a day has, over the place. */
function lightShare({ latitudeDeg }: Pick<Garden, "latitudeDeg">, day: Day): number {
  const light = (one: number) => sunOfDay(latitudeDeg, one).extraterrestrialMjPerM2Day;
  const year = Array.from({ length: 73 }, (_, index) => light(5 * index + 1));
  const [least, most] = [Math.min(...year), Math.max(...year)];
  // Near the equator no month is dark.
  if (most - least < 0.05 * most) return 0.5;
  return Math.min(1, Math.max(0, (light(dayOfYear(day)) - least) / (most - least)));
}

/** What the schools of a loop's strength are judged by. */
export function strengthBasis(worked: Standing, loopId: number, recipe: Recipe): StrengthBasis {
  const { ecMsPerCm, ecLow, ecHigh } = recipe;
  return {
    ...{ ecMsPerCm, ecLow, ecHigh },
    aged: standingByAge(worked, loopId, worked.today),
    wishes: wishesAhead(worked, loopId).wishes,
    lightShare: lightShare(worked.garden, worked.today),
  };
}

/** How strong a loop is fed today by its school; the recipe's band moves with it. @source schoolEc */
export function loopStrength(worked: Standing, loopId: number, school: StrengthSchool, recipe: Recipe): LoopStrength {
  const { ecMsPerCm: written, ecLow, ecHigh } = recipe;
  if (school.kind === "constant") return { school, ecMsPerCm: written, ecLow, ecHigh, lacks: null };
  const found = schoolEc(school, strengthBasis(worked, loopId, recipe));
  const ecMsPerCm = typeof found === "number" ? found : written;
  const scale = ecMsPerCm / written;
  return {
    ...{ school, ecMsPerCm, ecLow: ecLow * scale, ecHigh: ecHigh * scale },
    lacks: typeof found === "number" ? null : found,
  };
}
