import type { Plan } from "../src/core/batches/plan";
import type { TankFigures } from "../src/core/feed/tankFigures";
import { isSownInTrays } from "../src/core/growth/cropKind";
import type { Logged, LogKind, TickedTask } from "../src/core/round/log";
import type { Where } from "../src/core/round/types";
import { isoFromDay, type Day } from "../src/core/units/day";
import { type Db, one, run } from "../src/server/db/pool";
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
  readonly normalFillL: number;
  readonly drunkLpd: number;
  readonly everyDays: number;
}

const TANKS: readonly TankHabit[] = [
  { loop: "Leaf", ec: 1.5, ph: 6.0, normalFillL: 600, drunkLpd: 114, everyDays: 1 },
  { loop: "Drip", ec: 2.2, ph: 6.0, normalFillL: 950, drunkLpd: 40, everyDays: 2 },
  { loop: "Pond", ec: 1.2, ph: 6.2, normalFillL: 220, drunkLpd: 6, everyDays: 3 },
  { loop: "Towers", ec: 1.2, ph: 6.1, normalFillL: 95, drunkLpd: 5, everyDays: 2 },
];

interface Entry {
  readonly at: Date;
  readonly kind: LogKind;
  readonly what: Logged;
  readonly person: string;
  readonly batchId?: number;
  readonly loopId?: number;
  readonly note?: string;
  readonly itemKey?: string;
}

/** Writes ten weeks of log and readings: what was sown, moved and picked by plan, the tanks, and what went wrong. */
export async function writeHistory(db: Db, ids: Ids, today: Day, plan: Plan): Promise<void> {
  const areas = new Map([...ids.growingArea].map(([name, id]) => [id, name]));
  const areaName = (id: number) => areas.get(id) ?? "";
  const { id: bedsId } = await one<{ id: number }>(
    db,
    null,
    "select id from stand where garden_id = $1 and name = 'Beds'",
    [ids.garden],
  );
  const entries = [
    ...batchEntries(today, plan, areaName),
    ...mishaps(today),
    ...catchCanTests(bedsId, today),
    ...calibrationRuns(ids.loop.get("Drip")!, today),
  ].sort((a, b) => a.at.getTime() - b.at.getTime());
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

function batchEntries(today: Day, plan: Plan, areaName: (id: number) => string): Entry[] {
  const areaOf = ({ growingAreaId }: { readonly growingAreaId: number }): Where => ({
    growingArea: areaName(growingAreaId),
    lines: "",
  });
  const within = (day: Day) => day >= today - HISTORY_DAYS && day < today;
  const begun = plan.batches.flatMap(({ batch, variety, stays, readyDay }) =>
    stays
      .filter((stay) => within(stay.from))
      .map((stay): Entry => {
        const common = { batchId: batch.id, variety: variety.name, where: areaOf(stay) };
        const task: TickedTask =
          stay.stage === 0
            ? {
                kind: "sow",
                ...common,
                cells: stay.plants,
                inTrays: isSownInTrays(variety.kind),
                seedsPerCell: variety.seedsPerCell,
                targetPlants: batch.targetPlants,
                readyDay,
              }
            : { kind: "move", ...common, stage: stay.stage, sownOn: batch.sowDay, from: null, plants: stay.plants };
        return {
          at: morningOf(stay.from, batch.id),
          kind: task.kind,
          what: { kind: "task", stop: null, task, done: stay.plants },
          person: growerFor(batch.id),
          batchId: batch.id,
        };
      }),
  );
  const picked = plan.deliveries
    .filter((delivery) => within(delivery.day))
    .flatMap((delivery) =>
      delivery.parts.map((part): Entry => {
        const { variety, stays } = plan.batches.find(({ batch }) => batch.id === part.batchId)!;
        const task: TickedTask = {
          kind: "pick",
          batchId: part.batchId,
          orderId: delivery.orderId,
          variety: variety.name,
          customer: delivery.customerName,
          where: areaOf(stays.at(-1)!),
          units: part.units,
          unit: variety.unit,
          day: delivery.day,
        };
        return {
          at: morningOf(delivery.day, part.batchId + 1),
          kind: "pick",
          what: { kind: "task", stop: null, task, done: Number(part.units.toFixed(1)) },
          person: growerFor(part.batchId + 1),
          batchId: part.batchId,
          itemKey: `pick:${delivery.orderId}:${part.batchId}:${delivery.day}`,
        };
      }),
    );
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
    .map(({ batch, variety, stay, last }): Entry => ({
      at: morningOf(stay.to, batch.id + 2),
      kind: "wash",
      what: {
        kind: "wash",
        stop: null,
        task: {
          kind: "wash",
          batchId: batch.id,
          stage: stay.stage,
          variety: variety.name,
          sownOn: batch.sowDay,
          where: areaOf(stay),
          clears: last,
          cleaningDays: 0,
          unitsLeft: null,
        },
        picked: null,
        thrownAway: null,
      },
      person: growerFor(batch.id + 2),
      batchId: batch.id,
      itemKey: `wash:${batch.id}:${stay.stage}`,
    }));
  return [...begun, ...picked, ...washed];
}

function mishaps(today: Day): Entry[] {
  return [
    {
      at: morningOf(today - 52, 3),
      kind: "count",
      what: { kind: "count", title: "Batavia came up badly: one cell in two is empty", place: "Germination rack" },
      person: "Oke Adeyi",
      note: "Old lot; the next sowing is from the new one.",
    },
    {
      at: morningOf(today - 38, 5),
      kind: "note",
      what: { kind: "note", title: "Bed 4, line B: three emitters give nothing", place: "Beds" },
      person: "Priya Sen",
      note: "Flushed the end; sand in the filter. Working again after an hour.",
    },
    {
      at: morningOf(today - 31, 1),
      kind: "loss",
      what: { kind: "loss", title: "Two short weeks on Batavia", place: "Leaf bank" },
      person: "Tomas Lind",
      note: "From the bad germination: the stall got the smaller half.",
    },
    {
      at: morningOf(today - 20, 4),
      kind: "note",
      what: { kind: "note", title: "Trial of two seed lots finished", place: "Germination rack" },
      person: "Ines Varela",
      note: "New lot 168 of 180 cells, old lot 97 of 180. The old lot goes to fodder.",
    },
  ];
}

/** Two lines a bed: the second one of bed 4. */
const LINE_4B = 8;

/** Before and after the flush of that line: what each of its 33 emitters gave in three minutes. */
function catchCanTests(standId: number, today: Day): Entry[] {
  const test = (day: Day, volumesMl: readonly number[]): Entry => ({
    at: morningOf(day, 6),
    kind: "catch-cans",
    what: {
      ...{ kind: "catch-cans", standId, stand: "Beds", line: LINE_4B, volumesMl },
      ...{ durationS: 180, nominalFlowLph: 1.6, runHoursPerDay: 1 },
    },
    person: "Priya Sen",
  });
  const even = Array.from({ length: 33 }, (_, emitter) => 82 - Math.round(emitter / 11) - ((emitter * 7) % 5));
  const sanded = even.map((volumeMl, emitter) => (emitter > 28 && emitter < 32 ? 0 : volumeMl - (emitter % 3)));
  return [test(today - 38, sanded), test(today - 37, even)];
}

/** The injector of the drip loop: weak at first, right once it was set anew. */
function calibrationRuns(loopId: number, today: Day): Entry[] {
  const run = (day: Day, hours: number, stockDrawnL: number, setR: number): Entry => ({
    at: new Date(morningOf(day, 5).getTime() + hours * 3_600_000),
    kind: "calibration",
    what: {
      ...{ kind: "calibration", loop: "Drip", wantedR: 100, setR, convention: "in", stockDrawnL },
      ...{ meteredL: 50, meter: "after" },
    },
    person: "Ines Varela",
    loopId,
  });
  return [run(today - 64, 0, 0.455, 100), run(today - 64, 1, 0.496, 91)];
}

async function insertEntries(db: Db, ids: Ids, entries: readonly Entry[]) {
  const column = <T>(pick: (entry: Entry) => T) => entries.map(pick);
  await run(
    db,
    `insert into log_entry (garden_id, person_id, at, day, kind, what, batch_id, loop_id, note, item_key)
     select $1::integer, * from unnest($2::integer[], $3::timestamptz[], $4::date[], $5::text[], $6::jsonb[], $7::integer[], $8::integer[], $9::text[], $10::text[])`,
    [
      ids.garden,
      column((e) => ids.person.get(e.person)),
      column((e) => e.at),
      column((e) => isoFromDay(Math.floor(e.at.getTime() / DAY_MS))),
      column((e) => e.kind),
      column((e) => JSON.stringify(e.what)),
      column((e) => e.batchId ?? null),
      column((e) => e.loopId ?? null),
      column((e) => e.note ?? ""),
      column((e) => e.itemKey ?? null),
    ],
  );
}

/** A tank through the day: drunk down from its level of the morning, stronger as it sinks, pH creeping up. */
function tankAt(tank: TankHabit, day: Day, part: number): { ec: number; ph: number; waterC: number; levelL: number } {
  const sinceTopUp = (((day % tank.everyDays) + tank.everyDays) % tank.everyDays) + part;
  const wave = Math.sin(day * 1.7 + tank.normalFillL);
  const share = (tank.drunkLpd * sinceTopUp) / tank.normalFillL;
  return {
    ec: round(tank.ec * (1 + 0.6 * share) + 0.05 * wave, 2),
    ph: round(tank.ph + 0.12 * sinceTopUp + 0.15 * wave, 1),
    waterC: round(19 + 3 * Math.sin((part - 0.35) * 2 * Math.PI) + wave, 1),
    levelL: Math.round(tank.normalFillL - tank.drunkLpd * sinceTopUp),
  };
}

async function meterReadings(db: Db, ids: Ids, today: Day, tank: TankHabit) {
  const count = HISTORY_DAYS * READINGS_PER_DAY;
  const rows = Array.from({ length: count }, (_, i) => {
    const part = (i % READINGS_PER_DAY) / READINGS_PER_DAY;
    const day = today - HISTORY_DAYS + Math.floor(i / READINGS_PER_DAY);
    return { at: new Date((day + part) * DAY_MS), ...tankAt(tank, day, part) };
  });
  await run(
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

async function insertHandReading(db: Db, ids: Ids, loop: string, day: Day, personId: number, figures: TankFigures) {
  const at = new Date(day * DAY_MS + MORNING_MS);
  const what: Logged = { kind: "reading", tank: `${loop} tank`, figures, slip: null };
  const { id } = await one<{ id: number }>(
    db,
    "reading",
    `insert into log_entry (garden_id, person_id, at, day, kind, loop_id, what)
     values ($1, $2, $3, $4::date, 'reading', $5, $6) returning id`,
    [ids.garden, personId, at, isoFromDay(day), ids.loop.get(loop), JSON.stringify(what)],
  );
  await run(
    db,
    `insert into reading (garden_id, loop_id, at, origin, ec_ms_per_cm, ph, water_c, level_l, log_id) values ($1, $2, $3, 'hand', $4, $5, $6, $7, $8)`,
    [ids.garden, ids.loop.get(loop), at, figures.ecMsPerCm, figures.ph, figures.waterC, figures.levelL, id],
  );
}

/** A mistake of the kind that happens: the level of the other tank typed in, put right the same morning. */
async function typedWrong(db: Db, ids: Ids, today: Day) {
  const day = today - 17;
  const wrong = await one<{ id: number }>(
    db,
    "reading",
    `update log_entry set what = jsonb_set(what, '{figures,levelL}', '95')
      where garden_id = $1 and loop_id = $2 and day = $3::date and kind = 'reading' returning id`,
    [ids.garden, ids.loop.get("Leaf"), isoFromDay(day)],
  );
  await run(
    db,
    `insert into log_entry (garden_id, person_id, at, day, kind, loop_id, what, note, corrects_id)
     values ($1, $2, $3, $4::date, 'reading', $5, $6, 'That was the towers'' level.', $7)`,
    [
      ids.garden,
      ids.person.get("Ines Varela"),
      new Date(day * DAY_MS + MORNING_MS + 3_600_000),
      isoFromDay(day),
      ids.loop.get("Leaf"),
      JSON.stringify({ kind: "correction", values: { levelL: 585 }, slip: null }),
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
