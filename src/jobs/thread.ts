import { parentPort } from "node:worker_threads";

/** What a thread is asked to do, and what it says. */
export interface Asked {
  readonly file: string;
  readonly input: unknown;
  /** Another number than 0 at its only place: stop at the next look. */
  readonly stop: SharedArrayBuffer;
}
export type Said =
  | { readonly progress: unknown }
  | { readonly found: unknown }
  | { readonly stopped: true }
  | { readonly failed: string };

/** A job: works on its input, says how far it is, and is ended by an exception from `look` when it is to stop. */
export type Work = (input: unknown, look: (progress: unknown) => void) => Promise<unknown>;

class Stopped extends Error {}

/** Works on one job after the other, and stays warm in between. */
const port = parentPort!;
port.on("message", ({ file, input, stop }: Asked) => {
  const flag = new Int32Array(stop);
  const say = (said: Said) => port.postMessage(said);
  const look = (progress: unknown) => {
    if (Atomics.load(flag, 0) !== 0) throw new Stopped();
    say({ progress });
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
