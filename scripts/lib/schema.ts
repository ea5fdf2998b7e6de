import { readdirSync } from "node:fs";
import { join } from "node:path";
import pg from "pg";

export const MIGRATIONS = join(import.meta.dirname, "..", "..", "db", "migrations");

/** @throws Error when the database knows a migration that this code does not */
export async function refuseNewer(databaseUrl: string) {
  const known = new Set(readdirSync(MIGRATIONS).map((file) => file.replace(/\.sql$/u, "")));
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  try {
    const table = await client.query("select to_regclass('migration') as found");
    if (!table.rows[0].found) return;
    const done = await client.query<{ name: string }>("select name from migration order by id");
    const unknown = done.rows.find(({ name }) => !known.has(name));
    if (unknown)
      throw new Error(
        `The database knows a migration that this version does not: ${unknown.name}. Use the newer version of the program.`,
      );
  } finally {
    await client.end();
  }
}
