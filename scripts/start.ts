import { mkdirSync, rmSync } from "node:fs";
import { join } from "node:path";
import { DEMO_PASSWORD, DEMO_KEEPER } from "../demo/people";
import { loadDemo } from "../demo/load";
import { appUrl } from "./lib/appRole";
import { backUp, backupDue } from "./lib/backup";
import { ensureDatabase, startCluster, type Cluster } from "./lib/cluster";
import { DATABASE, dataFolder, forgetRunning, noteRunning, running } from "./lib/data";
import { keptSecret } from "./lib/writeWhole";
import { logLine, openLog, type LogFile } from "./lib/logFile";
import { migrate } from "./lib/migrate";
import { plainWords } from "./lib/plainWords.mjs";
import { portFor } from "./lib/ports";
import { buildIfStale, serve, type WebServer } from "./lib/web";

/** `npm start`: a garden of one's own. `npm run demo`: the demo garden, in a data folder of its own. */
const demo = process.argv.includes("--demo");
const reset = process.argv.includes("--reset");
const DATA = dataFolder(demo);
/** An empty variable is how a shell says that it is not set. */
const GIVEN = process.env.DATABASE_URL || undefined;
const BACKUP_LOOK_MS = 10 * 60_000;
const PARENT_LOOK_MS = 500;

let cluster: Cluster | undefined;
let web: WebServer | undefined;
let log: LogFile | undefined;
let stopping = false;
let backups: NodeJS.Timeout | undefined;

for (const signal of ["SIGINT", "SIGTERM"] as const) process.on(signal, () => void stop(0));
// A terminal that was closed is no reason to fail.
for (const stream of [process.stdout, process.stderr]) stream.on("error", () => undefined);
endWithParent();
main().catch((error: unknown) => {
  const words = plainWords(error, DATA);
  log?.write(logLine("error", words));
  console.error(words);
  void stop(1);
});

async function main() {
  const already = running(DATA);
  if (!GIVEN && already)
    return console.log(`Seed Round runs already${already.url ? ` at ${already.url}` : ", it is just starting"}.`);
  const port = await portFor(process.env.PORT);
  mkdirSync(DATA, { recursive: true, mode: 0o755 });
  noteRunning(DATA, { pid: process.pid });
  log = await openLog(DATA);
  const ownerUrl = await database();
  await migrate(ownerUrl);
  if (demo) await loadDemo(ownerUrl, { reset: reset && GIVEN !== undefined });
  const databaseUrl = await appUrl(ownerUrl, keptSecret(join(DATA, "app-password")).secret);
  await buildIfStale();
  web = await serve(
    { DATABASE_URL: databaseUrl, SEED_ROUND_SECRET: cookieSecret() },
    { port, supervised: true, onLine: (line) => log?.write(line) },
  );
  noteRunning(DATA, { pid: process.pid, url: web.url, port: cluster?.port });
  console.log(`\nSeed Round is at ${web.url}\n${welcome()}\nCtrl-C stops it; ${whereKept()} The log: ${log.path}\n`);
  keepBackups(ownerUrl);
}

/** @returns the owner's address of the database, started where it is our own */
async function database(): Promise<string> {
  if (GIVEN) return GIVEN;
  if (reset) rmSync(join(DATA, "pg"), { recursive: true, force: true });
  cluster = await startCluster(DATA, { say });
  await ensureDatabase(cluster, DATABASE);
  return cluster.url(DATABASE);
}

function cookieSecret(): string {
  const { secret, wasTorn } = keptSecret(join(DATA, "secret"));
  if (wasTorn) say("The secret of the cookies could not be read; it was made again. Everybody signs in once more.");
  return secret;
}

/** To whoever started us, and to the log. */
function say(words: string) {
  console.log(words);
  log?.write(logLine("info", words));
}

function welcome(): string {
  return demo
    ? `Demo garden: Saltcote Yard. Sign in as its keeper with the name ${DEMO_KEEPER} and the password ${DEMO_PASSWORD}.`
    : "On the first start it asks for your account and your garden.";
}

function whereKept(): string {
  if (!GIVEN) return `what you enter is kept in ${DATA}.`;
  const { hostname, port, pathname } = new URL(GIVEN);
  return `what you enter is kept in the database ${pathname.slice(1)} at ${hostname}:${port || 5432}, not in ${DATA}, which holds secrets and backups.`;
}

/** A backup each night, or as soon as the machine runs again. */
function keepBackups(ownerUrl: string) {
  const look = async () => {
    try {
      if (await backupDue(ownerUrl)) await backUp(ownerUrl, join(DATA, "backups"));
    } catch (error) {
      say(plainWords(error));
    }
  };
  backups = setInterval(() => void look(), BACKUP_LOOK_MS);
  void look();
}

/** Whoever handed over to us is gone without a word: then we go too. */
function endWithParent() {
  const parent = Number(process.env.SEED_ROUND_PARENT);
  // Else it was handed down from a start further up.
  if (parent === process.ppid) setInterval(() => process.ppid !== parent && void stop(0), PARENT_LOOK_MS).unref();
}

async function stop(code: number) {
  if (stopping) return;
  stopping = true;
  clearInterval(backups);
  await web?.stop();
  await cluster?.stop();
  if (running(DATA) === null) forgetRunning(DATA);
  process.exit(code);
}
