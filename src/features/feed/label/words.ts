import type { DoseSlipOf, LabelEcMissing } from "@/core/feed/byLabel";
import type { LabelFeedDoubt, ProductProblem } from "@/core/feed/labelFeed";
import { formatNumber } from "@/core/units/format";

/** Why a product cannot be kept as it was told. */
export function productProblemWords(problem: ProductProblem): string {
  switch (problem.kind) {
    case "adds-up":
      return `the label adds up to ${formatNumber(problem.sum, 1)} %; a pack tells at most 100 %. Is it a liquid told by volume, or is one figure an element and not an oxide?`;
    case "density-missing":
      return "say how heavy a litre of it is: a spoon or a jug has no weight of its own, and a label by mass wants it too.";
    case "measure-missing":
      return "say how much a cap or a scoop of it holds.";
  }
}

const MISSING: Readonly<Record<Exclude<LabelEcMissing, "too-strong">, string>> = {
  "nitrogen-forms-missing": "The label does not say in which forms its nitrogen is",
  "not-balanced": "What is printed is not all that is in it, or nothing is printed",
};

/** Why an EC has to be told. */
export function labelEcMissingWords(why: LabelEcMissing): string {
  if (why === "too-strong")
    return "That is far too strong for a feed: is it the dose for a stock, or to another measure of water?";
  return `${MISSING[why]}: no EC can be worked out. Take it from the pack, or stir the label’s dose into a bucket of pure water and read it.`;
}

const SLIP: Readonly<Record<DoseSlipOf, string>> = {
  spoons: "Three times apart: is it a tablespoon where a teaspoon was meant, or the other way?",
  "us-gallon": "3.8 times apart: is the dose to a US gallon and not to a litre, or the other way?",
  "imperial-gallon": "4.5 times apart: is the dose to an imperial gallon and not to a litre, or the other way?",
  oxides: "2.3 times apart: were oxides (P₂O₅) typed as elements, or the other way?",
  ten: "Ten times apart: is it a decimal point, or CF where mS/cm was meant?",
};

/** What is asked before a label’s dose is kept. */
export function labelDoubtWords(doubt: LabelFeedDoubt): string {
  const ec = (msPerCm: number) => formatNumber(msPerCm, 1);
  switch (doubt.kind) {
    case "strong":
      return `The label’s dose comes to EC ${ec(doubt.ecMsPerCm)}, stronger than any crop is fed: roots burn. Is it the dose for a stock, a tablespoon for a teaspoon, or to a gallon and not to a litre?`;
    case "much":
      return `${formatNumber(doubt.gPerL)} g in a litre is far more than a feed gets: it may be the dose for a stock, or another measure.`;
    case "apart":
      return `Worked out from the label the dose comes to EC ${ec(doubt.workedOutMsPerCm)}, told is ${ec(doubt.toldMsPerCm)}. ${doubt.slip === "unknown" ? "One of the two is wrong." : SLIP[doubt.slip]}`;
  }
}
