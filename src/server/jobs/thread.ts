import { join } from "node:path";
import type { Worker } from "node:worker_threads";
import type { Asked, Said } from "@/jobs/thread";

/** A job in hand. */
export interface InHand {
  /** What it came to: what was found, or null when it was stopped. */
  readonly ended: Promise<{ readonly found: unknown } | null>;
  /** Asks it to come to an end with what it has. */
  readonly enough: () => void;
  /** Asks it to stop at its next look. */
  readonly stop: () => void;
}

/** How long a job that was asked to stop may take to look; then its thread is ended. */
const LOOK_MS = 1000;

/** A thread for heavy work that stays warm from one job to the next; one at a time. */
export class WarmThread {
  #worker: Promise<Worker> | null = null;

  /** Works on a job of a file in src/jobs. */
  work(file: string, input: unknown, onProgress: (progress: unknown) => void): InHand {
    const stop = new SharedArrayBuffer(4);
    const flag = new Int32Array(stop);
    let impatient: NodeJS.Timeout | undefined;
    const ended = this.#started().then(
      (worker) =>
        new Promise<{ readonly found: unknown } | null>((resolve, reject) => {
          const done = (then: () => void) => {
            clearTimeout(impatient);
            worker.off("message", onMessage).off("error", onError).off("exit", onExit);
            worker.unref();
            then();
          };
          const onMessage = (said: Said) => {
            if ("progress" in said) onProgress(said.progress);
            else if ("found" in said) done(() => resolve({ found: said.found }));
            else if ("stopped" in said) done(() => resolve(null));
            else done(() => reject(new Error(said.failed)));
          };
          const onError = (error: Error) => done(() => reject(error));
          // Ended by us for want of patience is a stop; ended by itself is not.
          const onExit = () =>
            done(() => (flag[0] === 1 ? resolve(null) : reject(new Error("The thread ended before its job did."))));
          worker.ref();
          worker.on("message", onMessage).on("error", onError).on("exit", onExit);
          worker.postMessage({ file: `./${file}`, input, stop } satisfies Asked);
        }),
    );
    return {
      ended,
      enough: () => void Atomics.compareExchange(flag, 0, 0, 2),
      stop: () => {
        Atomics.store(flag, 0, 1);
        impatient ??= setTimeout(() => void this.end(), LOOK_MS);
      },
    };
  }

  /** Ends the thread; the next job starts another one. */
  async end(): Promise<void> {
    const worker = this.#worker;
    this.#worker = null;
    await (await worker)?.terminate();
  }

  #started(): Promise<Worker> {
    return (this.#worker ??= this.#start());
  }

  async #start(): Promise<Worker> {
    const { Worker: Thread } = await import("node:worker_threads");
    // The thread runs the source itself, as the server does.
    const worker = new Thread(/* turbopackIgnore: true */ join(process.cwd(), "src", "jobs", "start.mjs"));
    worker.once("exit", () => (this.#worker = null));
    worker.on("error", () => undefined);
    worker.unref();
    return worker;
  }
}
