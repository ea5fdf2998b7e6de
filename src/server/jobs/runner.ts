import { randomUUID } from "node:crypto";
import { maybeOne, NotFoundError, pool, run, transaction, type Db } from "../db/pool";
import { databaseDown } from "../db/errors";
import { StaleError } from "../db/save";
import { log } from "../session/log";
import { onBehalf } from "../session/onBehalf";
import { RefusedError } from "../session/refusal";
import type { Refused } from "../session/refused";
import type { JobKind, Subject } from "./kind";
import { JOB_KINDS } from "./kinds";
import type { OffThread } from "./offThread";
import { WarmThread } from "./thread";

/** So many jobs at once, in all processes; more would leave nothing for those who only look. */
const MOST_AT_ONCE = 2;
/** Taken up so often and never ended, a job is given up. */
const MOST_TRIES = 3;
/** Only one process at a time chooses what to begin. */
const CHOOSING = 4712;

export interface RunnerOptions {
  /** How often it looks for work. */
  readonly lookMs?: number;
  /** How often a job in hand is reported on, and asked whether it is to stop. */
  readonly reportMs?: number;
  /** A job whose worker has said nothing for so long is somebody else's. */
  readonly leaseMs?: number;
}

interface Claimed extends Record<string, unknown> {
  readonly id: number;
  readonly gardenId: number;
  readonly personId: number;
  readonly kind: string;
  readonly subject: Subject;
  readonly tries: number;
}

/** Works off the jobs of all gardens, one after the other, in a thread of its own. */
export class Runner {
  readonly #id = randomUUID();
  readonly #thread = new WarmThread();
  readonly #options: Required<RunnerOptions>;
  readonly #timer: NodeJS.Timeout;
  #turn: Promise<void> | null = null;
  #stopped = false;

  constructor(options: RunnerOptions = {}) {
    const leaseMs = Number(process.env.SEED_ROUND_JOB_LEASE_MS ?? 15_000);
    this.#options = { lookMs: 700, reportMs: 100, leaseMs, ...options };
    this.#timer = setInterval(() => this.look(), this.#options.lookMs);
    this.#timer.unref();
  }

  /** Looks for work now. */
  look(): void {
    if (this.#stopped) return;
    this.#turn ??= this.#work()
      .catch((error: unknown) => {
        if (!databaseDown(error)) log.error({ error }, "looking for jobs failed");
      })
      .finally(() => (this.#turn = null));
  }

  /** Takes nothing more; what is in hand is left to whoever looks next. */
  async stop(): Promise<void> {
    this.#stopped = true;
    clearInterval(this.#timer);
    await this.#thread.end();
    await this.#turn;
  }

  async #work(): Promise<void> {
    for (let job = await this.#claim(); job && !this.#stopped; job = await this.#claim()) await this.#do(job);
  }

  /** Takes the job that has waited longest, of a garden that has none running. */
  #claim(): Promise<Claimed | null> {
    if (this.#stopped) return Promise.resolve(null);
    return lookingForWork(async (db) => {
      await run(db, "select pg_advisory_xact_lock($1)", [CHOOSING]);
      return maybeOne<Claimed>(
        db,
        `with busy as (select garden_id from job where state = 'running' and lease_until > now()),
              next as (select id from job
                        where (state = 'waiting' or (state = 'running' and lease_until <= now()))
                          and garden_id not in (select garden_id from busy) and (select count(*) from busy) < $3
                        order by id limit 1 for update skip locked)
         update job set state = 'running', worker = $1, lease_until = now() + make_interval(secs => $2), tries = tries + 1
           from next where job.id = next.id
         returning job.id, garden_id as "gardenId", person_id as "personId", kind, subject, tries`,
        [this.#id, this.#options.leaseMs / 1000, MOST_AT_ONCE],
      );
    });
  }

  async #do(job: Claimed): Promise<void> {
    const kind = JOB_KINDS[job.kind];
    try {
      if (!kind || job.tries > MOST_TRIES) throw new RefusedError({ room: "any", kind: "job-gave-up" });
      const input = await onBehalf(job, (db) => kind.prepare(db, job.gardenId, job.subject), { readOnly: true });
      if (this.#stopped) return await this.#release(job);
      const found = await this.#inThread(job, kind, input);
      if (found === "lost") return;
      if (found === null) return await this.#end(job, "stopped", null);
      await onBehalf(job, async (db) => {
        await kind.keep(db, job.gardenId, job.subject, found.found);
        await this.#endIn(db, job, "done", null);
      });
    } catch (error) {
      if (databaseDown(error)) return;
      if (this.#stopped) return await this.#release(job);
      const refused = refusedFor(error);
      if (refused.kind === "failed") log.error({ error, kind: job.kind }, "a job failed");
      await this.#end(job, "failed", refused);
    }
  }

  /** @returns what was found; null when it was stopped, "lost" when the job is somebody else's by now */
  async #inThread(job: Claimed, kind: JobKind, input: unknown): Promise<{ readonly found: unknown } | null | "lost"> {
    let progress: unknown = null;
    let isLost = false;
    const inHand = this.#thread.work(kind.file, input, (said) => (progress = said));
    let reporting: Promise<void> = Promise.resolve();
    const report = async () => {
      const told = progress;
      const row = await this.#report(job, told);
      if (row && progress === told) progress = null;
      isLost = row === null;
      if (isLost || row?.cancel) inHand.stop();
      else if (row?.enough) inHand.enough();
    };
    const timer = setInterval(() => {
      reporting = reporting.then(report).catch(() => undefined);
    }, this.#options.reportMs);
    try {
      const found = await inHand.ended;
      return isLost ? "lost" : found;
    } finally {
      clearInterval(timer);
      await reporting;
    }
  }

  /** Says how far a job is and holds its lease. @returns null when the job is not this worker's any more */
  #report(job: Claimed, progress: unknown): Promise<{ readonly cancel: boolean; readonly enough: boolean } | null> {
    return lookingForWork(async (db) => {
      const row = await maybeOne<{ cancel: boolean; enough: boolean }>(
        db,
        `update job set lease_until = now() + make_interval(secs => $3), progress = coalesce($4::jsonb, progress)
          where id = $1 and worker = $2 and state = 'running' returning cancel, enough`,
        [job.id, this.#id, this.#options.leaseMs / 1000, progress === null ? null : JSON.stringify(progress)],
      );
      if (row && progress !== null) await tell(db, job, { state: "running", progress });
      return row;
    });
  }

  /** Left for whoever looks next. */
  #release(job: Claimed): Promise<void> {
    return lookingForWork(async (db) => {
      await run(
        db,
        `update job set state = 'waiting', worker = null, lease_until = null, tries = tries - 1
          where id = $1 and worker = $2 and state = 'running'`,
        [job.id, this.#id],
      );
    });
  }

  #end(job: Claimed, state: "stopped" | "failed", refused: Refused | null): Promise<void> {
    return onBehalf(job, (db) => this.#endIn(db, job, state, refused));
  }

  /** @throws Error when the job is somebody else's by now: then nothing of it is kept here */
  async #endIn(db: Db, job: Claimed, state: "done" | "stopped" | "failed", refused: Refused | null): Promise<void> {
    const count = await run(
      db,
      `update job set state = $4, refused = $5, ended_at = now(), lease_until = null
        where garden_id = $1 and id = $2 and worker = $3 and state = 'running'`,
      [job.gardenId, job.id, this.#id, state, refused && JSON.stringify(refused)],
    );
    if (count !== 1) throw new RefusedError({ room: "any", kind: "job-gave-up" });
    await tell(db, job, { state, refused });
  }
}

/** In a transaction that sees the jobs of all gardens, and nothing else of them. */
function lookingForWork<Result>(work: (db: Db) => Promise<Result>): Promise<Result> {
  return transaction(async (db) => {
    await run(db, "select set_config('seed_round.jobs', 'on', true)");
    return work(db);
  }, pool());
}

/** Tells every screen of the garden. */
async function tell(db: Db, { id, gardenId }: Claimed, what: object): Promise<void> {
  await run(db, "select pg_notify('seed_round_job', $1)", [JSON.stringify({ gardenId, id, ...what })]);
}

function refusedFor(error: unknown): Refused {
  if (error instanceof RefusedError) return error.reason;
  if (error instanceof StaleError) return { room: "any", kind: "stale", by: error.stale.by };
  if (error instanceof NotFoundError) return { room: "any", kind: "gone", what: error.what };
  return { room: "any", kind: "failed" };
}

const kept = globalThis as { seedRoundRunner?: Runner; seedRoundOffThread?: OffThread };

/** A thread for one piece of work, ended with it. */
async function inOneThread(file: string, input: unknown): Promise<unknown> {
  const thread = new WarmThread();
  try {
    const ended = await thread.work(file, input, () => undefined).ended;
    if (!ended) throw new Error(`${file} was stopped.`);
    return ended.found;
  } finally {
    await thread.end();
  }
}

/** The runner of this process: what serves the application starts it. */
export function startRunner(): Runner {
  kept.seedRoundOffThread ??= inOneThread;
  return (kept.seedRoundRunner ??= new Runner());
}
