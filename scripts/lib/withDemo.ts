import { randomBytes } from "node:crypto";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { loadDemo } from "../../demo/load";
import { appUrl } from "./appRole";
import { ensureDatabase, startCluster } from "./cluster";
import { migrate } from "./migrate";
import { buildIfStale, serve } from "./web";

/** Today's date in the demo garden for tests, pictures and measurements. */
export const FIXED_DAY = "2027-09-02";

/** Runs a piece of work on the built application with the demo garden in a throwaway cluster. */
export async function withDemo(
  work: (demo: { url: string; databaseUrl: string; webPid: number; postgresPid: number }) => Promise<void>,
): Promise<void> {
  process.env.SEED_ROUND_DIST = ".next-test";
  process.env.SEED_ROUND_TODAY = FIXED_DAY;
  const folder = mkdtempSync(join(tmpdir(), "seed-round-demo-"));
  const cluster = await startCluster(folder, { throwaway: true });
  try {
    await ensureDatabase(cluster, "demo");
    const databaseUrl = cluster.url("demo");
    await migrate(databaseUrl);
    await loadDemo(databaseUrl, { reset: false });
    await buildIfStale();
    const secret = randomBytes(24).toString("hex");
    const web = await serve({ DATABASE_URL: await appUrl(databaseUrl, secret), SEED_ROUND_SECRET: secret });
    try {
      await work({ url: web.url, databaseUrl, webPid: web.pid, postgresPid: cluster.pid() });
    } finally {
      await web.stop();
    }
  } finally {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
