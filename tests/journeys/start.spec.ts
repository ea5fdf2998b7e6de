import { execFileSync, spawn, type ChildProcess } from "node:child_process";
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { caller } from "../../scripts/lib/calls";

const SECOND_START_MS = 10_000;

let folder: string;
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "seed-round-start-"));
});
test.afterEach(() => rmSync(folder, { recursive: true, force: true }));

interface Running {
  readonly process: ChildProcess;
  readonly url: string;
  readonly ms: number;
}

/** Starts the demo as its command does, on a data folder of its own, and waits for the address it prints. */
async function start(command = [process.execPath, "--import", "tsx", "scripts/start.ts", "--demo"]): Promise<Running> {
  const began = Date.now();
  const child = spawn(command[0]!, command.slice(1), {
    env: { ...process.env, SEED_ROUND_DATA: folder, DATABASE_URL: "" },
    stdio: ["ignore", "pipe", "pipe"],
  });
  let text = "";
  child.stderr!.on("data", (chunk: Buffer) => (text += chunk.toString()));
  const url = await new Promise<string>((resolve, reject) => {
    child.stdout!.on("data", (chunk: Buffer) => {
      text += chunk.toString();
      const found = /Seed Round is at (\S+)/u.exec(text);
      if (found) resolve(found[1]!);
    });
    child.on("exit", () => reject(new Error(`The demo ended:\n${text}`)));
  });
  const page = await fetch(`${url}/round`);
  expect(page.status).toBe(200);
  return { process: child, url, ms: Date.now() - began };
}

function stop(running: Running, signal: NodeJS.Signals): Promise<number | null> {
  const ended = new Promise<number | null>((resolve) => running.process.once("exit", (code) => resolve(code)));
  running.process.kill(signal);
  return ended;
}

/** Processes that name the data folder or the address, other than the one that asks. */
function leftovers(running: Running): string[] {
  const port = new URL(running.url).port;
  return readdirSync("/proc")
    .filter((name) => /^\d+$/u.test(name))
    .flatMap((pid) => {
      try {
        const command = readFileSync(`/proc/${pid}/cmdline`, "utf8").replaceAll("\0", " ");
        return command.includes(join(folder, "pg")) || command.includes(`-p ${port}`) ? [command] : [];
      } catch {
        return [];
      }
    });
}

test("the demo starts, keeps its data over a kill -9, starts again in seconds and stops in order", async () => {
  const first = await start();
  for (const secret of ["password", "app-password", "secret"]) {
    expect(statSync(join(folder, secret)).mode & 0o777).toBe(0o600);
    expect(readFileSync(join(folder, secret), "utf8")).toMatch(/^[0-9a-f]{48}$/u);
  }
  // Beside the running copy: a backup, a change, and back again.
  const run = (...words: string[]) => execFileSync(process.execPath, ["--import", "tsx", "scripts/backup.ts", "--demo", ...words], { env: { ...process.env, SEED_ROUND_DATA: folder, DATABASE_URL: "" }, encoding: "utf8" }); // prettier-ignore
  const [, dump] = /Backed up and checked: (\S+)/u.exec(run())!;
  const { call } = await caller(first.url, "ines");
  const note = { title: "After the backup", place: "", day: "2027-09-02", note: "" };
  expect(await call("addNote", note)).toMatchObject({ ok: true });
  expect(run("--restore", dump!)).toContain("Restored.");
  const again = await caller(first.url, "ines");
  expect(await (await again.get("/round/log.csv?from=2027-09-02&to=2027-09-02")).text()).not.toContain(note.title);
  await stop(first, "SIGKILL");
  // The kernel stops what the killed parent left; the pid file stays behind, as it would after a power cut.
  await expect.poll(() => leftovers(first), { timeout: 10_000 }).toEqual([]);
  const second = await start();
  expect(second.ms).toBeLessThan(SECOND_START_MS);
  expect(await stop(second, "SIGTERM")).toBe(0);
  expect(leftovers(second)).toEqual([]);
  expect(existsSync(join(folder, "pg", "postmaster.pid"))).toBe(false);
  expect(existsSync(join(folder, "running.json"))).toBe(false);
});

test("a pid file that names somebody else's process does not block the start; Ctrl-C stops it", async () => {
  const first = await start();
  await stop(first, "SIGINT");
  const { writeFileSync } = await import("node:fs");
  writeFileSync(join(folder, "pg", "postmaster.pid"), `${process.pid}\n${join(folder, "pg")}\n0\n5432\n\n127.0.0.1\n`);
  const second = await start();
  expect(await stop(second, "SIGINT")).toBe(0);
  expect(leftovers(second)).toEqual([]);
});

test("nothing is left running when the shell that started it is killed", async () => {
  // The second command keeps the shell from making itself the script: it stays in between, as npm does.
  const running = await start(["sh", "-c", "node scripts/run.mjs demo; true"]);
  await stop(running, "SIGKILL");
  await expect.poll(() => leftovers(running), { timeout: 15_000 }).toEqual([]);
});
