import cluster from "node:cluster";
import { createServer, type IncomingMessage, type ServerResponse } from "node:http";
import { availableParallelism } from "node:os";
import { join } from "node:path";
import next from "next";
import { log } from "../src/server/session/log";

/**
 * Serves the built application on loopback, on two cores where there are two: one process that watches, and workers
 * that answer. Requests are logged; stopping lets running ones finish; a worker that dies is replaced.
 */
const HOST = "127.0.0.1";
const PORT = Number(process.env.PORT);
const WORKERS = Number(process.env.SEED_ROUND_WORKERS ?? Math.min(2, availableParallelism()));
const FINISH_MS = 10_000;
/** How many proxies in front of us may say for whom they ask; none unless said. */
const TRUSTED_PROXIES = Number(process.env.SEED_ROUND_PROXIES ?? 0);

if (cluster.isPrimary && WORKERS > 1) watch();
else await answer();

function watch() {
  let stopping = false;
  for (let worker = 0; worker < WORKERS; worker++) cluster.fork();
  cluster.on("exit", (worker) => {
    if (stopping) return;
    log.error({ pid: worker.process.pid }, "a worker died and is replaced");
    cluster.fork();
  });
  for (const signal of ["SIGINT", "SIGTERM"] as const)
    process.on(signal, () => {
      stopping = true;
      for (const worker of Object.values(cluster.workers ?? {})) worker?.process.kill("SIGTERM");
      cluster.disconnect(() => process.exit(0));
    });
}

async function answer() {
  const app = next({ dev: false, dir: join(import.meta.dirname, ".."), hostname: HOST, port: PORT });
  await app.prepare();
  const handle = app.getRequestHandler();
  const running = new Set<ServerResponse>();
  const streams = new Set<ServerResponse>();
  const server = createServer((request, response) => {
    sayAddress(request);
    const path = request.url?.split("?")[0] ?? "/";
    running.add(response);
    if (path === "/live") streams.add(response);
    const start = performance.now();
    response.on("close", () => {
      running.delete(response);
      streams.delete(response);
      // The path alone: what follows it may be a one-time key.
      log.info({ method: request.method, path, status: response.statusCode, ms: Math.round(performance.now() - start), action: request.headers["next-action"] !== undefined || undefined }, "request"); // prettier-ignore
    });
    handle(request, response).catch((error: unknown) => {
      log.error({ error, path }, "a request failed");
      if (!response.headersSent) response.writeHead(500).end();
    });
  });
  server.listen(PORT, HOST);
  // Takes nothing new, ends the streams, lets what runs finish, then goes.
  const stop = async () => {
    const closed = new Promise((resolve) => server.close(resolve));
    for (const stream of streams) stream.destroy();
    server.closeIdleConnections();
    for (const response of running) if (!response.headersSent) response.setHeader("connection", "close");
    await Promise.race([closed, new Promise((resolve) => setTimeout(resolve, FINISH_MS))]);
    process.exit(0);
  };
  for (const signal of ["SIGINT", "SIGTERM"] as const) process.on(signal, () => void stop());
}

/** The address we saw ourselves, or that a trusted proxy saw; what the request itself claims counts for nothing. */
function sayAddress(request: IncomingMessage) {
  const claimed = String(request.headers["x-forwarded-for"] ?? "").split(",").map((part) => part.trim()).filter(Boolean); // prettier-ignore
  const address = TRUSTED_PROXIES > 0 ? claimed.at(-TRUSTED_PROXIES) : undefined;
  request.headers["x-seed-round-address"] = address ?? request.socket.remoteAddress ?? "unknown";
  if (TRUSTED_PROXIES === 0) {
    delete request.headers["x-forwarded-for"];
    delete request.headers["x-forwarded-proto"];
    delete request.headers["x-forwarded-host"];
  }
}
