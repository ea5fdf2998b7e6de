import { changeWords } from "@/features/feed/words";
import { figuresOfEntry, GATE, plannedFigure, TANKS, type Logged, type WrittenTask } from "@/core/round/log";
import type { RoundTask, Stop, Where } from "@/core/round/types";
import { dayInWords } from "@/core/units/day";
import { TANK_FIGURES } from "@/core/feed/tankFigures";
import type { Dimension, UnitPreferences } from "@/core/units/dimensions";
import { counted, formatNumber, quantityText } from "@/core/units/format";
import type { SuspectedSlip } from "@/core/units/slips";
import { STEP_WORDS, stepCheck } from "./stepWords";
import type { RoundRefusal } from "@/server/round/refused";

/** Asks about a figure that cannot be right. */
export function slipQuestion({ kind, value, likely }: SuspectedSlip, units: UnitPreferences): string {
  switch (kind) {
    case "micro-siemens":
      return `${value} mS/cm is past sea water. Was it ${value} µS/cm (${quantityText(likely, "ec", units)})?`;
    case "cf":
      return `${value} mS/cm would kill any crop. Was it CF ${value} (${quantityText(likely, "ec", units)})?`;
    case "ppm500":
    case "ppm700": {
      const ppm = formatNumber(Math.round(value * (kind === "ppm500" ? 700 : 500)));
      return `${ppm} ppm is outside the band on the scale ×${kind === "ppm500" ? 700 : 500}. Does your pen show ppm ×${kind.slice(3)}? Then it is ${quantityText(likely, "ec", { ...units, ec: "mS/cm" })}, inside it.`;
    }
    case "ph-point":
      return `pH ends at 14. Was it ${likely}?`;
    case "celsius":
      return `${likely} °F is ice. Was it ${likely} °C?`;
    case "fahrenheit":
      return `${value} °C would scald roots. Was it ${value} °F?`;
  }
}

/** Asks about a calibration that cannot be right. */
export function farOffWords(strength: number): string {
  return `That is ${formatNumber(strength, 2)} times the strength that it is set to. Was it mL or litres, and is the meter on that side of the injector?`;
}

/** Why something of the round or the log was not saved. */
export function roundRefusalWords(refusal: RoundRefusal, units: UnitPreferences): string {
  const litres = (value: number) => quantityText(value, "volume", units);
  switch (refusal.kind) {
    case "not-on-round":
      return "This item is no longer on today's round: it was done, or the plan has changed.";
    case "enter-figures":
      return "Enter what the meter or the gauge shows.";
    case "follow-slip":
      return "Log what the slip of the reading says as done, or say why not.";
    case "no-slip":
      return "This reading has no slip to follow: read the tank again.";
    case "say-what-is-left":
      return `Say what became of the ${refusal.quantity} ${refusal.unit} left: picked, and thrown away.`;
    case "whole-units":
      return `Only whole ${refusal.unit} count: ${refusal.quantity} is not a whole number.`;
    case "asks":
      return slipQuestion(refusal.slip, units);
    case "tank-gone":
      return "This tank is no longer there.";
    case "stand-gone":
      return "This stand is no longer there.";
    case "batch-gone":
      return "This sowing is no longer there, or was not sown yet.";
    case "over-sown":
      return `Counted of ${formatNumber(refusal.of)} seeds; ${formatNumber(refusal.seeds)} were sown.`;
    case "over-counted":
      return `${formatNumber(refusal.up)} of ${formatNumber(refusal.of)} cannot be up. Were the two figures swapped, or is it percent?`;
    case "asks-calibration":
      return farOffWords(refusal.strength);
    case "over-tank":
      return `Level is ${litres(refusal.levelL)}; the tank holds ${litres(refusal.tankL)}.`;
    case "over-store":
      return `In store is ${litres(refusal.storedL)}; ${refusal.store} holds ${litres(refusal.capacityL)}.`;
    case "no-such-figure":
      return `This entry has no figure "${refusal.name}" to correct.`;
  }
}

/** Where the walk stops. */
export function stopName({ key, name }: Stop): string {
  return key === GATE.key ? "Gate and store" : key === TANKS.key ? "Tanks" : name;
}

function whereWords({ growingArea, lines }: Where): string {
  return lines ? `${growingArea.toLowerCase()}, ${lines}` : growingArea.toLowerCase();
}

/** What is to be done, or was, in one line. */
export function taskTitle(task: RoundTask | WrittenTask): string {
  switch (task.kind) {
    case "store":
      return `Read the level of ${task.store}`;
    case "order":
      return `Order ${task.salt}`;
    case "reading":
      return `${task.tank}: read`;
    case "read-again":
      return `${task.tank}: read again`;
    case "bring-back":
      return `${task.tank}: bring back into band`;
    case "top-up":
      return `${task.tank}: top up with feed`;
    case "mix":
      return `${task.loop} stock ${task.letter}: mix fresh stock`;
    case "sow":
      return `Sow ${task.variety}, ${whereWords(task.where)}`;
    case "step":
      return `${STEP_WORDS[task.step]} ${task.variety} of ${dayInWords(task.sownOn)}, ${whereWords(task.where)}`;
    case "count-seedlings":
      return `Count what is up: ${task.variety} of ${dayInWords(task.sownOn)}, ${whereWords(task.where)}`;
    case "move":
      return `Move ${task.variety} of ${dayInWords(task.sownOn)} to ${whereWords(task.where)}`;
    case "wash":
      return `${task.clears ? "Clear and wash" : "Wash and sanitise"} ${whereWords(task.where)}`;
    case "pick":
      return `Pick ${task.variety} for ${task.customer}${task.where ? `, ${whereWords(task.where)}` : ""}`;
    case "flush":
      return `${task.stand}, line ${task.line}: flush or replace emitters`;
    case "change-solution":
      return `${task.tank}: change the solution`;
    case "calibrate":
      return `${task.loop} injector: calibrate`;
    case "written":
      return task.title;
  }
}

/** What is shown under it: where from, for when, since when. */
export function taskDetail(task: RoundTask, units: UnitPreferences): string {
  switch (task.kind) {
    case "store":
      return `last read ${dayInWords(task.lastRead)}`;
    case "order":
      return `${task.orderBy === undefined ? "" : `order by ${dayInWords(task.orderBy)}; `}the shelf is empty from ${dayInWords(task.emptyFrom)}; this amount lasts for the whole plan`;
    case "reading":
      return task.lastRead === null ? "never read yet" : `last read ${dayInWords(task.lastRead)}`;
    case "read-again":
      return "after the dose has mixed in";
    case "bring-back":
      return `as the slip of the reading of ${dayInWords(task.readOn)} says`;
    case "top-up":
      return `the tank should be near ${quantityText(Math.round(task.expectedL), "volume", units)}; read it first if the meter is at hand`;
    case "mix":
      return `${task.daysLeft} ${task.daysLeft === 1 ? "day" : "days"} left${task.leftL ? `: this comes onto the ${quantityText(task.leftL, "volume", units)} that are in it` : ""}; 70 % of it warm water first, salts in this order, make up to the mark`;
    case "sow":
      return `${counted(task.cells * task.seedsPerCell, "seed")}, ${task.seedsPerCell} a ${task.inTrays ? "tray" : "cell"}; ${counted(task.targetPlants, "plant")} wanted by ${dayInWords(task.readyDay)}${task.lot === undefined ? "" : `; from lot ${task.lot}`}`;
    case "step":
      return [stepCheck(task), task.note].filter(Boolean).join("; ");
    case "count-seedlings":
      return `${counted(task.seeds, "seed")} sown; must be up by ${dayInWords(task.upBy, "weekday")}`;
    case "move":
      return `from ${task.from ? whereWords(task.from) : "where they are"}`;
    case "wash": {
      const wash = task.cleaningDays > 0 ? `; the next crop may come after ${counted(task.cleaningDays, "day")}` : "";
      return `${task.variety} of ${dayInWords(task.sownOn)} ${task.clears ? "is over" : "moved on"}${wash}`;
    }
    case "pick":
      return `for ${dayInWords(task.day, "weekday")}`;
    case "change-solution":
      return `${changeWords(task.rule, units)}; ${task.since === null ? "the log knows of no change yet: from this one on it is counted" : `last changed ${dayInWords(task.since)}`}`;
    case "calibrate":
      return `set to 1:${formatNumber(task.ratioR)}; ${task.since === null ? "the log knows of no calibration yet" : `last calibrated ${dayInWords(task.since)}`}`;
    case "flush":
      return `${emittersFound(task)}; found by the catch cans of ${dayInWords(task.testedOn)}`;
  }
}

/** Which emitters a catch-can test found, counted from the inlet: "blocked 4 and 11, blown 20". */
export function emittersFound({
  blocked,
  blown,
}: {
  readonly blocked: readonly number[];
  readonly blown: readonly number[];
}): string {
  const named = (what: string, emitters: readonly number[]) =>
    emitters.length > 0 ? [`${what}: ${emitters.join(", ")}`] : [];
  return [...named("blocked", blocked), ...named("blown", blown)].join("; ");
}

/** A figure to read at arm's length, and what it counts. */
export interface TaskFigure {
  readonly value: number;
  readonly dimension: Dimension;
  readonly word: string;
}

/** The unit of a task's figure; null where there is no figure to it. */
export function taskUnit(task: RoundTask | WrittenTask): Omit<TaskFigure, "value"> | null {
  switch (task.kind) {
    case "sow":
      return { dimension: "count", word: task.inTrays ? "trays" : "cells" };
    case "step":
      return task.soak
        ? { dimension: "mass", word: "" }
        : { dimension: "count", word: countWord(task.counts, task.plants) };
    case "move":
      return { dimension: "count", word: "plants" };
    case "pick":
      return { dimension: "ratio", word: task.unit.name };
    case "wash":
      return task.unitsLeft && { dimension: "ratio", word: task.unitsLeft.unit.name };
    case "top-up":
    case "change-solution":
    case "mix":
      return { dimension: "volume", word: "" };
    case "order":
      return { dimension: "mass", word: "" };
    case "flush":
      return { dimension: "count", word: "emitters" };
    case "written":
      return { dimension: task.dimension, word: task.unit };
    case "store":
    case "reading":
    case "read-again":
    case "bring-back":
    case "calibrate":
    case "count-seedlings":
      return null;
  }
}

/** "1 tray", "12 cells", "30 plants". */
function countWord(counts: "trays" | "cells" | "plants" = "plants", count: number): string {
  return count === 1 ? counts.slice(0, -1) : counts;
}

/** What a task comes to as planned. */
export function taskFigure(task: RoundTask): TaskFigure | null {
  switch (task.kind) {
    case "order":
    case "top-up":
    case "change-solution":
    case "mix":
    case "sow":
    case "step":
    case "move":
    case "pick":
    case "flush":
      return { value: plannedFigure(task), ...taskUnit(task)! };
    default:
      return null;
  }
}

/** What an entry of the log says was done. */
export function entryTitle(entry: Logged): string {
  switch (entry.kind) {
    case "task":
    case "wash":
    case "skip":
      return taskTitle(entry.task);
    case "reading":
      return `${entry.tank}: read`;
    case "dose":
      return `${entry.tank}: dosed as the slip said`;
    case "store":
      return `Read the level of ${entry.store}`;
    case "calibration":
      return `${entry.loop} injector: calibrated`;
    case "germination":
      return `${entry.variety} of ${dayInWords(entry.sownOn)}: ${formatNumber(entry.up)} of ${counted(entry.of, "seed")} up`;
    case "catch-cans":
      return `Catch cans under line ${entry.line}: ${counted(entry.volumesMl.length, "can")}`;
    default:
      return entry.title;
  }
}

/** Where it was done. */
export function entryPlace(entry: Logged): string {
  switch (entry.kind) {
    case "task":
    case "wash":
    case "skip":
      return entry.task.kind === "written" ? entry.task.place : entry.stop ? stopName(entry.stop) : "";
    case "reading":
    case "dose":
      return entry.tank;
    case "store":
      return stopName(GATE);
    case "calibration":
      return entry.loop;
    case "catch-cans":
      return entry.stand;
    case "germination":
      return entry.growingArea;
    default:
      return entry.place;
  }
}

const FIGURE_LABELS: Readonly<Record<string, { readonly label: string; readonly dimension: Dimension }>> = {
  ...Object.fromEntries(TANK_FIGURES.map(({ name, label, dimension }) => [name, { label, dimension }])),
  storedL: { label: "in store", dimension: "volume" },
  picked: { label: "picked", dimension: "ratio" },
  thrownAway: { label: "thrown away", dimension: "ratio" },
  stockDrawnL: { label: "stock drawn", dimension: "dose" },
  meteredL: { label: "water metered", dimension: "volume" },
};

/** A figure of an entry by its name in the log, with what it is called and measured in. */
export interface EntryFigure {
  readonly name: string;
  readonly label: string;
  readonly dimension: Dimension;
  readonly value: number;
}

/** The figures of an entry, which can be put right. */
export function entryFigures(entry: Logged): EntryFigure[] {
  return Object.entries(figuresOfEntry(entry)).map(([name, value]) => {
    if (name !== "done" || entry.kind !== "task") return { name, value, ...FIGURE_LABELS[name]! };
    const { dimension, word } = taskUnit(entry.task)!;
    return { name, value, dimension, label: word || "done" };
  });
}
