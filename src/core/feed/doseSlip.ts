import { TANK_FIGURES } from "./tankFigures";
import { bringBack, type BringBack, type TankCorrection } from "./bringBack";
import type { CautionKey } from "./cautions";
import { acidSteps, GENERAL_PH_BAND, PH_RANGE } from "./acidSteps";
import type { DoseSlip, DoseSlipInput, SlipFinding, SlipStep } from "./slip";
import { GREATEST_OXYGEN_C, oxygenHeldMgPerL } from "./oxygen";
import { requireRange, requireFigures } from "../units/range";
import { strengthSteps, stockFactor } from "./strengthSteps";
import { WARM_WATER_C } from "./warmWater";

export const SETTLE_MINUTES = 20;
/** Less than this is an empty tank: it is refilled, not brought back. */
const LEAST_LEVEL_L = 0.1;
/** A level this near the normal fill level needs no topping up. */
const LEVEL_SLACK = 0.03;
/** What no common meter tells apart from one day to the next. */
const SAME_LEVEL_L = 2;
const SAME_EC_MS_PER_CM = 0.03;

/**
 * The slip that brings a tank back after a reading: what it says, what to do in order, and the cautions. Strength and
 * level first; acid only half at once, then a stir and a new reading. What was not read is not worked out, and said.
 *
 * @throws RangeError when a figure is outside its range
 * @source bringBack.ts, phDose.ts; the aerated tank's carbonate is taken as in balance with the air
 */
export function doseSlip(input: DoseSlipInput): DoseSlip {
  checkReading(input);
  const { reading, recipe } = input;
  const says = [...changeFindings(input), ...stateFindings(input)];
  const correction = correctionOf(input);
  if (correction?.kind === "water-too-strong") {
    says.push({
      kind: "water-too-strong",
      waterEcMsPerCm: correction.waterEcMsPerCm,
      sourceId: input.weakerSourceId,
    });
    return { verdict: "cannot", says, steps: [], cautions: [] };
  }
  if (correction?.kind === "recipe-too-weak")
    return { verdict: "cannot", says: [...says, { kind: "recipe-too-weak" }], steps: [], cautions: [] };
  const { ageDays = null, gatheredShare = 0 } = input.solution ?? {};
  const gathered = gatheredShare * (reading.ecMsPerCm ?? 0);
  if (correction && recipe && dilutes(correction) && gathered > GATHERED_SHARE * overBy(input)) {
    says.push({ kind: "gathered", ecMsPerCm: gathered });
    return { verdict: "cannot", says, steps: [], cautions: ["discharge"] };
  }
  const isOld = ageDays !== null && ageDays > OLD_DAYS && (correction?.stockEachL ?? 0) > 0;
  if (isOld) says.push({ kind: "old-solution", ageDays });
  const half = correction && { ...correction, stockEachL: correction.stockEachL * (isOld ? 0.5 : 1) };
  const steps = recipe && half ? strengthSteps(half, recipe, input) : [];
  const overfullL = reading.levelL === null ? 0 : reading.levelL - input.greatestL;
  if (overfullL > 0 && !correction?.drainL) steps.unshift({ do: "drain", litres: overfullL, why: "would-overflow" });
  const volumeL = correction?.finalVolumeL ?? reading.levelL;
  if (reading.ph !== null && volumeL !== null) steps.push(...acidSteps(reading.ph, volumeL, input));
  if (steps.length > 0) steps.push({ do: "wait", minutes: SETTLE_MINUTES, before: "reading-again" });
  return {
    verdict: verdictOf(steps, says),
    says: says.length > 0 ? says : [{ kind: "in-band" }],
    steps,
    cautions: cautionsFor(steps, recipe?.inParts ?? false),
  };
}

/** A solution is old after so many days: what plants left is no longer in the ratio of the recipe. */
const OLD_DAYS = 14;
/** Of what it is too strong by, from here on sodium and chloride are the cause. */
const GATHERED_SHARE = 0.5;

const dilutes = ({ kind }: TankCorrection) => kind === "dilute" || kind === "drain-and-refill";
const overBy = ({ reading, recipe }: DoseSlipInput) => Math.max(0.05, reading.ecMsPerCm! - recipe!.bands.ecTarget);

function checkReading(input: DoseSlipInput): void {
  const { reading, before, recipe, acidStrength, normalFillL, greatestL, ecFactor = 1 } = input;
  for (const { name, least, greatest } of TANK_FIGURES)
    if (reading[name] != null) requireRange("doseSlip", name, reading[name], least, greatest);
  requireFigures("doseSlip", before ?? {}, { ecMsPerCm: [0, 20], levelL: [0, 1_000_000] });
  requireFigures("doseSlip", recipe?.bands ?? {}, {
    ecLow: [0, 20],
    ecHigh: [0, 20],
    ecTarget: [0, 20],
    phLow: [PH_RANGE.least, PH_RANGE.greatest],
    phHigh: [PH_RANGE.least, PH_RANGE.greatest],
  });
  requireFigures("doseSlip", acidStrength ?? {}, { massPercent: [0.1, 100], densityGPerMl: [0.5, 3] });
  requireRange("doseSlip", "ecFactor", ecFactor, 0.5, 2);
  requireFigures("doseSlip", input.solution ?? {}, { ageDays: [0, 100_000], gatheredShare: [0, 1] });
  requireRange("doseSlip", "normalFillL", normalFillL, 0, 1_000_000);
  requireRange("doseSlip", "greatestL", greatestL, 0, 1_000_000);
}

function verdictOf(steps: readonly SlipStep[], says: readonly SlipFinding[]): DoseSlip["verdict"] {
  if (steps.length > 0) return "correct";
  const undecided = ["not-read", "no-recipe", "ph-past-range", "too-weak", "too-strong", "ph-high", "ph-low"];
  return says.some(({ kind }) => undecided.includes(kind)) ? "unknown" : "in-band";
}

/** What brings strength and level back; null when both are right or cannot be known. */
function correctionOf(input: DoseSlipInput): BringBack | null {
  const { reading, recipe, normalFillL, greatestL, ecFactor = 1 } = input;
  const { ecMsPerCm, levelL } = reading;
  if (!recipe || ecMsPerCm === null || levelL === null || levelL < LEAST_LEVEL_L) return null;
  const { feed, bands } = recipe;
  const ecOut = ecMsPerCm < bands.ecLow || ecMsPerCm > bands.ecHigh;
  if (!ecOut && levelL >= normalFillL * (1 - LEVEL_SLACK)) return null;
  return bringBack({
    recipe: feed.recipeIons,
    water: feed.waterIons,
    volumeL: levelL,
    headspaceL: Math.max(0, greatestL - levelL),
    ecMsPerCm: ecMsPerCm / ecFactor,
    targetEcMsPerCm: bands.ecTarget / ecFactor,
    stockFactor: stockFactor(recipe, input.feeding),
    wantedVolumeL: normalFillL,
  });
}

function changeFindings({ reading, before }: DoseSlipInput): SlipFinding[] {
  if (!before || before.ecMsPerCm === null || before.levelL === null) return [];
  if (reading.ecMsPerCm === null || reading.levelL === null) return [];
  const ec = reading.ecMsPerCm - before.ecMsPerCm;
  const fell = reading.levelL - before.levelL < -SAME_LEVEL_L;
  if (fell && ec < -SAME_EC_MS_PER_CM) return [{ kind: "eats-faster" }];
  return fell && ec > SAME_EC_MS_PER_CM ? [{ kind: "drinks-faster" }] : [];
}

function stateFindings({ reading, recipe, normalFillL, heightM = 0, clearToPh = null }: DoseSlipInput): SlipFinding[] {
  const { ecMsPerCm, ph, waterC, levelL } = reading;
  const found: SlipFinding[] = [];
  if (!recipe) found.push({ kind: "no-recipe" });
  if (recipe && ecMsPerCm !== null && ecMsPerCm < recipe.bands.ecLow) found.push({ kind: "too-weak" });
  if (recipe && ecMsPerCm !== null && ecMsPerCm > recipe.bands.ecHigh) found.push({ kind: "too-strong" });
  const { phLow, phHigh } = recipe?.bands ?? GENERAL_PH_BAND;
  if (ph !== null && ph > phHigh) found.push({ kind: "ph-high" });
  if (ph !== null && ph < phLow) found.push({ kind: "ph-low" });
  if (ph !== null && clearToPh !== null && ph > clearToPh) found.push({ kind: "drops-out", clearToPh });
  if (ph !== null && (ph < PH_RANGE.least || ph > PH_RANGE.greatest))
    found.push({ kind: "ph-past-range", ...PH_RANGE });
  if (waterC !== null && waterC > WARM_WATER_C) {
    const holdsMgPerL = oxygenHeldMgPerL(Math.min(GREATEST_OXYGEN_C, waterC), heightM);
    found.push({ kind: "warm-water", overC: WARM_WATER_C, holdsMgPerL });
  }
  if (levelL !== null && levelL < normalFillL * (1 - LEVEL_SLACK))
    found.push({ kind: "low-level", missingL: normalFillL - levelL });
  found.push(...oxygenFindings(reading, heightM));
  const figures = TANK_FIGURES.flatMap(({ name, optional }) => (reading[name] === null && !optional ? [name] : []));
  if (figures.length > 0) found.push({ kind: "not-read", figures });
  return found;
}

/** Under this roots begin to starve of it, mg/L. @source common practice of water culture */
const LEAST_OXYGEN_MG_PER_L = 5;

/** Too little oxygen by a meter, and what water of that temperature could hold. */
function oxygenFindings({ oxygenMgPerL, waterC }: DoseSlipInput["reading"], heightM: number): SlipFinding[] {
  if (oxygenMgPerL == null || oxygenMgPerL >= LEAST_OXYGEN_MG_PER_L) return [];
  const holdsMgPerL =
    waterC === null ? null : oxygenHeldMgPerL(Math.min(GREATEST_OXYGEN_C, Math.max(0, waterC)), heightM);
  return [{ kind: "low-oxygen", oxygenMgPerL, holdsMgPerL }];
}

function cautionsFor(steps: readonly SlipStep[], inParts: boolean): CautionKey[] {
  const acids = steps.flatMap((step) => (step.do === "acid" ? [step.acid] : []));
  const isFed = steps.some((step) => step.do === "salt" || step.do === "stock");
  const keys: readonly (readonly [CautionKey, boolean])[] = [
    ["acid", acids.length > 0],
    ["strongAcid", acids.some((acid) => acid === "nitric" || acid === "sulfuric")],
    ["base", steps.some((step) => step.do === "base")],
    ["salts", isFed && !inParts],
    ["parts", isFed && inParts],
    ["discharge", steps.some((step) => step.do === "drain")],
  ];
  return keys.flatMap(([key, applies]) => (applies ? [key] : []));
}
