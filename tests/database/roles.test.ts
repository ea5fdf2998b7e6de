import { readdirSync, readFileSync } from "node:fs";
import { said } from "./said";
import { join } from "node:path";
import { ROLES, type Role } from "../../src/core/people/rights";
import type { Action, ActionResult } from "../../src/server/session/result";
import { demoGarden } from "./demoGarden";
import { signedInAs, signedOut } from "./request";
import { ROUTES, SAMPLES, type Sample } from "./samples";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const MEMBERS: Readonly<Record<Role, string>> = { keeper: "ines", grower: "tomas", helper: "priya", viewer: "school" };
const STRANGER = { name: "Stranger", signInName: "stranger", password: "a stranger's word" };

const { rows } = demoGarden(makeStranger);

/** The keeper of another garden in the same database. */
async function makeStranger() {
  const { createAccount, createOwnGarden } = await import("../../src/server/people/accounts");
  const { onBehalf } = await import("../../src/server/session/onBehalf");
  await onBehalf({}, async (db) => {
    const garden = {
      gardenName: "Over the fence",
      place: "",
      latitudeDeg: 0,
      timeZone: "UTC",
      currency: "€",
      unitSystem: "metric",
    } as const;
    await createOwnGarden(db, await createAccount(db, STRANGER), STRANGER.name, garden);
  });
}

const files = (folder: string): string[] => readdirSync(folder, { recursive: true, encoding: "utf8" });
const actionFiles = files("src/server").filter(
  (file) => file.endsWith(".ts") && readFileSync(join("src/server", file), "utf8").startsWith('"use server"'),
);
const routeFiles = files("src/app").filter((file) => file.endsWith("route.ts"));
const actionsOf = async (room: string) => (await import(`../../src/server/${room}`)) as Record<string, Action>;
const all = Object.entries(SAMPLES).flatMap(([room, actions]) =>
  Object.entries(actions).map(([name, sample]) => [`${room} ${name}`, room, name, sample] as const),
);
const guarded = all.filter(([, , , sample]) => sample.least !== "nobody in particular");
const call = async (room: string, name: string, input: unknown): Promise<ActionResult<unknown>> =>
  (await actionsOf(room))[name]!(input);
const statusOf = (result: ActionResult<unknown>) => (result.ok ? 200 : result.status);

/** All rows of a garden, to see that nothing of it was touched. */
async function fingerprint(gardenId: number): Promise<string> {
  const tables = await rows<{ table_name: string }>(
    "select table_name from information_schema.columns where table_schema = 'public' and column_name = 'garden_id' order by 1",
  );
  const parts = await Promise.all(
    tables.map(async ({ table_name }) =>
      rows(
        `select md5(coalesce(string_agg(t::text, ',' order by t::text), '')) as sum from "${table_name}" t where garden_id = $1`,
        [gardenId],
      ),
    ),
  );
  return JSON.stringify(parts.map(([row]) => row!.sum));
}

test("every action and route handler on the file system is known to these tests", async () => {
  expect(actionFiles.map((file) => file.replace(/\.ts$/u, "")).sort()).toEqual(Object.keys(SAMPLES).sort());
  for (const room of Object.keys(SAMPLES))
    expect(
      `${room}: ${Object.keys(await actionsOf(room))
        .sort()
        .join(" ")}`,
    ).toBe(`${room}: ${Object.keys(SAMPLES[room]!).sort().join(" ")}`);
  expect(routeFiles.map((file) => file.replace(/\/route\.ts$/u, "")).sort()).toEqual(Object.keys(ROUTES).sort());
});

test.each(guarded)("%s is closed to whoever is signed out", async (_, room, name) => {
  signedOut();
  expect(said(await call(room, name, {}))).toMatchObject({
    ok: false,
    status: 401,
    message: expect.stringContaining("signed out"),
  });
});

test.each(guarded)("%s is open to its roles and closed to the others", async (_, room, name, { least, ends }) => {
  for (const role of ROLES) {
    const allowed = ROLES.indexOf(role) <= ROLES.indexOf(least as Role);
    if (allowed && ends) continue;
    await signedInAs(MEMBERS[role]);
    // An input that says nothing: whoever may is told what is missing, whoever may not hears nothing about it.
    const status = statusOf(await call(room, name, {}));
    expect(`${role} ${allowed ? status !== 403 && status !== 401 : status}`).toBe(`${role} ${allowed ? true : 403}`);
  }
});

test.each(guarded.filter(([, , , { own }]) => !own))(
  "%s reaches nothing of another garden, and takes the same input in its own garden",
  async (_, room, name, sample: Sample) => {
    await signedInAs("ines");
    const input = await sample.input(rows);
    const before = await fingerprint(1);
    await signedInAs(STRANGER.signInName, STRANGER.password);
    const refused = await call(room, name, input);
    expect(refused).toMatchObject({ ok: false });
    expect([400, 404, 409]).toContain(statusOf(refused));
    expect(await fingerprint(1)).toBe(before);
    await signedInAs("ines");
    expect(await call(room, name, input)).toMatchObject({ ok: true });
  },
);

test("what doses a tank is for those who may dose, ticked on the round or undone", async () => {
  await signedInAs("priya");
  expect(await call("round/actions", "tickItem", { key: "mix:2:A", actual: null, note: "" })).toMatchObject({
    status: 403,
  });
  await signedInAs("tomas");
  const done = await call("round/actions", "tickItem", { key: "mix:2:A", actual: null, note: "" });
  const entryId = (done as { value: number }).value;
  await signedInAs("priya");
  expect(await call("round/actions", "undoEntry", { entryId })).toMatchObject({ status: 403 });
  await signedInAs("tomas");
  expect(await call("round/actions", "undoEntry", { entryId })).toMatchObject({ ok: true });
});

test.each(Object.entries(ROUTES))("the route %s answers %s", async (path, needs) => {
  const { GET } = (await import(`../../src/app/${path}/route`)) as { GET: (request: Request) => Promise<Response> };
  const ask = async () => {
    const stop = new AbortController();
    const answer = await GET(new Request(`http://here/${path}`, { signal: stop.signal }));
    const text = answer.headers.get("content-type")?.includes("event-stream") ? "" : await answer.text();
    stop.abort();
    return { status: answer.status, text };
  };
  signedOut();
  expect((await ask()).status).toBe(needs === "open" ? 200 : 401);
  await signedInAs("school");
  expect((await ask()).status).toBe(200);
  await signedInAs(STRANGER.signInName, STRANGER.password);
  const strange = await ask();
  expect(strange.status).toBe(200);
  expect(strange.text).not.toMatch(/Batavia|Leaf bank|Ines/u);
});
