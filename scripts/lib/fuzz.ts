import { Agent, request } from "node:http";
import { connect } from "node:net";
import fc from "fast-check";
import type { ActionResult } from "../../src/server/session/result";
import { nasty, paths, put } from "../../tests/database/nasty";
import { SAMPLES, type Rows } from "../../tests/database/samples";
import { actionId, caller, resultIn } from "./calls";

export interface FuzzOptions {
  readonly url: string;
  /** Asks the database as its owner: for inputs that are taken, and to mend what a call did to its own account. */
  readonly rows: Rows;
  readonly calls: number;
  readonly seed: number;
}

/** What was found: each with what was sent and what came back. */
export interface FuzzReport {
  readonly calls: number;
  readonly pagesOpened: number;
  readonly statuses: Readonly<Record<string, number>>;
  readonly faults: readonly string[];
}

const PAGES = [
  "/round", "/round/log", "/round?item=reading%3A1", "/place", "/place?view=garden", "/place/print", "/place/layouts", "/place/bench", "/place/bench?part=supports",
  "/place/bench?part=materials", "/water", "/water?loop=2", "/water/supply", "/feed", "/feed/stocks", "/feed/shelf", "/growth", "/growth/sowing", "/batches",
  "/batches/orders", "/batches/balance", "/people", "/people/garden", "/people/history", "/people/history?at=door", "/people/you",
]; // prettier-ignore
const ROUTES = ["/find", "/round/log.csv", "/place/layout.json", "/place/layout.svg", "/place/stands.csv", "/batches/plan.json", "/place/bench/plan", "/healthz", "/readyz", "/sign-in", "/join", "/reset", "/start", "/garden", "/nowhere", "/live"]; // prettier-ignore
const METHODS = ["TRACE", "PUT", "DELETE", "PATCH", "OPTIONS", "HEAD", "POST", "PROPFIND", "LOCK"];
const QUERIES = ["from", "to", "kind", "search", "item", "entry", "house", "stand", "loop", "batch", "before", "weeks", "person", "at", "key", "layout", "list", "part", "view", "scale", "paper", "again", "cover", "_rsc"]; // prettier-ignore
const OPEN_PAGES_EACH = 500;
const TIMEOUT_MS = 30_000;
/** Words that no person should read: what was not worked out, what is the database's, what is the program's. */
const UNFIT =
  /\[object \w+\]|\bundefined\b|\bNaN\b|syntax error at|failed custom|Cannot read|is not a function|_check\b|_fkey\b|violates|\bat \w+ \(.*:\d+:\d+\)/u;
const SLOW = new Set(["/live"]);

interface Sent {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | Buffer;
  /** Its answer is a command's. */
  readonly command?: boolean;
}

type Call = { readonly kind: "http"; readonly sent: Sent } | { readonly kind: "socket"; readonly bytes: Buffer };

const agent = new Agent({ keepAlive: true, maxSockets: 4 });

/**
 * Sends nonsense over HTTP, so much of it that is all the same from the same seed, and looks at every answer: never a 5xx, never a
 * word that no person should read. Now and then, and at the end, every page of the garden is opened.
 */
export async function fuzz({ url, rows, calls, seed }: FuzzOptions): Promise<FuzzReport> {
  const commands = await samples(rows);
  const faults: string[] = [];
  const statuses: Record<string, number> = {};
  let pagesOpened = 0;
  let cookie = await signedIn(url, rows);
  for (const [index, make] of fc.sample(callArbitrary(commands, url), { numRuns: calls, seed }).entries()) {
    const call = make(cookie);
    const answer = call.kind === "http" ? await send(url, call.sent) : await sendRaw(url, call.bytes);
    const status = call.kind === "http" && call.sent.command ? commandStatus(answer) : String(answer.status);
    statuses[status] = (statuses[status] ?? 0) + 1;
    const problem = problemIn(call, answer);
    if (problem) faults.push(`${index}: ${describe(call)} → ${problem}`);
    if (answer.status === 401 || status === "command 401" || (call.kind === "http" && /signOut|end|password|garden|role|member|factor/iu.test(commandName(call.sent)))) cookie = await signedIn(url, rows); // prettier-ignore
    if ((index + 1) % OPEN_PAGES_EACH === 0 || index + 1 === calls) {
      cookie = await signedIn(url, rows);
      for (const path of PAGES) {
        const page = await send(url, { method: "GET", path, headers: { cookie }, body: "" });
        pagesOpened += 1;
        if (page.status !== 200) faults.push(`after ${index + 1} calls ${path} → ${page.status} ${page.text.slice(0, 200)}`); // prettier-ignore
      }
    }
  }
  return { calls, pagesOpened, statuses, faults };
}

/** The keeper of the demo garden, at home and signed in again, whatever the calls did to the account. */
async function signedIn(url: string, rows: Rows): Promise<string> {
  await rows("delete from attempt");
  await rows("delete from second_factor");
  await rows("update account set password_hash = other.password_hash from account other where account.sign_in_name = 'ines' and other.sign_in_name = 'school'"); // prettier-ignore
  await rows("update person set role = 'keeper', left_at = null where name = 'Ines Varela'");
  const { cookie, call } = await caller(url, "ines");
  const [home] = await rows<{ id: number }>("select id from garden where is_demo");
  if (home) await call("switchGarden", { gardenId: home.id });
  return cookie;
}

/** What each command takes. Few want a season of the request's own; they are called with what they do not take alone. */
async function samples(rows: Rows): Promise<{ name: string; input: unknown }[]> {
  const found: { name: string; input: unknown }[] = [];
  for (const actions of Object.values(SAMPLES))
    for (const [name, sample] of Object.entries(actions).filter(([action]) => isKnown(action))) found.push({ name, input: await sample.input(rows).catch(() => ({ key: "wash:1:2", actual: null, reason: "", note: "" })) }); // prettier-ignore
  return found;
}

function callArbitrary(
  commands: readonly { name: string; input: unknown }[],
  url: string,
): fc.Arbitrary<(cookie: string) => Call> {
  // prettier-ignore
  const command = fc.constantFrom(...commands);
  const act = fc.oneof({ weight: 6, arbitrary: fc.uuid({ version: 4 }) }, { weight: 1, arbitrary: nasty });
  const headersOf = (name: string, cookie: string, more: Record<string, string> = {}) => ({ "next-action": actionId(name), "content-type": "text/plain;charset=UTF-8", accept: "text/x-component", origin: url, cookie, ...more }); // prettier-ignore
  const posted = (name: string, cookie: string, body: string | Buffer, more: Record<string, string> = {}): Call => ({ kind: "http", sent: { method: "POST", path: "/round", headers: headersOf(name, cookie, more), body, command: true } }); // prettier-ignore
  const query = fc.array(fc.tuple(fc.constantFrom(...QUERIES), nasty), { maxLength: 3 }).map((parts) => parts.map(([name, value]) => `${name}=${encoded(value)}`).join("&")); // prettier-ignore
  const get = (path: string, cookie: string, headers: Record<string, string> = {}): Call => ({ kind: "http", sent: { method: "GET", path, headers: { cookie, ...headers }, body: "" } }); // prettier-ignore
  return fc.oneof(
    {
      weight: 12,
      arbitrary: fc
        .tuple(command, fc.nat(), nasty, act)
        .map(([{ name, input }, place, bad, id]) => (cookie: string) => {
          const places = paths(input);
          return posted(name, cookie, asJson([put(input, places[place % places.length]!, bad), id]));
        }),
    },
    { weight: 2, arbitrary: fc.tuple(command, nasty).map(([{ name }, bad]) => (cookie: string) => posted(name, cookie, asJson(bad))) }, // prettier-ignore
    {
      weight: 3,
      arbitrary: fc
        .tuple(
          command,
          fc.oneof(fc.uint8Array({ maxLength: 400 }), fc.constantFrom(...BODIES)),
          fc.constantFrom(
            "text/plain;charset=UTF-8",
            "multipart/form-data; boundary=x",
            "application/json",
            "application/x-www-form-urlencoded",
            "text/plain;charset=utf-16",
            "nonsense",
          ),
        )
        .map(
          ([{ name }, bytes, type]) =>
            (cookie: string) =>
              posted(name, cookie, Buffer.from(bytes as Uint8Array), { "content-type": type }),
        ),
    },
    {
      weight: 2,
      arbitrary: fc.tuple(fc.string({ maxLength: 60 }), nasty).map(([id, bad]) => (cookie: string) => {
        const sent = (posted("addNote", cookie, asJson([bad])) as { sent: Sent }).sent;
        return { kind: "http", sent: { ...sent, headers: { ...sent.headers, "next-action": latin(id) }, command: false } } as Call; // prettier-ignore
      }),
    },
    { weight: 5, arbitrary: fc.tuple(fc.constantFrom(...PAGES.map((page) => page.split("?")[0]!), ...ROUTES.filter((route) => !SLOW.has(route))), query).map(([path, text]) => (cookie: string) => get(`${path}?${text}`, cookie)) }, // prettier-ignore
    { weight: 2, arbitrary: fc.array(nasty, { minLength: 1, maxLength: 3 }).map((parts) => (cookie: string) => get(`/${parts.map(encoded).join("/")}`, cookie)) }, // prettier-ignore
    {
      weight: 2,
      arbitrary: fc.tuple(fc.constantFrom(...METHODS), fc.constantFrom(...PAGES, ...ROUTES), nasty).map(([method, path, bad]) => (cookie: string): Call => ({ kind: "http", sent: { method, path, headers: { cookie, origin: url }, body: method === "HEAD" ? "" : asJson(bad) } })), // prettier-ignore
    },
    {
      weight: 2,
      arbitrary: fc.tuple(fc.constantFrom(...PAGES), fc.constantFrom("cookie", "host", "rsc", "next-router-state-tree", "next-router-prefetch", "next-url", "accept", "range", "if-none-match", "content-encoding", "x-forwarded-for", "x-forwarded-proto", "x-nonce", "content-security-policy", "next-router-segment-prefetch", "accept-language"), nasty).map(([path, name, bad]) => (cookie: string) => get(path, cookie, { [name]: latin(textOf(bad)).slice(0, 2000) })), // prettier-ignore
    },
    { weight: 1, arbitrary: nasty.map((bad) => (cookie: string): Call => ({ kind: "http", sent: { method: "POST", path: "/place/bench/plan", headers: { cookie, origin: url, "content-type": "application/json" }, body: asJson(bad) } })) }, // prettier-ignore
    { weight: 1, arbitrary: fc.oneof(fc.uint8Array({ maxLength: 300 }), fc.constantFrom(...SOCKETS)).map((bytes) => (): Call => ({ kind: "socket", bytes: Buffer.from(bytes as Uint8Array) })) }, // prettier-ignore
  );
}

const MB = 1_000_000;
/** Bodies that mean more than data, or break off, or are too much. */
const BODIES: readonly Uint8Array[] = [
  '["$F1"]', '["$K1"]', '["$Q0"]', '["$@0"]', '["$B1"]', '[{"then":"$1:__proto__:then"}]', '[{"__proto__":{"a":1}}]', '[{"constructor":{"prototype":1}}]', '["$undefined"]', '["\\ud800"]',
  '[{"title":"\\ud800","place":"","day":"2027-09-02","note":""}]', `${"[".repeat(5000)}${"]".repeat(5000)}`, "[", "", "null", "0", "[1,2,3]", '[{"title":"a\\u0000b"}]', '["$D2027-99-99"]', '["$n12x"]', '["$n99999999999999999999999999"]',
].map((text) => Buffer.from(text)).concat([Buffer.from([0xff, 0xfe, 0xfa]), Buffer.from([0x5b, 0x22, 0xc3, 0x28, 0x22, 0x5d]), Buffer.alloc(12 * MB, 0x61), Buffer.alloc(50 * MB, 0x61)]); // prettier-ignore
const SOCKETS = [
  "GET / HTTP/9.9\r\n\r\n", "GET /\r\n", "\r\n\r\n", "TRACE /round HTTP/1.1\r\nHost: x\r\n\r\n", "CONNECT x:1 HTTP/1.1\r\nHost: x\r\n\r\n", "POST /round HTTP/1.1\r\nHost: x\r\nContent-Length: 10\r\n\r\nabc",
  "POST /round HTTP/1.1\r\nHost: x\r\nTransfer-Encoding: chunked\r\n\r\nzz\r\n", `GET /round HTTP/1.1\r\nHost: x\r\nX: ${"y".repeat(70_000)}\r\n\r\n`, "GET /%zz HTTP/1.1\r\nHost: x\r\n\r\n", "GET http://elsewhere/ HTTP/1.1\r\nHost: x\r\n\r\n",
].map((text) => Buffer.from(text)); // prettier-ignore

interface Answer {
  readonly status: number;
  readonly text: string;
  readonly type: string;
}

function send(url: string, { method, path, headers, body }: Sent): Promise<Answer> {
  return new Promise((resolve) => {
    const bytes = Buffer.from(body as string);
    const failed = (error: Error) => resolve({ status: 0, text: error.message, type: "" });
    try {
      const asked = request(
        new URL(url),
        {
          method,
          path,
          agent,
          timeout: TIMEOUT_MS,
          headers: { ...headers, ...(bytes.length > 0 ? { "content-length": bytes.length } : {}) },
        },
        (answer) => {
          // prettier-ignore
          const parts: Buffer[] = [];
          answer.on("data", (part: Buffer) => parts.push(part));
          answer.on("error", failed);
          answer.on("end", () => resolve({ status: answer.statusCode!, text: Buffer.concat(parts).toString(), type: String(answer.headers["content-type"] ?? "") })); // prettier-ignore
        },
      );
      asked.on("timeout", () => asked.destroy(new Error("no answer in time")));
      asked.on("error", failed);
      asked.end(bytes);
    } catch (error) {
      // The tool itself cannot send this: nothing reached the server.
      resolve({ status: -1, text: String(error), type: "" });
    }
  });
}

function sendRaw(url: string, bytes: Buffer): Promise<Answer> {
  return new Promise((resolve) => {
    let text = "";
    const done = () => resolve({ status: Number(/^HTTP\/1\.1 (\d+)/u.exec(text)?.[1] ?? 0), text, type: "text/plain" });
    const socket = connect(Number(new URL(url).port), "127.0.0.1", () => socket.write(bytes));
    socket.setTimeout(300, () => socket.destroy());
    socket.on("data", (part) => (text += part.toString()));
    socket.on("error", () => undefined);
    socket.on("close", done);
  });
}

function commandStatus(answer: Answer): string {
  if (answer.status !== 200) return String(answer.status);
  const result = maybeResult(answer);
  return result ? `command ${result.ok ? 200 : result.status}` : "200";
}

function maybeResult({ text, status }: Answer): ActionResult<unknown> | null {
  try {
    return resultIn(text, status);
  } catch {
    return null;
  }
}

function problemIn(call: Call, answer: Answer): string | null {
  // A connection that ends without an answer is one for what is no HTTP, and for what goes on sending after a 413.
  if (answer.status === 0 && call.kind === "http" && Buffer.byteLength(call.sent.body) < 2 * MB) return `no answer: ${answer.text}`; // prettier-ignore
  if (answer.status >= 500) return `${answer.status} ${answer.text.slice(0, 300)}`;
  const result = call.kind === "http" && call.sent.command ? maybeResult(answer) : null;
  if (result && !result.ok && result.status >= 500) return `command ${result.status} ${result.message}`;
  const words = result ? (result.ok ? "" : [result.message, ...Object.values(result.fields)].join("\n")) : answer.type.startsWith("text/plain") ? answer.text : ""; // prettier-ignore
  return UNFIT.test(words) ? `unfit words: ${words.slice(0, 300)}` : null;
}

function commandName({ command, headers }: Sent): string {
  return command ? (names.get(headers["next-action"]!) ?? "") : "";
}
const names = new Map<string, string>();

/** Whether the build has an action: one that no page calls is left out of it. */
function isKnown(name: string): boolean {
  try {
    names.set(actionId(name), name);
    return true;
  } catch {
    return false;
  }
}

function describe(call: Call): string {
  if (call.kind === "socket") return `socket ${JSON.stringify(call.bytes.toString("latin1").slice(0, 200))}`;
  const { method, path, body } = call.sent;
  return `${method} ${path.slice(0, 200)} ${commandName(call.sent)} ${JSON.stringify(String(body).slice(0, 400))}`;
}

/** As a browser would write it; what JSON cannot hold is left out. */
function asJson(value: unknown): string {
  return JSON.stringify(value, (_, part: unknown) => (typeof part === "bigint" ? `$n${part}` : part)) ?? "";
}

function encoded(value: unknown): string {
  return encodeURIComponent(
    textOf(value)
      .slice(0, 1500)
      .replaceAll(/\p{Surrogate}/gu, "?"),
  );
}

/** Any value as text; there are objects that refuse to be one. */
function textOf(value: unknown): string {
  return typeof value === "object" ? asJson(value) : String(value);
}

/** What a header may hold. */
function latin(text: string): string {
  return text.replaceAll(/[^\x20-\x7e\xa0-\xff]/gu, "?");
}
