import type { Gone } from "../session/refused";
import { Pool, types, type PoolClient, type QueryResultRow } from "pg";
import { dayFromIso } from "@/core/units/day";

// Decided once for all rooms: dates are days, big counts are numbers. Instants stay JavaScript dates.
const DATE = 1082;
const INT8 = 20;
types.setTypeParser(DATE, (text: string) => dayFromIso(text));
types.setTypeParser(INT8, (text: string) => Number(text));

/** What queries run on: the pool for reads, a client inside a transaction for writes. */
export type Db = Pick<PoolClient, "query">;

// Next.js reloads modules on each change while developing; the pool must outlive that.
const kept = globalThis as { seedRoundPool?: Pool };

export function pool(): Pool {
  const connectionString = process.env.DATABASE_URL;
  if (!connectionString) throw new Error("DATABASE_URL is not set; start the application with `npm run demo`");
  if (!kept.seedRoundPool) {
    kept.seedRoundPool = new Pool({ connectionString, max: 10, connectionTimeoutMillis: 5000 });
    // An idle connection that breaks must not take the server down; the next query opens a new one.
    kept.seedRoundPool.on("error", () => undefined);
  }
  return kept.seedRoundPool;
}

export class NotFoundError extends Error {
  constructor(readonly what: Gone | null) {
    super(`${what ?? "row"} not found`);
  }
}

/** Any number of rows. */
export async function many<Row extends QueryResultRow>(
  db: Db,
  text: string,
  values: readonly unknown[] = [],
): Promise<Row[]> {
  return (await db.query<Row>(text, [...values])).rows;
}

/** A statement whose rows nobody asks for. @returns how many rows it touched */
export async function run(db: Db, text: string, values: readonly unknown[] = []): Promise<number> {
  return (await db.query(text, [...values])).rowCount ?? 0;
}

/** No row or one. */
export async function maybeOne<Row extends QueryResultRow>(
  db: Db,
  text: string,
  values: readonly unknown[] = [],
): Promise<Row | null> {
  return (await many<Row>(db, text, values))[0] ?? null;
}

/** Exactly one row, else a NotFoundError that says what was looked for. */
export async function one<Row extends QueryResultRow>(
  db: Db,
  what: Gone | null,
  text: string,
  values: readonly unknown[] = [],
): Promise<Row> {
  const row = await maybeOne<Row>(db, text, values);
  if (!row) throw new NotFoundError(what);
  return row;
}

/**
 * Several reads, one after the other: a transaction has one connection.
 * @returns their rows under the names of the reads
 */
export async function readAll<Reads extends Readonly<Record<string, (db: Db) => Promise<unknown>>>>(
  db: Db,
  reads: Reads,
): Promise<{ -readonly [Name in keyof Reads]: Awaited<ReturnType<Reads[Name]>> }> {
  const results: [string, unknown][] = [];
  for (const [name, read] of Object.entries(reads)) results.push([name, await read(db)]);
  return Object.fromEntries(results) as { -readonly [Name in keyof Reads]: Awaited<ReturnType<Reads[Name]>> };
}

/** Runs a piece of work in one transaction: all of it is kept, or none. */
export async function transaction<Result>(work: (db: Db) => Promise<Result>, on: Pool = pool()): Promise<Result> {
  const client = await on.connect();
  try {
    await client.query("begin");
    const result = await work(client);
    await client.query("commit");
    return result;
  } catch (error) {
    await client.query("rollback").catch(() => undefined);
    throw error;
  } finally {
    client.release();
  }
}
