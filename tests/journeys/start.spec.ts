import { execFile } from "node:child_process";
import { copyFileSync, existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { caller } from "../../scripts/lib/calls";
import { startCopy, type StartedCopy } from "../../scripts/lib/copy";
import { living } from "../../scripts/lib/kills";
import { serve } from "../../scripts/lib/web";

let folder: string;
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "seed-round-start-"));
});
test.afterEach(() => rmSync(folder, { recursive: true, force: true }));

interface Running extends StartedCopy {
  readonly ms: number;
}

const own = (more: Record<string, string> = {}) => ({
  ...process.env,
  SEED_ROUND_DATA: folder,
  DATABASE_URL: "",
  ...more,
});
/** Beside the test, which goes on hearing when the server closes a connection. @returns what it wrote */
const run = (script: string, words: readonly string[], input = "") =>
  new Promise<string>((resolve, reject) => {
    const ran = execFile(
      process.execPath,
      ["--import", "tsx", `scripts/${script}`, "--demo", ...words],
      { env: own(), encoding: "utf8" },
      (error, written) => (error ? reject(error) : resolve(written)),
    );
    ran.stdin!.end(input);
  });

const DEMO = [process.execPath, "--import", "tsx", "scripts/start.ts", "--demo"];

/** Starts the demo as its command does, on a data folder of its own, until a page answers. */
async function start(command = DEMO, environment: NodeJS.ProcessEnv = own()): Promise<Running> {
  const began = Date.now();
  const copy = await startCopy(command, environment);
  expect((await fetch(`${copy.url}/round`)).status).toBe(200);
  return { ...copy, ms: Date.now() - began };
}

function stop(running: Running, signal: NodeJS.Signals): Promise<number | null> {
  const ended = new Promise<number | null>((resolve) => running.process.once("exit", (code) => resolve(code)));
  running.process.kill(signal);
  return ended;
}

test("the demo starts, keeps its data over a kill -9, starts again and stops in order", async () => {
  const first = await start();
  for (const secret of ["password", "app-password", "secret"]) {
    expect(statSync(join(folder, secret)).mode & 0o777).toBe(0o600);
    expect(readFileSync(join(folder, secret), "utf8")).toMatch(/^[0-9a-f]{48}$/u);
  }
  // Beside the running copy: a backup, a change, and back again.
  const [, dump] = /Backed up and checked: (\S+)/u.exec(await run("backup.ts", []))!;
  const { call } = await caller(first.url, "ines");
  const note = { title: "After the backup", place: "", day: "2027-09-02", note: "" };
  expect(await call("addNote", note)).toMatchObject({ ok: true });
  expect(await run("backup.ts", ["--restore", dump!])).toContain("What was there before is kept");
  const again = await caller(first.url, "ines");
  expect(await (await again.get("/round/log.csv?from=2027-09-02&to=2027-09-02")).text()).not.toContain(note.title);
  // Whoever runs the machine lets in whoever forgot; all that was open is closed.
  expect(await run("password.ts", ["ines"], "from the machine\n")).toContain("signs in with the new password");
  expect(await (await again.get("/round")).status).toBe(307);
  await expect(caller(first.url, "ines")).rejects.toThrow("name-or-password-wrong");
  await caller(first.url, "ines", "from the machine");
  await expect(run("password.ts", ["nobody"], "x")).rejects.toThrow(/Nobody signs in as "nobody". Here are: ines/u);
  await stop(first, "SIGKILL");
  // The kernel stops what the killed parent left; the pid file stays behind, as it would after a power cut.
  await expect.poll(() => living(folder)).toEqual([]);
  const second = await start();
  // Nothing is made or loaded again. How much sooner it starts is the machine's affair.
  await caller(second.url, "ines", "from the machine");
  test.info().annotations.push({ type: "starts", description: `${first.ms} ms, then ${second.ms} ms` });
  expect(await stop(second, "SIGTERM")).toBe(0);
  expect(living(folder)).toEqual([]);
  expect(existsSync(join(folder, "pg", "postmaster.pid"))).toBe(false);
  expect(existsSync(join(folder, "running.json"))).toBe(false);
  expect(readFileSync(join(folder, "log", "current.log"), "utf8")).toContain('"path":"/round"');
});

test("files torn by a power cut, and a pid file that names another process, do not block the start; Ctrl-C stops it", async () => {
  const first = await start();
  const { cookie } = await caller(first.url, "ines");
  await stop(first, "SIGINT");
  writeFileSync(join(folder, "running.json"), '{"pid":12');
  writeFileSync(join(folder, "secret"), "");
  writeFileSync(join(folder, "password"), "\0".repeat(48));
  writeFileSync(join(folder, "app-password"), "abc");
  writeFileSync(join(folder, "pg", "postmaster.pid"), `${process.pid}\n${join(folder, "pg")}\n0\n5432\n\n127.0.0.1\n`);
  const second = await start();
  expect(second.said()).toContain(
    "The secret of the cookies could not be read; it was made again. Everybody signs in once more.",
  );
  expect((await fetch(`${second.url}/round`, { headers: { cookie }, redirect: "manual" })).status).toBe(307);
  await caller(second.url, "ines");
  expect(await stop(second, "SIGINT")).toBe(0);
  expect(living(folder)).toEqual([]);
});

test("a backup comes back on a new machine, where nothing was started yet", async () => {
  const first = await start();
  const { call } = await caller(first.url, "ines");
  await call("addNote", { title: "Carried over", place: "", day: "2027-09-02", note: "" });
  const [, dump] = /Backed up and checked: (\S+)/u.exec(await run("backup.ts", []))!;
  await stop(first, "SIGTERM");
  const away = mkdtempSync(join(tmpdir(), "seed-round-away-"));
  copyFileSync(dump!, join(away, "carried.dump"));
  rmSync(folder, { recursive: true });
  expect(await run("backup.ts", ["--restore", join(away, "carried.dump")])).toMatch(/^Restored\.$/mu);
  const second = await start();
  const there = await caller(second.url, "ines");
  expect(await (await there.get("/round/log.csv?from=2027-09-02&to=2027-09-02")).text()).toContain("Carried over");
  await stop(second, "SIGTERM");
  rmSync(away, { recursive: true });
});

test("a port of another program is told apart, before and while it starts; so is one that is none, and a folder that cannot be written", async () => {
  const other = createServer((_, response) => response.end("somebody else")).listen(0, "127.0.0.1");
  await new Promise((resolve) => other.once("listening", resolve));
  const { port } = other.address() as AddressInfo;
  const refused = (environment: NodeJS.ProcessEnv) =>
    start(undefined, environment).then(
      () => "it started",
      (error: Error) => error.message,
    );
  expect(await refused(own({ PORT: String(port) }))).toContain(
    `Port ${port} is taken by another program. Choose another, PORT=${port + 1}`,
  );
  const environment = { DATABASE_URL: "postgres://nobody@127.0.0.1:1/none", SEED_ROUND_SECRET: "s".repeat(48) };
  await expect(serve(environment, { port })).rejects.toThrow(`Port ${port} is taken by another program`);
  other.close();
  for (const wrong of ["http", "70000", "3.5"])
    expect(await refused(own({ PORT: wrong }))).toContain(
      `PORT is "${wrong}"; it must be a whole number from 1 to 65535`,
    );
  expect(await refused({ ...own(), SEED_ROUND_DATA: "/sys/seed-round" })).toContain(
    "The folder may not be written by this user: /sys/seed-round",
  );
  expect(living(folder)).toEqual([]);
});

test("nothing is left running when the shell that started it is killed", async () => {
  // The second command keeps the shell from making itself the script: it stays in between, as npm does.
  const running = await start(["sh", "-c", "node scripts/run.mjs demo; true"]);
  await stop(running, "SIGKILL");
  await expect.poll(() => living(folder)).toEqual([]);
});
