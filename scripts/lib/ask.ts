import { execFile } from "node:child_process";
import { join } from "node:path";
import { promisify } from "node:util";
import pg from "pg";

/** One question on a connection of its own. */
export async function ask<Row extends pg.QueryResultRow>(
  url: string,
  sql: string,
  values: readonly unknown[] = [],
): Promise<Row[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query<Row>(sql, [...values])).rows;
  } finally {
    // Whatever the question came to is told, not that the connection could not be closed after it.
    await client.end().catch(() => undefined);
  }
}

/** The same address with another database. */
export function atDatabase(url: string, database: string): string {
  const parsed = new URL(url);
  parsed.pathname = `/${database}`;
  return parsed.toString();
}

/**
 * Runs one of PostgreSQL's own programs on a database. The password goes by the environment: arguments of a program can be
 * read by everybody on the machine.
 */
export async function postgresTool(bin: string, program: string, url: string, args: readonly string[]): Promise<void> {
  const parsed = new URL(url);
  const env = { ...process.env, PGPASSWORD: decodeURIComponent(parsed.password) };
  parsed.password = "";
  await promisify(execFile)(join(bin, program), [...args, "--dbname", parsed.toString()], { env, maxBuffer: 1e8 });
}
