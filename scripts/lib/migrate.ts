import { runner } from "node-pg-migrate";
import { MIGRATIONS, refuseNewer } from "./schema";

/**
 * Brings a database up to the newest migration, each in its own transaction and under a lock, and refuses one that is
 * newer than this code knows.
 */
export async function migrate(databaseUrl: string): Promise<void> {
  await refuseNewer(databaseUrl);
  await runner({
    databaseUrl,
    dir: MIGRATIONS,
    direction: "up",
    migrationsTable: "migration",
    singleTransaction: false,
    checkOrder: true,
    log: () => undefined,
  });
}
