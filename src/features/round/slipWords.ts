import type { TankFigure } from "@/core/feed/tankFigures";
import type { SlipFinding, SlipStep } from "@/core/feed/slip";
import { acidName } from "@/features/feed/words";
import type { UnitPreferences } from "@/core/units/dimensions";
import { percentText, quantityText } from "@/core/units/format";
import type { SlipStepView } from "@/ui/SlipSteps";

const FIGURE_WORDS: Readonly<Record<TankFigure, string>> = {
  ecMsPerCm: "EC",
  ph: "pH",
  waterC: "temperature",
  oxygenMgPerL: "oxygen",
  levelL: "level",
};

/** What could not be worked out for lack of a figure. */
const NEEDED_FOR: Readonly<Partial<Record<TankFigure, string>>> = {
  ecMsPerCm: "strength cannot be brought back without EC",
  ph: "pH cannot be brought back without a reading of it",
  levelL: "amounts cannot be worked out without the level",
};

/** What a reading says, in one sentence. */
export function slipFindingWords(
  finding: SlipFinding,
  units: UnitPreferences,
  sourceName: (id: number) => string | undefined,
): string {
  switch (finding.kind) {
    case "in-band":
      return "Strength, pH and level are where they should be.";
    case "eats-faster":
      return "Strength and level fell together: the plants eat faster than they drink.";
    case "drinks-faster":
      return "Strength rose as the level fell: the plants drink faster than they eat; top up weaker.";
    case "too-weak":
      return "Too weak: strength is under its band.";
    case "too-strong":
      return "Too strong: strength is over its band.";
    case "ph-high":
      return "pH is over its band: CO₂ leaving, alkaline top-up or nitrate being eaten. To tell them apart, aerate a jar of it overnight: if pH climbs there too, it is CO₂ and alkalinity; if not, the plants.";
    case "ph-low":
      return "pH is under its band: ammonium, low light, or roots in trouble; look at the roots.";
    case "ph-past-range":
      return `pH outside ${finding.least} to ${finding.greatest} is past what can be worked out: check the meter, then change the solution.`;
    case "gathered":
      return `About ${quantityText(finding.ecMsPerCm, "ec", units)} of it is sodium and chloride that gathered since the solution was made: diluted, their share stays. Change the solution; under Feed, Keep or change compares how often.`;
    case "old-solution":
      return `The solution is ${finding.ageDays} days old: what it lacks may not be what the recipe has. Only half of the stock goes in; stir, and read again.`;
    case "drops-out":
      return `Over about pH ${finding.clearToPh.toFixed(1)} calcium phosphate drops out of this feed: a white film, clogged emitters. Bring pH down before anything is added.`;
    case "warm-water":
      return [
        `Over ${quantityText(finding.overC, "temperature", units)} roots want more oxygen than warm water holds`,
        ...(finding.holdsMgPerL === undefined
          ? []
          : [`, here at most ${quantityText(Math.round(finding.holdsMgPerL * 10) / 10, "concentration", units)}`]),
        ": shade the tank and run the pump longer.",
      ].join("");
    case "low-oxygen": {
      const read = quantityText(finding.oxygenMgPerL, "concentration", units);
      const of =
        finding.holdsMgPerL === null
          ? ""
          : `, ${percentText(finding.oxygenMgPerL / finding.holdsMgPerL)} of what it could hold`;
      return `Oxygen is at ${read}${of}: under 5 mg/L roots suffer and root rot begins. Let water fall into the tank, run the pump longer, cool it; look at the roots.`;
    }
    case "low-level":
      return `The tank is ${quantityText(Math.round(finding.missingL), "volume", units)} below its normal fill level.`;
    case "no-recipe":
      return "This tank has no recipe yet: pH is judged by a general band; strength needs a recipe, chosen under Feed.";
    case "recipe-too-weak":
      return "Even at eight times its strength the recipe does not come to this EC: check the reading, and the salts of the recipe.";
    case "not-read":
      return notReadWords(finding.figures);
    case "water-too-strong": {
      const better = finding.sourceId === null ? undefined : sourceName(finding.sourceId);
      const alone = `This water alone has EC ${quantityText(finding.waterEcMsPerCm, "ec", units)}`;
      return better
        ? `${alone}: it cannot bring the tank down. ${better} could.`
        : `${alone}: no source here can bring the tank down. Change the solution.`;
    }
  }
}

function notReadWords(figures: readonly TankFigure[]): string {
  const names = figures.map((figure) => FIGURE_WORDS[figure]);
  const wants = figures.flatMap((figure) => NEEDED_FOR[figure] ?? []);
  return `Not read: ${names.join(", ")}${wants.length > 0 ? `; ${wants.join("; ")}` : ""}.`;
}

const HOW: Readonly<Partial<Record<SlipStep["do"], string>>> = {
  drain:
    "What must be drained so that the rest stays under the highest safe level: the tank less freeboard and what drains back when the pump stops.",
  water:
    "Salt balance: level × EC before, and what is added, give the wanted EC at the normal fill level; water brings the EC of its source.",
  stock:
    "Salt balance as for the water; a litre of each stock carries the salts of as many litres of the recipe as its concentration factor says.",
  salt: "Salt balance as for the water; grams per litre from the recipe.",
  acid: "What the alkalinity in the tank takes to come to the middle of the pH band, from the acid's strength and its dissociation at that pH; given in two halves.",
  base: "What brings the pH to the middle of its band; given in two halves.",
};

type AcidStep = Extract<SlipStep, { readonly do: "acid" }>;

/** What the tank's own log says beside what is worked out. */
function learnedNote(
  { unit }: AcidStep,
  { pairs, least, greatest, workedOut }: NonNullable<AcidStep["learned"]>,
  units: UnitPreferences,
): string {
  const text = (amount: number) =>
    unit === "mL" ? quantityText(amount / 1000, "dose", units) : quantityText(amount, "mass", units);
  return `by the last ${pairs} doses of this tank (${text(least)} to ${text(greatest)}); worked out it would be ${text(workedOut)}`;
}

/** A slip's step as the hand does it, and how its amount was worked out. */
export function slipStepView(step: SlipStep, units: UnitPreferences): SlipStepView {
  return { ...inHand(step, units), how: HOW[step.do] };
}

function inHand(step: SlipStep, units: UnitPreferences): SlipStepView {
  switch (step.do) {
    case "drain":
      return {
        title: "Drain",
        amount: { value: step.litres, dimension: "volume" },
        note:
          step.why === "makes-room"
            ? `to make room for what goes in${step.sameVolumeL === undefined ? "" : `; or ${quantityText(step.sameVolumeL, "volume", units)} out and as much water in, to end at the level it has`}`
            : "so that what drains back when the pump stops does not overflow",
      };
    case "water":
      return {
        title: "Fill with water",
        amount: { value: step.litres, dimension: "volume" },
        note:
          step.why === "before-stock"
            ? "before the stock, so that it mixes in"
            : `brings ${quantityText(step.fromMsPerCm, "ec", units)} down to ${quantityText(step.toMsPerCm, "ec", units)}${step.linearL === undefined ? "" : `; quick check by the straight rule, a little short: ${quantityText(step.linearL, "volume", units)}`}`,
      };
    case "stock":
      return {
        title: `Stock ${step.letter}`,
        amount: { value: step.litres, dimension: "dose" },
        note: "poured slowly with the pump on",
      };
    case "salt":
      return {
        title: step.name,
        ...(step.liquidL === undefined
          ? { amount: { value: step.grams, dimension: "mass" }, note: "dissolved in a bucket of tank water" }
          : { amount: { value: step.liquidL, dimension: "dose" }, note: "poured slowly with the pump on" }),
      };
    case "acid":
      return {
        title: acidName(step.acid, step.massPercent),
        amount:
          step.unit === "mL"
            ? { value: step.amount / 1000, dimension: "dose" }
            : { value: step.amount, dimension: "mass" },
        note: [halfwayNote(step.halfwayPh), ...(step.learned ? [learnedNote(step, step.learned, units)] : [])].join(
          "; ",
        ),
      };
    case "base":
      return {
        title: "Potassium bicarbonate",
        amount: { value: step.grams, dimension: "mass" },
        note: `${halfwayNote(step.halfwayPh)}; alkaline source water does it too, sodium hydroxide never in a loop`,
      };
    case "wait":
      return {
        title: `Wait ${step.minutes} minutes`,
        note: step.before === "stock-b" ? "stir; stocks must never meet undiluted" : "pump on, then read again",
      };
  }
}

function halfwayNote(halfwayPh: number): string {
  return `half of what is worked out: pH should come to ${halfwayPh.toFixed(1)}; the other half only after reading again`;
}
