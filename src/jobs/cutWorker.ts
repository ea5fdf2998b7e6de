import { parentPort, workerData } from "node:worker_threads";
import { cutList, type CutProblem } from "../core/place/bench/cutList";
import { solver } from "../server/solver/highs";

/** Plans a cut list off the server's own thread; says how far it is, and ends with the plan. */
const port = parentPort!;
try {
  const plan = cutList((workerData as { problem: CutProblem }).problem, await solver(), (progress) =>
    port.postMessage({ progress }),
  );
  port.postMessage({ plan });
} catch (error) {
  port.postMessage({ failed: (error as Error).message });
}
