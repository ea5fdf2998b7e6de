// Where the data is. Plain JavaScript: it has to be known before any package is installed.
import { existsSync, statSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const ROOT = join(dirname(fileURLToPath(import.meta.url)), "..", "..");
const SYSTEM = "/var/lib/seed-round";
const OTHERS_MAY_ENTER = 0o001;

/**
 * The demo garden and a garden of one's own never share a database: the demo's passwords are known to everybody.
 *
 * As root PostgreSQL runs as a user of its own, who has to be able to walk down to the data. Where the project lies in a
 * folder that others may not enter, such as a home, the data goes to a place that they may.
 *
 * @param {boolean} demo
 * @returns {{ folder: string, moved: boolean }}
 */
export function dataPlace(demo) {
  const name = demo ? "demo" : "garden";
  if (process.env.SEED_ROUND_DATA) return { folder: process.env.SEED_ROUND_DATA, moved: false };
  const own = join(ROOT, "data", name);
  const moved = process.getuid?.() === 0 && closedTo(own) !== null;
  return { folder: moved ? join(SYSTEM, name) : own, moved };
}

/**
 * The folder on the way down that others may not enter.
 *
 * @param {string} folder
 * @returns {string | null}
 */
export function closedTo(folder) {
  for (let at = folder; ; at = dirname(at)) {
    if (at !== folder && existsSync(at) && !(statSync(at).mode & OTHERS_MAY_ENTER)) return at;
    if (at === dirname(at)) return null;
  }
}
