import { existsSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";

const ROOT = join(import.meta.dirname, "..", "..");
export const DATABASE = "seed_round";

/** What runs on a data folder. */
export interface Running {
  readonly pid: number;
  readonly url?: string;
  readonly port?: number;
}

/** The demo garden and a garden of one's own never share a database: the demo's passwords are known to everybody. */
export function dataFolder(demo: boolean): string {
  return process.env.SEED_ROUND_DATA ?? join(ROOT, "data", demo ? "demo" : "garden");
}

const file = (folder: string) => join(folder, "running.json");

/** The copy that runs on a folder, if it is alive. */
export function running(folder: string): Running | null {
  if (!existsSync(file(folder))) return null;
  const found = JSON.parse(readFileSync(file(folder), "utf8")) as Running;
  const command = `/proc/${found.pid}/cmdline`;
  const alive = found.pid !== process.pid && existsSync(command) && readFileSync(command, "utf8").includes("start.ts");
  return alive ? found : null;
}

export function noteRunning(folder: string, now: Running): void {
  writeFileSync(file(folder), JSON.stringify(now));
}

export function forgetRunning(folder: string): void {
  rmSync(file(folder), { force: true });
}

/** The owner's address of the cluster that a running copy keeps. */
export function runningUrl(folder: string, port: number): string {
  return `postgres://seed_round:${readFileSync(join(folder, "password"), "utf8").trim()}@127.0.0.1:${port}/${DATABASE}`;
}
