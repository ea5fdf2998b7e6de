import pg from "pg";
import { fuzz } from "./fuzz/fuzz";
import { withDemo } from "./lib/withDemo";

/** `npm run fuzz`: 10,000 calls of nonsense over HTTP from a fixed seed. `npm run fuzz -- 500 7` takes 500 from the seed 7. */
const CALLS = Number(process.argv[2] ?? 10_000);
const SEED = Number(process.argv[3] ?? 20_270_902);

await withDemo(async ({ url, databaseUrl }) => {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 2 });
  process.env.DATABASE_URL = databaseUrl;
  const began = Date.now();
  const rows = async <Row>(sql: string, values: unknown[] = []) => (await pool.query(sql, values)).rows as Row[];
  const { calls, pagesOpened, statuses, faults } = await fuzz({ url, rows, calls: CALLS, seed: SEED }).finally(() =>
    pool.end(),
  );
  for (const fault of faults) console.log(fault);
  console.log(
    `\n${calls} calls from the seed ${SEED} in ${Math.round((Date.now() - began) / 1000)} s, ${pagesOpened} pages opened in between: ${faults.length} faults (asked: none)`,
  );
  console.log(
    `  ${Object.entries(statuses)
      .sort()
      .map(([status, count]) => `${status}: ${count}`)
      .join(", ")}`,
  );
  if (faults.length > 0) process.exitCode = 1;
});
