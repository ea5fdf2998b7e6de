import type { Json, Row } from "../../src/core/garden/changes";
import { PLAN_ENTITIES } from "../../src/core/garden/entities";
import { columnOf, type Entity, type EntityField } from "../../src/core/garden/entities/field";
import { STAND_MODELS, type StandKind } from "../../src/core/place/kinds";
import type { Measure, NumberMeasure } from "../../src/core/place/kinds/model";
import { columnsOf, toColumns } from "../../src/server/entities/columns";
import { rowSchema } from "../../src/server/entities/joi";
import { STRICT } from "../../src/server/session/validation";
// Days as the application reads them.
import "../../src/server/db/pool";
import { demoGarden } from "./demoGarden";

const { rows } = demoGarden();
const ENTITIES: readonly Entity[] = PLAN_ENTITIES;

type Values = Readonly<Record<string, Json>>;

/** Numbers that are compared with one that is set follow it: the larger ones grow, the smaller ones shrink. */
function following(
  numbers: readonly NumberMeasure[],
  row: Values,
  name: string,
  order: NonNullable<Entity["order"]> = [],
): Values {
  const changed: Record<string, Json> = { ...row };
  // less ≤ times · more − by
  const ordered = order.map(({ least, greatest }) => ({ less: least, more: greatest, times: 1, by: 0 }));
  const pairs = numbers.flatMap(({ name: own, atMost, atLeast }) => [
    ...(atMost ? [{ less: own, more: atMost.measure, times: atMost.times, by: 0 }] : []),
    ...(atLeast ? [{ less: atLeast.measure, more: own, times: 1, by: atLeast.plus ?? 0 }] : []),
  ]);
  const set = new Set([name]);
  // Figures by month that are held in order follow month by month.
  for (const { least, greatest } of order) {
    const [lows, highs] = [changed[least], changed[greatest]];
    if (!Array.isArray(lows) || !Array.isArray(highs)) continue;
    if (name === greatest) changed[least] = lows.map((low, at) => Math.min(Number(low), Number(highs[at] ?? low)));
    if (name === least) changed[greatest] = highs.map((high, at) => Math.max(Number(high), Number(lows[at] ?? high)));
  }
  for (let moved = true; moved;) {
    moved = false;
    for (const { less, more, times, by } of [...pairs, ...ordered]) {
      const [low, high] = [changed[less], changed[more]];
      if (typeof low !== "number" || typeof high !== "number" || low <= times * high - by) continue;
      const follows = set.has(more) ? less : more;
      if (set.has(follows)) continue;
      changed[follows] = follows === less ? times * high - by : (low + by) / times;
      set.add(follows);
      moved = true;
    }
  }
  return changed;
}

const numbersOf = (fields: readonly (EntityField | Measure)[]) =>
  fields.filter((field): field is Extract<typeof field, { type: "number" }> => field.type === "number");

interface Trial {
  readonly good: readonly Json[];
  readonly bad: readonly Json[];
}

const array = (length: number, value: Json) => Array.from({ length }, () => value);

/** Values at and just outside the limits of a field that is no union. */
function trialOf(field: Exclude<EntityField, { type: "union" | "reference" }> | Measure): Trial {
  switch (field.type) {
    case "number": {
      const above = field.whole ? 1 : Math.max(1e-4, Math.abs(field.greatest) * 1e-6);
      const below = field.whole ? 1 : Math.max(1e-6, Math.abs(field.least) * 1e-3);
      return { good: [field.least, field.greatest], bad: [field.least - below, field.greatest + above] };
    }
    case "numbers": {
      const { fewest, most, least, greatest } = field;
      return {
        good: [array(most, least), array(fewest, greatest)],
        bad: [
          array(most, Math.min(least, least / 2) - 0.1),
          array(fewest, greatest + 1),
          array(most + 1, greatest),
          array(fewest - 1, greatest),
        ],
      };
    }
    case "list": {
      const row = Object.fromEntries(
        field.columns.map((column) => [column.name, column.type === "text" ? "x" : column.least]),
      );
      const of = (count: number) =>
        array(count, row).map((one, index) =>
          field.rising === undefined ? one : { ...(one as Row), [field.rising]: index },
        );
      const outside = field.columns.flatMap((column) =>
        column.type === "text"
          ? []
          : trialOf(column).bad.map((value) => [...of(field.least ?? 0), { ...row, [column.name]: value }]),
      );
      return { good: [of(field.least ?? 0), of(field.most)], bad: [of(field.most + 1), ...outside] };
    }
    case "choice":
      return { good: field.options, bad: ["", "something else"] };
    case "choices":
      return { good: [[], field.options], bad: [["something else"]] };
    case "text":
      return { good: ["x".repeat(field.most ?? 80)], bad: ["", "   ", "x".repeat((field.most ?? 80) + 1)] };
    case "note":
      return { good: ["", "x".repeat(field.most ?? 500)], bad: ["x".repeat((field.most ?? 500) + 1)] };
    case "switch":
      return { good: [true, false], bad: ["neither"] };
    case "day":
      return { good: [0, 30_000], bad: ["no day"] };
    case "amounts": {
      const of = (value: number) => ({ [field.of[0]!]: value });
      return { good: [{}, of(0), of(field.greatest)], bad: [of(-0.001), of(field.greatest + 0.1)] };
    }
  }
}

/** An object of a kind that is in all its ranges. */
function exampleOf(entity: Entity, kind: string, measures: readonly Measure[]): Values {
  if (entity.table === "stand") return STAND_MODELS[kind as StandKind].example as unknown as Values;
  const own = Object.fromEntries(measures.map((measure) => [measure.name, trialOf(measure).good[0]!]));
  return { kind, ...own };
}

type Case = readonly [title: string, entity: Entity, field: EntityField, trial: Trial];

function casesOf(entity: Entity): Case[] {
  return entity.fields.flatMap((field): Case[] => {
    const title = `${entity.table}.${columnOf(field)}`;
    const also = [...(field.initial === undefined ? [] : [field.initial]), ...(field.nullable ? [null] : [])];
    if (field.type === "reference") return [];
    if (field.type !== "union") {
      const { good, bad } = trialOf(field);
      return [[title, entity, field, { good: [...good, ...also], bad }]];
    }
    const unknown: Case = [title, entity, field, { good: also, bad: [{ kind: "something else" }, {}] }];
    const kinds = Object.entries(field.kinds).flatMap(([kind, measures]) => {
      const example = exampleOf(entity, kind, measures);
      return measures.map((measure): Case => {
        const { good, bad } = trialOf(measure);
        const within = (value: Json) =>
          following(numbersOf(measures), { ...example, [measure.name]: value }, measure.name);
        return [`${title}: ${kind}, ${measure.name}`, entity, field, { good: good.map(within), bad: bad.map(within) }];
      });
    });
    return [unknown, ...kinds];
  });
}

/** A row of the demo garden with a value in a field. */
async function withValue(entity: Entity, field: EntityField, value: Json): Promise<Row> {
  const [row] = await rows<Row>(`select ${columnsOf(entity)} from ${entity.table} order by id limit 1`);
  const numbers = numbersOf(entity.fields) as readonly NumberMeasure[];
  // What goes together with a number or a choice is there, or is not, with it.
  const together = numbers.filter((one) => "nullable" in one && value !== null && typeof value !== "object");
  const filled = Object.fromEntries(together.map(({ name, least }) => [name, row![name] ?? least]));
  const none = value === null && field.type === "number" ? Object.fromEntries(LINKED.map((name) => [name, null])) : {};
  const changed = { ...row, ...filled, ...(entity.table === "loop" && none), [field.name]: value };
  return following(numbers, changed, field.name, entity.order);
}

/** An injector has both ends of its range or is none. */
const LINKED = ["injectorLeastLph", "injectorGreatestLph"];

const isTaken = (entity: Entity, row: Row) => rowSchema(entity).validate(row, STRICT).error === undefined;

/** Whether the database takes the row; nothing of it is kept. */
async function isStored(entity: Entity, row: Row): Promise<boolean> {
  const columns = entity.fields.map(columnOf);
  try {
    await rows(
      `with kept as (update ${entity.table} it set ${columns.map((column) => `${column} = new.${column}`).join(", ")}
                       from jsonb_populate_record(null::${entity.table}, $2::jsonb) new where it.id = $1 returning 1)
       select 1 / (count(*) - 1) from kept`,
      [row.id, JSON.stringify(toColumns(entity, row))],
    );
    return true;
  } catch (error) {
    // The division by zero comes after the checks, and takes the row back.
    return (error as { code?: string }).code === "22012";
  }
}

test.each(ENTITIES.flatMap(casesOf))(
  "%s: its limits, nothing where it may be, and what it begins with are taken; just outside is refused by check and database",
  async (_, entity, field, { good, bad }) => {
    for (const value of good) {
      const row = await withValue(entity, field, value);
      expect([value, isTaken(entity, row), await isStored(entity, row)]).toEqual([value, true, true]);
    }
    for (const value of bad) {
      const row = await withValue(entity, field, value);
      expect([value, isTaken(entity, row), await isStored(entity, row)]).toEqual([value, false, false]);
    }
  },
);

test("every column of the plan is described, and begins with what its description says", async () => {
  const own = new Set(["id", "garden_id", "typed", "kind"]);
  for (const entity of ENTITIES) {
    const columns = await rows<{ name: string; value: string | null }>(
      `select column_name as name, column_default as value from information_schema.columns
        where table_schema = 'public' and table_name = $1 and not (column_name = any($2))`,
      [entity.table, [...own, ...(entity.placed ? ["position"] : [])]],
    );
    const described = new Map(entity.fields.map((field) => [columnOf(field), field]));
    // A stand's kind is that of its measures, kept by the database itself; other entities describe theirs.
    const names = [...described.keys()].filter((name) => !own.has(name));
    expect([entity.table, columns.map(({ name }) => name).sort()]).toEqual([entity.table, names.sort()]);
    for (const { name, value } of columns) {
      const { initial } = described.get(name)!;
      if (initial === undefined || initial === null) continue;
      const [{ same }] = (await rows<{ same: boolean }>(`select to_jsonb(${value}) = $1::jsonb as same`, [
        JSON.stringify(initial),
      ])) as [{ same: boolean }];
      expect([entity.table, name, same]).toEqual([entity.table, name, true]);
    }
  }
});
