import type { DoseSlip, SlipStep } from "../feed/slip";
import type { CalibrationRun } from "../feed/calibration";
import { figuresOf, type TankFigures } from "../feed/tankFigures";
import type { Day } from "../units/day";
import type { Dimension } from "../units/dimensions";
import { requireFigures, GREATEST } from "../units/range";
import type { CatchCanTest } from "../water/catchCans";
import type { RoundTask, Stop } from "./types";

/** Work in the log from before tasks were kept with their figures. */
export interface WrittenTask {
  readonly kind: "written";
  readonly title: string;
  readonly place: string;
  readonly unit: string;
  readonly dimension: Dimension;
}

type TaskOf<Kind extends RoundTask["kind"]> = Extract<RoundTask, { readonly kind: Kind }>;
/** Work that is settled by a tick, with the figure that it came to. */
export type TickedTask = TaskOf<
  "order" | "top-up" | "mix" | "sow" | "step" | "move" | "pick" | "flush" | "change-solution"
>;

/** A salt that went into a stock, and which bag of it. */
export interface MixedSalt {
  readonly saltId: number;
  readonly name: string;
  readonly grams: number;
  readonly lot: string | null;
}

/** What was done, read or written down: each kind with its own figures, in SI. */
export type Logged =
  | {
      readonly kind: "task";
      readonly stop: Stop | null;
      readonly task: TickedTask | WrittenTask;
      /** What was really done, in the unit of the task. */
      readonly done: number | null;
      /** What a stock was mixed of. */
      readonly salts?: readonly MixedSalt[];
    }
  | {
      readonly kind: "wash";
      readonly stop: Stop | null;
      readonly task: TaskOf<"wash"> | WrittenTask;
      /** Of the units left on a line that was cleared; null where nothing was left. */
      readonly picked: number | null;
      readonly thrownAway: number | null;
    }
  | { readonly kind: "skip"; readonly stop: Stop | null; readonly task: RoundTask | WrittenTask }
  | {
      readonly kind: "reading";
      readonly tank: string;
      readonly figures: TankFigures;
      /** What was worked out from it then. */
      readonly slip: DoseSlip | null;
      /** Of a loop that runs to waste: the EC that was worked out for its feed then. */
      readonly madeToMsPerCm?: number;
    }
  | { readonly kind: "dose"; readonly tank: string; readonly steps: readonly SlipStep[] }
  | { readonly kind: "store"; readonly store: string; readonly storedL: number }
  | ({
      readonly kind: "catch-cans";
      readonly standId: number;
      readonly stand: string;
      readonly line: number;
    } & CatchCanTest)
  | ({ readonly kind: "calibration"; readonly loop: string } & CalibrationRun)
  /** Seedlings that were up, of so many seeds. */
  | {
      readonly kind: "germination";
      readonly variety: string;
      readonly growingArea: string;
      readonly sownOn: Day;
      readonly of: number;
      readonly up: number;
    }
  | { readonly kind: "note" | "count" | "loss"; readonly title: string; readonly place: string };

/** Right figures for an entry; its first ones stay with it. */
export interface Correction {
  readonly kind: "correction";
  readonly values: Readonly<Record<string, number>>;
  /** Of a reading: its slip with the right figures. */
  readonly slip: DoseSlip | null;
}

const VALUE_KINDS: Readonly<Record<(Logged | Correction)["kind"], true>> = {
  task: true,
  wash: true,
  skip: true,
  reading: true,
  dose: true,
  store: true,
  "catch-cans": true,
  calibration: true,
  germination: true,
  note: true,
  count: true,
  loss: true,
  correction: true,
};

/** Whether a stored value is that of an entry, by its kind; the log is written from these values alone. */
export function isEntryValue(value: unknown): value is Logged | Correction {
  return typeof value === "object" && value !== null && "kind" in value && String(value.kind) in VALUE_KINDS;
}

/** What the log can be looked through by. */
export const LOG_KINDS = [
  "reading",
  "dose",
  "mix",
  "top-up",
  "sow",
  "germination",
  "step",
  "move",
  "pick",
  "wash",
  "store",
  "catch-cans",
  "calibration",
  "flush",
  "change-solution",
  "order",
  "skip",
  "count",
  "loss",
  "note",
] as const;
export type LogKind = (typeof LOG_KINDS)[number];

/** An entry of the log: who, when, and what, each kind with its own figures. */
export interface LogEntry<What = Logged | Correction> {
  readonly id: number;
  readonly at: Date;
  readonly day: Day;
  readonly kind: LogKind;
  readonly itemKey: string | null;
  readonly loopId: number | null;
  readonly batchId: number | null;
  readonly what: What;
  readonly note: string;
  readonly correctsId: number | null;
  readonly undoneAt: Date | null;
  /** Of a reading: the slip that was worked out from it, or from its figures as they were put right. */
  readonly slip: DoseSlip | null;
  readonly personName: string;
}

/** An entry that corrects no other one. */
export type FirstEntry = LogEntry<Logged>;
export const isFirst = (entry: LogEntry): entry is FirstEntry => entry.what.kind !== "correction";

/** The figures of an entry by name, which can be put right; those that were not taken are left out. */
export function figuresOfEntry(entry: Logged): Readonly<Record<string, number>> {
  switch (entry.kind) {
    case "reading":
      return known(figuresOf(entry.figures));
    case "store":
      return known({ storedL: entry.storedL });
    case "wash":
      return known({ picked: entry.picked, thrownAway: entry.thrownAway });
    case "task":
      return known({ done: entry.done });
    case "calibration":
      return known({ stockDrawnL: entry.stockDrawnL, meteredL: entry.meteredL });
    case "skip":
    case "dose":
    case "catch-cans":
    case "germination":
    case "note":
    case "count":
    case "loss":
      return {};
  }
}

function known(figures: object): Record<string, number> {
  const found = Object.fromEntries(
    Object.entries(figures).filter((entry): entry is [string, number] => entry[1] !== null),
  );
  requireFigures(
    "figuresOfEntry",
    found,
    Object.fromEntries(Object.keys(found).map((name) => [name, [-100, GREATEST]])),
  );
  return found;
}

/** The stop of the walk at which an entry is shown with what is still to be done; null for what is beside the walk. */
export function stopOfEntry(entry: Logged): Stop | null {
  switch (entry.kind) {
    case "reading":
    case "dose":
    case "calibration":
      return TANKS;
    case "store":
      return GATE;
    case "catch-cans":
    case "germination":
    case "note":
    case "count":
    case "loss":
      return null;
    default:
      return entry.stop;
  }
}

export const GATE: Stop = { key: "gate", name: "", order: 0 };
export const TANKS: Stop = { key: "tanks", name: "", order: 100 };

/** What a task comes to when it is done as planned, in its own unit. */
export function plannedFigure(task: TickedTask): number {
  switch (task.kind) {
    case "sow":
      return task.cells;
    case "move":
      return task.plants;
    case "step":
      return task.soak?.seedG ?? task.plants;
    case "pick":
      return task.units;
    case "top-up":
    case "change-solution":
      return task.litres;
    case "mix":
      return task.tankL - (task.leftL ?? 0);
    case "order":
      return task.grams;
    case "flush":
      return task.blocked.length + task.blown.length;
  }
}

/** The loop and the batch that a task is about, for whoever looks for them in the log. */
export function subjectOf(task: RoundTask): { readonly loopId: number | null; readonly batchId: number | null } {
  return {
    loopId: "loopId" in task ? task.loopId : null,
    batchId: "batchId" in task ? task.batchId : null,
  };
}
