import { existsSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { dataPlace } from "./dataPlace.mjs";
import { writeWhole } from "./writeWhole";

export const DATABASE = "seed_round";

/** What runs on a data folder. */
export interface Running {
  readonly pid: number;
  readonly url?: string;
  readonly port?: number;
}

export function dataFolder(demo: boolean): string {
  return dataPlace(demo).folder;
}

const file = (folder: string) => join(folder, "running.json");

/** The copy that runs on a folder, if it is alive. What cannot be read, after a power cut, says that none is. */
export function running(folder: string): Running | null {
  const found = noted(folder);
  if (!found) return null;
  const command = `/proc/${found.pid}/cmdline`;
  const alive = found.pid !== process.pid && existsSync(command) && readFileSync(command, "utf8").includes("start.ts");
  return alive ? found : null;
}

function noted(folder: string): Running | null {
  if (!existsSync(file(folder))) return null;
  try {
    const found = JSON.parse(readFileSync(file(folder), "utf8")) as Running | null;
    return Number.isInteger(found?.pid) && found!.pid > 0 ? found : null;
  } catch {
    return null;
  }
}

export function noteRunning(folder: string, now: Running): void {
  writeWhole(file(folder), JSON.stringify(now));
}

export function forgetRunning(folder: string): void {
  rmSync(file(folder), { force: true });
}

/** The owner's address of the cluster that a running copy keeps. */
export function runningUrl(folder: string, port: number): string {
  return `postgres://seed_round:${readFileSync(join(folder, "password"), "utf8").trim()}@127.0.0.1:${port}/${DATABASE}`;
}
