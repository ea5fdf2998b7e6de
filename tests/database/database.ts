import pg from "pg";

/** A database of its own for a test file, copied from a template; dropped afterwards. */
export interface TestDatabase {
  /** As the application connects: bound by row-level security. */
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
      await dropDatabase(server, name);
    },
  };
}

/** Connections that are just closing are let go first: one that is cut off then would fail whichever test runs by now. */
export async function dropDatabase(server: string, name: string): Promise<void> {
  const client = new pg.Client({ connectionString: server });
  await client.connect();
  try {
    for (let waited = 0; waited < 100; waited++) {
      const { rows } = await client.query("select 1 from pg_stat_activity where datname = $1 limit 1", [name]);
      if (rows.length === 0) break;
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
    await client.query(`drop database if exists ${name} with (force)`);
  } finally {
    await client.end();
  }
}

async function administer(url: string, sql: string) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  await client.query("select pg_advisory_lock(4711)");
  await client.query(sql).finally(() => client.end());
}
