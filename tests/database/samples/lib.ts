import type pg from "pg";
import { columnOf, type Entity } from "../../../src/core/garden/entities/field";
import type { Role } from "../../../src/core/people/rights";

// Days as the application reads them.
import "../../../src/server/db/pool";
import { columnsOf } from "../../../src/server/entities/columns";
import { formValues, type Parts } from "../../../src/features/frame/form/formValues";

/** How an action is called in tests: who may at least, and an input that is taken in the demo garden. */
export interface Sample {
  readonly least: Role | "nobody in particular";
  readonly input: (rows: Rows) => Promise<unknown>;
  /** Touches nothing but what is the caller's own: there is no other garden to reach for. */
  readonly own?: true;
  /** Ends the caller's session, or wants none. */
  readonly ends?: true;
}

export type Rows = <Row = Record<string, unknown>>(sql: string, values?: unknown[]) => Promise<Row[]>;

export const rowsOf =
  (pool: pg.Pool): Rows =>
  async <Row>(sql: string, values: unknown[] = []) =>
    (await pool.query(sql, values)).rows as Row[];

/** A row of the demo garden as a form opens it and sends it back. @param where which; the first one otherwise */
export async function formOf(rows: Rows, entity: Entity, where = "true", parts: Parts = {}): Promise<FormOf> {
  const found = await rows<FormOf>(
    `select ${columnsOf(entity)} from ${entity.table} where garden_id = 1 and ${where} order by id limit 1`,
  );
  const row: Record<string, unknown> = { ...found[0]! };
  for (const [name, part] of Object.entries(parts)) {
    const whole = part.fields.find((field) => field.type === "reference" && field.isPart)!;
    row[name] = await rows(`select ${columnsOf(part)} from ${part.table} where ${columnOf(whole)} = $1 order by id`, [
      row.id,
    ]);
  }
  return formValues(entity, row, parts) as FormOf;
}
type FormOf = Record<string, unknown> & { id: number };

export const without = (row: Record<string, unknown>, ...names: string[]) =>
  Object.fromEntries(Object.entries(row).filter(([name]) => !names.includes(name)));
export const idOf = async (rows: Rows, sql: string) => Number((await rows<{ id: unknown }>(sql))[0]!.id);
export const made = (sql: string) => async (rows: Rows) => ({ id: await idOf(rows, sql) });

/** Samples of the actions of some files, by file and action. */
export type Samples = Readonly<Record<string, Readonly<Record<string, Sample>>>>;
