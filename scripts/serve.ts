import cluster from "node:cluster";
import { availableParallelism } from "node:os";
import { join } from "node:path";
import next from "next";
import { startRunner } from "../src/server/jobs/runner";
import { log } from "../src/server/session/log";
import { growingPause } from "./lib/supervise";
import { answering } from "./serve/answer";
import { knownTo } from "./serve/known";

/**
 * Serves the built application on loopback, on two cores where there are two: one process that watches, and workers
 * that answer. A worker that dies is replaced; all of them end when whoever started them is gone.
 */
const HOST = "127.0.0.1";
const PORT = Number(process.env.PORT);
const WORKERS = Number(process.env.SEED_ROUND_WORKERS ?? Math.min(2, availableParallelism()));
const FINISH_MS = 10_000;
/** Said to whoever started us: the port is another's. */
export const PORT_TAKEN = 98;
const ROOT = join(import.meta.dirname, "..");

endWithParent();
if (cluster.isPrimary && WORKERS > 1) watch();
else await serve();

function watch() {
  let stopping = false;
  const pause = growingPause();
  for (let worker = 0; worker < WORKERS; worker++) cluster.fork();
  cluster.on("exit", (worker, code) => {
    if (stopping) return;
    if (code === PORT_TAKEN) process.exit(PORT_TAKEN);
    const pauseMs = pause();
    log.error({ pid: worker.process.pid, pauseMs }, "a worker died and is replaced");
    setTimeout(() => !stopping && cluster.fork(), pauseMs);
  });
  const stop = () => {
    stopping = true;
    for (const worker of Object.values(cluster.workers ?? {})) worker?.process.kill("SIGTERM");
    cluster.disconnect(() => process.exit(0));
    setTimeout(() => process.exit(0), FINISH_MS + 2000).unref();
  };
  for (const signal of ["SIGINT", "SIGTERM"] as const) process.on(signal, stop);
}

async function serve() {
  const app = next({ dev: false, dir: ROOT, hostname: HOST, port: PORT });
  await app.prepare();
  const proxies = Number(process.env.SEED_ROUND_PROXIES ?? 0);
  const names = (process.env.SEED_ROUND_HOST ?? "")
    .toLowerCase()
    .split(",")
    .map((name) => name.trim())
    .filter(Boolean);
  const known = knownTo(join(ROOT, process.env.SEED_ROUND_DIST ?? ".next"));
  const { server, finish } = answering(app.getRequestHandler(), { port: PORT, proxies, names }, known);
  server.on("error", (error: NodeJS.ErrnoException) => {
    if (error.code === "EADDRINUSE") process.exit(PORT_TAKEN);
    log.error({ error }, "the server failed");
    process.exit(1);
  });
  server.listen(PORT, HOST);
  const runner = startRunner();
  const stop = async () => {
    await Promise.race([
      Promise.all([finish(), runner.stop()]),
      new Promise((resolve) => setTimeout(resolve, FINISH_MS)),
    ]);
    process.exit(0);
  };
  for (const signal of ["SIGINT", "SIGTERM"] as const) process.on(signal, () => void stop());
}

/** A pipe that nobody reads any more, or a channel that nobody holds: whoever started us is gone, and we go quietly. */
function endWithParent() {
  for (const stream of [process.stdout, process.stderr]) stream.on("error", () => process.exit(0));
  process.on("disconnect", () => process.exit(0));
  const parent = process.ppid;
  setInterval(() => process.ppid !== parent && process.exit(0), 500).unref();
}
