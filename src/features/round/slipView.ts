import type { SlipStep } from "@/core/feed/doseSlip";
import type { SlipStepView } from "@/ui/SlipSteps";

/** A slip's step in the words of the hand. */
export function slipStepView(step: SlipStep): SlipStepView {
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
