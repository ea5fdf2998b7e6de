import { freshDatabase, type TestDatabase } from "./database";
import { cookieNames, cookies, sessionLost, signedOut, takeCookies, withHeaders } from "./request";
import { rowsOf, type Rows } from "./samples";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

let database: TestDatabase;
let rows: Rows;
beforeEach(async () => {
  process.env.SEED_ROUND_TODAY = "2027-09-02";
  process.env.SEED_ROUND_SECRET = "s".repeat(48);
  withHeaders({});
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

test("failures slow down whoever fails, from where they fail; a browser that is known has a count of its own", async () => {
  const { signIn } = await door();
  const wrong = (tries: number) => signIn({ ...right, password: `wrong ${tries}` });
  await fresh();
  sessionLost();
  const keptCookies = cookies();
  signedOut();
  for (let tries = 0; tries < 5; tries++)
    expect(await wrong(tries)).toMatchObject({
      ok: false,
      status: 401,
      fields: { password: "This name and password do not fit together." },
    });
  expect(await signIn(right)).toMatchObject({
    ok: false,
    status: 429,
    message: "Too many tries. Wait 5 seconds, then try again.",
  });
  // A refused try does not count: the wait does not grow by asking.
  expect(await signIn(right)).toMatchObject({ status: 429, message: expect.stringMatching(/[45] seconds/u) });
  // An unknown name is answered in the same words; from elsewhere, and in the owner's own browser, the door is open.
  expect(await signIn({ signInName: "nobody", password: "x" })).toMatchObject({ status: 401, message: "This name and password do not fit together." }); // prettier-ignore
  withHeaders({ "x-seed-round-address": "127.0.0.77" });
  expect(await signIn(right)).toMatchObject({ ok: true });
  withHeaders({});
  takeCookies(keptCookies);
  expect(await signIn(right)).toMatchObject({ ok: true });
  // Each wrong one more doubles the wait; a clock that ran ahead locks nobody out.
  signedOut();
  await rows("update attempt set at = at - interval '6 seconds'");
  expect(await wrong(6)).toMatchObject({ status: 401 });
  expect(await signIn(right)).toMatchObject({ message: "Too many tries. Wait 10 seconds, then try again." });
  await rows("update attempt set at = at + interval '1 day'");
  expect(await signIn(right)).toMatchObject({ ok: true });
  expect(await rows("select 1 from attempt where key like '%ines%'")).toEqual([]);
});

test("many tries at once gain nothing", async () => {
  const { signIn } = await door();
  const all = await Promise.all(
    Array.from({ length: 30 }, (_, tries) => signIn({ ...right, password: `wrong ${tries}` })),
  );
  expect(all.filter((result) => !result.ok && result.status === 401).length).toBeLessThanOrEqual(5);
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
  // Nobody looked at it for a fortnight.
  await fresh();
  await rows("update session set last_seen_at = now() - interval '13 days 23 hours'");
  expect(await who()).not.toBeNull();
  await rows("update session set last_seen_at = now() - interval '14 days 1 hour'");
  expect(await who()).toBeNull();
  // Under TLS the cookies are bound to this host by their names.
  withHeaders({ "x-forwarded-proto": "https" });
  await fresh();
  expect(cookieNames().sort()).toEqual(["__Host-seed_round", "__Host-seed_round_known"]);
  withHeaders({});
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

const invitedAs = async (role: string) => {
  const { invite } = await import("../../src/server/people/memberActions");
  return ((await invite({ role, days: 1 })) as { value: string }).value;
};
const resetLinkFor = async (name: string) => {
  const { makeResetLink } = await import("../../src/server/people/memberActions");
  return makeResetLink({ id: await idOf(name) });
};
const idOf = async (name: string) =>
  (await rows<{ id: number }>("select id from person where garden_id = 1 and name = $1", [name]))[0]!.id;
const secondGarden = {
  gardenName: "Second yard",
  place: "",
  latitudeDeg: 10,
  timeZone: "Europe/Lisbon",
  currency: "€",
  unitSystem: "us",
};

test("an invitation dies with its maker's right, and who left comes back to the old place with the old account", async () => {
  const { endMembership, setRole } = await import("../../src/server/people/memberActions");
  const { join, joinSignedIn, signIn } = await door();
  const somebody = { name: "Somebody", signInName: "somebody", password: "a long enough word" };
  const tomas = { id: await idOf("Tomas Lind") };
  const setTomas = async (role: string) => {
    const [{ version }] = (await rows<{ version: number }>("select version from person where id = $1", [tomas.id])) as [
      { version: number },
    ];
    expect(await setRole({ ...tomas, version, role })).toMatchObject({ ok: true });
  };
  await fresh();
  await setTomas("keeper");
  signedOut();
  await signIn({ signInName: "tomas", password: "saltcote-yard" });
  const [asKeeper, asLeaver] = [await invitedAs("keeper"), await invitedAs("helper")];
  expect(await resetLinkFor("Priya Sen")).toMatchObject({ ok: true });
  await fresh();
  await setTomas("grower");
  expect(await join({ key: asKeeper, ...somebody })).toMatchObject({ ok: false, status: 404 });
  expect(await rows("select 1 from reset_link where withdrawn_at is null")).toEqual([]);
  await setTomas("keeper");
  expect(await join({ key: asKeeper, ...somebody })).toMatchObject({ ok: false, status: 404 });
  // Without any act of ours: whatever takes the right away takes the link along.
  await rows("update invitation set withdrawn_at = null");
  await endMembership({ id: tomas.id });
  await rows("update invitation set withdrawn_at = null");
  expect(await join({ key: asLeaver, ...somebody })).toMatchObject({ ok: false, status: 404 });
  const key = await invitedAs("helper");
  signedOut();
  await signIn({ signInName: "tomas", password: "saltcote-yard" });
  expect(await who()).toBeNull();
  expect(await joinSignedIn({ key })).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ personName: "Tomas Lind", role: "helper", personId: tomas.id });
  expect(await rows("select gardens from account where sign_in_name = 'tomas'")).toEqual([{ gardens: 1 }]);
});

test("true invitations are let in however many there are; junk from one address slows down that address alone", async () => {
  const { join } = await door();
  const somebody = (count: number) => ({
    name: `Helper ${count}`,
    signInName: `helper${count}`,
    password: "a long enough word",
  });
  const keys: string[] = [];
  await fresh();
  for (let count = 0; count < 12; count++) keys.push(await invitedAs("viewer"));
  for (const [count, key] of keys.slice(0, 10).entries())
    expect(await join({ key, ...somebody(count) })).toMatchObject({ ok: true });
  signedOut();
  const junk = () => join({ key: "j".repeat(43), ...somebody(99) });
  for (let tries = 0; tries < 6; tries++) await junk();
  expect(await junk()).toMatchObject({ status: 429 });
  expect(await join({ key: keys[10], ...somebody(10) })).toMatchObject({ ok: true });
  withHeaders({ "x-seed-round-address": "127.0.0.77" });
  expect(await junk()).toMatchObject({ status: 404 });
  withHeaders({});
});

test("a reset link never opens another garden, and one use ends all links of the account", async () => {
  await fresh();
  const { makeGarden, switchGarden } = await import("../../src/server/people/accountActions");
  const { withdrawResetLink } = await import("../../src/server/people/memberActions");
  const { joinSignedIn, resetPassword, signIn } = await door();
  expect(await makeGarden(secondGarden)).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ gardenName: "Second yard", role: "keeper", units: { system: "us", temperature: "°F" } }); // prettier-ignore
  const key = await invitedAs("grower");
  await switchGarden({ gardenId: 1 });
  expect(await who()).toMatchObject({ gardenName: "Saltcote Yard", role: "keeper" });
  // Made while Priya was at home in one garden; by the time it is used she is at home in two.
  const before = ((await resetLinkFor("Priya Sen")) as { value: string }).value;
  signedOut();
  await signIn({ signInName: "priya", password: "saltcote-yard" });
  expect(await joinSignedIn({ key })).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ gardenName: "Second yard", role: "grower" });
  signedOut();
  expect(await resetPassword({ key: before, password: "a new long word" })).toMatchObject({ ok: false, status: 404 });
  expect(await signIn({ signInName: "priya", password: "saltcote-yard" })).toMatchObject({ ok: true });
  await fresh();
  await switchGarden({ gardenId: 1 });
  expect(await resetLinkFor("Priya Sen")).toMatchObject({
    ok: false,
    message: expect.stringContaining("another garden too"),
  });

  const links = [
    await resetLinkFor("Tomas Lind"),
    await resetLinkFor("Tomas Lind"),
    await resetLinkFor("Oke Adeyi"),
  ].map((link) => (link as { value: string }).value);
  const { openLinks } = await import("../../src/server/people/links");
  const { onBehalf } = await import("../../src/server/session/onBehalf");
  const open = () => onBehalf({ gardenId: 1 }, (db) => openLinks(db, 1));
  expect((await open()).map(({ kind, forName, madeBy }) => [kind, forName, madeBy])).toEqual([
    ["reset", "Tomas Lind", "Ines Varela"],
    ["reset", "Tomas Lind", "Ines Varela"],
    ["reset", "Oke Adeyi", "Ines Varela"],
  ]);
  expect(await withdrawResetLink({ id: (await open())[2]!.id })).toMatchObject({ ok: true });
  signedOut();
  expect(await resetPassword({ key: links[2], password: "a new long word" })).toMatchObject({ ok: false, status: 404 });
  expect(await resetPassword({ key: links[0], password: "short" })).toMatchObject({ ok: false, status: 400 });
  expect(await resetPassword({ key: links[0], password: "a new long word" })).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ personName: "Tomas Lind" });
  for (const used of links.slice(0, 2))
    expect(await resetPassword({ key: used, password: "another long word" })).toMatchObject({ ok: false, status: 404 });
  expect(await open()).toEqual([]);
});

test("a password that is tried first is refused at every door", async () => {
  const { changePassword } = await import("../../src/server/people/accountActions");
  const { join } = await door();
  await fresh();
  for (const password of ["qwertyuiop", "Saltcote Yard 2027", "ines varela"])
    expect(await changePassword({ old: right.password, password })).toMatchObject({
      ok: false,
      status: 400,
      fields: { password: expect.stringContaining("Take another") },
    });
  const key = await invitedAs("viewer");
  expect(await join({ key, name: "Noor Amari", signInName: "noor", password: "nooramari1" })).toMatchObject({
    ok: false,
    fields: { password: expect.any(String) },
  });
  expect(await rows("select 1 from account where sign_in_name = 'noor'")).toEqual([]);
});

test("doors are opened and closed only within an hour of the password; a garden goes with its name typed", async () => {
  const { confirmPassword, removeGarden, makeGarden } = await import("../../src/server/people/accountActions");
  const { invite } = await import("../../src/server/people/memberActions");
  const { makeFirstGarden } = await door();
  await fresh();
  await rows("update session set confirmed_at = now() - interval '61 minutes'");
  const again = { ok: false, status: 403, confirm: true };
  expect(await invite({ role: "helper", days: 1 })).toMatchObject(again);
  expect(await removeGarden({ name: "Saltcote Yard" })).toMatchObject(again);
  expect(await confirmPassword({ password: "not it" })).toMatchObject({
    ok: false,
    fields: { password: expect.any(String) },
  });
  expect(await invite({ role: "helper", days: 1 })).toMatchObject(again);
  expect(await confirmPassword({ password: right.password })).toMatchObject({ ok: true });
  expect(await invite({ role: "helper", days: 1 })).toMatchObject({ ok: true });
  await makeGarden(secondGarden);
  expect(await removeGarden({ name: "Saltcote Yard" })).toMatchObject({
    ok: false,
    fields: { name: expect.stringContaining("Second yard") },
  });
  expect(await removeGarden({ name: "Second yard" })).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ gardenName: "Saltcote Yard" });
  expect(await makeFirstGarden(secondGarden)).toMatchObject({ ok: false, status: 409 });
  expect(await removeGarden({ name: "Saltcote Yard" })).toMatchObject({ ok: true });
  expect(await who()).toBeNull();
  const left = await rows<{ table_name: string }>(
    "select table_name from information_schema.columns where table_schema = 'public' and column_name = 'garden_id'",
  );
  for (const { table_name } of left)
    expect([table_name, await rows(`select 1 from "${table_name}" limit 1`)]).toEqual([table_name, []]);
  expect(await makeFirstGarden(secondGarden)).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ gardenName: "Second yard", role: "keeper" });
});

test("a second factor: asked for at the door, each step once, by the real clock, not switched off by a link or a new secret", async () => {
  const { beginFactor, renewRecoveryCodes, switchFactorOff, switchFactorOn } =
    await import("../../src/server/people/accountActions");
  const { resetPassword, signIn } = await door();
  const { generate } = await import("otplib");
  const seconds = () => Math.floor(Date.now() / 1000);
  signedOut();
  await signIn({ signInName: "tomas", password: "saltcote-yard" });
  const { secret, picture } = ((await beginFactor({})) as { value: { secret: string; picture: string } }).value;
  expect(picture).toMatch(/^<svg/u);
  // The garden stands in 2027; the phone does not.
  const codeOf = (steps: number) => generate({ secret, epoch: seconds() + 30 * steps });
  expect(
    await switchFactorOn({ code: await generate({ secret, epoch: Date.parse("2027-09-02T12:00:00Z") / 1000 }) }),
  ).toMatchObject({ ok: false, fields: { code: expect.any(String) } });
  const on = (await switchFactorOn({ code: await codeOf(-1) })) as { value: string[] };
  expect(on.value).toHaveLength(10);
  expect(JSON.stringify(await rows("select * from recovery_code, second_factor, act"))).not.toMatch(
    new RegExp([...on.value, secret].join("|"), "u"),
  );
  signedOut();
  const tomas = { signInName: "tomas", password: "saltcote-yard" };
  expect(await signIn(tomas)).toMatchObject({ ok: false, status: 401, fields: { code: expect.any(String) } });
  expect(await signIn({ ...tomas, code: await codeOf(-1) })).toMatchObject({
    ok: false,
    fields: { code: expect.stringContaining("used already") },
  });
  const once = await codeOf(0);
  expect(await signIn({ ...tomas, code: once })).toMatchObject({ ok: true });
  expect(await signIn({ ...tomas, code: once })).toMatchObject({ ok: false });
  // A new secret for the cookies ends sessions, not the factor.
  process.env.SEED_ROUND_SECRET = "n".repeat(48);
  expect(await who()).toBeNull();
  expect(await signIn(tomas)).toMatchObject({ ok: false, fields: { code: expect.any(String) } });
  expect(await signIn({ ...tomas, code: await codeOf(1) })).toMatchObject({ ok: true });
  await fresh();
  const key = ((await resetLinkFor("Tomas Lind")) as { value: string }).value;
  signedOut();
  expect(await resetPassword({ key, password: "a new long word" })).toMatchObject({
    ok: true,
    value: { asksCode: true },
  });
  expect(await who()).toBeNull();
  const renewed = { ...tomas, password: "a new long word" };
  expect(await signIn(renewed)).toMatchObject({ ok: false, fields: { code: expect.any(String) } });
  expect(await signIn({ ...renewed, code: on.value[0]!.toUpperCase().replaceAll("-", " ") })).toMatchObject({
    ok: true,
  });
  expect(await signIn({ ...renewed, code: on.value[0] })).toMatchObject({ ok: false });
  expect(await renewRecoveryCodes({ code: on.value[1] })).toMatchObject({ ok: true });
  expect(await switchFactorOff({ code: on.value[2] })).toMatchObject({ ok: false });
  await rows("update second_factor set last_step = 0");
  await rows("delete from attempt");
  expect(await switchFactorOff({ code: await codeOf(0) })).toMatchObject({ ok: true });
  signedOut();
  expect(await signIn(renewed)).toMatchObject({ ok: true });
  // All of it stands at the door for the keepers.
  const kinds = await rows(
    "select kind from door_event where account_id = (select id from account where sign_in_name = 'tomas') order by id",
  );
  expect(kinds.map(({ kind }) => kind)).toEqual([
    "signed-in",
    "factor-on",
    "signed-in",
    "signed-in",
    "password-reset",
    "recovery-code-used",
    "signed-in",
    "recovery-code-used",
    "factor-off",
    "signed-in",
  ]);
});

test("an act asked again under its id is answered again and writes nothing, behind the door and before it", async () => {
  const { invite } = await import("../../src/server/people/memberActions");
  const { addNote } = await import("../../src/server/round/actions");
  const { join } = await door();
  await fresh();
  const act = "00000000-0000-4000-8000-000000000001";
  const note = { title: "Once", place: "", day: "2027-09-02", note: "" };
  const [first, second] = await Promise.all([addNote(note, act), addNote(note, act)]);
  expect(second).toEqual(first);
  expect(await addNote(note, act)).toEqual(first);
  expect(first).toMatchObject({ ok: true, act });
  expect(await rows("select 1 from log_entry where title = 'Once'")).toHaveLength(1);
  expect(await addNote({ ...note, title: "Other" }, act)).toMatchObject({ ok: false, status: 409 });
  for (const junk of ["junk", 7, {}, "0".repeat(36)])
    expect(await addNote(note, junk)).toMatchObject({ ok: false, status: 400 });
  // A password that was sent along cannot be guessed from what is kept.
  const { confirmPassword } = await import("../../src/server/people/accountActions");
  expect(await confirmPassword({ password: right.password })).toMatchObject({ ok: true });
  expect(
    await rows("select 1 from act where input_hash = sha256($1::bytea)", [
      JSON.stringify({ password: right.password }),
    ]),
  ).toEqual([]);
  await rows("update act set at = now() - interval '91 days'");
  expect(await addNote({ ...note, title: "Much later" })).toMatchObject({ ok: true });
  expect(await rows("select 1 from act")).toHaveLength(1);
  // What was refused is tried anew: it may be right by now.
  const refused = "00000000-0000-4000-8000-000000000002";
  expect(await addNote({ ...note, title: "" }, refused)).toMatchObject({ ok: false });
  expect(await addNote({ ...note, title: "Right now" }, refused)).toMatchObject({ ok: true });
  // A key that is shown once is shown again to the one who lost the answer, and stands nowhere in the clear.
  const inviting = "00000000-0000-4000-8000-000000000003";
  const invited = (await invite({ role: "helper", days: 1 }, inviting)) as { value: string };
  expect(await invite({ role: "helper", days: 1 }, inviting)).toEqual(invited);
  expect(JSON.stringify(await rows("select answer from act"))).not.toContain(invited.value);
  signedOut();
  const joining = "00000000-0000-4000-8000-000000000004";
  const helper = { key: invited.value, name: "Helper", signInName: "helper", password: "a long enough word" };
  expect(await join(helper, joining)).toMatchObject({ ok: true });
  signedOut();
  expect(await join(helper, joining)).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ personName: "Helper" });
  expect(await rows("select 1 from account where sign_in_name = 'helper'")).toHaveLength(1);
  await rows("update door_act set at = now() - interval '16 minutes'");
  expect(await join(helper, joining)).toMatchObject({ ok: false, status: 404 });
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
