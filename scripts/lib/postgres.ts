import { execFileSync } from "node:child_process";
import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

/** Where Debian keeps the server programs, a folder for each major version. */
export const PROGRAMS = "/usr/lib/postgresql";

/** The major versions whose server programs are here, the newest first. */
export function majors(home = PROGRAMS): number[] {
  const versions = existsSync(home)
    ? readdirSync(home).filter((version) => existsSync(join(home, version, "bin", "initdb")))
    : [];
  return versions.map(Number).sort((a, b) => b - a);
}

/** The folder of a major version's programs, of the newest unless given. */
export function binaries(major = majors()[0], home = PROGRAMS): string {
  if (major === undefined)
    throw new Error("PostgreSQL's server programs are not installed: apt-get install postgresql");
  return join(home, String(major), "bin");
}

/** The major version that made a data folder; null where there is none yet. */
export function majorOf(dataDir: string): number | null {
  const file = join(dataDir, "PG_VERSION");
  return existsSync(file) ? Number(readFileSync(file, "utf8")) : null;
}

/** PostgreSQL refuses to run as root: Debian's own unprivileged user owns the cluster then. */
export interface Owner {
  readonly uid: number;
  readonly gid: number;
}

export function unprivilegedOwner(): Owner | null {
  if (process.getuid?.() !== 0) return null;
  const line = readFileSync("/etc/passwd", "utf8")
    .split("\n")
    .find((entry) => entry.startsWith("postgres:"));
  if (!line) throw new Error('There is no user "postgres" to own the cluster: apt-get install postgresql makes it.');
  const [, , uid, gid] = line.split(":");
  return { uid: Number(uid), gid: Number(gid) };
}

/** Whether the owner can write in a folder: a home that is closed to others stops it. */
export function requirePassable(folder: string, owner: Owner | null): void {
  const as = owner ? ["setpriv", `--reuid=${owner.uid}`, `--regid=${owner.gid}`, "--clear-groups"] : ["env"];
  try {
    execFileSync(as[0]!, [...as.slice(1), "test", "-w", folder], { stdio: "ignore" });
  } catch {
    throw new Error(
      `PostgreSQL runs as ${owner ? 'the user "postgres"' : "this user"}, who cannot write in ${folder}. Put the data elsewhere: SEED_ROUND_DATA=/var/lib/seed-round`,
    );
  }
}
