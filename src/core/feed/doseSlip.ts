import { bringBack, type BringBack } from "./bringBack";
import type { CautionKey } from "./cautions";
import {
  acidAmount,
  acidMeqPerL,
  aeratedAlkalinityMeqPerL,
  bicarbonateG,
  phAfterAcid,
  type TankBuffer,
} from "./phDose";
import type { FeedSheet } from "./feedSheet";
import { told } from "../units/told";

/** One thing to do by hand. Amounts are in litres or grams; screens write them in the units of the jug that is there. */
export type SlipStep =
  | { readonly do: "drain"; readonly litres: number; readonly note: string }
  | { readonly do: "water"; readonly litres: number; readonly note: string }
  | { readonly do: "stock"; readonly letter: "A" | "B"; readonly litres: number; readonly note: string }
  | { readonly do: "salt"; readonly name: string; readonly grams: number; readonly note: string }
  | { readonly do: "acid"; readonly name: string; readonly amount: number; readonly unit: "mL" | "g"; readonly note: string }
  | { readonly do: "base"; readonly name: string; readonly grams: number; readonly note: string }
  | { readonly do: "wait"; readonly minutes: number; readonly note: string }; // prettier-ignore

export interface DoseSlip {
  readonly verdict: "in-band" | "correct" | "cannot";
  /** What the reading says, in words. */
  readonly says: readonly string[];
  readonly steps: readonly SlipStep[];
  readonly cautions: readonly CautionKey[];
  readonly correction: BringBack | null;
}

export interface DoseSlipInput {
  readonly feed: FeedSheet;
  readonly saltNames: readonly string[];
  readonly feeding: "injector" | "stocks" | "dry";
  readonly reading: {
    readonly ecMsPerCm: number;
    readonly ph: number;
    readonly waterC: number;
    readonly levelL: number;
  };
  /** The reading before, if there is one, for what changed. */
  readonly before: { readonly ecMsPerCm: number; readonly levelL: number } | null;
  readonly bands: {
    readonly ecLow: number;
    readonly ecHigh: number;
    readonly ecTarget: number;
    readonly phLow: number;
    readonly phHigh: number;
  };
  readonly workingL: number;
  /** Level that must not be passed: the rim less what drains back and freeboard. */
  readonly greatestL: number;
  readonly acid: "phosphoric" | "citric";
  readonly sourceWithLowerEc: string | null;
}

const DRY_FACTOR = 2000;
const STIR_MINUTES = 5;
const SETTLE_MINUTES = 20;
/** A level this near the working level needs no topping up. */
const LEVEL_SLACK = 0.03;

/**
 * The slip that brings a tank back after a reading: what it says, what to do in order, and the cautions. Strength and
 * level first; acid only half at once, then a stir and a new reading.
 *
 * @source bringBack.ts, phDose.ts; the aerated tank's carbonate is taken as in balance with the air
 */
export function doseSlip(input: DoseSlipInput): DoseSlip {
  const { reading, bands } = input;
  const says = [...changeWords(input), ...stateWords(input)];
  const ecOut = reading.ecMsPerCm < bands.ecLow || reading.ecMsPerCm > bands.ecHigh;
  const lowLevel = reading.levelL < input.workingL * (1 - LEVEL_SLACK);
  const overfull = reading.levelL > input.greatestL;
  const correction = ecOut || lowLevel ? correct(input) : null;
  if (correction?.kind === "water-too-strong") {
    says.push(waterTooStrong(correction.waterEcMsPerCm, input.sourceWithLowerEc));
    return { verdict: "cannot", says, steps: [], cautions: [], correction };
  }
  const ecSteps = correction ? strengthSteps(correction, input) : [];
  if (overfull && !correction?.drainL)
    ecSteps.unshift({
      do: "drain",
      litres: reading.levelL - input.greatestL,
      note: "so that what runs back when the pump stops does not overflow",
    });
  const volumeL = correction?.finalVolumeL ?? reading.levelL;
  const phSteps = acidSteps(input, volumeL);
  const steps = [...ecSteps, ...phSteps];
  if (steps.length > 0) steps.push({ do: "wait", minutes: SETTLE_MINUTES, note: "pump on, then read again" });
  return {
    verdict: steps.length ? "correct" : "in-band",
    says,
    steps,
    cautions: cautionsFor(steps),
    correction,
  };
}

function correct(input: DoseSlipInput): BringBack {
  const { reading, bands, feed } = input;
  return bringBack({
    recipe: feed.recipeIons,
    water: feed.waterIons,
    volumeL: reading.levelL,
    headspaceL: Math.max(0, input.greatestL - reading.levelL),
    ecMsPerCm: reading.ecMsPerCm,
    targetEcMsPerCm: bands.ecTarget,
    stockFactor: stockFactor(input),
    wantedVolumeL: input.workingL,
  });
}

function strengthSteps(correction: Exclude<BringBack, { kind: "water-too-strong" }>, input: DoseSlipInput): SlipStep[] {
  const steps: SlipStep[] = [];
  if (correction.drainL >= 0.5)
    steps.push({ do: "drain", litres: correction.drainL, note: "there is no room for what has to go in" });
  if (correction.waterL >= 0.5)
    steps.push({
      do: "water",
      litres: correction.waterL,
      note:
        correction.stockEachL > 0
          ? "before the stock, so that it mixes in"
          : `brings ${told(input.reading.ecMsPerCm, "ec")} down to ${told(input.bands.ecTarget, "ec")}`,
    });
  if (correction.stockEachL <= 0) return steps;
  // A litre of each stock carries the salts of so many litres of the recipe as written.
  const feedL = correction.stockEachL * stockFactor(input);
  if (input.feeding === "dry")
    input.feed.solution.gPer1000L.forEach((grams, i) => {
      const amount = (grams * feedL) / 1000;
      if (amount >= 0.005)
        steps.push({
          do: "salt",
          name: input.saltNames[i]!,
          grams: amount,
          note: "dissolved in a bucket of tank water",
        });
    });
  else {
    steps.push({
      do: "stock",
      letter: "A",
      litres: correction.stockEachL,
      note: "poured slowly with the pump on",
    });
    steps.push({ do: "wait", minutes: STIR_MINUTES, note: "stir; A and B must never meet undiluted" });
    steps.push({
      do: "stock",
      letter: "B",
      litres: correction.stockEachL,
      note: "poured slowly with the pump on",
    });
  }
  return steps;
}

/** Stocks are mixed at the recipe's scaled strength; dry salts bring no volume to speak of. */
function stockFactor({ feed, feeding }: DoseSlipInput): number {
  return feeding === "dry" ? DRY_FACTOR : feed.factor * (feed.strength ?? 1);
}

function acidSteps(input: DoseSlipInput, volumeL: number): SlipStep[] {
  const { reading, bands, feed } = input;
  if (reading.ph >= bands.phLow && reading.ph <= bands.phHigh) return [];
  const targetPh = (bands.phLow + bands.phHigh) / 2;
  const strength = input.feed.strength ?? 0;
  const tank: TankBuffer = {
    ph: Math.min(10, Math.max(3, reading.ph)),
    carbonateAlkalinityMeqPerL: aeratedAlkalinityMeqPerL(reading.ph),
    phosphorusMmolPerL: (feed.recipeIons.H2PO4 ?? 0) * strength,
    ammoniumMmolPerL: (feed.recipeIons.NH4 ?? 0) * strength,
  };
  const meq = acidMeqPerL(tank, targetPh) * volumeL;
  const halfwayPh = phAfterAcid(tank, meq / volumeL / 2);
  const note = `half of what is worked out: pH should come to ${halfwayPh.toFixed(1)}; the other half only after reading again`;
  if (meq > 0) {
    const amount = acidAmount(input.acid, meq / 2, targetPh);
    const name = input.acid === "phosphoric" ? "phosphoric acid 75 %" : "citric acid";
    return [{ do: "acid", name, amount, unit: input.acid === "phosphoric" ? "mL" : "g", note }];
  }
  return [{ do: "base", name: "potassium bicarbonate", grams: bicarbonateG(-meq / 2), note }];
}

function changeWords({ reading, before }: DoseSlipInput): string[] {
  if (!before) return [];
  const ec = reading.ecMsPerCm - before.ecMsPerCm;
  const level = reading.levelL - before.levelL;
  if (level < -2 && ec < -0.03) return ["Strength and level fell together: the plants eat faster than they drink."];
  if (level < -2 && ec > 0.03)
    return ["Strength rose as the level fell: the plants drink faster than they eat; top up weaker."];
  return [];
}

function stateWords({ reading, bands, workingL }: DoseSlipInput): string[] {
  const words: string[] = [];
  if (reading.ecMsPerCm < bands.ecLow) words.push("Too weak: strength is under its band.");
  if (reading.ecMsPerCm > bands.ecHigh) words.push("Too strong: strength is over its band.");
  if (reading.ph > bands.phHigh)
    words.push("pH is over its band: CO₂ leaving, alkaline top-up or nitrate being eaten.");
  if (reading.ph < bands.phLow)
    words.push("pH is under its band: ammonium, low light, or roots in trouble; look at the roots.");
  if (reading.waterC > 25)
    words.push(
      `Over ${told(25, "temperature")} roots want more oxygen than warm water holds: shade the tank and run the pump longer.`,
    );
  if (reading.levelL < workingL * (1 - LEVEL_SLACK))
    words.push(`The tank is ${told(Math.round(workingL - reading.levelL), "volume")} below its working level.`);
  return words.length ? words : ["Strength, pH and level are where they should be."];
}

function waterTooStrong(waterEc: number, better: string | null): string {
  return better
    ? `This water alone has EC ${told(waterEc, "ec")}: it cannot bring the tank down. ${better} could.`
    : `This water alone has EC ${told(waterEc, "ec")}: no source here can bring the tank down. Change the solution.`;
}

function cautionsFor(steps: readonly SlipStep[]): CautionKey[] {
  const keys: CautionKey[] = [];
  if (steps.some((step) => step.do === "acid")) keys.push("acid");
  if (steps.some((step) => step.do === "salt" || step.do === "stock")) keys.push("salts");
  if (steps.some((step) => step.do === "drain")) keys.push("discharge");
  return keys;
}
