import { STORE_DAYS, type Ease, type Rung, type RungKind, type RungOf, type RungVerdict } from "@/core/water/ladder";
import type { Dimension, UnitPreferences } from "@/core/units/dimensions";
import { clockText, counted, formatNumber, percentText, quantityText } from "@/core/units/format";
import type { AnalysisSlip, IonBalance, MainIon } from "@/core/feed/ionBalance";
import type { WaterRefusal } from "@/server/water/refused";
import type { TimerProgram } from "@/core/water/timer";

export const VERDICT_WORDS: Readonly<Record<RungVerdict, string>> = {
  ample: "ample",
  fits: "fits",
  tight: "just",
  short: "short",
  idle: "idle",
};

/** Why something of the water was not worked out, or not saved. */
export function waterRefusalWords(refusal: WaterRefusal): string {
  switch (refusal.kind) {
    case "no-rain-store":
      return "Enter a roof as a source of rain, and a store that it fills.";
    case "nothing-drawn":
      return "Nothing drinks in the days ahead: plan batches first.";
    case "pump-rises":
      return `The head rises again at point ${refusal.point}: a pump gives less head the more it moves. The figures of two points may be swapped, or flow and head.`;
    case "ions-out":
      return `${balanceWords(refusal.balance)} ${slipWords(refusal.balance.slips)} Or tick this to keep it as it is:`;
  }
}

const SLIP_WORDS: Readonly<Record<AnalysisSlip, string>> = {
  "nitrate-as-ion": "nitrate as NO₃ (asked is the N in it: divide by 4.43)",
  "sulfate-as-ion": "sulfate as SO₄ (asked is the S in it: divide by 3)",
  "alkalinity-as-bicarbonate": "alkalinity as HCO₃ (asked is CaCO₃: times 0.82)",
  "alkalinity-in-degrees": "alkalinity in German degrees (times 17.8)",
  "alkalinity-in-meq": "alkalinity in mmol/L or meq/L (times 50)",
  "calcium-as-hardness": "calcium as CaCO₃ (asked is the Ca in it: times 0.4)",
};

function slipWords(slips: readonly AnalysisSlip[]): string {
  return slips.length === 0
    ? "Look for a figure of another unit, or one in the wrong row."
    : `The sheet may give ${slips.map((slip) => SLIP_WORDS[slip]).join(", or ")}.`;
}

const ION_WORDS: Readonly<Partial<Record<MainIon, string>>> = {
  alkalinity: "alkalinity",
  S: "sulfate",
  Cl: "chloride",
  "NO3-N": "nitrate",
  Ca: "calcium",
  Mg: "magnesium",
  Na: "sodium",
  K: "potassium",
};

/** Whether the ions of an analysis balance, in one sentence. */
export function balanceWords({ verdict, cationsMeqPerL, anionsMeqPerL, difference, notTold }: IonBalance): string {
  const sides = `${formatNumber(cationsMeqPerL, 2)} meq/L of cations, ${formatNumber(anionsMeqPerL, 2)} of anions`;
  switch (verdict) {
    case "balanced":
      return `Its ions balance: ${sides}.`;
    case "weak":
      return `So weak a water needs no balance: ${sides}.`;
    case "doubtful":
      return `Its ions are ${percentText(Math.abs(difference))} apart (${sides}): doubtful, over 5 %.`;
    case "out":
      return `Its ions do not balance: ${sides}, ${percentText(Math.abs(difference))} apart; up to 10 % may be the laboratory’s.`;
    case "not-all-told":
      return `Its ions cannot be balanced: ${listed(notTold.map((one) => ION_WORDS[one] ?? one))} ${notTold.length === 1 ? "is" : "are"} not told (${sides}).`;
  }
}

function listed(words: readonly string[]): string {
  return words.length < 2 ? words.join("") : `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;
}

/** What a rung is called. */
export function rungName(rung: RungOf, units: UnitPreferences): string {
  switch (rung.kind) {
    case "source":
      return "Sources";
    case "store":
      return "Store";
    case "pump":
      return { pump: "Pump", gravity: "Tank on its stand", mains: "Mains and regulator" }[rung.by];
    case "injector":
      return "Injector";
    case "main":
      return `Main, ${quantityText(rung.boreMm, "bore", units)} bore`;
    case "bank":
      return `Bank of ${rung.stand}`;
    case "line":
      return `One line of ${rung.stand}`;
    case "plant":
      return `One plant in ${rung.stand}`;
  }
}

/** What is shown beside the name of a rung. */
export function rungDetail(rung: RungOf, units: UnitPreferences): string {
  const text = (value: number, dimension: Dimension) => quantityText(value, dimension, units);
  switch (rung.kind) {
    case "source":
      return "all of them, for the whole garden";
    case "store":
      if (rung.daysInHand === null) return "nothing is drawn today";
      return `${rung.daysInHand} ${rung.daysInHand === 1 ? "day" : "days"} in hand without rain`;
    case "pump":
      if (rung.by !== "pump")
        return `${text(-rung.liftM, "length")} of head over the highest outlet${rung.by === "gravity" ? " at the lowest water" : ""}`;
      return `${rung.lifts ? "" : "cannot lift: "}lifts ${text(rung.liftM, "length")} at the lowest water level`;
    case "injector":
      return `doses from ${text(rung.leastLph, "flow")} to ${text(rung.greatestLph, "flow")}`;
    case "main":
      return `${text(rung.lossM, "length")} lost on ${text(rung.lengthM, "length")} and its fittings`;
    case "bank":
      return `${rung.linesOpen} ${rung.linesOpen === 1 ? "line" : "lines"} on one valve`;
    case "line":
      return rung.limited
        ? "all its emitters together, at the head that they have"
        : `open spigots; ${text(60, "lineFlow")} to ${text(120, "lineFlow")} is usual`;
    case "plant": {
      const there = rung.plants > 0 ? `${counted(rung.plants, "plant")} there today` : "none there today";
      const least =
        rung.leastPlantShare < 0.995 ? `, the one with the least ${percentText(rung.leastPlantShare)} of it` : "";
      return `${text(rung.perPlantLph, "flow")} while it runs${least}; ${there}`;
    }
  }
}

/** How the figures of a rung are worked out. */
export const RUNG_HOW: Readonly<Record<RungKind, string>> = {
  source:
    "What well, mains and carried water may give in a day, and what the store can add, against the litres that all plants drink today.",
  store: `Litres in the store against ${STORE_DAYS} days of today's need.`,
  pump: "The whole loop solved as one network at the lowest water: what comes through pump, pipe, banks and lines, against what all lines that are open together want. With banks in turns, the turn that is served worst.",
  injector:
    "Under its minimum flow a piston stops dosing, over its maximum it doses too little. The smallest bank alone and all open lines together are compared with the range.",
  main: "Head that the pump gives at the wanted flow, against lift + head wanted at the outlet + what pipe and fittings take at that flow.",
  bank: "What the network gives the bank of this stand that gets least, against what its lines want.",
  line: "What a line of that bank gets, against what it wants.",
  plant:
    "Flow of the line ÷ its sites × what the plant gets that gets least, by its place among the emitters and along the line × minutes the timer runs, against what a plant drinks a day in its stage (and the drain share of a run-to-waste loop).",
};

/** What would ease a rung, in one sentence. */
export function easeWords(ease: Ease, units: UnitPreferences): string {
  const text = (value: number, dimension: Dimension) => quantityText(value, dimension, units);
  switch (ease.kind) {
    case "unmet-without-store":
      return `Without the store the other sources leave ${text(Math.round(ease.litresPerDay), "volume")} a day unmet.`;
    case "spare-the-store":
      return "Draw on another source first while it may, and keep the store for dry weeks.";
    case "more-turns":
      return `Run the banks in ${counted(ease.turns, "turn")}${ease.flowLph === null ? "" : `: each then needs ${text(Math.round(ease.flowLph), "flow")}`}.`;
    case "less-lift":
      return `Each ${text(ease.lessM, "length")} less lift brings ${text(Math.round(ease.gainLph), "flow")} more.`;
    case "wider-riser":
      return `A riser of ${text(ease.boreMm, "bore")} inside diameter brings ${text(Math.round(ease.gainLph), "flow")} more.`;
    case "open-together":
      return `Open ${ease.stand} together with another bank.`;
    case "wider-main":
      return "Most of the head goes into friction: a wider main would help more than a larger pump.";
    case "own-turn":
      return "Close this bank while others run, and give it a turn of its own.";
    case "longer-timer":
      return `Run the timer ${ease.minutes} minutes more a day.`;
  }
}

/** What an ease costs to try: those that cost nothing come first. */
export const EASE_COST: Readonly<Record<Ease["kind"], "nothing" | "work" | "pipe">> = {
  "unmet-without-store": "nothing",
  "spare-the-store": "nothing",
  "more-turns": "nothing",
  "own-turn": "nothing",
  "open-together": "nothing",
  "longer-timer": "nothing",
  "less-lift": "work",
  "wider-riser": "pipe",
  "wider-main": "pipe",
};
export const COST_WORDS = { nothing: "costs nothing", work: "an hour’s work", pipe: "a pipe to buy" } as const;

/** The same in one line for a screen reader: what it can give and what is needed. */
export function rungFigures({ canGive, needs, dimension }: Rung, units: UnitPreferences): readonly [string, string] {
  return [quantityText(canGive, dimension, units), needs > 0 ? quantityText(needs, dimension, units) : "nothing"];
}

/** A timer program as one would say it. */
export function timerWords(timer: TimerProgram): string {
  switch (timer.kind) {
    case "continuous":
      return "runs day and night";
    case "every":
      return `runs ${minutesText(timer.runMin)} every ${minutesText(timer.everyMin)}, ${clockText(timer.fromMin)}–${clockText(timer.toMin)}`;
    case "times":
      return `runs ${minutesText(timer.runMin)} at ${timer.timesMin.map(clockText).join(", ")}`;
    case "daylight":
      return `runs ${timer.runs} times ${minutesText(timer.runMin)} by day, from ${minutesText(timer.marginMin)} after sunrise to as long before sunset`;
  }
}

/** Minutes, and seconds where it is less than one. */
function minutesText(minutes: number): string {
  return minutes < 1 ? `${formatNumber(minutes * 60)} s` : `${formatNumber(minutes, 2)} min`;
}
