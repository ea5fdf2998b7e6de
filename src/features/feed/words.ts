import type { AcidDanger } from "@/core/feed/acidDanger";
import type { LoopChangeRule } from "@/core/feed/changeRule";
import { TANK_ACIDS, type TankAcid } from "@/core/feed/phDose";
import type { SaltsProblem } from "@/core/feed/saltsFile";
import type { StrengthSchool } from "@/core/feed/strengthSchool";
import type { StockConflict, StockSolubility } from "@/core/feed/stocks";
import type { UnitPreferences } from "@/core/units/dimensions";
import { formatNumber, quantityText } from "@/core/units/format";
import type { Amount } from "@/core/round/types";
export { labelDoubtWords } from "./label/words";
import { labelDoubtWords, labelEcMissingWords, productProblemWords } from "./label/words";
import type { FeedRefusal } from "@/server/feed/refused";

/** A round amount of feed that salts are told for: 1000 L, or a hundred gallons where those are at home. */
export function roundFeedL({ system }: UnitPreferences): number {
  return system === "us" ? 378.5411784 : 1000;
}

/** Why two salts may not be in one stock. */
export function stockConflictWords({ salts: [first, second], ions }: StockConflict): string {
  switch (ions[1]) {
    case "SO4":
      return `${first} and ${second} in one stock drop gypsum: calcium with sulfate. Put one in A, the other in B.`;
    case "PO4":
      return `${first} and ${second} in one stock drop calcium phosphate. Put one in A, the other in B.`;
    case "other":
      return `${first} stands alone: with ${second} in one stock it drops out or foams. Give it a stock of its own.`;
    case "H":
      return `${second} at stock strength breaks up ${first}. Keep acid by itself or in B.`;
  }
}

/** Whether a stock stays clear on the coldest night. */
export function solubilityWords(
  { verdict, nearest, load, coldestC, highestRatioR }: StockSolubility,
  units: UnitPreferences,
): string {
  if (nearest.kind === "volume")
    return load > 1
      ? `It does not fit: the liquids alone are ${formatNumber(load, 2)} times the stock. The highest ratio that works is 1:${highestRatioR}.`
      : `The liquids take up ${quantityText(load, "share", units)} of the stock; up to 1:${formatNumber(highestRatioR)} they fit.`;
  if (verdict === "clear")
    return `Everything dissolves with room to spare${Number.isFinite(highestRatioR) ? `; at ${quantityText(coldestC, "temperature", units)} it would up to 1:${formatNumber(highestRatioR)}` : ""}.`;
  const what = nearest.kind === "sulfates" ? "The sulfates together" : nearest.name;
  const share = quantityText(load, "share", units);
  const cold = quantityText(coldestC, "temperature", units);
  if (verdict === "close") return `${what}: ${share} of what dissolves at ${cold}; some may drop out on a cold night.`;
  return `${what}: ${share} of what dissolves at ${cold}. The highest ratio that works is 1:${highestRatioR}.`;
}

/** Why a recipe or a file of salts was not taken. */
export function feedRefusalWords(refusal: FeedRefusal): string {
  switch (refusal.kind) {
    case "salts-faults":
      return refusal.problems.map(saltsProblemWords).join(" ");
    case "stock-conflict":
      return `Stock ${refusal.letter} is refused: ${stockConflictWords(refusal.conflict)}`;
    case "product-wrong":
      return `${refusal.product}: ${productProblemWords(refusal.problem)}`;
    case "label-ec-not-told":
      return labelEcMissingWords(refusal.why);
    case "asks-label":
      return refusal.doubts.map(labelDoubtWords).join(" ");
  }
}

/** What is wrong with a file of salts. */
export function saltsProblemWords(problem: SaltsProblem): string {
  switch (problem.kind) {
    case "empty":
      return "There is no salt in the file.";
    case "no-name":
      return "No column “name”: the first line names the columns, with commas between them.";
    case "unknown-column":
      return `The column “${problem.column}” is not known; take the file of the shelf as an example.`;
    case "name-missing":
      return `Line ${problem.line}: the name is missing.`;
    case "twice":
      return `Line ${problem.line}: ${problem.name} is in the file twice.`;
    case "not-a-number":
      return `Line ${problem.line}: ${problem.column} is “${problem.text}”, which is no number.`;
    case "outside-range":
      return `Line ${problem.line}: ${problem.column} is ${problem.value}; it must be from ${problem.least} to ${problem.greatest}.`;
    case "not-one-of":
      return `Line ${problem.line}: ${problem.column} must be one of ${problem.of.join(", ")}.`;
    case "adds-up":
      return `Line ${problem.line}: the contents add up to ${formatNumber(problem.sum, 1)} %; a label tells at most 100 %.`;
    case "solubility-in-part":
      return `Line ${problem.line}: fill in how much dissolves at all four temperatures, or at none.`;
    case "liquid-without-density":
      return `Line ${problem.line}: a liquid needs its density.`;
  }
}

/** How the solution of a tank is kept or changed. */
export function changeWords(rule: LoopChangeRule, units: UnitPreferences): string {
  switch (rule.kind) {
    case "never":
      return "topped up only, never changed";
    case "weeks":
      return rule.weeks === 1 ? "changed every week" : `changed every ${rule.weeks} weeks`;
    case "topped-up":
      return rule.tanks === 1
        ? "changed when a tank of water was topped up"
        : `changed when ${formatNumber(rule.tanks, 1)} tanks of water were topped up`;
    case "limits":
      return `changed at ${quantityText(rule.sodiumMgPerL, "concentration", units)} of sodium or ${quantityText(rule.chlorideMgPerL, "concentration", units)} of chloride`;
  }
}

const ACIDS: Readonly<Record<TankAcid, string>> = {
  citric: "Citric acid",
  phosphoric: "Phosphoric acid",
  nitric: "Nitric acid",
  sulfuric: "Sulfuric acid",
};

/** "Nitric acid 38 %"; citric acid is a solid. */
export function acidName(acid: TankAcid, massPercent: number = TANK_ACIDS[acid].massPercent): string {
  return acid === "citric" ? ACIDS.citric : `${ACIDS[acid]} ${formatNumber(massPercent)} %`;
}

/** Why a dose of acid is shown only after a second word. */
export function acidDangerWords(danger: AcidDanger, units: UnitPreferences): string {
  switch (danger.kind) {
    case "much":
      return `This is ${formatNumber(danger.meqPerL, 1)} meq of acid for each litre, far more than water commonly takes. Is the alkalinity in mg/L as CaCO₃? A tank that gets it at once foams, and plants in it die.`;
    case "strong-in-small-tank":
      return `Acid of ${formatNumber(danger.massPercent)} % into a tank of ${quantityText(danger.volumeL, "volume", units)}: a millilitre too much burns the roots, a splash your eyes. Thin it first, acid into a bucket of water, and pour that in slowly; or take citric acid.`;
    case "far-from-worked-out":
      return `The log of this tank asks for ${formatNumber(danger.times, 1)} times what is worked out. Was a reading wrong, or an acid of another strength in the bottle? Take the worked-out amount if you are not sure.`;
  }
}

/** By which school a loop's strength goes. */
export function schoolWords({ kind }: StrengthSchool): string {
  switch (kind) {
    case "constant":
      return "always the recipe’s strength";
    case "age":
      return "strength by age";
    case "season":
      return "strength by season";
    case "bands":
      return "strength by the bands of its crops";
  }
}

/** An amount as the hand takes it: a liquid by its litres. */
export function inHand({ value, dimension, litres }: Pick<Amount, "value" | "dimension" | "litres">) {
  return litres === undefined ? { value, dimension } : { value: litres, dimension: "dose" as const };
}

/** What is shown beside the title of a feed sheet. */
export function loopHeader(
  loop: { readonly name: string } | null,
  about: string | null,
  needLpd: number,
  units: UnitPreferences,
): string {
  if (!loop) return "no loop yet";
  return `${loop.name} loop · ${about ?? ""} · ${quantityText(Math.round(needLpd), "volume", units)} of feed a day`;
}
