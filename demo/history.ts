import type { Plan } from "../src/core/batches/plan";
import { dayInWords, isoFromDay, type Day } from "../src/core/units/day";
import { many, one, type Db } from "../src/server/db/pool";
import type { Ids } from "./load";

/** Ten weeks. */
const HISTORY_DAYS = 70;
const READINGS_PER_DAY = 96;
const MORNING_MS = 7.5 * 3_600_000;
const DAY_MS = 86_400_000;

interface TankHabit {
  readonly loop: string;
  readonly ec: number;
  readonly ph: number;
  readonly workingL: number;
  readonly drunkLpd: number;
  readonly everyDays: number;
}

const TANKS: readonly TankHabit[] = [
  { loop: "Leaf", ec: 1.5, ph: 6.0, workingL: 600, drunkLpd: 52, everyDays: 1 },
  { loop: "Drip", ec: 2.2, ph: 6.0, workingL: 950, drunkLpd: 40, everyDays: 2 },
  { loop: "Pond", ec: 1.2, ph: 6.2, workingL: 220, drunkLpd: 6, everyDays: 3 },
  { loop: "Towers", ec: 1.2, ph: 6.1, workingL: 95, drunkLpd: 5, everyDays: 2 },
];

interface Entry {
  readonly at: Date;
  readonly kind: string;
  readonly place: string;
  readonly title: string;
  readonly person: string;
  readonly loop?: string;
  readonly batchId?: number;
  readonly actual?: Record<string, unknown>;
  readonly note?: string;
  readonly itemKey?: string;
}

/** Writes ten weeks of log and readings: what was sown, moved and picked by plan, the tanks, and what went wrong. */
export async function writeHistory(db: Db, ids: Ids, today: Day, plan: Plan): Promise<void> {
  const entries = [...batchEntries(today, plan), ...mishaps(today)].sort((a, b) => a.at.getTime() - b.at.getTime());
  await insertEntries(db, ids, entries);
  for (const tank of TANKS) {
    await meterReadings(db, ids, today, tank);
    await handReadings(db, ids, today, tank);
  }
  await typedWrong(db, ids, today);
}

const GROWERS = ["Tomas Lind", "Oke Adeyi", "Priya Sen"] as const;
const growerFor = (seed: number) => GROWERS[seed % GROWERS.length]!;
/** Left undone, so that the round has something that is late. */
const LATE_WASHES = 1;

function batchEntries(today: Day, plan: Plan): Entry[] {
  const within = (day: Day) => day >= today - HISTORY_DAYS && day < today;
  const begun = plan.batches.flatMap(({ batch, variety, stays }) =>
    stays
      .filter((stay) => within(stay.from))
      .map((stay): Entry => {
        const sow = stay.stage === 0;
        return {
          at: morningOf(stay.from, batch.id), kind: sow ? "sow" : "move", place: variety.stages[stay.stage]!.name, person: growerFor(batch.id), batchId: batch.id,
          title: sow ? `Sow ${variety.name}` : `Move ${variety.name} of ${dayInWords(batch.sowDay)}`,
          actual: { done: stay.plants, word: sow ? "cells" : "plants", dimension: "count" },
        };
      }),
  ); // prettier-ignore
  const picked = plan.deliveries
    .filter((delivery) => within(delivery.day))
    .flatMap((delivery) =>
      delivery.parts.map((part): Entry => {
        const { variety } = plan.batches.find(({ batch }) => batch.id === part.batchId)!;
        return {
          at: morningOf(delivery.day, part.batchId + 1), kind: "pick", place: "packing", person: growerFor(part.batchId + 1), batchId: part.batchId,
          title: `Pick ${variety.name} for ${delivery.outletName}`, itemKey: `pick:${delivery.orderId}:${part.batchId}:${delivery.day}`,
          actual: { done: Number(part.units.toFixed(1)), word: variety.unit, dimension: "ratio" },
        };
      }),
    ); // prettier-ignore
  const left = plan.batches
    .flatMap(({ batch, variety, stays }) =>
      stays
        .filter((stay) => within(stay.to))
        .map((stay) => ({ batch, variety, stay, last: stay.stage === stays.length - 1 })),
    )
    .sort((a, b) => a.stay.to - b.stay.to);
  const late = left.filter(({ stay, last }) => stay.stage > 0 && !last).slice(-LATE_WASHES);
  const washed = left
    .filter((entry) => !late.includes(entry))
    .map(({ batch, variety, stay }): Entry => ({
      at: morningOf(stay.to, batch.id + 2), kind: "wash", place: variety.stages[stay.stage]!.name, person: growerFor(batch.id + 2), batchId: batch.id,
      title: `Wash after ${variety.name}`, itemKey: `wash:${batch.id}:${stay.stage}`,
    })); // prettier-ignore
  return [...begun, ...picked, ...washed];
}

function mishaps(today: Day): Entry[] {
  return [
    { at: morningOf(today - 52, 3), kind: "count", place: "Germination rack", person: "Oke Adeyi", title: "Batavia came up badly: one cell in two is empty", note: "Old lot; the next sowing is from the new one." },
    { at: morningOf(today - 38, 5), kind: "note", place: "Beds", person: "Priya Sen", title: "Bed 4, line B: three emitters give nothing", note: "Flushed the end; sand in the filter. Working again after an hour." },
    { at: morningOf(today - 31, 1), kind: "loss", place: "Leaf bank", person: "Tomas Lind", title: "Two short weeks on Batavia", note: "From the bad germination: the stall got the smaller half." },
    { at: morningOf(today - 20, 4), kind: "note", place: "Germination rack", person: "Ines Varela", title: "Trial of two seed lots finished", note: "New lot 168 of 180 cells, old lot 97 of 180. The old lot goes to fodder." },
  ]; // prettier-ignore
}

async function insertEntries(db: Db, ids: Ids, entries: readonly Entry[]) {
  const column = <T>(pick: (entry: Entry) => T) => entries.map(pick);
  await many(
    db,
    `insert into log_entry (garden_id, person_id, at, day, kind, place, title, batch_id, actual, note, item_key)
     select $1::integer, * from unnest($2::integer[], $3::timestamptz[], $4::date[], $5::text[], $6::text[], $7::text[], $8::integer[], $9::jsonb[], $10::text[], $11::text[])`,
    [
      ids.garden, column((e) => ids.person.get(e.person)), column((e) => e.at), column((e) => isoFromDay(Math.floor(e.at.getTime() / DAY_MS))),
      column((e) => e.kind), column((e) => e.place), column((e) => e.title), column((e) => e.batchId ?? null),
      column((e) => JSON.stringify(e.actual ?? {})), column((e) => e.note ?? ""), column((e) => e.itemKey ?? null),
    ], // prettier-ignore
  );
}

/** A tank through the day: drunk down from its level of the morning, stronger as it sinks, pH creeping up. */
function tankAt(tank: TankHabit, day: Day, part: number): { ec: number; ph: number; waterC: number; levelL: number } {
  const sinceTopUp = (((day % tank.everyDays) + tank.everyDays) % tank.everyDays) + part;
  const wave = Math.sin(day * 1.7 + tank.workingL);
  const share = (tank.drunkLpd * sinceTopUp) / tank.workingL;
  return {
    ec: round(tank.ec * (1 + 0.6 * share) + 0.05 * wave, 2),
    ph: round(tank.ph + 0.12 * sinceTopUp + 0.15 * wave, 1),
    waterC: round(19 + 3 * Math.sin((part - 0.35) * 2 * Math.PI) + wave, 1),
    levelL: Math.round(tank.workingL - tank.drunkLpd * sinceTopUp),
  };
}

async function meterReadings(db: Db, ids: Ids, today: Day, tank: TankHabit) {
  const count = HISTORY_DAYS * READINGS_PER_DAY;
  const rows = Array.from({ length: count }, (_, i) => {
    const part = (i % READINGS_PER_DAY) / READINGS_PER_DAY;
    const day = today - HISTORY_DAYS + Math.floor(i / READINGS_PER_DAY);
    return { at: new Date((day + part) * DAY_MS), ...tankAt(tank, day, part) };
  });
  await many(
    db,
    `insert into reading (garden_id, loop_id, at, origin, ec_ms_per_cm, ph, water_c, level_l)
     select $1::integer, $2::integer, at, 'meter', ec, ph, water_c, level_l
       from unnest($3::timestamptz[], $4::double precision[], $5::double precision[], $6::double precision[], $7::double precision[]) as row (at, ec, ph, water_c, level_l)`,
    [
      ids.garden,
      ids.loop.get(tank.loop),
      rows.map((r) => r.at),
      rows.map((r) => r.ec),
      rows.map((r) => r.ph),
      rows.map((r) => r.waterC),
      rows.map((r) => r.levelL),
    ],
  );
}

async function handReadings(db: Db, ids: Ids, today: Day, tank: TankHabit) {
  for (let day = today - HISTORY_DAYS; day < today; day += 1) {
    if ((today - 1 - day) % tank.everyDays !== 0) continue;
    const { ec, ph, waterC, levelL } = tankAt(tank, day, 0.3);
    const person = ids.person.get(day % 2 ? "Tomas Lind" : "Oke Adeyi");
    await insertHandReading(db, ids, tank.loop, day, person!, { ecMsPerCm: ec, ph, waterC, levelL });
  }
}

async function insertHandReading(
  db: Db,
  ids: Ids,
  loop: string,
  day: Day,
  personId: number,
  actual: Record<string, number>,
) {
  const at = new Date(day * DAY_MS + MORNING_MS);
  const { id } = await one<{ id: number }>(
    db,
    "The reading",
    `insert into log_entry (garden_id, person_id, at, day, kind, place, title, loop_id, actual)
     values ($1, $2, $3, $4::date, 'reading', $5, $5 || ': read and bring back into band', $6, $7) returning id`,
    [ids.garden, personId, at, isoFromDay(day), `${loop} tank`, ids.loop.get(loop), JSON.stringify(actual)],
  );
  await many(
    db,
    `insert into reading (garden_id, loop_id, at, origin, ec_ms_per_cm, ph, water_c, level_l, log_id) values ($1, $2, $3, 'hand', $4, $5, $6, $7, $8)`,
    [ids.garden, ids.loop.get(loop), at, actual.ecMsPerCm, actual.ph, actual.waterC, actual.levelL, id],
  );
}

/** A mistake of the kind that happens: the level of the other tank typed in, put right the same morning. */
async function typedWrong(db: Db, ids: Ids, today: Day) {
  const day = today - 17;
  const wrong = await one<{ id: number; actual: Record<string, number> }>(
    db,
    "The reading to be put right",
    `update log_entry set actual = actual || '{"levelL": 95}' where garden_id = $1 and loop_id = $2 and day = $3::date and kind = 'reading' returning id, actual`,
    [ids.garden, ids.loop.get("Leaf"), isoFromDay(day)],
  );
  await many(
    db,
    `insert into log_entry (garden_id, person_id, at, day, kind, place, title, loop_id, planned, actual, note, corrects_id)
     values ($1, $2, $3, $4::date, 'reading', 'Leaf tank', 'Leaf tank: read and bring back into band', $5, $6, '{"levelL": 585}', 'That was the towers'' level.', $7)`,
    [
      ids.garden,
      ids.person.get("Ines Varela"),
      new Date(day * DAY_MS + MORNING_MS + 3_600_000),
      isoFromDay(day),
      ids.loop.get("Leaf"),
      JSON.stringify({ first: wrong.actual }),
      wrong.id,
    ],
  );
}

function morningOf(day: Day, spread: number): Date {
  return new Date(day * DAY_MS + MORNING_MS + (spread % 20) * 9 * 60_000);
}

function round(value: number, decimals: number): number {
  return Number(value.toFixed(decimals));
}
