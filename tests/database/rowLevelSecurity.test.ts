import pg from "pg";
import { freshDatabase, type TestDatabase } from "./database";

let database: TestDatabase;
let app: pg.Pool;
let tables: string[];
let other: number;

/** As the application: its role, on behalf of a garden. */
async function asGarden<Row extends pg.QueryResultRow>(
  garden: number | null,
  sql: string,
  values: unknown[] = [],
): Promise<Row[]> {
  const client = await app.connect();
  try {
    await client.query("begin");
    if (garden !== null) await client.query("select set_config('seed_round.garden', $1, true)", [String(garden)]);
    return (await client.query<Row>(sql, values)).rows;
  } finally {
    await client.query("rollback");
    client.release();
  }
}

beforeAll(async () => {
  database = await freshDatabase("demo_template");
  app = new pg.Pool({ connectionString: database.appUrl, max: 2 });
  const { rows } = await database.pool.query(
    "select table_name from information_schema.columns where table_schema = 'public' and column_name = 'garden_id' order by 1",
  );
  tables = rows.map((row) => row.table_name as string);
  other = (await database.pool.query("insert into garden (name) values ('Other') returning id")).rows[0].id as number;
  await database.pool.query(
    "insert into house (garden_id, name, length_m, width_m, height_m, cover) values ($1, 'Theirs', 5, 5, 2, 'net')",
    [other],
  );
});
afterAll(async () => {
  await app.end();
  await database.close();
});

test("row-level security binds the application's role, and no garden table is without it, forced for its owner too", async () => {
  const [role] = await asGarden<{ super: boolean; free: boolean }>(
    null,
    "select rolsuper as super, rolbypassrls as free from pg_roles where rolname = current_user",
  );
  expect(role).toEqual({ super: false, free: false });
  const { rows } = await database.pool.query(
    "select relname from pg_class where relname = any($1) and not (relrowsecurity and relforcerowsecurity)",
    [[...tables, "garden"]],
  );
  expect(rows).toEqual([]);
  expect(tables.length).toBeGreaterThan(20);
});

test("rows of another garden are neither read, changed, removed nor written, in any table", async () => {
  // Each table is tried where the demo garden has rows in it, so that finding none means something.
  for (const table of tables) {
    const { rows } = await database.pool.query(`select count(*)::integer as count from "${table}" where garden_id = 1`);
    const theirs = rows[0].count as number;
    const seen = async (garden: number | null) =>
      (
        await asGarden<{ count: number }>(
          garden,
          `select count(*)::integer as count from "${table}" where garden_id = 1`,
        )
      )[0]!.count;
    expect(`${table} ${await seen(1)}`).toBe(`${table} ${theirs}`);
    expect(`${table} ${await seen(other)} ${await seen(null)}`).toBe(`${table} 0 0`);
    const touched = async (sql: string) =>
      asGarden(other, sql).then(
        (found) => found.length,
        (error: Error) => (error.message.includes("permission denied") ? 0 : error.message),
      );
    expect(
      `${table} ${await touched(`update "${table}" set garden_id = ${other} where garden_id = 1 returning 1`)}`,
    ).toBe(`${table} 0`);
    expect(`${table} ${await touched(`delete from "${table}" where garden_id = 1 returning 1`)}`).toBe(`${table} 0`);
  }
});

test("a row cannot be written into another garden, copied whole from one that is there", async () => {
  for (const table of tables) {
    const { rows } = await database.pool.query(
      `select to_jsonb(t) as row from "${table}" t where garden_id = 1 limit 1`,
    );
    if (!rows[0]) continue;
    const insert = asGarden(
      other,
      `insert into "${table}" overriding system value select * from jsonb_populate_record(null::"${table}", $1)`,
      [rows[0].row],
    );
    await expect(insert).rejects.toThrow(/row-level security/u);
  }
});

test("the history cannot be rewritten and the log not shortened, even by the garden's own hand", async () => {
  await expect(asGarden(1, "delete from change")).rejects.toThrow("permission denied");
  await expect(asGarden(1, "update change set person_id = 1")).rejects.toThrow("permission denied");
  await expect(asGarden(1, "delete from log_entry")).rejects.toThrow("permission denied");
});

test("an account sees its own gardens, and a link only the invitation it was made for", async () => {
  const { rows } = await database.pool.query("select account_id from person where name = 'Priya Sen'");
  const setting = async (name: string, value: string, sql: string) => {
    const client = await app.connect();
    try {
      await client.query("begin");
      await client.query("select set_config($1, $2, true)", [name, value]);
      return (await client.query(sql)).rows;
    } finally {
      await client.query("rollback");
      client.release();
    }
  };
  const gardens = await setting("seed_round.account", String(rows[0].account_id), "select name from garden");
  expect(gardens).toEqual([{ name: "Saltcote Yard" }]);
  for (const role of ["helper", "viewer"])
    await database.pool.query(
      "insert into invitation (garden_id, token_hash, role, made_by, expires_at) values (1, sha256($1::bytea), $2, 1, now() + interval '1 day')",
      [role, role],
    );
  const { rows: hash } = await database.pool.query("select encode(sha256('viewer'::bytea), 'hex') as hash");
  expect(await setting("seed_round.token", hash[0].hash as string, "select role from invitation")).toEqual([
    { role: "viewer" },
  ]);
});
