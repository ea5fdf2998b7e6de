"use server";
import { GATE, TANKS } from "@/core/round/roundItems";
import { suspectSlip } from "@/core/units/slips";
import { isoFromDay } from "@/core/units/day";
import { seasonFor } from "../batches/season";
import { many, one, type Db } from "../db/pool";
import { now } from "../session/clock";
import { command, RefusedError, requireRight } from "../session/command";
import type { Session } from "../session/session";
import { apply, revert, type Effect } from "./effects";
import { effectsOf, slipEffects } from "./itemEffects";
import {
  correctionSchema,
  noteSchema,
  readingSchema,
  skipSchema,
  storeReadingSchema,
  tickSchema,
  undoSchema,
} from "./schema";
import { slipFor } from "./slip";
import { roundOf } from "./today";
import { writeEntry } from "./writeEntry";

/** Ticks an item: the log is written and what it changes is changed, together. @returns the log entry, for undo */
export const tickItem = command("log", tickSchema, async (db, input, who) => {
  const { item, season } = await findItem(db, who, input.key);
  if (isDose(item.kind)) requireRight(who, "dose");
  if (item.kind === "reading" || item.kind === "store")
    throw new RefusedError("Enter what the meter or the gauge shows.");
  const done = input.actual ?? item.figure?.value ?? null;
  const entryId = await writeEntry(db, who, {
    kind: item.kind,
    itemKey: item.key,
    place: item.stop.name,
    title: item.title,
    loopId: item.refs.loopId ?? null,
    batchId: item.refs.batchId ?? null,
    planned: { figure: item.figure, due: isoFromDay(item.refs.due), stop: item.stop },
    actual: done === null ? {} : { done, word: item.figure?.word ?? "", dimension: item.figure?.dimension ?? "count" },
    note: input.note,
  });
  await carryOut(db, who, entryId, effectsOf(item, season, input.actual));
  return entryId;
});

/** Puts an item off until tomorrow, with the reason. */
export const skipItem = command("log", skipSchema, async (db, input, who) => {
  const { item } = await findItem(db, who, input.key);
  return writeEntry(db, who, {
    kind: "skip",
    itemKey: item.key,
    place: item.stop.name,
    title: item.title,
    loopId: item.refs.loopId ?? null,
    batchId: item.refs.batchId ?? null,
    planned: { figure: item.figure, stop: item.stop },
    actual: {},
    note: input.reason,
  });
});

/** Takes back what an entry of today did. The entry stays in the log, marked as undone. */
export const undoEntry = command("log", undoSchema, async (db, { entryId }, who) => {
  const entry = await one<{ kind: string; effects: Effect[] }>(
    db,
    "This entry, or it was undone already: it",
    `update log_entry set undone_at = now(), undone_by = $3
      where garden_id = $1 and id = $2 and undone_at is null and corrects_id is null
      returning kind, coalesce(actual -> 'effects', '[]') as effects`,
    [who.gardenId, entryId, who.personId],
  );
  if (isDose(entry.kind)) requireRight(who, "dose");
  await many(db, `delete from reading where garden_id = $1 and log_id = $2`, [who.gardenId, entryId]);
  for (const effect of [...entry.effects].reverse()) await revert(db, who.gardenId, effect);
});

/** Enters a reading by hand. A likely slip of unit is asked about first; nothing is kept until it is answered. */
export const enterReading = command("log", readingSchema, async (db, input, who) => {
  if (!input.sure)
    for (const quantity of ["ecMsPerCm", "ph", "waterC"] as const) {
      const slip = suspectSlip(quantity === "ecMsPerCm" ? "ec" : quantity, input[quantity]);
      if (slip) throw new RefusedError(slip.question, quantity);
    }
  // Two who read one tank at the same moment come one after the other: the second is one more reading of today.
  await many(db, "select id from loop where garden_id = $1 and id = $2 for update", [who.gardenId, input.loopId]);
  const season = await seasonFor(db, who);
  const loop = season.rows.loops.find((candidate) => candidate.id === input.loopId);
  if (!loop) throw new RefusedError("This tank is not there any more.");
  if (input.levelL > loop.tankL)
    throw new RefusedError(`Level is ${input.levelL} L; the tank holds ${loop.tankL} L.`, "levelL");
  const figures = { ecMsPerCm: input.ecMsPerCm, ph: input.ph, waterC: input.waterC, levelL: input.levelL };
  const { items } = await roundOf(db, season);
  const asked = items.find((item) => item.key === `reading:${loop.id}`);
  const entryId = await writeEntry(db, who, {
    kind: "reading",
    itemKey: asked?.key ?? null,
    place: `${loop.name} tank`,
    title: `${loop.name} tank: read and bring back into band`,
    loopId: loop.id,
    batchId: null,
    planned: { stop: TANKS },
    actual: figures,
    note: "",
  });
  await many(
    db,
    `insert into reading (garden_id, loop_id, at, origin, ec_ms_per_cm, ph, water_c, level_l, log_id) values ($1, $2, $3, 'hand', $4, $5, $6, $7, $8)`,
    [who.gardenId, loop.id, now(), input.ecMsPerCm, input.ph, input.waterC, input.levelL, entryId],
  );
  return entryId;
});

/** Logs that the slip of the last reading was followed, and takes its stock or salts off the shelf. */
export const doseDone = command("dose", undoSchema, async (db, { entryId }, who) => {
  const reading = await one<{
    loopId: number;
    actual: { ecMsPerCm: number; ph: number; waterC: number; levelL: number };
  }>(
    db,
    "The reading",
    `select loop_id as "loopId", actual from log_entry where garden_id = $1 and id = $2 and kind = 'reading' and undone_at is null`,
    [who.gardenId, entryId],
  );
  const season = await seasonFor(db, who);
  const slip = slipFor(season, reading.loopId, reading.actual, null);
  const loop = season.rows.loops.find((candidate) => candidate.id === reading.loopId)!;
  const doseId = await writeEntry(db, who, {
    kind: "dose",
    itemKey: `dose:${entryId}`,
    place: `${loop.name} tank`,
    title: `${loop.name} tank: dosed as the slip said`,
    loopId: loop.id,
    batchId: null,
    planned: {
      steps: slip.steps,
      stop: TANKS,
    },
    actual: {},
    note: "",
  });
  await carryOut(db, who, doseId, slipEffects(slip, loop, season));
  return doseId;
});

/** Enters the level of a store. */
export const enterStore = command("log", storeReadingSchema, async (db, input, who) => {
  const store = await one<{ name: string; capacityL: number; storedL: number; readOn: number }>(
    db,
    "The store",
    `select name, capacity_l as "capacityL", stored_l as "storedL", read_on as "readOn" from store where garden_id = $1 and id = $2`,
    [who.gardenId, input.storeId],
  );
  if (input.storedL > store.capacityL)
    throw new RefusedError(`In store is ${input.storedL} L; ${store.name} holds ${store.capacityL} L.`, "storedL");
  const entryId = await writeEntry(db, who, {
    kind: "store",
    itemKey: store.readOn < who.today ? `store:${input.storeId}` : null,
    place: "Gate and store",
    title: `Read the level of ${store.name}`,
    loopId: null,
    batchId: null,
    planned: { stop: GATE },
    actual: { storedL: input.storedL },
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

export const addNote = command("log", noteSchema, (db, input, who) =>
  writeEntry(db, who, {
    ...input,
    kind: "note",
    itemKey: null,
    loopId: null,
    batchId: null,
    planned: {},
    actual: {},
  }),
);

/** Corrects figures of an entry: the right ones stand in a new entry, the first ones stay where they are. */
export const correctEntry = command("log", correctionSchema, async (db, input, who) => {
  const first = await one<{
    id: number;
    day: number;
    kind: string;
    place: string;
    title: string;
    loopId: number | null;
    batchId: number | null;
    actual: Record<string, unknown>;
  }>(
    db,
    "The entry",
    `select id, day, kind, place, title, loop_id as "loopId", batch_id as "batchId", actual from log_entry
      where garden_id = $1 and id = $2 and corrects_id is null and undone_at is null`,
    [who.gardenId, input.entryId],
  );
  for (const key of Object.keys(input.values))
    if (!(key in first.actual)) throw new RefusedError(`This entry has no figure "${key}" to correct.`, key);
  const { ecMsPerCm, ph, waterC, levelL } = input.values;
  await many(
    db,
    `update reading set ec_ms_per_cm = coalesce($3, ec_ms_per_cm), ph = coalesce($4, ph), water_c = coalesce($5, water_c), level_l = coalesce($6, level_l)
      where garden_id = $1 and log_id = $2`,
    [who.gardenId, first.id, ecMsPerCm ?? null, ph ?? null, waterC ?? null, levelL ?? null],
  );
  return writeEntry(db, who, {
    ...first,
    itemKey: null,
    planned: { first: first.actual },
    actual: input.values,
    note: input.note,
    correctsId: first.id,
  });
});

/** What changes the water of a tank is for those who may dose, done or taken back. */
function isDose(kind: string): boolean {
  return ["dose", "mix", "top-up"].includes(kind);
}

async function carryOut(db: Db, who: Session, entryId: number, effects: readonly Effect[]): Promise<void> {
  const done: Effect[] = [];
  for (const effect of effects) done.push(await apply(db, who.gardenId, entryId, effect));
  if (done.length > 0)
    await many(
      db,
      `update log_entry set actual = actual || jsonb_build_object('effects', $3::jsonb) where garden_id = $1 and id = $2`,
      [who.gardenId, entryId, JSON.stringify(done)],
    );
}

async function findItem(db: Db, who: Session, key: string) {
  const season = await seasonFor(db, who);
  const { items } = await roundOf(db, season);
  const item = items.find((candidate) => candidate.key === key);
  if (!item)
    throw new RefusedError("This item is not on today's round any more: it was done, or the plan has changed.");
  return { item, season };
}
