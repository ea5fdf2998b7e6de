"use server";
import { isDose } from "@/core/round/dosing";
import { mixedSalts } from "@/core/round/mixedSalts";
import { figuresOfEntry, plannedFigure, subjectOf, type Logged, type LogKind } from "@/core/round/log";
import { tankName } from "@/core/water/tankName";
import { suspectSlip } from "@/core/units/slips";
import type { Day } from "@/core/units/day";
import { figuresOf, TANK_FIGURES, type TankFigures } from "@/core/feed/tankFigures";
import type { DoseSlip } from "@/core/feed/slip";
import type { RoundItem, RoundTask } from "@/core/round/types";
import { seasonFor } from "../garden/season";
import { type Db, one, run } from "../db/pool";
import { now } from "../session/clock";
import { RefusedError } from "../session/refusal";
import { command } from "../session/command";
import { requireRight } from "../session/rights";
import type { Session } from "../session/session";
import { slipOf } from "@/core/garden/slipOf";
import type { Effect } from "@/core/garden/effects";
import { carryOut, revert } from "./effects";
import { effectsOf, slipEffects } from "@/core/garden/effects";
import { timerMinutes } from "@/core/water/timer";
import { calibrate, isFarOff } from "@/core/feed/calibration";
import {
  calibrationSchema,
  catchCanSchema,
  correctionSchema,
  noteSchema,
  readingSchema,
  skipSchema,
  storeReadingSchema,
  tickSchema,
  undoSchema,
  type TickInput,
} from "./schema";
import { SLIP_OF_READING } from "./queries";
import { roundOf } from "./today";
import { writeEntry } from "./writeEntry";

const FIGURE_COLUMNS = TANK_FIGURES.map(({ column }) => column);

/** Ticks an item: the log is written and what it changes is changed, together. @returns the log entry, for undo */
export const tickItem = command("log", tickSchema, async (db, input, who) => {
  const { item, season } = await findItem(db, who, input.key);
  if (isDose(item.task.kind)) requireRight(who, "dose");
  const entryId = await writeEntry(db, who, {
    ...tickedEntry(item, input),
    itemKey: item.key,
    ...subjectOf(item.task),
    note: input.note,
  });
  await carryOut(db, who, entryId, effectsOf(item, season, input.actual, input.readyOn ?? null));
  return entryId;
});

/** What the log says of a ticked item. @throws RefusedError for items that are settled by what is entered */
function tickedEntry(item: RoundItem, input: TickInput): { readonly kind: LogKind; readonly what: Logged } {
  const { task, stop } = item;
  switch (task.kind) {
    case "reading":
    case "read-again":
    case "store":
    case "calibrate":
    case "count-seedlings":
      throw new RefusedError({ room: "round", kind: "enter-figures" });
    case "bring-back":
      throw new RefusedError({ room: "round", kind: "follow-slip" });
    case "wash":
      return { kind: "wash", what: { kind: "wash", stop, task, ...clearedFigures(task, input) } };
    case "mix":
      return {
        kind: "mix",
        what: {
          kind: "task",
          stop,
          task,
          done: input.actual ?? plannedFigure(task),
          salts: mixedSalts(item, input.actual, input.lots),
        },
      };
    default:
      return { kind: task.kind, what: { kind: "task", stop, task, done: input.actual ?? plannedFigure(task) } };
  }
}

/** What became of the units that were still on the plants of a line that is cleared; null where nothing was left. */
function clearedFigures(
  { unitsLeft }: Extract<RoundTask, { readonly kind: "wash" }>,
  { picked, thrownAway }: TickInput,
): { readonly picked: number | null; readonly thrownAway: number | null } {
  if (!unitsLeft || unitsLeft.units <= 0) return { picked: null, thrownAway: null };
  const { units, unit } = unitsLeft;
  if (picked === undefined || thrownAway === undefined)
    throw new RefusedError({ room: "round", kind: "say-what-is-left", quantity: units, unit: unit.name }, "picked");
  for (const [name, value] of Object.entries({ picked, thrownAway }))
    if (!unit.divisible && !Number.isInteger(value))
      throw new RefusedError({ room: "round", kind: "whole-units", quantity: value, unit: unit.name }, name);
  return { picked, thrownAway };
}

/** Skips an item until tomorrow, with the reason. */
export const skipItem = command("log", skipSchema, async (db, input, who) => {
  const { item } = await findItem(db, who, input.key);
  return writeEntry(db, who, {
    kind: "skip",
    what: { kind: "skip", stop: item.stop, task: item.task },
    itemKey: item.key,
    ...subjectOf(item.task),
    note: input.reason,
  });
});

/** Takes back what an entry of today did. The entry stays in the log, marked as undone. */
export const undoEntry = command("log", undoSchema, async (db, { entryId }, who) => {
  const entry = await one<{ kind: string; effects: Effect[] }>(
    db,
    "entry",
    `update log_entry set undone_at = now(), undone_by = $3
      where garden_id = $1 and id = $2 and undone_at is null and corrects_id is null
      returning kind, effects`,
    [who.gardenId, entryId, who.personId],
  );
  if (isDose(entry.kind)) requireRight(who, "dose");
  await run(db, `delete from reading where garden_id = $1 and log_id = $2`, [who.gardenId, entryId]);
  for (const effect of [...entry.effects].reverse()) await revert(db, who.gardenId, effect);
});

/** Enters a reading by hand. A likely slip of unit is asked about first; nothing is kept until it is answered. */
export const enterReading = command("log", readingSchema, async (db, input, who) => {
  if (!input.sure)
    for (const { name, meter } of TANK_FIGURES) {
      const value = input[name] ?? null;
      const slip = value === null || !meter ? undefined : suspectSlip(meter, value);
      if (slip) throw new RefusedError({ room: "round", kind: "asks", meter: meter!, slip }, name);
    }
  // Two who read one tank at the same moment come one after the other: the second is one more reading of today.
  await run(db, "select id from loop where garden_id = $1 and id = $2 for update", [who.gardenId, input.loopId]);
  const season = await seasonFor(db, who);
  const loop = season.garden.loops.find((candidate) => candidate.id === input.loopId);
  if (!loop) throw new RefusedError({ room: "round", kind: "tank-gone" });
  if (input.levelL !== null && input.levelL > loop.tankL)
    throw new RefusedError({ room: "round", kind: "over-tank", levelL: input.levelL, tankL: loop.tankL }, "levelL");
  const figures = figuresOf(input);
  const { items, lastReadings, season: withFacts } = await roundOf(db, season);
  const asked = items.find(
    ({ task }) => (task.kind === "reading" || task.kind === "read-again") && task.loopId === loop.id,
  );
  const before = lastReadings.find((reading) => reading.loopId === loop.id) ?? null;
  const { sheet } = withFacts.feeds.get(loop.id) ?? {};
  const entryId = await writeEntry(db, who, {
    kind: "reading",
    what: {
      ...{ kind: "reading", tank: tankName(loop.name), figures },
      slip: slipOf(withFacts, loop.id, figures, before),
      ...(loop.kind === "run-to-waste" && sheet?.strength != null && { madeToMsPerCm: sheet.madeToMsPerCm }),
    },
    itemKey: asked?.key ?? null,
    loopId: loop.id,
    note: "",
  });
  await run(
    db,
    `insert into reading (garden_id, loop_id, at, origin, log_id, ${FIGURE_COLUMNS.join(", ")})
     values ($1, $2, $3, 'hand', $4, ${FIGURE_COLUMNS.map((_, at) => `$${at + 5}`).join(", ")})`,
    [who.gardenId, loop.id, now(), entryId, ...TANK_FIGURES.map(({ name }) => figures[name] ?? null)],
  );
  return entryId;
});

/** Logs that the slip of a reading was followed, as it was shown, and takes its stock or salts off the shelf. */
export const doseDone = command("dose", undoSchema, async (db, { entryId }, who) => {
  const reading = await one<{ loopId: number; slip: DoseSlip | null }>(
    db,
    "reading",
    `select entry.loop_id as "loopId", ${SLIP_OF_READING} as slip from log_entry entry
      where entry.garden_id = $1 and entry.id = $2 and entry.kind = 'reading' and entry.corrects_id is null
        and entry.undone_at is null`,
    [who.gardenId, entryId],
  );
  if (!reading.slip || reading.slip.steps.length === 0) throw new RefusedError({ room: "round", kind: "no-slip" });
  const season = await seasonFor(db, who);
  const loop = season.garden.loops.find((candidate) => candidate.id === reading.loopId);
  if (!loop) throw new RefusedError({ room: "round", kind: "tank-gone" });
  const doseId = await writeEntry(db, who, {
    kind: "dose",
    what: { kind: "dose", tank: tankName(loop.name), steps: reading.slip.steps },
    itemKey: `dose:${entryId}`,
    loopId: loop.id,
    note: "",
  });
  await carryOut(db, who, doseId, slipEffects(reading.slip, loop));
  return doseId;
});

/** Enters the level of a store. */
export const enterStore = command("log", storeReadingSchema, async (db, input, who) => {
  const store = await one<{ name: string; capacityL: number; storedL: number; readOn: number }>(
    db,
    "store",
    `select name, capacity_l as "capacityL", stored_l as "storedL", read_on as "readOn" from store where garden_id = $1 and id = $2`,
    [who.gardenId, input.storeId],
  );
  if (input.storedL > store.capacityL)
    throw new RefusedError(
      { room: "round", kind: "over-store", storedL: input.storedL, capacityL: store.capacityL, store: store.name },
      "storedL",
    );
  const entryId = await writeEntry(db, who, {
    kind: "store",
    what: { kind: "store", store: store.name, storedL: input.storedL },
    itemKey: store.readOn < who.today ? `store:${input.storeId}` : null,
    note: "",
  });
  await carryOut(db, who, entryId, [
    {
      kind: "store",
      storeId: input.storeId,
      storedL: input.storedL,
      day: who.today,
      beforeL: store.storedL,
      beforeDay: store.readOn,
    },
  ]);
  return entryId;
});

/** Enters a catch-can test of a line. */
export const enterCatchCans = command("log", catchCanSchema, async (db, input, who) => {
  const { garden } = await seasonFor(db, who);
  const stand = garden.stands.find(({ id }) => id === input.standId);
  if (!stand) throw new RefusedError({ room: "round", kind: "stand-gone" });
  const loop = garden.loops.find(({ id }) => id === stand.loopId);
  const runHoursPerDay = loop ? timerMinutes(loop.timer) / 60 : 0;
  return writeEntry(db, who, {
    kind: "catch-cans",
    what: { kind: "catch-cans", stand: stand.name, runHoursPerDay, ...input },
    loopId: stand.loopId,
    note: "",
  });
});

/** Enters a calibration of a loop's injector. One that says far too much or too little is asked about first. */
export const enterCalibration = command("dose", calibrationSchema, async (db, { loopId, sure, ...typed }, who) => {
  const season = await seasonFor(db, who);
  const loop = season.garden.loops.find(({ id }) => id === loopId);
  if (!loop) throw new RefusedError({ room: "round", kind: "tank-gone" });
  const run = { ...typed, wantedR: loop.ratioR, convention: loop.ratioConvention };
  const found = calibrate(run);
  if (!sure && isFarOff(found))
    throw new RefusedError({ room: "round", kind: "asks-calibration", strength: found.strength }, "stockDrawnL");
  const { items } = await roundOf(db, season);
  const asked = items.find(({ task }) => task.kind === "calibrate" && task.loopId === loopId);
  return writeEntry(db, who, {
    kind: "calibration",
    what: { kind: "calibration", loop: loop.name, ...run },
    itemKey: asked?.key ?? null,
    loopId,
    note: "",
  });
});

export const addNote = command("log", noteSchema, (db, { title, place, day, note }, who) =>
  writeEntry(db, who, { kind: "note", what: { kind: "note", title, place }, day, note }),
);

/** Corrects figures of an entry: the right ones go into a new entry, the first ones stay where they are. */
export const correctEntry = command("log", correctionSchema, async (db, input, who) => {
  const first = await one<{
    id: number;
    day: Day;
    kind: LogKind;
    loopId: number | null;
    batchId: number | null;
    what: Logged;
  }>(
    db,
    "entry",
    `select id, day, kind, loop_id as "loopId", batch_id as "batchId", what from log_entry
      where garden_id = $1 and id = $2 and corrects_id is null and undone_at is null`,
    [who.gardenId, input.entryId],
  );
  const figures = figuresOfEntry(first.what);
  for (const key of Object.keys(input.values))
    if (!(key in figures)) throw new RefusedError({ room: "round", kind: "no-such-figure", name: key }, key);
  const corrected = TANK_FIGURES.filter(({ name }) => name in input.values);
  if (corrected.length > 0)
    await run(
      db,
      `update reading set ${corrected.map(({ column }, index) => `${column} = $${index + 3}`).join(", ")}
        where garden_id = $1 and log_id = $2`,
      [who.gardenId, first.id, ...corrected.map(({ name }) => input.values[name])],
    );
  const slip =
    first.what.kind === "reading"
      ? await slipOfCorrected(db, who, first.loopId, { ...first.what.figures, ...input.values })
      : null;
  return writeEntry(db, who, {
    what: { kind: "correction", values: input.values, slip },
    kind: first.kind,
    day: first.day,
    loopId: first.loopId,
    batchId: first.batchId,
    note: input.note,
    correctsId: first.id,
  });
});

/** The slip of a reading with its figures put right; null where its tank is gone. */
async function slipOfCorrected(
  db: Db,
  who: Session,
  loopId: number | null,
  figures: TankFigures,
): Promise<DoseSlip | null> {
  const { season } = await roundOf(db, await seasonFor(db, who));
  if (loopId === null || !season.garden.loops.some(({ id }) => id === loopId)) return null;
  return slipOf(season, loopId, figures, null);
}

async function findItem(db: Db, who: Session, key: string) {
  const season = await seasonFor(db, who);
  const { items } = await roundOf(db, season);
  const item = items.find((candidate) => candidate.key === key);
  if (!item) throw new RefusedError({ room: "round", kind: "not-on-round" });
  return { item, season };
}
