import { existsSync } from "node:fs";
import { join, resolve } from "node:path";
import { appUrl } from "./lib/appRole";
import { backUp, restore } from "./lib/backup";
import { keptSecret, startCluster } from "./lib/cluster";
import { DATABASE, dataFolder, running, runningUrl } from "./lib/data";
import { migrate } from "./lib/migrate";

/** `npm run backup`, `npm run restore -- FILE`; `--demo` for the demo garden. Both work beside a running copy. */
const restoring = process.argv.includes("--restore");
const demo = process.argv.includes("--demo") || !existsSync(dataFolder(false));
const file = process.argv.slice(2).find((word) => !word.startsWith("--"));
const DATA = dataFolder(demo);

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
});

async function main() {
  if (restoring && !file) throw new Error("Say which: npm run restore -- data/garden/backups/NAME.dump");
  const given = process.env.DATABASE_URL || undefined;
  const port = running(DATA)?.port;
  if (given) return work(given);
  if (port) return work(runningUrl(DATA, port));
  if (!existsSync(join(DATA, "pg"))) throw new Error(`There is no garden in ${DATA} yet.`);
  const cluster = await startCluster(DATA);
  try {
    await work(cluster.url(DATABASE));
  } finally {
    await cluster.stop();
  }
}

async function work(ownerUrl: string) {
  if (!restoring) return console.log(`Backed up and checked: ${await backUp(ownerUrl, join(DATA, "backups"))}`);
  const before = await restore(ownerUrl, resolve(file!));
  await migrate(ownerUrl);
  await appUrl(ownerUrl, keptSecret(join(DATA, "app-password")));
  console.log(`Restored. What stood there before is kept as the database ${before}.`);
}
