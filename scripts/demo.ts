import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { loadDemo } from "../demo/load";
import { ensureDatabase, startCluster, type Cluster } from "./lib/cluster";
import { migrate } from "./lib/migrate";
import { buildIfStale, serve, type WebServer } from "./lib/web";

const DATA = process.env.SEED_ROUND_DATA ?? join(import.meta.dirname, "..", "data");
const RUNNING = join(DATA, "running.json");
const PORT = Number(process.env.PORT ?? 0) || undefined;

let cluster: Cluster | undefined;
let web: WebServer | undefined;
let stopping = false;

for (const signal of ["SIGINT", "SIGTERM"] as const) process.on(signal, () => void stop(0));
main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  void stop(1);
});

async function main() {
  const reset = process.argv.includes("--reset");
  // An empty variable is how a shell says that it is not set.
  const given = process.env.DATABASE_URL || undefined;
  const own = given === undefined;
  if (own && sayIfRunning()) return;
  mkdirSync(DATA, { recursive: true, mode: 0o755 });
  writeFileSync(RUNNING, JSON.stringify({ pid: process.pid }));
  if (own && reset) rmSync(join(DATA, "pg"), { recursive: true, force: true });
  if (own) {
    cluster = await startCluster(DATA);
    await ensureDatabase(cluster, "seed_round");
  }
  const databaseUrl = given ?? cluster!.url("seed_round");
  await migrate(databaseUrl);
  await loadDemo(databaseUrl, { reset: reset && !own });
  buildIfStale();
  web = await serve({ DATABASE_URL: databaseUrl }, PORT);
  writeFileSync(RUNNING, JSON.stringify({ pid: process.pid, url: web.url }));
  console.log(
    `\nSeed Round is at ${web.url}\nDemo garden: Saltcote Yard. You work as its keeper, Ines Varela; no sign-in yet.\nCtrl-C stops it; what you enter is kept in ${DATA}.\n`,
  );
}

/** A second start beside a running copy says where that one is. */
function sayIfRunning(): boolean {
  if (!existsSync(RUNNING)) return false;
  const { pid, url } = JSON.parse(readFileSync(RUNNING, "utf8")) as { pid: number; url?: string };
  const alive =
    pid !== process.pid &&
    existsSync(`/proc/${pid}/cmdline`) &&
    readFileSync(`/proc/${pid}/cmdline`, "utf8").includes("demo.ts");
  if (alive) console.log(`Seed Round runs already${url ? ` at ${url}` : ", it is just starting"}.`);
  return alive;
}

async function stop(code: number) {
  if (stopping) return;
  stopping = true;
  await web?.stop();
  await cluster?.stop();
  rmSync(RUNNING, { force: true });
  process.exit(code);
}
