import { readdirSync } from "node:fs";
import { join } from "node:path";
import { runner } from "node-pg-migrate";
import pg from "pg";

const FOLDER = join(import.meta.dirname, "..", "..", "db", "migrations");

/**
 * Brings a database up to the newest migration, each in its own transaction and under a lock, and refuses one that is
 * newer than this code knows.
 */
export async function migrate(databaseUrl: string): Promise<void> {
  await refuseNewer(databaseUrl);
  await runner({
    databaseUrl,
    dir: FOLDER,
    direction: "up",
    migrationsTable: "migration",
    singleTransaction: false,
    checkOrder: true,
    log: () => undefined,
  });
}

/** @throws Error when the database knows a migration that this code does not */
export async function refuseNewer(databaseUrl: string) {
  const known = new Set(readdirSync(FOLDER).map((file) => file.replace(/\.sql$/u, "")));
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
