import { allProcesses } from "./processes";

const LOOK_MS = 60;
/** On a busy machine even what runs well makes no progress for a while. */
const STILL_MS = 60_000;

export interface Waiting {
  /** Whether it is there. */
  ready(): Promise<boolean>;
  /** Whether it has ended: then waiting makes no sense. */
  gone(): boolean;
  /** Whatever grows while there is progress. */
  progress(): number;
}

/**
 * Waits for something that starts, as long as it gets on: a busy machine takes its time.
 * @returns false when it ended, or made no progress for a minute
 */
export async function whileItAdvances({ ready, gone, progress }: Waiting, stillMs = STILL_MS): Promise<boolean> {
  let last = progress();
  let movedAt = Date.now();
  while (!(await ready())) {
    if (gone()) return false;
    const now = progress();
    if (now !== last) movedAt = Date.now();
    else if (Date.now() - movedAt > stillMs) return false;
    last = now;
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
  }
  return true;
}

/** The time that a process and its children have had on the processor, in clock ticks. */
export function workDone(pid: number): number {
  const all = new Map(allProcesses().map((one) => [one.pid, one]));
  const isOurs = (id: number): boolean => {
    const parent = all.get(id)?.parent ?? 0;
    return id === pid || (parent > 1 && isOurs(parent));
  };
  return [...all.values()].reduce((sum, { pid: id, ticks }) => (isOurs(id) ? sum + ticks : sum), 0);
}
