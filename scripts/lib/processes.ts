import { readdirSync, readFileSync } from "node:fs";

/** A process as the kernel tells of it. */
export interface ProcessState {
  readonly pid: number;
  readonly parent: number;
  /** The time that it has had on the processor, in clock ticks. */
  readonly ticks: number;
}

export function allPids(): number[] {
  return readdirSync("/proc")
    .filter((name) => /^\d+$/u.test(name))
    .map(Number);
}

/** Every process that runs now; one that ends meanwhile is left out. */
export function allProcesses(): ProcessState[] {
  return allPids().flatMap((pid) => {
    // The name in brackets may hold anything, brackets too: what follows the last of them is regular.
    const fields = procText(pid, "stat")
      .replace(/^.*\) /su, "")
      .split(" ");
    return fields.length > 13
      ? [{ pid, parent: Number(fields[1]), ticks: Number(fields[11]) + Number(fields[12]) }]
      : [];
  });
}

export function childrenOf(parent: number): number[] {
  return allProcesses().flatMap((one) => (one.parent === parent ? [one.pid] : []));
}

/** The words that a process was started with. */
export function commandOf(pid: number): string {
  return procText(pid, "cmdline").replaceAll("\0", " ");
}

/** A file of a process, empty when it has ended or is another user's. */
export function procText(pid: number, file: "stat" | "cmdline" | "environ"): string {
  try {
    return readFileSync(`/proc/${pid}/${file}`, "utf8");
  } catch {
    return "";
  }
}
