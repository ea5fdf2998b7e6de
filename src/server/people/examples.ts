"use server";
import type { Session } from "../session/session";
import type { ExampleGarden } from "@/core/garden/examples/example";
import { EXAMPLE_GARDENS } from "@/core/garden/examples/gardens";
import { freeName } from "@/core/garden/setup/setUp";
import { rowsOf } from "@/core/garden/part";
import type { Changes, Tables } from "@/core/garden/changes";
import type { ExampleAsked } from "../../jobs/example";
import type { Loop, Stand } from "@/core/garden/garden";
import { drippedOf } from "@/core/water/dripLine";
import { timerMinutes } from "@/core/water/timer";
import type { Logged } from "@/core/round/log";
import { isoFromDay, type Day } from "@/core/units/day";
import { many, one, run, type Db } from "../db/pool";
import { saveRow } from "../db/save";
import { changeGarden, settledIds } from "../garden/change";
import { keptTables, tablesOf } from "../garden/tables";
import { offThread } from "../jobs/offThread";
import { storeRows } from "../garden/whatIf/store";
import { command } from "../session/command";
import { actAs } from "../session/onBehalf";
import { RefusedError } from "../session/refusal";
import { today } from "../session/clock";
import { nothingSchema } from "./accessSchema";
import { accountById } from "./accounts";
import { exampleSchema } from "./exampleSchema";
import { createGarden } from "./newGarden";

const exampleOf = (name: string): ExampleGarden => EXAMPLE_GARDENS.find((one) => one.name === name)!;

const laidOut = async (tables: Tables, name: string, day: Day) =>
  JSON.parse(
    await offThread<string>(
      "example.ts",
      { tables, name, today: day } satisfies ExampleAsked,
      () => import("../../jobs/example"),
    ),
  ) as Changes;

/** Opens an example as a garden of one's own, under a name that is free, and goes there. */
export const openExample = command("look", exampleSchema, async (db, { example: name }, who) => {
  const example = exampleOf(name);
  const { id: accountId, name: keeper } = await accountById(db, who.accountId);
  const names = new Set(who.gardens.map((garden) => garden.name));
  const { gardenId, keeperId } = await createGarden(
    db,
    {
      name: freeName(example.name, names),
      place: example.place,
      latitudeDeg: example.latitudeDeg,
      timeZone: example.timeZone,
      currency: example.units.currency,
      sowWeekdays: example.sowWeekdays,
      isDemo: false,
    },
    keeper,
  );
  await actAs(db, { gardenId, personId: keeperId, accountId });
  await saveRow(db, "person", gardenId, keeperId, { account_id: accountId });
  const { system, ec, temperature } = example.units;
  await run(
    db,
    "update garden set example = true, unit_system = $2, ec_unit = $3, temperature_unit = $4 where id = $1",
    [gardenId, system, ec, temperature],
  );
  const there: Session = {
    ...who,
    gardenId,
    personId: keeperId,
    role: "keeper",
    whatIf: null,
    today: today(example.timeZone),
  };
  await changeGarden(db, there, await laidOut(await keptTables(db, gardenId), name, there.today));
  await writeDays(db, there, example);
  await run(db, "update session set present_garden = $2 where id = $1", [who.sessionId, gardenId]);
  // The act is kept with the garden in which it was asked for.
  await actAs(db, who);
});

/** Brings an example into this garden as a what-if: all of it or parts of it can be adopted from there. */
export const copyExample = command("plan", exampleSchema, async (db, { example: name }, who) => {
  const tables = await keptTables(db, who.gardenId);
  // Its weather stays where it is.
  const { climate: _, ...copied } = await laidOut({ ...tables, climate: {} }, exampleOf(name).name, who.today);
  const { changes } = await settledIds(db, copied);
  const sets = await many<{ name: string }>(db, "select name from change_set where garden_id = $1", [who.gardenId]);
  const taken = new Set(sets.map((set) => set.name));
  const id = await saveRow(db, "change_set", who.gardenId, null, {
    name: freeName(`Like ${name}`, taken),
    purpose: `Copied from the example ${name}.`,
  });
  await storeRows(db, who.gardenId, id, rowsOf(changes), changes);
  return id;
});

/** Leaves an example and removes it whole. */
export const leaveExample = command("keep", nothingSchema, async (db, _, who) => {
  if (!who.gardens.some(({ id, example }) => id === who.gardenId && example))
    throw new RefusedError({ room: "people", kind: "no-example" });
  await run(db, "delete from garden where id = $1", [who.gardenId]);
});

/** Keeps an example for good: from now on it is a garden like any other. */
export const keepExample = command("keep", nothingSchema, async (db, _, who) => {
  await run(db, "update garden set example = false where id = $1", [who.gardenId]);
});

const MORNING = "07:30";
const READ_DAYS = 4;

/** The last days of the log: the tank was read each morning, and something was written down. */
async function writeDays(db: Db, who: Session, example: ExampleGarden): Promise<void> {
  // What was just written, not what was kept before.
  const tables = await tablesOf(db, who.gardenId);
  const [loop] = Object.values(tables.loop ?? {});
  if (example.cans) await catchCans(db, who, example, tables, example.cans);
  for (let back = READ_DAYS; back >= 1; back--) {
    const day = who.today - back;
    const note = example.notes[back - 1];
    if (note) await entry(db, who, example, day, { kind: "note", title: note, place: "" }, null);
    if (!loop) continue;
    const band = Object.values(tables.recipe ?? {}).find(({ id }) => id === loop.recipeId);
    const figures = {
      ecMsPerCm: band ? Number(band.ecMsPerCm) : 1.2,
      ph: 6,
      waterC: 19,
      levelL: Math.round(Number(loop.normalFillL) * (1 - 0.02 * (back - 1))),
    };
    const what: Logged = { kind: "reading", tank: `${String(loop.name)} tank`, figures, slip: null };
    const logId = await entry(db, who, example, day, what, Number(loop.id));
    await run(
      db,
      `insert into reading (garden_id, loop_id, at, origin, ec_ms_per_cm, ph, water_c, level_l, log_id)
       select garden_id, loop_id, at, 'hand', $3, $4, $5, $6, id from log_entry where garden_id = $1 and id = $2`,
      [who.gardenId, logId, figures.ecMsPerCm, figures.ph, figures.waterC, figures.levelL],
    );
  }
}

/** A drip line was looked at, emitter by emitter. */
async function catchCans(
  db: Db,
  who: Session,
  example: ExampleGarden,
  tables: Tables,
  { stand: name, ...test }: NonNullable<ExampleGarden["cans"]>,
): Promise<void> {
  const stand = Object.values(tables.stand ?? {}).find((row) => row.name === name) as unknown as Stand | undefined;
  const dripped = stand && drippedOf(stand.spec);
  if (!stand || !dripped) throw new Error(`Nothing of the name ${name} drips in the example ${example.name}`);
  const loop = tables.loop?.[stand.loopId ?? 0] as unknown as Loop | undefined;
  const what: Logged = {
    ...{ kind: "catch-cans", standId: stand.id, stand: name, nominalFlowLph: dripped.emitterFlowLph, ...test },
    runHoursPerDay: loop ? timerMinutes(loop.timer) / 60 : 0,
  };
  await entry(db, who, example, who.today - READ_DAYS, what, stand.loopId);
}

async function entry(
  db: Db,
  who: Session,
  { timeZone }: ExampleGarden,
  day: Day,
  what: Logged,
  loopId: number | null,
): Promise<number> {
  const { id } = await one<{ id: number }>(
    db,
    "entry",
    `insert into log_entry (garden_id, person_id, at, day, kind, loop_id, what)
     values ($1, $2, ($3::date + $4::time) at time zone $5, $3::date, $6, $7, $8) returning id`,
    [who.gardenId, who.personId, isoFromDay(day), MORNING, timeZone, what.kind, loopId, JSON.stringify(what)],
  );
  return id;
}
