import type { ChildProcess } from "node:child_process";

const FIRST_PAUSE_MS = 300;
const LONGEST_PAUSE_MS = 30_000;
/** Whatever ran so long is taken to be well again. */
const WELL_MS = 60_000;

/**
 * How long to wait before something that died is started again: 0.3 s, then twice as long each time up to half a minute,
 * and from the beginning once it has run for a minute.
 */
export function growingPause(now: () => number = Date.now): () => number {
  let pauseMs = FIRST_PAUSE_MS;
  let last = -Infinity;
  return () => {
    pauseMs = now() - last > WELL_MS + pauseMs ? FIRST_PAUSE_MS : Math.min(LONGEST_PAUSE_MS, pauseMs * 2);
    last = now();
    return pauseMs;
  };
}

export interface Supervised {
  /** The process that runs now, or ran last. */
  readonly process: ChildProcess;
  /** Ends it for good. */
  stop(signal: NodeJS.Signals): Promise<void>;
}

/**
 * Keeps a process running: one that ends by itself is started again after a growing pause.
 *
 * @param first the process as it was started
 * @param again restarts it
 * @param onDeath told each time, with the pause until the next start
 */
export function supervise(
  first: ChildProcess,
  again: () => ChildProcess,
  onDeath: (code: number | null, pauseMs: number) => void,
): Supervised {
  const pause = growingPause();
  let child = first;
  let stopping = false;
  let timer: NodeJS.Timeout | undefined;
  const watch = () =>
    child.once("exit", (code) => {
      if (stopping) return;
      const pauseMs = pause();
      onDeath(code, pauseMs);
      timer = setTimeout(() => {
        child = again();
        watch();
      }, pauseMs);
    });
  watch();
  return {
    get process() {
      return child;
    },
    async stop(signal) {
      stopping = true;
      clearTimeout(timer);
      await ended(child, signal);
    },
  };
}

/** Ends a process and waits until it has. */
export async function ended(child: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const gone = new Promise((resolve) => child.once("exit", resolve));
  child.kill(signal);
  await gone;
}
