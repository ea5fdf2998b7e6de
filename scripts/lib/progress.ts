import { readdirSync, readFileSync } from "node:fs";

const LOOK_MS = 60;
/** On a busy machine even what runs well stands still for a while. */
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
 * @returns false when it ended, or stood still for a minute
 */
export async function whileItGetsOn({ ready, gone, progress }: Waiting, stillMs = STILL_MS): Promise<boolean> {
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
  const children = readdirSync("/proc")
    .filter((name) => /^\d+$/u.test(name))
    .map(Number);
  const stats = new Map(children.flatMap((id) => {
    const stat = statOf(id);
    return stat ? [[id, stat] as const] : [];
  })); // prettier-ignore
  const isOurs = (id: number): boolean => id === pid || (stats.has(id) && stats.get(id)!.parent > 1 && isOurs(stats.get(id)!.parent)); // prettier-ignore
  return [...stats].reduce((sum, [id, { ticks }]) => (isOurs(id) ? sum + ticks : sum), 0);
}

function statOf(pid: number): { parent: number; ticks: number } | null {
  try {
    const fields = readFileSync(`/proc/${pid}/stat`, "utf8").replace(/^.*\) /su, "").split(" "); // prettier-ignore
    return { parent: Number(fields[1]), ticks: Number(fields[11]) + Number(fields[12]) };
  } catch {
    return null;
  }
}
