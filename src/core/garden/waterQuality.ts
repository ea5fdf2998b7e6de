import { blendWaters, type Blend } from "../feed/blendWaters";
import { ionBalance, type IonBalance } from "../feed/ionBalance";
import type { Nutrient } from "../feed/nutrients";
import { saltRise } from "../feed/saltRise";
import { requireEach, requireRange } from "../units/range";
import type { Garden, Loop, Source } from "./garden";
import type { Worked } from "./worked";

/** What gathers in recirculating water because plants hardly take it. */
export const GATHERING = ["Na", "Cl"] as const;
export type Gathering = (typeof GATHERING)[number];

/**
 * Up to here most crops grow as well as ever, mg/L: 4 mmol/L of each. Strawberries and beans bear less, tomatoes more.
 * @source Sonneveld and Voogt 2009, Plant Nutrition of Greenhouse Crops, on sodium in closed systems; editable
 */
export const USUAL_LIMIT_MG_PER_L: Readonly<Record<Gathering, number>> = { Na: 92, Cl: 142 };

/** The analysis of a source judged. */
export interface SourceQuality {
  readonly source: Source;
  /** Null where nothing is told of it. */
  readonly balance: IonBalance | null;
}

export function sourceQualities({ sources }: Pick<Garden, "sources">): SourceQuality[] {
  return sources.map((source) => ({ source, balance: isAnalysed(source) ? ionBalance(source) : null }));
}

/** Whether anything is told of what is in it. */
export function isAnalysed({ analysisMgPerL, alkalinityMgCaco3PerL }: Source): boolean {
  return Object.keys(analysisMgPerL).length > 0 || alkalinityMgCaco3PerL > 0;
}

/** Sources mixed as the plan draws them over its days; null where it draws nothing. */
export function drawnBlend({ garden: { sources }, supply }: Pick<Worked, "garden" | "supply">): Blend | null {
  const parts = sources.map((water, at) => ({
    water,
    parts: supply.drawnL[at]?.reduce((sum, litres) => sum + litres, 0) ?? 0,
  }));
  return parts.some((part) => part.parts > 0) ? blendWaters(parts) : null;
}

/** How a salt gathers in a loop with one water. */
export interface LoopRise {
  /** Null for the water as the plan draws it, source by source. */
  readonly source: Pick<Source, "id" | "name"> | null;
  /** From today on, mg/L. */
  readonly mgPerL: readonly number[];
}

/**
 * How sodium or chloride gathers in a recirculating loop when its tank is never changed and its plants take none of it, with
 * each source alone and with what the plan draws day by day. Sources that do not tell it are left out.
 *
 * @source saltRise
 */
export function loopRises({ garden, plan, supply }: Worked, loop: Loop, salt: Gathering): LoopRise[] {
  const need = plan.needLByLoop.get(loop.id);
  const drawnL = need ? [...need.subarray(plan.today - plan.from)] : [];
  if (loop.kind !== "recirculating" || drawnL.length === 0) return [];
  const rise = (source: LoopRise["source"], waterMgPerL: readonly number[]): LoopRise => ({
    source,
    mgPerL: saltRise(loop.normalFillL, drawnL, waterMgPerL),
  });
  const alone = garden.sources.flatMap(({ id, name, analysisMgPerL }) => {
    const mgPerL = analysisMgPerL[salt];
    return mgPerL === undefined
      ? []
      : [
          rise(
            { id, name },
            drawnL.map(() => mgPerL),
          ),
        ];
  });
  const drawn = drawnByDay(garden.sources, supply.drawnL, salt, drawnL.length);
  return drawn ? [...alone, rise(null, drawn)] : alone;
}

/** How many days it stays at or under a limit; null where it never passes it. */
export function daysUnder(mgPerL: readonly number[], limitMgPerL: number): number | null {
  requireEach("daysUnder", "mgPerL", mgPerL, 0);
  requireRange("daysUnder", "limitMgPerL", limitMgPerL, 0, 1_000_000);
  const over = mgPerL.findIndex((one) => one > limitMgPerL);
  return over < 0 ? null : over;
}

/** mg/L of the water of each day; null where a source that is drawn does not tell it. */
function drawnByDay(
  sources: readonly Source[],
  drawnL: readonly (readonly number[])[],
  salt: Nutrient,
  days: number,
): number[] | null {
  const isDrawn = (at: number) => drawnL[at]!.some((litres) => litres > 0);
  if (sources.length < 2 || sources.some(({ analysisMgPerL }, at) => isDrawn(at) && analysisMgPerL[salt] === undefined))
    return null;
  let last = 0;
  return Array.from({ length: days }, (_, day) => {
    const litres = sources.reduce((sum, _source, at) => sum + (drawnL[at]![day] ?? 0), 0);
    // On a day on which nothing is drawn nothing comes in.
    if (litres > 0)
      last =
        sources.reduce(
          (sum, { analysisMgPerL }, at) => sum + (drawnL[at]![day] ?? 0) * (analysisMgPerL[salt] ?? 0),
          0,
        ) / litres;
    return last;
  });
}
