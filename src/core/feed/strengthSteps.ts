import type { TankCorrection } from "./bringBack";
import type { DoseSlipInput, SlipRecipe, SlipStep } from "./slip";
import type { FeedSheet } from "./feedSheet";
import { liquidL, STOCK_LETTERS, type StockLetter } from "./salts";

const DRY_FACTOR = 2000;
const STIR_MINUTES = 5;
/** Less than this is not worth a can or a scale. */
const LEAST_L = 0.5;
const LEAST_G = 0.005;

/**
 * How many times feed strength the stocks are. Dry salts bring no volume to speak of; bottles count as two stocks that
 * together are as large as what is poured.
 */
export function stockFactor(
  { feed, salts }: Pick<SlipRecipe, "feed" | "salts">,
  feeding: DoseSlipInput["feeding"],
): number {
  if (feeding !== "dry") return feed.factor * (feed.strength ?? 1);
  const pouredL = salts.reduce((sum, salt, at) => sum + (liquidL(salt, feed.writtenGPer1000L[at] ?? 0) ?? 0), 0);
  return pouredL > 1 ? Math.max(1, (2 * 1000) / pouredL) : DRY_FACTOR;
}

/** The stocks that a feed takes, in the order in which they go in: A and B, and C where a salt stands alone in it. */
export function stockLetters({ stocks }: Pick<FeedSheet, "stocks">): StockLetter[] {
  const isUsed = (letter: StockLetter) => stocks.some(({ tank, salts }) => tank.letter === letter && salts.length > 0);
  return STOCK_LETTERS.filter((letter) => letter !== "C" || isUsed(letter));
}

/** A correction as steps of the hand: out, water in, then one stock after the other with a stir between, or the salts. */
export function strengthSteps(
  correction: TankCorrection,
  { feed, salts, bands, inParts = false }: SlipRecipe,
  { feeding, reading }: DoseSlipInput,
): SlipStep[] {
  const { drainL, waterL, stockEachL } = correction;
  const steps: SlipStep[] = [];
  const { sameVolumeL, linearWaterL } = correction;
  if (drainL >= LEAST_L)
    steps.push({ do: "drain", litres: drainL, why: "makes-room", ...(sameVolumeL !== null && { sameVolumeL }) });
  if (waterL >= LEAST_L && stockEachL > 0) steps.push({ do: "water", litres: waterL, why: "before-stock" });
  else if (waterL >= LEAST_L)
    steps.push({
      do: "water",
      litres: waterL,
      why: "dilutes",
      fromMsPerCm: reading.ecMsPerCm!,
      toMsPerCm: bands.ecTarget,
      ...(linearWaterL !== null && drainL < LEAST_L && { linearL: linearWaterL }),
    });
  if (stockEachL <= 0) return steps;
  if (feeding !== "dry")
    return [
      ...steps,
      ...stockLetters(feed).flatMap((letter, index): SlipStep[] => [
        ...(index > 0 ? [STIR] : []),
        { do: "stock", letter, litres: stockEachL },
      ]),
    ];
  // A litre of each stock carries the salts of so many litres of the recipe as written.
  const feedL = stockEachL * stockFactor({ feed, salts }, feeding);
  const weighed = feed.writtenGPer1000L.flatMap((gPer1000L, index) => {
    const grams = (gPer1000L * feedL) / 1000;
    const salt = salts[index]!;
    const litres = liquidL(salt, grams);
    const step = {
      do: "salt" as const,
      saltId: salt.id,
      name: salt.name,
      grams,
      ...(litres !== null && { liquidL: litres }),
    };
    return grams >= LEAST_G ? [{ step, stock: salt.stock }] : [];
  });
  const stirred = weighed.flatMap(({ step, stock }, at): SlipStep[] =>
    inParts && at > 0 && stock !== weighed[at - 1]!.stock ? [STIR, step] : [step],
  );
  return [...steps, ...stirred];
}

const STIR: SlipStep = { do: "wait", minutes: STIR_MINUTES, before: "stock-b" };
