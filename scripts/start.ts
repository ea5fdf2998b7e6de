import { mkdirSync, rmSync } from "node:fs";
import { join } from "node:path";
import { DEMO_PASSWORD, DEMO_KEEPER } from "../demo/people";
import { loadDemo } from "../demo/load";
import { appUrl } from "./lib/appRole";
import { backUp, backupDue } from "./lib/backup";
import { ensureDatabase, keptSecret, startCluster, type Cluster } from "./lib/cluster";
import { DATABASE, dataFolder, forgetRunning, noteRunning, running } from "./lib/data";
import { migrate } from "./lib/migrate";
import { buildIfStale, serve, type WebServer } from "./lib/web";

/** `npm start`: a garden of one's own. `npm run demo`: the demo garden, in a data folder of its own. */
const demo = process.argv.includes("--demo");
const reset = process.argv.includes("--reset");
const DATA = dataFolder(demo);
const PORT = Number(process.env.PORT ?? 0) || undefined;
const BACKUP_LOOK_MS = 10 * 60_000;

let cluster: Cluster | undefined;
let web: WebServer | undefined;
let stopping = false;
let backups: NodeJS.Timeout | undefined;

for (const signal of ["SIGINT", "SIGTERM"] as const) process.on(signal, () => void stop(0));
main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  void stop(1);
});

async function main() {
  // An empty variable is how a shell says that it is not set.
  const given = process.env.DATABASE_URL || undefined;
  const own = given === undefined;
  const already = running(DATA);
  if (own && already)
    return console.log(`Seed Round runs already${already.url ? ` at ${already.url}` : ", it is just starting"}.`);
  mkdirSync(DATA, { recursive: true, mode: 0o755 });
  noteRunning(DATA, { pid: process.pid });
  if (own && reset) rmSync(join(DATA, "pg"), { recursive: true, force: true });
  if (own) {
    cluster = await startCluster(DATA);
    await ensureDatabase(cluster, DATABASE);
  }
  const ownerUrl = given ?? cluster!.url(DATABASE);
  await migrate(ownerUrl);
  if (demo) await loadDemo(ownerUrl, { reset: reset && !own });
  const databaseUrl = await appUrl(ownerUrl, keptSecret(join(DATA, "app-password")));
  buildIfStale();
  web = await serve({ DATABASE_URL: databaseUrl, SEED_ROUND_SECRET: keptSecret(join(DATA, "secret")) }, PORT);
  noteRunning(DATA, { pid: process.pid, url: web.url, port: cluster?.port });
  console.log(`\nSeed Round is at ${web.url}\n${welcome()}\nCtrl-C stops it; what you enter is kept in ${DATA}.\n`);
  keepBackups(ownerUrl);
}

function welcome(): string {
  return demo
    ? `Demo garden: Saltcote Yard. Sign in as its keeper with the name ${DEMO_KEEPER} and the password ${DEMO_PASSWORD}.`
    : "On the first start it asks for your account and your garden.";
}

/** A backup each night, or as soon as the machine runs again. */
function keepBackups(ownerUrl: string) {
  const look = async () => {
    try {
      if (await backupDue(ownerUrl)) await backUp(ownerUrl, join(DATA, "backups"));
    } catch (error) {
      console.error(error instanceof Error ? error.message : error);
    }
  };
  backups = setInterval(() => void look(), BACKUP_LOOK_MS);
  void look();
}

async function stop(code: number) {
  if (stopping) return;
  stopping = true;
  clearInterval(backups);
  await web?.stop();
  await cluster?.stop();
  forgetRunning(DATA);
  process.exit(code);
}
