import type { ClientRequest, IncomingMessage, RequestOptions } from "node:http";
import * as loadtest from "loadtest";
import { actionId, caller } from "./lib/calls";
import { pause } from "./lib/cluster";
import { workDone } from "./lib/progress";
import { FIXED_DAY, withDemo } from "./lib/withDemo";

/**
 * Fifty people on the demo garden for two minutes: each asks for a sheet or writes something down every four seconds.
 * `npm run load -- 60 3` takes 60 s and three times as many people.
 */
const SECONDS = Number(process.argv[2] ?? 120);
const TIMES = Number(process.argv[3] ?? 1);
const PEOPLE = 50 * TIMES;
/** Not counted: a server that runs has seen its pages before. */
const WARM_SECONDS = 20;
/** Fifty are asked to be served so fast; more only to be served or sent away in order. */
const ASKED_P95_MS = 150;
const TICK_MS = 10;
const SECONDS_BETWEEN = 4;
const NAMES = ["ines", "tomas", "oke", "priya", "school"];
const SHEETS = [
  "/round",
  "/batches",
  "/round/log",
  "/place",
  "/water",
  "/feed",
  "/round?item=reading%3A1",
  "/batches/orders",
  "/growth",
  "/people/history",
];

/** The tool's own types are of an older version. */
const loadTest = loadtest.loadTest as unknown as (options: {
  readonly url: string;
  readonly concurrency: number;
  readonly requestsPerSecond: number;
  readonly maxSeconds: number;
  readonly timeout: number;
  readonly quiet: boolean;
  requestGenerator(
    options: unknown,
    params: RequestOptions,
    request: (params: RequestOptions, answered: (answer: IncomingMessage) => void) => ClientRequest,
    answered: (answer: IncomingMessage) => void,
  ): ClientRequest;
  statusCallback(error: unknown, result: { requestElapsed: number; statusCode: number; body?: string }): void;
}) => Promise<unknown>;

await withDemo(async ({ url, webPid, postgresPid }) => {
  const cookies: string[] = [];
  for (let person = 0; person < PEOPLE; person++)
    cookies.push((await caller(url, NAMES[person % NAMES.length]!)).cookie);
  const streams = cookies.map((cookie) => stream(url, cookie));
  for (const sheet of SHEETS)
    await fetch(url + sheet, { headers: { cookie: cookies[0]! } }).then((answer) => answer.text());
  const results: Result[] = [];
  const countFrom = Date.now() + WARM_SECONDS * 1000;
  let before = [0, 0] as readonly [number, number];
  setTimeout(() => (before = [workDone(webPid), workDone(postgresPid)]), WARM_SECONDS * 1000);
  // Everybody begins at a moment of their own and walks at a pace of their own, as people do.
  await Promise.all(
    cookies.map(async (cookie, person) => {
      await pause(Math.random() * SECONDS_BETWEEN * 1000);
      const own = turns(person, NAMES[person % NAMES.length] === "school");
      let turn = 0;
      await loadTest({
        url: `${url}/round`,
        concurrency: 1,
        requestsPerSecond: (0.8 + 0.4 * Math.random()) / SECONDS_BETWEEN,
        maxSeconds: SECONDS + WARM_SECONDS,
        timeout: 10_000,
        quiet: true,
        requestGenerator(_options, params, request, answered) {
          const { method, path, headers, body } = own[turn++ % own.length]!;
          const asked = request({ ...params, method, path, headers: { ...headers, cookie, origin: url } }, answered);
          if (body) asked.write(body);
          return asked;
        },
        statusCallback(_error, result) {
          if (Date.now() < countFrom) return;
          results.push({
            ms: result?.requestElapsed ?? NaN,
            status: result?.statusCode ?? 0,
            refused: Boolean(result?.body?.includes('"ok":false')),
          });
        },
      });
    }),
  );
  for (const stop of streams) stop();
  const cpuMs = [workDone(webPid) - before[0], workDone(postgresPid) - before[1]].map((ticks) => ticks * TICK_MS);
  report(results, cpuMs as [number, number]);
});

interface Result {
  readonly ms: number;
  readonly status: number;
  readonly refused: boolean;
}

function report(results: readonly Result[], [webMs, postgresMs]: readonly [number, number]) {
  const answered = results.filter(({ status }) => status > 0);
  console.log(
    `\n${PEOPLE} people for ${SECONDS} s, one request each ${SECONDS_BETWEEN} s, one in five a write, after ${WARM_SECONDS} s that do not count: ${results.length} requests`,
  );
  if (answered.length === 0) {
    console.log("  none was answered: the tool's own requests failed, so that this says nothing about the server");
    process.exitCode = 1;
    return;
  }
  const times = answered.map(({ ms }) => ms).sort((a, b) => a - b);
  const at = (share: number) => times[Math.min(times.length - 1, Math.floor(share * times.length))]!.toFixed(0);
  const count = (test: (one: Result) => boolean) => results.filter(test).length;
  const [lost, failed, busy, refused] = [
    count(({ status }) => status === 0),
    count(({ status }) => status >= 500 && status !== 503),
    count(({ status }) => status === 503),
    count((one) => one.refused),
  ];
  const odd = count(({ status }) => status > 0 && status < 500 && status !== 200);
  console.log(
    `  not answered ${lost}, failed (5xx) ${failed + busy} of them busy (503) ${busy}, other answers than 200: ${odd}, writes refused ${refused} (asked: none)`,
  );
  console.log(
    `  ms: median ${at(0.5)}, p90 ${at(0.9)}, p95 ${at(0.95)}${TIMES === 1 ? ` (asked: under ${ASKED_P95_MS})` : ""}, p99 ${at(0.99)}, slowest ${times.at(-1)!.toFixed(0)}`,
  );
  console.log(
    `  CPU ms a request: web ${(webMs / answered.length).toFixed(1)}, PostgreSQL ${(postgresMs / answered.length).toFixed(1)}`,
  );
  if (lost + failed + busy + odd + refused > 0) process.exitCode = 1;
}

/** What one person does, over and over: sheets in an order of their own, and every fifth time a write, if they may. */
function turns(person: number, viewer: boolean) {
  return Array.from({ length: 20 }, (_, turn) => {
    const sheet = { method: "GET", path: SHEETS[(turn * 3 + person) % SHEETS.length]!, headers: {}, body: "" };
    if (turn % 5 !== 4 || viewer) return sheet;
    return turn % 2 === 0
      ? write("addNote", { title: `Seen by ${person}`, place: "Leaf bank", day: FIXED_DAY, note: "" })
      : write("enterReading", { loopId: 1 + (person % 2), ecMsPerCm: 1.5, ph: 6, waterC: 20, levelL: 580, sure: true });
  });
}

function write(action: string, input: unknown) {
  return {
    method: "POST",
    path: "/round",
    headers: {
      "next-action": actionId(action),
      "content-type": "text/plain;charset=UTF-8",
      accept: "text/x-component",
    },
    body: JSON.stringify([input]),
  };
}

/** The live stream that every open screen holds. */
function stream(url: string, cookie: string): () => void {
  const stop = new AbortController();
  fetch(`${url}/live`, { headers: { cookie }, signal: stop.signal })
    .then(async (answer) => {
      for await (const _ of answer.body as unknown as AsyncIterable<Uint8Array>) if (stop.signal.aborted) return;
    })
    .catch(() => undefined);
  return () => stop.abort();
}
