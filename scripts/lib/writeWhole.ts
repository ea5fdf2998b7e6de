import { randomBytes } from "node:crypto";
import { closeSync, existsSync, fsyncSync, openSync, readFileSync, renameSync, writeFileSync } from "node:fs";
import { dirname } from "node:path";

const SECRET = /^[0-9a-f]{48}$/u;

/** Writes a file whole or not at all, whenever the power goes: beside it first, flushed, then put in its place. */
export function writeWhole(file: string, text: string, mode = 0o644): void {
  const part = `${file}.part`;
  const descriptor = openSync(part, "w", mode);
  try {
    writeFileSync(descriptor, text);
    fsyncSync(descriptor);
  } finally {
    closeSync(descriptor);
  }
  renameSync(part, file);
  flushFolder(dirname(file));
}

/** A name in a folder is only safe once the folder is flushed too. */
export function flushFolder(folder: string): void {
  const descriptor = openSync(folder, "r");
  try {
    fsyncSync(descriptor);
  } finally {
    closeSync(descriptor);
  }
}

/** A secret and whether it had to be made again because the kept one could not be read. */
export interface KeptSecret {
  readonly secret: string;
  readonly isNew: boolean;
  /** There was a file, and it was no secret. */
  readonly wasTorn: boolean;
}

/** A random secret, made on the first start and kept for its owner alone; one that cannot be read is made again. */
export function keptSecret(file: string): KeptSecret {
  const found = existsSync(file) ? readFileSync(file, "utf8").trim() : null;
  if (found !== null && SECRET.test(found)) return { secret: found, isNew: false, wasTorn: false };
  const secret = randomBytes(24).toString("hex");
  writeWhole(file, secret, 0o600);
  return { secret, isNew: true, wasTorn: found !== null };
}
