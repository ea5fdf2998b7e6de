import { request, type IncomingMessage } from "node:http";
import type { AddressInfo } from "node:net";
import { answering, type Handle } from "./answer";

jest.mock("../../src/server/session/log", () => ({ log: { info: () => undefined, error: () => undefined } }));

const seen: { method?: string; body: string; headers: IncomingMessage["headers"] }[] = [];
let hold: Promise<void> | null = null;
const handle: Handle = async (asked, response) => {
  let body = "";
  for await (const part of asked) body += String(part);
  seen.push({ method: asked.method, body, headers: asked.headers });
  await hold;
  response.end("from the application");
};
const known = { commands: new Set(["known"]), routes: new Set(["/place/bench/plan"]) };
const reach = { port: 0, proxies: 0, names: [] as string[] };
const { server, finish } = answering(handle, reach, known);

beforeAll(async () => {
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  reach.port = (server.address() as AddressInfo).port;
});
afterAll(() => finish());
beforeEach(() => void seen.splice(0));

interface Answer {
  readonly status: number;
  readonly text: string;
  readonly headers: IncomingMessage["headers"];
}

function ask(
  method: string,
  path: string,
  headers: Record<string, string> = {},
  body: string | Buffer = "",
): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const asked = request({ host: "127.0.0.1", port: reach.port, method, path, headers }, (answer) => {
      let text = "";
      answer.on("data", (part) => (text += String(part)));
      answer.on("end", () => resolve({ status: answer.statusCode!, text, headers: answer.headers }));
    });
    asked.on("error", reject);
    asked.end(body);
  });
}

const own = () => ({ origin: `http://127.0.0.1:${reach.port}` });
const command = (body: string | Buffer, more: Record<string, string> = {}) =>
  ask(
    "POST",
    "/round",
    { ...own(), "next-action": "known", "content-type": "text/plain;charset=UTF-8", ...more },
    body,
  );

test("what makes sense gets in, once, with its body, a policy and no header that a stranger made up", async () => {
  const answer = await command('[{"title":"$$5 of seed"},"id"]', {
    "x-nonce": "theirs",
    "x-seed-round-address": "9.9.9.9",
  });
  expect(answer).toMatchObject({ status: 200, text: "from the application" });
  expect(answer.headers).toMatchObject({
    "x-content-type-options": "nosniff",
    "x-frame-options": "DENY",
    "content-security-policy": expect.stringContaining("'nonce-"),
  });
  expect(seen).toEqual([
    {
      method: "POST",
      body: '[{"title":"$$5 of seed"},"id"]',
      headers: expect.objectContaining({ "x-seed-round-path": "/round", "x-seed-round-address": "127.0.0.1" }),
    },
  ]);
  expect(seen[0]!.headers["x-nonce"]).not.toBe("theirs");
  expect((await ask("GET", "/_next/static/a.js")).headers).toMatchObject({ "x-content-type-options": "nosniff" });
});

test("what makes none is answered in words before it gets in", async () => {
  const refused: readonly (readonly [number, Promise<Answer>])[] = [
    [421, ask("GET", "/round", { host: "elsewhere.example" })],
    [405, ask("TRACE", "/round")],
    [405, ask("DELETE", "/round", own())],
    [405, ask("POST", "/round", own(), "x")],
    [400, ask("GET", "/%zz")],
    [400, ask("GET", "/a%00b")],
    [403, ask("POST", "/round", { "next-action": "known" }, "[]")],
    [403, ask("POST", "/round", { "next-action": "known", origin: "http://elsewhere.example" }, "[]")],
    [404, command("[{}]", { "next-action": "junk" })],
    [400, command(Buffer.from([0x5b, 0x22, 0xc3, 0x28, 0x22, 0x5d]))],
    [400, command("[")],
    [400, command("{}")],
    [400, command("[1,2,3]")],
    [400, command('[{"a":"$F1"}]')],
    [400, command('["$D2027-99-99"]')],
    [400, command('["$D2027-99-99T00:00:00Z"]')],
    [400, command('[{"__proto__":{}}]')],
    [400, command(`${"[".repeat(300)}${"]".repeat(300)}`)],
    [400, command("[{}]", { "content-type": "multipart/form-data; boundary=x" })],
  ];
  for (const [status, asked] of refused) {
    const answer = await asked;
    expect([answer.status, answer.text]).toEqual([status, expect.stringMatching(/^[A-Z].*\.\n$/u)]);
  }
  expect((await command("[{}]", { "next-action": "junk" })).headers["x-nextjs-action-not-found"]).toBe("1");
  expect(seen).toEqual([]);
});

test.each([
  ["12 MB that say so", 12, true],
  ["12 MB that do not", 12, false],
  ["50 MB", 50, true],
])("%s are too large", async (_, mb, says) => {
  const body = Buffer.alloc(mb * 1_000_000, 0x61);
  // Whoever goes on sending may be cut off before they have read the answer.
  const answer = await command(
    body,
    says ? { "content-length": String(body.length) } : { "transfer-encoding": "chunked" },
  ).catch(() => ({ status: 413 }));
  expect(answer.status).toBe(413);
  expect(seen).toEqual([]);
});

test("six are rendered at once; the rest wait two seconds, then are told when to ask again, and whoever came for a page gets one that asks by itself", async () => {
  let release = () => {};
  hold = new Promise((resolve) => (release = resolve));
  const inside = Array.from({ length: 6 }, () => ask("GET", "/round"));
  const [script, page] = await Promise.all([
    ask("GET", "/round", { rsc: "1", accept: "text/html" }),
    ask("GET", "/round", { accept: "text/html" }),
  ]);
  expect(script).toMatchObject({
    status: 503,
    headers: { "retry-after": "2" },
    text: expect.stringContaining("Nothing was done yet"),
  });
  expect(page).toMatchObject({ status: 503, text: expect.stringContaining('http-equiv="refresh" content="2"') });
  // Files and the questions whether we are there do not wait.
  hold = null;
  expect((await ask("GET", "/healthz")).status).toBe(200);
  const later = ask("GET", "/later");
  release();
  expect((await Promise.all(inside)).map(({ status }) => status)).toEqual([200, 200, 200, 200, 200, 200]);
  expect((await later).status).toBe(200);
});
