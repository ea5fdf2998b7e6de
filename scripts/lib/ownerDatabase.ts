import { existsSync } from "node:fs";
import { join } from "node:path";
import { ensureDatabase, startCluster } from "./cluster";
import { DATABASE, dataFolder, running, runningUrl } from "./data";

/**
 * Runs a piece of work on the database of a garden as its owner, beside a running copy or without one.
 *
 * @param make whether an empty one is made where there is none
 * @throws Error in words when there is no garden
 */
export async function onOwnerDatabase(
  demo: boolean,
  work: (ownerUrl: string) => Promise<void>,
  { make = false }: { readonly make?: boolean } = {},
): Promise<void> {
  const folder = dataFolder(demo);
  const given = process.env.DATABASE_URL || undefined;
  if (given) return work(given);
  const port = running(folder)?.port;
  if (port) return work(runningUrl(folder, port));
  if (!make && !existsSync(join(folder, "pg"))) throw new Error(`There is no garden in ${folder} yet.`);
  const cluster = await startCluster(folder, { say: (words) => console.log(words) });
  try {
    await ensureDatabase(cluster, DATABASE);
    await work(cluster.url(DATABASE));
  } finally {
    await cluster.stop();
  }
}
