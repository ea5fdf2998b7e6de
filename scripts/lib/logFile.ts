import { mkdirSync } from "node:fs";
import { join } from "node:path";
import pinoRoll from "pino-roll";

/** A new file after so much; so many old ones stay. */
const SIZE = "10m";
const KEPT = 5;

export interface LogFile {
  /** Where the newest lines are. */
  readonly path: string;
  write(line: string): void;
}

/** The log in the data folder: `log/current.log` is always the newest file; older ones are numbered beside it. */
export async function openLog(folder: string): Promise<LogFile> {
  // Its own making of the folder comes after the link in it.
  mkdirSync(join(folder, "log"), { recursive: true });
  const stream = await pinoRoll({
    file: join(folder, "log", "seed-round"),
    size: SIZE,
    limit: { count: KEPT },
    mkdir: true,
    symlink: true,
  });
  // A full disk must not take the garden down: lines are lost then, and the backup says why.
  stream.on("error", () => undefined);
  return { path: join(folder, "log", "current.log"), write: (line) => void stream.write(line) };
}

/** A line as the application writes its own. */
export function logLine(level: "info" | "error", msg: string): string {
  return `${JSON.stringify({ level: level === "info" ? 30 : 50, time: new Date().toISOString(), msg })}\n`;
}
