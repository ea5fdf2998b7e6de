import { execFileSync } from "node:child_process";
import { existsSync, readdirSync, renameSync, rmSync } from "node:fs";
import { dirname, join } from "node:path";
import pg from "pg";
import { ask, atDatabase, postgresTool } from "./ask";
import { binaries, majorOf, majors } from "./postgres";

/** Starts a server on a data folder with the programs of a major version. */
export type StartOn = (
  bin: string,
  dataDir: string,
) => Promise<{ url(database?: string): string; stop(): Promise<void> }>;

/** Which programs a data folder needs, and what is to be done about it. */
export type Fit =
  | { readonly kind: "fits"; readonly major: number }
  | { readonly kind: "older"; readonly from: number; readonly to: number };

/**
 * Whether the newest programs that are here fit the data, looked at before anything is started.
 * @throws Error in words when the programs that made the data are not here, or only older ones are
 */
export function fitOf(dataDir: string, home?: string): Fit {
  const [newest] = majors(home);
  const made = majorOf(dataDir);
  if (newest === undefined) return { kind: "fits", major: NaN };
  if (made === null || made === newest) return { kind: "fits", major: newest };
  if (made > newest)
    throw new Error(
      `The data in ${dataDir} was made by PostgreSQL ${made}, and here is only ${newest}: apt-get install postgresql-${made}`,
    );
  if (!majors(home).includes(made)) throw new Error(goneWords(dataDir, made, newest));
  return { kind: "older", from: made, to: newest };
}

function goneWords(dataDir: string, made: number, newest: number): string {
  const backups = join(dirname(dataDir), "backups");
  const last = existsSync(backups)
    ? readdirSync(backups)
        .filter((name) => name.endsWith(".dump"))
        .sort()
        .at(-1)
    : undefined;
  const again = last
    ? `or put ${dataDir} aside and bring the last backup back: npm run restore -- ${join(backups, last)}`
    : "then start again";
  return `The data in ${dataDir} was made by PostgreSQL ${made}; here is ${newest}, and ${made} is needed once to carry it over. Install it (apt-get install postgresql-${made}), ${again}. Nothing was changed.`;
}

/**
 * Carries data over to newer programs: all databases are dumped and restored into a new folder, which then takes the place
 * of the old one. The old one is kept.
 *
 * @param initialise makes an empty cluster in a folder with the newest programs
 * @returns where the old data is kept
 */
export async function carryOver(
  dataDir: string,
  { from, to }: { readonly from: number; readonly to: number },
  initialise: (bin: string, dataDir: string) => void,
  start: StartOn,
  home?: string,
): Promise<string> {
  const fresh = `${dataDir}-${to}`;
  const kept = freeName(`${dataDir}-${from}-${new Date().toISOString().slice(0, 10)}`);
  const dump = `${dataDir}-${from}.sql`;
  const bin = binaries(to, home);
  rmSync(fresh, { recursive: true, force: true });
  const old = await start(binaries(from, home), dataDir);
  let counts;
  try {
    await postgresTool(bin, "pg_dumpall", old.url(), [`--file=${dump}`]);
    counts = JSON.stringify(await countsOf(old.url()));
  } finally {
    await old.stop();
  }
  initialise(bin, fresh);
  const young = await start(bin, fresh);
  try {
    await postgresTool(bin, "psql", young.url(), ["--quiet", "--no-psqlrc", `--file=${dump}`]);
    if (JSON.stringify(await countsOf(young.url())) !== counts)
      throw new Error(
        `The data did not come over whole from PostgreSQL ${from} to ${to}: the old data is as it was, and nothing was put in its place.`,
      );
  } finally {
    await young.stop();
  }
  renameSync(dataDir, kept);
  renameSync(fresh, dataDir);
  rmSync(dump, { force: true });
  return kept;
}

/** How many rows each table of each database has; psql itself goes on after an error, since the owner's role is one. */
async function countsOf(url: string): Promise<Record<string, number>> {
  const counts: Record<string, number> = {};
  for (const { name } of await ask<{ name: string }>(
    url,
    "select datname as name from pg_database where not datistemplate and datname <> 'postgres'",
  )) {
    const own = atDatabase(url, name);
    const tables =
      "select table_name as table from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'";
    for (const { table } of await ask<{ table: string }>(own, tables)) {
      const [row] = await ask<{ count: string }>(own, `select count(*) from ${pg.escapeIdentifier(table)}`);
      counts[`${name}.${table}`] = Number(row!.count);
    }
  }
  return counts;
}

function freeName(wanted: string): string {
  let name = wanted;
  for (let count = 2; existsSync(name); count++) name = `${wanted}-${count}`;
  return name;
}

/** Sets the owner's password without a server, when the file that held it was lost. */
export function setPasswordAlone(
  bin: string,
  dataDir: string,
  role: string,
  password: string,
  as: readonly string[],
): void {
  const [program, ...args] = [...as, join(bin, "postgres"), "--single", "-D", dataDir, "postgres"];
  execFileSync(program!, args, {
    input: `alter role ${role} password '${password}'\n`,
    stdio: ["pipe", "ignore", "pipe"],
    cwd: dirname(dataDir),
  });
}
