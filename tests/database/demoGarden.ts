import { freshDatabase, type TestDatabase } from "./database";
import { rowsOf, type Rows } from "./samples";

export const TODAY = "2027-09-02";

/**
 * A copy of the demo garden for all tests of a file, with the application connected to it as it would be; its owner asks
 * with `rows`.
 *
 * @param prepare what else has to be there before the first test
 */
export function demoGarden(prepare: () => Promise<void> = async () => undefined): {
  readonly rows: Rows;
  /** As its owner. */
  readonly owner: () => TestDatabase["pool"];
} {
  let database: TestDatabase;
  beforeAll(async () => {
    process.env.SEED_ROUND_TODAY = TODAY;
    database = await freshDatabase("demo_template");
    process.env.DATABASE_URL = database.appUrl;
    await prepare();
  });
  afterAll(async () => {
    const { pool } = await import("../../src/server/db/pool");
    await pool().end();
    await database.close();
  });
  return { rows: (sql, values) => rowsOf(database.pool)(sql, values), owner: () => database.pool };
}
