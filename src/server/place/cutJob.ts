import { join } from "node:path";
import type { CutList, CutProblem, CutProgress } from "@/core/place/bench/cutList";

/** More than this at once would leave nothing for those who only look. */
const MOST_AT_ONCE = 2;
let running = 0;

export class BusyError extends Error {
  constructor() {
    super("Two lists are being planned already; try again in a moment.");
  }
}

type Message = { readonly progress: CutProgress } | { readonly plan: CutList } | { readonly failed: string };

/**
 * Plans a cut list in a thread of its own, which ends when it is stopped.
 *
 * @throws BusyError when too many are being planned
 */
export async function planCuts(problem: CutProblem, stop: AbortSignal, onProgress: (progress: CutProgress) => void): Promise<CutList> {
  if (running >= MOST_AT_ONCE) throw new BusyError();
  running += 1;
  const { Worker } = await import("node:worker_threads");
  // The thread runs the source as it stands, as the server itself does.
  const worker = new Worker(/* turbopackIgnore: true */ join(process.cwd(), "src", "jobs", "start.mjs"), {
    workerData: { job: "./cutWorker.ts", problem },
  });
  try {
    return await new Promise<CutList>((resolve, reject) => {
      stop.addEventListener("abort", () => reject(new Error("stopped")), { once: true });
      worker.on("error", reject);
      worker.on("exit", () => reject(new Error("The planning ended without a plan.")));
      worker.on("message", (message: Message) => {
        if ("progress" in message) onProgress(message.progress);
        else if ("plan" in message) resolve(message.plan);
        else reject(new Error(message.failed));
      });
    });
  } finally {
    running -= 1;
    await worker.terminate();
  }
} // prettier-ignore
