import { createServer, type IncomingMessage, type Server, type ServerResponse } from "node:http";
import { log } from "../../src/server/session/log";
import { checkedBody, Unanswerable } from "./body";
import { namesUs, printAddress, type Reach } from "./host";
import type { Known } from "./known";
import { requireOwnPage, writePolicy } from "./policy";
import { limiter } from "./limiter";
import { answerBusy, answerWords } from "./words";

/** Requests that are rendered at once by one process: more would share the same core and the same connections. */
const MOST_AT_ONCE = 6;
const PATIENCE_MS = 2000;
const RETRY_AFTER_S = 2;
const METHODS = ["GET", "HEAD", "POST"];
const FILES = /^\/(_next\/static\/|icon\.svg$)/u;
/** Not rendered: files, streams that stay open, and the questions whether we are there. */
const FREE = /^\/(_next\/static\/|icon\.svg$|live$|healthz$|readyz$|place\/bench\/plan$)/u;

export type Handle = (request: IncomingMessage, response: ServerResponse) => Promise<void>;

export interface Answering {
  readonly server: Server;
  /** Takes nothing new, ends the streams, lets what runs finish. */
  finish(): Promise<void>;
}

/**
 * A server around the application: what makes no sense is answered in our own words before it gets in, only so many are let
 * in at once, every request leaves a line in the log, and a stop lets running ones finish.
 */
export function answering(handle: Handle, reach: Reach, known: Known): Answering {
  const gate = limiter(MOST_AT_ONCE, PATIENCE_MS);
  const running = new Set<ServerResponse>();
  const streams = new Set<ServerResponse>();
  const server = createServer((request, response) => {
    const path = request.url?.split("?")[0] ?? "/";
    response.setHeader("x-content-type-options", "nosniff");
    running.add(response);
    if (path === "/live") streams.add(response);
    noteWhenDone(request, response, path, () => {
      running.delete(response);
      streams.delete(response);
    });
    answer(request, response, path).catch((error: unknown) => {
      if (error instanceof Unanswerable) return answerWords(response, error.status, error.message, error.headers);
      log.error({ error, path }, "a request failed");
      answerWords(response, 500, "This failed here; the reason is in the log.");
    });
  });
  async function answer(request: IncomingMessage, response: ServerResponse, path: string): Promise<void> {
    if (!namesUs(request, reach)) throw new Unanswerable(421, "This name does not lead here.");
    printAddress(request, reach);
    if (!FILES.test(path)) writePolicy(request, response);
    const checked = await checkedRequest(request, path, known);
    if (FREE.test(path)) return handle(checked, response);
    const leave = await gate.enter();
    if (!leave) return answerBusy(response, wantsPage(request), RETRY_AFTER_S);
    response.once("close", leave);
    if (response.destroyed) return leave();
    return handle(checked, response);
  }
  // What is no HTTP at all never becomes a request.
  server.on("clientError", (error: NodeJS.ErrnoException, socket) => {
    if (!socket.writable || error.code === "ECONNRESET") return socket.destroy();
    const [status, words] =
      error.code === "HPE_HEADER_OVERFLOW"
        ? ["431 Request Header Fields Too Large", "The head of this request is too large."]
        : ["400 Bad Request", "This is no request that can be read."];
    socket.end(
      `HTTP/1.1 ${status}\r\nContent-Type: text/plain; charset=utf-8\r\nContent-Length: ${words.length + 1}\r\nConnection: close\r\n\r\n${words}\n`,
    );
  });
  return { server, finish: () => finish(server, running, streams) };
}

/** Whether a request makes sense by its method, address and body. @throws Unanswerable */
async function checkedRequest(request: IncomingMessage, path: string, known: Known): Promise<IncomingMessage> {
  const { method = "", headers } = request;
  if (!METHODS.includes(method))
    throw new Unanswerable(405, `${method} is not answered here.`, { allow: METHODS.join(", ") });
  if (!isReadable(path)) throw new Unanswerable(400, "This address cannot be read.");
  if (method !== "POST") return request;
  requireOwnPage(request);
  const command = headers["next-action"];
  if (command !== undefined && !known.commands.has(String(command)))
    // The header tells our own pages that they are of an older version.
    throw new Unanswerable(404, "There is no such command here.", { "x-nextjs-action-not-found": "1" });
  if (command === undefined && !known.routes.has(path))
    throw new Unanswerable(405, "This is only read.", { allow: "GET, HEAD" });
  return checkedBody(request, command !== undefined);
}

function isReadable(path: string): boolean {
  try {
    return !decodeURIComponent(path).includes("\0");
  } catch {
    return false;
  }
}

/** Somebody who came by the address bar, not a script of a page. */
function wantsPage({ headers, method }: IncomingMessage): boolean {
  return method === "GET" && headers.rsc === undefined && /text\/html/u.test(headers.accept ?? "");
}

function noteWhenDone(request: IncomingMessage, response: ServerResponse, path: string, done: () => void): void {
  const start = performance.now();
  response.once("close", () => {
    done();
    // The path alone: what follows it may be a one-time key.
    log.info(
      {
        method: request.method,
        path: path.slice(0, 200),
        status: response.statusCode,
        ms: Math.round(performance.now() - start),
        command: request.headers["next-action"] !== undefined || undefined,
      },
      "request",
    );
  });
}

async function finish(server: Server, running: Set<ServerResponse>, streams: Set<ServerResponse>): Promise<void> {
  const closed = new Promise<void>((resolve) => server.close(() => resolve()));
  for (const stream of streams) stream.destroy();
  server.closeIdleConnections();
  for (const response of running) if (!response.headersSent) response.setHeader("connection", "close");
  await closed;
}
