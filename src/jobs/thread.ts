import { setPriority } from "node:os";
import { parentPort } from "node:worker_threads";

/** What a thread is asked to do, and what it says. */
export interface Asked {
  readonly file: string;
  readonly input: unknown;
  /** At its only place: 1, stop at the next look; 2, come to an end with what is there. */
  readonly stop: SharedArrayBuffer;
}
export type Said =
  | { readonly progress: unknown }
  | { readonly found: unknown }
  | { readonly stopped: true }
  | { readonly failed: string };

/** Says how far a job is, where there is something to say. @returns "enough" when it is to come to an end. @throws to stop it */
export type Look = (progress: unknown) => "enough" | undefined;

/** A job: works on its input, says how far it is, and is ended by an exception from `look` when it is to stop. */
export type Work = (input: unknown, look: Look) => Promise<unknown>;

class Stopped extends Error {}

// Pages go a little before what is solved beside them. Linux takes this for the calling thread alone, not for the server;
// more than a little would starve a solve on a machine that is busy with other work.
setPriority(3);

/** Works on one job after the other, and stays warm in between. */
const port = parentPort!;
port.on("message", ({ file, input, stop }: Asked) => {
  const flag = new Int32Array(stop);
  const say = (said: Said) => port.postMessage(said);
  const look: Look = (progress) => {
    const wish = Atomics.load(flag, 0);
    if (wish === 1) throw new Stopped();
    if (progress !== null) say({ progress });
    return wish === 2 ? ("enough" as const) : undefined;
  };
  const work = async () => {
    const { work: job } = (await import(new URL(file, import.meta.url).href)) as { work: Work };
    return job(input, look);
  };
  work().then(
    (found) => say({ found }),
    (error: Error) => say(error instanceof Stopped ? { stopped: true } : { failed: error.message }),
  );
});
