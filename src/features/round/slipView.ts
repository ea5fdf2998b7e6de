import type { SlipStep } from "@/core/feed/doseSlip";
import type { SlipStepView } from "@/ui/SlipSteps";

const HOW: Readonly<Partial<Record<SlipStep["do"], string>>> = {
  drain:
    "What has to leave so that the rest fits under the greatest safe level: the tank less freeboard and what runs back when the pump stops.",
  water:
    "Salt balance: level × EC before, and what is added, give the wanted EC at the working level; water brings the EC of its source.",
  stock:
    "Salt balance as for the water; a litre of each stock carries the salts of as many litres of the recipe as its concentration factor says.",
  salt: "Salt balance as for the water; grams per litre from the recipe.",
  acid: "What the alkalinity in the tank takes to come to the middle of the pH band, from the acid's strength and its dissociation at that pH; given in two halves.",
  base: "What brings the pH to the middle of its band; given in two halves.",
};

/** A slip's step in the words of the hand, and how its amount came about. */
export function slipStepView(step: SlipStep): SlipStepView {
  return { ...inHand(step), how: HOW[step.do] };
}

function inHand(step: SlipStep): SlipStepView {
  switch (step.do) {
    case "drain":
      return { title: "Drain", amount: { value: step.litres, dimension: "volume" }, note: step.note };
    case "water":
      return {
        title: "Fill with water",
        amount: { value: step.litres, dimension: "volume" },
        note: step.note,
      };
    case "stock":
      return {
        title: `Stock ${step.letter}`,
        amount: { value: step.litres, dimension: "dose" },
        note: step.note,
      };
    case "salt":
      return { title: step.name, amount: { value: step.grams, dimension: "mass" }, note: step.note };
    case "acid":
      return {
        title: step.name,
        amount:
          step.unit === "mL"
            ? { value: step.amount / 1000, dimension: "dose" }
            : { value: step.amount, dimension: "mass" },
        note: step.note,
      };
    case "base":
      return { title: step.name, amount: { value: step.grams, dimension: "mass" }, note: step.note };
    case "wait":
      return { title: `Wait ${step.minutes} minutes`, note: step.note };
  }
}
