import type { ChildProcess } from "node:child_process";
import { randomUUID } from "node:crypto";
import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { ask } from "./ask";
import { caller, type Caller } from "./calls";
import { pause, startCluster } from "./cluster";
import { startCopy } from "./copy";
import { DATABASE, running } from "./data";
import { allPids, childrenOf, commandOf, procText } from "./processes";

/** What is killed with -9: each process alone, or all of them in the same moment. */
export const VICTIMS = [
  "a worker",
  "the web server",
  "PostgreSQL",
  "the starter",
  "the outermost",
  "all at once",
] as const;
export type Victim = (typeof VICTIMS)[number];

/** What came of it. */
export interface Tally {
  kills: number;
  /** Notes whose saving was answered. */
  acknowledged: number;
  lost: number;
  doubled: number;
  slowestBackMs: number;
  /** Command lines of what still ran after a stop. */
  leftovers: readonly string[];
}

/** A copy that runs as its users start it, on a data folder of its own. */
interface Copy {
  readonly outermost: ChildProcess;
  readonly url: string;
}

const HANDS = 3;
const WRITING_MS = 400;
/** As long may a page take to answer again. */
export const BACK_MS = 20_000;
const GONE_MS = 15_000;
/** A page that takes longer is asked for once more. */
const PAGE_MS = 3000;

/**
 * Kills processes while notes are written, over and over, and looks whether each page comes back in time, whether each note
 * that was answered is kept once, and whether a stop of the outermost process alone leaves nothing behind. A note whose
 * answer was lost is sent again under the same id.
 *
 * @param folder of the data; a fresh one
 * @throws Error when a page does not come back within 20 s, or something is left where nothing may be
 */
export async function killingRounds(
  folder: string,
  victims: readonly Victim[],
  onKill: (victim: Victim, backMs: number) => void = () => undefined,
): Promise<Tally> {
  const writing = new Writing();
  let copy = await start(folder);
  await writing.goOn(copy.url);
  let slowestBackMs = 0;
  for (const victim of victims) {
    await pause(WRITING_MS);
    const killed = pidsOf(victim, copy, folder);
    const began = Date.now();
    for (const pid of killed) process.kill(pid, "SIGKILL");
    if (["the starter", "the outermost", "all at once"].includes(victim)) {
      // Nobody is left to bring it back: all of it goes, and whoever started it starts it again.
      await untilGone(folder, GONE_MS, victim);
      const again = Date.now();
      copy = await start(folder);
      await writing.goOn(copy.url);
      await untilBack(writing, victim);
      slowestBackMs = Math.max(slowestBackMs, Date.now() - again);
    } else {
      await untilBack(writing, victim);
      slowestBackMs = Math.max(slowestBackMs, Date.now() - began);
    }
    onKill(victim, Date.now() - began);
  }
  await pause(WRITING_MS);
  await writing.stop();
  copy.outermost.kill("SIGTERM");
  const leftovers = await untilGone(folder, GONE_MS, "the stop").then(
    () => [],
    () => living(folder).map(commandOf),
  );
  const { lost, doubled } = await kept(folder, writing.acknowledged);
  return { kills: victims.length, acknowledged: writing.acknowledged.length, lost, doubled, slowestBackMs, leftovers };
}

/** Notes that are written all the time, by several hands. */
class Writing {
  readonly acknowledged: string[] = [];
  #url = "";
  #who: Caller | null = null;
  #hands: Promise<void>[] = [];
  #stopping = false;

  async goOn(url: string): Promise<void> {
    this.#url = url;
    this.#who ??= await caller(url, "ines");
    if (this.#hands.length === 0) this.#hands = Array.from({ length: HANDS }, (_, hand) => this.#write(hand));
  }

  /** Whether a page can be read again. */
  async isBack(): Promise<boolean> {
    try {
      const answer = await Promise.race([this.#who!.get("/round", this.#url), pause(PAGE_MS).then(() => null)]);
      if (!answer) return false;
      return answer.status === 200 && (await answer.text()).includes("</html>");
    } catch {
      return false;
    }
  }

  async stop(): Promise<void> {
    this.#stopping = true;
    await Promise.all(this.#hands);
  }

  async #write(hand: number): Promise<void> {
    for (let count = 0; !this.#stopping; count++) {
      const title = `Note ${hand}-${count}`;
      const act = randomUUID();
      while (!(await this.#isSaved(title, act))) {
        if (this.#stopping) return;
        await pause(50);
      }
      this.acknowledged.push(title);
      await pause(15);
    }
  }

  async #isSaved(title: string, act: string): Promise<boolean> {
    const note = { title, place: "", day: "2027-09-02", note: "" };
    return this.#who!.call("addNote", note, { act, url: this.#url }).then(
      (result) => result.ok,
      () => false,
    );
  }
}

/** Starts the demo garden by its own command. */
async function start(folder: string): Promise<Copy> {
  const environment = { ...process.env, SEED_ROUND_DATA: folder, DATABASE_URL: "", PORT: "" };
  const { process: outermost, url } = await startCopy(
    ["npm", "run", "demo"],
    environment,
    (child) => (started = child),
  );
  return { outermost, url };
}

/** What was started ends when we do, however that comes. */
let started: ChildProcess | undefined;
process.once("exit", () => started?.kill("SIGKILL"));
for (const signal of ["SIGINT", "SIGTERM"] as const) process.once(signal, () => process.exit(1));

function pidsOf(victim: Victim, { outermost }: Copy, folder: string): number[] {
  const starter = running(folder)!.pid;
  const web = childrenOf(starter).find((pid) => commandOf(pid).includes("serve.ts"))!;
  const postgres = Number(readFileSync(join(folder, "pg", "postmaster.pid"), "utf8").split("\n")[0]);
  const workers = childrenOf(web);
  switch (victim) {
    case "a worker":
      return workers.slice(0, 1);
    case "the web server":
      return [web];
    case "PostgreSQL":
      return [postgres];
    case "the starter":
      return [starter];
    case "the outermost":
      return [outermost.pid!];
    case "all at once":
      return living(folder);
  }
}

async function untilBack(writing: Writing, victim: string): Promise<void> {
  for (const end = Date.now() + BACK_MS; Date.now() < end; await pause(50)) if (await writing.isBack()) return;
  throw new Error(`No page came back within ${BACK_MS / 1000} s after ${victim} was killed.`);
}

async function untilGone(folder: string, ms: number, after: string): Promise<void> {
  for (const end = Date.now() + ms; Date.now() < end; await pause(50)) if (living(folder).length === 0) return;
  throw new Error(`After ${after} these still run: ${living(folder).map(commandOf).join("; ")}`);
}

/** Every process that was started for a data folder, whoever its parent is by now. */
export function living(folder: string): number[] {
  const isOf = (pid: number) =>
    procText(pid, "environ").includes(`SEED_ROUND_DATA=${folder}\0`) ||
    procText(pid, "cmdline").includes(join(folder, "pg"));
  return allPids().filter((pid) => pid !== process.pid && isOf(pid));
}

/** What of the answered notes is in the database, by its own server started once more. */
async function kept(folder: string, titles: readonly string[]): Promise<{ lost: number; doubled: number }> {
  if (existsSync(join(folder, "running.json")) && running(folder)) throw new Error("It runs still.");
  const cluster = await startCluster(folder);
  const rows = await ask<{ title: string; count: number }>(
    cluster.url(DATABASE),
    "select what ->> 'title' as title, count(*)::integer as count from log_entry where what ->> 'title' like 'Note %' group by 1",
  ).finally(() => cluster.stop());
  const counts = new Map(rows.map(({ title, count }) => [title, count]));
  return {
    lost: titles.filter((title) => !counts.has(title)).length,
    doubled: rows.filter(({ count }) => count > 1).length,
  };
}
