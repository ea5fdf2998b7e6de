import { freshDatabase, type TestDatabase } from "./database";
import { signedInAs, signedOut } from "./request";
import { rowsOf, type Rows } from "./samples";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

let database: TestDatabase;
let rows: Rows;
beforeEach(async () => {
  process.env.SEED_ROUND_TODAY = "2027-09-02";
  database = await freshDatabase("demo_template");
  process.env.DATABASE_URL = database.appUrl;
  rows = rowsOf(database.pool);
  (globalThis as { seedRoundPool?: unknown }).seedRoundPool = undefined;
});
afterEach(async () => {
  const { pool } = await import("../../src/server/db/pool");
  await pool().end();
  await database.close();
});

const door = () => import("../../src/server/people/doorActions");
const right = { signInName: "ines", password: "saltcote-yard" };
const fresh = async () => {
  signedOut();
  const { signIn } = await door();
  return signIn(right);
};
const who = async () => (await import("../../src/server/session/session")).maybeSession();

test("eight wrong words in a quarter of an hour, and even the right one has to wait; a clock that ran ahead locks nobody out", async () => {
  const { signIn } = await door();
  for (let tries = 0; tries < 8; tries++) expect(await signIn({ ...right, password: `wrong ${tries}` })).toMatchObject({ ok: false, status: 401, fields: { password: "This name and password do not fit together." } }); // prettier-ignore
  expect(await signIn(right)).toMatchObject({ ok: false, status: 429 });
  // An unknown name is answered in the same words.
  expect(await signIn({ signInName: "nobody", password: "x" })).toMatchObject({ status: 401, message: "This name and password do not fit together." }); // prettier-ignore
  await rows("update sign_in_attempt set at = at + interval '1 day'");
  expect(await signIn(right)).toMatchObject({ ok: true });
  expect(await rows("select 1 from sign_in_attempt")).toEqual([]);
});

test("a session is kept as a hash, ends when its time is over or somebody ends it, and with all others at once", async () => {
  expect(await fresh()).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ personName: "Ines Varela", role: "keeper", gardenId: 1 });
  const { endAllSessions, endSession } = await import("../../src/server/people/accountActions");
  await rows("update session set expires_at = now() - interval '1 second'");
  expect(await who()).toBeNull();
  await fresh();
  const [session] = await rows<{ id: number }>("select id from session where expires_at > now()");
  expect(await endSession({ id: session!.id })).toMatchObject({ ok: true });
  expect(await who()).toBeNull();
  await fresh();
  expect(await endAllSessions({})).toMatchObject({ ok: true });
  expect(await who()).toBeNull();
  expect(await rows("select 1 from session where expires_at > now()")).toEqual([]);
});

test("an invitation lets one person in, once, as what it says; a withdrawn or old one nobody", async () => {
  const { invite, withdrawInvitation } = await import("../../src/server/people/memberActions");
  const { join } = await door();
  const somebody = { name: "New Helper", signInName: "newcomer", password: "a long enough word" };
  await fresh();
  const key = ((await invite({ role: "helper", days: 3 })) as { value: string }).value;
  expect(JSON.stringify(await rows("select * from invitation"))).not.toContain(key);
  signedOut();
  expect(await join({ key, ...somebody, name: "Tomas Lind" })).toMatchObject({ ok: false, fields: { name: "Another member has this name." } }); // prettier-ignore
  expect(await rows("select 1 from account where sign_in_name = 'newcomer'")).toEqual([]);
  expect(await join({ key, ...somebody })).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ personName: "New Helper", role: "helper", gardenId: 1 });
  expect(await join({ key, ...somebody, name: "Second", signInName: "second" })).toMatchObject({ ok: false, status: 404 }); // prettier-ignore
  await fresh();
  const other = ((await invite({ role: "keeper", days: 1 })) as { value: string }).value;
  const [open] = await rows<{ id: number }>("select id from invitation where used_at is null");
  await withdrawInvitation({ id: open!.id });
  expect(await join({ key: other, ...somebody, signInName: "third" })).toMatchObject({ ok: false, status: 404 });
  const third = ((await invite({ role: "viewer", days: 1 })) as { value: string }).value;
  await rows("update invitation set expires_at = now() - interval '1 minute'");
  expect(await join({ key: third, ...somebody, signInName: "fourth" })).toMatchObject({ ok: false, status: 404 });
});

test("one account in two gardens goes from one to the other, and no keeper alone can reset its password", async () => {
  await fresh();
  const { makeGarden, switchGarden } = await import("../../src/server/people/accountActions");
  const { invite, makeResetLink } = await import("../../src/server/people/memberActions");
  const { joinSignedIn, resetPassword } = await door();
  expect(await makeGarden({ gardenName: "Second yard", place: "", latitudeDeg: 10, timeZone: "Europe/Lisbon", currency: "€", unitSystem: "us" })).toMatchObject({ ok: true }); // prettier-ignore
  expect(await who()).toMatchObject({ gardenName: "Second yard", role: "keeper", units: { system: "us", temperature: "°F" } }); // prettier-ignore
  const key = ((await invite({ role: "viewer", days: 1 })) as { value: string }).value;
  await signedInAs("priya");
  expect(await joinSignedIn({ key })).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ gardenName: "Second yard", role: "viewer" });
  expect(await switchGarden({ gardenId: 1 })).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ gardenName: "Saltcote Yard", role: "helper" });
  const idOf = async (name: string) => (await rows<{ id: number }>("select id from person where garden_id = 1 and name = $1", [name]))[0]!.id; // prettier-ignore
  await fresh();
  await switchGarden({ gardenId: 1 });
  expect(await makeResetLink({ id: await idOf("Priya Sen") })).toMatchObject({ ok: false, message: expect.stringContaining("another garden too") }); // prettier-ignore
  const link = ((await makeResetLink({ id: await idOf("Tomas Lind") })) as { value: string }).value;
  signedOut();
  expect(await resetPassword({ key: link, password: "short" })).toMatchObject({ ok: false, status: 400 });
  expect(await resetPassword({ key: link, password: "a new long word" })).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ personName: "Tomas Lind" });
  expect(await resetPassword({ key: link, password: "another long word" })).toMatchObject({ ok: false, status: 404 });
});

test("a changed password ends the other sessions; the last keeper stays; who leaves is out at once", async () => {
  await fresh();
  await fresh();
  const { changePassword } = await import("../../src/server/people/accountActions");
  const { endMembership, setRole } = await import("../../src/server/people/memberActions");
  expect(await changePassword({ old: "not it at all", password: "a new long word" })).toMatchObject({ ok: false, fields: { old: expect.any(String) } }); // prettier-ignore
  expect(await changePassword({ old: right.password, password: "a new long word" })).toMatchObject({ ok: true });
  expect(await rows("select 1 from session where account_id = 1")).toHaveLength(1);
  const [me] = await rows<{ id: number; version: number }>("select id, version from person where name = 'Ines Varela'");
  expect(await setRole({ ...me, role: "helper" })).toMatchObject({ ok: false, message: expect.stringContaining("last keeper") }); // prettier-ignore
  expect(await endMembership({ id: me!.id })).toMatchObject({ ok: false, message: expect.stringContaining("last keeper") }); // prettier-ignore
  const { signIn } = await door();
  const [tomas] = await rows<{ id: number }>("select id from person where name = 'Tomas Lind'");
  expect(await endMembership({ id: tomas!.id })).toMatchObject({ ok: true });
  signedOut();
  await signIn({ signInName: "tomas", password: "saltcote-yard" });
  expect(await who()).toBeNull();
});

test("the first start makes one account and is closed then", async () => {
  const { firstStart } = await door();
  const first = { name: "First", signInName: "first", password: "a long enough word", gardenName: "Mine", place: "", latitudeDeg: 50, timeZone: "UTC", currency: "€", unitSystem: "metric" }; // prettier-ignore
  expect(await firstStart(first)).toMatchObject({ ok: false, status: 403 });
  await rows("delete from session");
  await rows("update person set account_id = null");
  await rows("delete from account");
  expect(await firstStart({ ...first, timeZone: "Nowhere/Else" })).toMatchObject({ ok: false, fields: { timeZone: expect.stringContaining("Nowhere/Else") } }); // prettier-ignore
  const both = await Promise.all([firstStart(first), firstStart({ ...first, signInName: "second" })]);
  expect(both.map((result) => result.ok).sort()).toEqual([false, true]);
  expect(await who()).toMatchObject({ gardenName: "Mine", role: "keeper", personName: "First" });
});
