import { spawn, type ChildProcess, type SpawnOptions } from "node:child_process";
import { randomBytes } from "node:crypto";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { sealData } from "iron-session";
import pg from "pg";
import { loadDemo } from "../demo/load";
import { transaction } from "../src/server/db/pool";
import { createAccount, createOwnGarden } from "../src/server/people/accounts";
import { newToken, tokenHash } from "../src/server/session/token";
import { appUrl } from "./lib/appRole";
import { ensureDatabase, startCluster, type Cluster } from "./lib/cluster";
import { migrate } from "./lib/migrate";
import { ended } from "./lib/supervise";
import { buildIfStale } from "./lib/web";
import { FIXED_DAY } from "./lib/withDemo";
import { BARE_KEEPER } from "../tests/journeys/people";

/** `npm test -- unit | component | database | browser [name]` runs one part, for whoever works on it; without words all of it. */
const [only, ...names] = process.argv.slice(2);
const wants = (part: string) => only === undefined || only === part;

const totals = { passed: 0, failed: 0 };
/** What runs for us now; it ends when we do. */
const children = new Set<ChildProcess>();
const folder = mkdtempSync(join(tmpdir(), "seed-round-test-"));
let cluster: Cluster | undefined;

process.env.SEED_ROUND_DIST = ".next-test";
process.env.NEXT_TELEMETRY_DISABLED = "1";
for (const signal of ["SIGINT", "SIGTERM"] as const) process.once(signal, () => void finish(1));

main().then(
  () => finish(totals.failed > 0 ? 1 : 0),
  (error: unknown) => {
    console.error(error);
    totals.failed += 1;
    void finish(1);
  },
);

async function main() {
  if (wants("checks")) {
    // Each keeps one core busy.
    const types = async () => {
      await check("types of core, without DOM and Node", "tsc", "--noEmit", "-p", "src/core");
      await check("types", "tsc", "--noEmit");
    };
    const manners = async () => {
      await check("lint", "eslint", ".", "--max-warnings", "0");
      await check("floors and rooms", "depcruise", "src", "--config", ".dependency-cruiser.mjs");
      await check("format", "prettier", "--check", ".");
    };
    await Promise.all([types(), manners()]);
  }
  if (wants("unit")) await jest("unit", {});
  if (wants("component")) await jest("component", {});
  if (!wants("database") && !wants("browser")) return;
  cluster = await startCluster(folder, { throwaway: true });
  const secret = randomBytes(24).toString("hex");
  const app = await templates(cluster, secret);
  const cookies = {
    ...(await signedIn(cluster.url("demo_template"), secret)),
    ...(await signedIn(cluster.url("bare_template"), secret)),
  };
  const environment = {
    SEED_ROUND_TEST_COOKIES: JSON.stringify(cookies),
    SEED_ROUND_TEST_URL: cluster.url(),
    SEED_ROUND_TEST_APP_URL: app,
    SEED_ROUND_SECRET: secret,
    SEED_ROUND_WORKERS: "1",
  };
  if (wants("database")) await jest("database", environment);
  if (!wants("browser")) return;
  if (!(await step("build", buildIfStale))) return;
  await journeys({ ...environment, SEED_ROUND_TODAY: FIXED_DAY });
}

/** One database with the tables, one with a garden and nothing in it, one with the demo garden; tests copy them. */
async function templates(on: Cluster, secret: string): Promise<string> {
  await ensureDatabase(on, "empty_template");
  await migrate(on.url("empty_template"));
  // One role for all copies; its rights are copied with the tables.
  process.env.SEED_ROUND_ROLE = "seed_round_test_app";
  const app = new URL(await appUrl(on.url("empty_template"), secret));
  await ensureDatabase(on, "demo_template", "empty_template");
  await ensureDatabase(on, "bare_template", "empty_template");
  await bareGarden(on.url("bare_template"));
  process.env.SEED_ROUND_TODAY = FIXED_DAY;
  await loadDemo(on.url("demo_template"), { reset: false });
  delete process.env.SEED_ROUND_TODAY;
  app.pathname = "/postgres";
  return app.toString();
}

/** A session for everybody of a template, so that journeys begin signed in. @returns cookies by sign-in name */
async function signedIn(databaseUrl: string, secret: string): Promise<Record<string, string>> {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  const cookies: Record<string, string> = {};
  const { rows } = await client.query<{ id: number; name: string }>("select id, sign_in_name as name from account");
  for (const { id, name } of rows) {
    const token = newToken();
    await client.query(
      "insert into session (token_hash, account_id, expires_at) values ($1, $2, now() + interval '1 day')",
      [tokenHash(token), id],
    );
    cookies[name] = await sealData({ token }, { password: secret, ttl: 0 });
  }
  await client.end();
  return cookies;
}

async function bareGarden(databaseUrl: string) {
  const garden = {
    gardenName: "New garden",
    place: "",
    latitudeDeg: 40,
    timeZone: "UTC",
    currency: "€",
    unitSystem: "metric",
  } as const;
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 1 });
  await transaction(
    async (db) => createOwnGarden(db, await createAccount(db, BARE_KEEPER), BARE_KEEPER.name, garden),
    pool,
  );
  await pool.end();
}

async function check(name: string, program: string, ...args: string[]) {
  const start = Date.now();
  const output = await new Promise<string | null>((resolve) => {
    const child = launch(program, args, { stdio: ["ignore", "pipe", "pipe"] });
    let text = "";
    for (const stream of [child.stdout!, child.stderr!])
      stream.on("data", (chunk: Buffer) => (text += chunk.toString()));
    child.on("exit", (code) => resolve(code === 0 ? null : text));
  });
  totals[output === null ? "passed" : "failed"] += 1;
  console.log(output === null ? `ok      ${name} (${seconds(start)})` : `FAILED  ${name}\n${output}`);
}

async function step(name: string, work: () => Promise<void>): Promise<boolean> {
  const start = Date.now();
  try {
    await work();
    totals.passed += 1;
    console.log(`ok      ${name} (${seconds(start)})`);
    return true;
  } catch (error) {
    totals.failed += 1;
    console.log(`FAILED  ${name}\n${error instanceof Error ? error.message : String(error)}`);
    return false;
  }
}

async function jest(project: string, environment: Record<string, string>) {
  const start = Date.now();
  const report = join(folder, `${project}.json`);
  const code = await run(
    "jest",
    [...names, "--selectProjects", project, "--maxWorkers=2", "--json", `--outputFile=${report}`, "--silent"],
    environment,
  );
  const result = JSON.parse(readFileSync(report, "utf8")) as {
    numPassedTests: number;
    numFailedTests: number;
    numRuntimeErrorTestSuites: number;
  };
  const failed = result.numFailedTests + result.numRuntimeErrorTestSuites;
  count(`${project} tests`, result.numPassedTests, failures(failed, code), start);
}

async function journeys(environment: Record<string, string>) {
  const start = Date.now();
  const report = join(folder, "journeys.json");
  const code = await run("playwright", ["test", ...names], { ...environment, PLAYWRIGHT_JSON_OUTPUT_NAME: report });
  const { stats } = JSON.parse(readFileSync(report, "utf8")) as {
    stats: { expected: number; unexpected: number; flaky: number };
  };
  count("browser journeys", stats.expected, failures(stats.unexpected + stats.flaky, code), start);
}

/** A runner that failed without naming a test has failed all the same. */
function failures(counted: number, code: number): number {
  return code === 0 ? counted : Math.max(1, counted);
}

function count(name: string, passed: number, failed: number, start: number) {
  totals.passed += passed;
  totals.failed += failed;
  console.log(`${failed ? "FAILED" : "ok    "}  ${name}: ${passed} passed, ${failed} failed (${seconds(start)})`);
}

function run(program: string, args: string[], environment: Record<string, string>): Promise<number> {
  return new Promise((resolve) => {
    const child = launch(program, args, {
      stdio: ["ignore", "inherit", "inherit"],
      env: { ...process.env, ...environment },
    });
    child.on("exit", (code) => resolve(code ?? 1));
  });
}

function launch(program: string, args: string[], options: SpawnOptions): ChildProcess {
  const child = spawn(join("node_modules", ".bin", program), args, options);
  children.add(child);
  child.once("exit", () => children.delete(child));
  return child;
}

function seconds(start: number): string {
  return `${((Date.now() - start) / 1000).toFixed(1)} s`;
}

async function finish(code: number) {
  for (const child of children) await ended(child, "SIGTERM");
  await cluster?.stop();
  rmSync(folder, { recursive: true, force: true });
  console.log(`${totals.passed} passed, ${totals.failed} failed`);
  process.exit(code);
}
