import fc from "fast-check";
import { hostile, paths, put } from "../../tests/database/hostile";
import { actionId } from "../lib/calls";
import { SHEETS } from "../lib/sheets";
import { BODIES, SOCKETS } from "./bodies";
import type { Call, Sent } from "./send";

/** A command of the build and an input that it takes. */
export interface Command {
  readonly name: string;
  readonly input: unknown;
}

/** A call, but for the session under which it is made. */
export type MakeCall = (cookie: string) => Call;

const words = (text: string) => text.split(" ");
const PATHS = SHEETS.map((sheet) => sheet.split("?")[0]!);
const ROUTES = words(
  "/find /round/log.csv /place/layout.json /place/layout.svg /place/stands.csv /batches/plan.json /healthz /readyz /sign-in /join /reset /start /garden /nowhere",
);
const METHODS = words("TRACE PUT DELETE PATCH OPTIONS HEAD POST PROPFIND LOCK");
const QUERIES = words(
  "from to kind search item entry house stand loop batch before weeks person at key layout list part view scale paper again cover _rsc",
);
const HEADERS = words(
  "cookie host rsc next-router-state-tree next-router-prefetch next-router-segment-prefetch next-url accept accept-language range if-none-match content-encoding x-forwarded-for x-forwarded-proto x-nonce content-security-policy",
);
const TYPES = [
  "text/plain;charset=UTF-8",
  "text/plain;charset=utf-16",
  "multipart/form-data; boundary=x",
  "application/json",
  "application/x-www-form-urlencoded",
  "nonsense",
];
const LONGEST_PATH = 1500;
const LONGEST_HEADER = 2000;

/** All that nobody should send, and somebody will; each kind as often as it is worth. */
export function nonsense(commands: readonly Command[], origin: string): fc.Arbitrary<MakeCall> {
  const command = fc.constantFrom(...commands);
  const id = fc.oneof({ weight: 6, arbitrary: fc.uuid({ version: 4 }) }, { weight: 1, arbitrary: hostile });
  const post =
    (path: string, headers: Sent["headers"], body: Sent["body"], isCommand = false): MakeCall =>
    (cookie) =>
      http({ method: "POST", path, headers: { origin, cookie, ...headers }, body, command: isCommand });
  const call = (name: string, body: Sent["body"], more: Sent["headers"] = {}) =>
    post("/round", { ...commandHeaders(name), ...more }, body, true);
  const get =
    (path: string, more: Sent["headers"] = {}): MakeCall =>
    (cookie) =>
      http({ method: "GET", path, headers: { cookie, ...more }, body: "" });
  const kinds: readonly (readonly [weight: number, arbitrary: fc.Arbitrary<MakeCall>])[] = [
    // An input that is right but for one place.
    [
      12,
      fc
        .tuple(command, fc.nat(), hostile, id)
        .map(([{ name, input }, place, bad, act]) => call(name, asJson([spoilt(input, place, bad), act]))),
    ],
    [2, fc.tuple(command, hostile).map(([{ name }, bad]) => call(name, asJson(bad)))],
    [
      3,
      fc
        .tuple(command, bytesOr(BODIES, 400), fc.constantFrom(...TYPES))
        .map(([{ name }, bytes, type]) => call(name, bytes, { "content-type": type })),
    ],
    [
      2,
      fc
        .tuple(fc.string({ maxLength: 60 }), hostile)
        .map(([junk, bad]) =>
          post("/round", { ...commandHeaders("addNote"), "next-action": latin(junk) }, asJson([bad])),
        ),
    ],
    [5, fc.tuple(fc.constantFrom(...PATHS, ...ROUTES), query).map(([path, text]) => get(`${path}?${text}`))],
    [2, fc.array(hostile, { minLength: 1, maxLength: 3 }).map((parts) => get(`/${parts.map(encoded).join("/")}`))],
    [
      2,
      fc.tuple(fc.constantFrom(...METHODS), fc.constantFrom(...SHEETS, ...ROUTES), hostile).map(
        ([method, path, bad]) =>
          (cookie) =>
            http({ method, path, headers: { cookie, origin }, body: method === "HEAD" ? "" : asJson(bad) }),
      ),
    ],
    [
      2,
      fc
        .tuple(fc.constantFrom(...SHEETS), fc.constantFrom(...HEADERS), hostile)
        .map(([path, name, bad]) => get(path, { [name]: latin(textOf(bad)).slice(0, LONGEST_HEADER) })),
    ],
    [1, bytesOr(SOCKETS, 300).map((bytes): MakeCall => () => ({ kind: "socket", bytes }))],
  ];
  return fc.oneof(...kinds.map(([weight, arbitrary]) => ({ weight, arbitrary })));
}

const query = fc
  .array(fc.tuple(fc.constantFrom(...QUERIES), hostile), { maxLength: 3 })
  .map((parts) => parts.map(([name, value]) => `${name}=${encoded(value)}`).join("&"));

function bytesOr(known: readonly Buffer[], maxLength: number): fc.Arbitrary<Buffer> {
  return fc.oneof(
    fc.uint8Array({ maxLength }).map((bytes) => Buffer.from(bytes)),
    fc.constantFrom(...known),
  );
}

function http(sent: Sent): Call {
  return { kind: "http", sent };
}

function commandHeaders(name: string): Sent["headers"] {
  return { "next-action": actionId(name), "content-type": TYPES[0]!, accept: "text/x-component" };
}

function spoilt(input: unknown, place: number, bad: unknown): unknown {
  const places = paths(input);
  return put(input, places[place % places.length]!, bad);
}

/** As a browser would write it; what JSON cannot hold is left out. */
function asJson(value: unknown): string {
  return JSON.stringify(value, (_, part: unknown) => (typeof part === "bigint" ? `$n${part}` : part)) ?? "";
}

function encoded(value: unknown): string {
  const whole = textOf(value).replaceAll(/\p{Surrogate}/gu, "?");
  return encodeURIComponent([...whole].slice(0, LONGEST_PATH).join(""));
}

/** Any value as text; there are objects that refuse to be one. */
function textOf(value: unknown): string {
  return typeof value === "object" ? asJson(value) : String(value);
}

/** What a header may hold. */
function latin(text: string): string {
  return text.replaceAll(/[^\x20-\x7e\xa0-\xff]/gu, "?");
}
