import pg from "pg";

/** A database of its own for a test file, copied from a template; dropped afterwards. */
export interface TestDatabase {
  /** As the application connects: bound by the walls between gardens. */
  readonly appUrl: string;
  /** As its owner. */
  readonly url: string;
  readonly pool: pg.Pool;
  close(): Promise<void>;
}

let counter = 0;

export async function freshDatabase(
  template: "empty_template" | "bare_template" | "demo_template" | null,
): Promise<TestDatabase> {
  const server = process.env.SEED_ROUND_TEST_URL;
  if (!server) throw new Error("SEED_ROUND_TEST_URL is not set: run these tests with `npm test -- database`");
  const name = `test_${process.pid}_${counter++}_${Date.now()}`;
  await administer(server, `create database ${name}${template ? ` template ${template}` : ""}`);
  const url = server.replace(/\/postgres$/u, `/${name}`);
  const pool = new pg.Pool({ connectionString: url, max: 4 });
  return {
    appUrl: process.env.SEED_ROUND_TEST_APP_URL!.replace(/\/postgres$/u, `/${name}`),
    url,
    pool,
    async close() {
      await pool.end();
      await administer(server, `drop database ${name} with (force)`);
    },
  };
}

async function administer(url: string, sql: string) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  await client.query("select pg_advisory_lock(4711)");
  await client.query(sql).finally(() => client.end());
}
