import { access, fresh, freshAccess, RIGHT, SECOND_GARDEN, who } from "./freshAccess";
import { said } from "./said";
import { cookieNames, cookies, sessionLost, signedOut, takeCookies, withHeaders } from "./request";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const { rows, invitedAs } = freshAccess();

test("failures slow down whoever fails, from where they fail; a browser that is known has a count of its own", async () => {
  const { signIn } = await access();
  const wrong = (tries: number) => signIn({ ...RIGHT, password: `wrong ${tries}` });
  await fresh();
  sessionLost();
  const keptCookies = cookies();
  signedOut();
  for (let tries = 0; tries < 5; tries++)
    expect(said(await wrong(tries))).toMatchObject({
      ok: false,
      status: 401,
      fields: { password: "Wrong name or password." },
    });
  expect(said(await signIn(RIGHT))).toMatchObject({
    ok: false,
    status: 429,
    message: "Too many tries. Wait 5 seconds, then try again.",
  });
  // A refused try does not count: the wait does not grow by asking.
  expect(said(await signIn(RIGHT))).toMatchObject({ status: 429, message: expect.stringMatching(/[45] seconds/u) });
  // An unknown name is answered in the same words; from elsewhere, and in the owner's own browser, signing in works.
  expect(said(await signIn({ signInName: "nobody", password: "x" }))).toMatchObject({
    status: 401,
    message: "Wrong name or password.",
  });
  withHeaders({ "x-seed-round-address": "127.0.0.77" });
  expect(await signIn(RIGHT)).toMatchObject({ ok: true });
  withHeaders({});
  takeCookies(keptCookies);
  expect(await signIn(RIGHT)).toMatchObject({ ok: true });
  // Each wrong one more doubles the wait; a clock that ran ahead locks nobody out.
  signedOut();
  await rows("update attempt set at = at - interval '6 seconds'");
  expect(await wrong(6)).toMatchObject({ status: 401 });
  expect(said(await signIn(RIGHT))).toMatchObject({ message: "Too many tries. Wait 10 seconds, then try again." });
  await rows("update attempt set at = at + interval '1 day'");
  expect(await signIn(RIGHT)).toMatchObject({ ok: true });
  expect(await rows("select 1 from attempt where key like '%ines%'")).toEqual([]);
});

test("many tries at once gain nothing", async () => {
  const { signIn } = await access();
  const all = await Promise.all(
    Array.from({ length: 30 }, (_, tries) => signIn({ ...RIGHT, password: `wrong ${tries}` })),
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

test("a password that is tried first is refused wherever one is set", async () => {
  const { changePassword } = await import("../../src/server/people/accountActions");
  const { join } = await access();
  await fresh();
  for (const password of ["qwertyuiop", "Saltcote Yard 2027", "ines varela"])
    expect(said(await changePassword({ old: RIGHT.password, password }))).toMatchObject({
      ok: false,
      status: 400,
      fields: { password: expect.stringContaining("Choose another") },
    });
  const key = await invitedAs("viewer");
  expect(said(await join({ key, name: "Noor Amari", signInName: "noor", password: "nooramari1" }))).toMatchObject({
    ok: false,
    fields: { password: expect.any(String) },
  });
  expect(await rows("select 1 from account where sign_in_name = 'noor'")).toEqual([]);
});

test("access is changed only within an hour of the password; a garden is deleted with its name typed", async () => {
  const { confirmPassword, removeGarden, makeGarden } = await import("../../src/server/people/accountActions");
  const { invite } = await import("../../src/server/people/memberActions");
  const { makeFirstGarden } = await access();
  await fresh();
  await rows("update session set confirmed_at = now() - interval '61 minutes'");
  const again = { ok: false, status: 403, confirm: true };
  expect(await invite({ role: "helper", days: 1 })).toMatchObject(again);
  expect(await removeGarden({ name: "Saltcote Yard" })).toMatchObject(again);
  expect(said(await confirmPassword({ password: "not it" }))).toMatchObject({
    ok: false,
    fields: { password: expect.any(String) },
  });
  expect(await invite({ role: "helper", days: 1 })).toMatchObject(again);
  expect(await confirmPassword({ password: RIGHT.password })).toMatchObject({ ok: true });
  expect(await invite({ role: "helper", days: 1 })).toMatchObject({ ok: true });
  await makeGarden(SECOND_GARDEN);
  expect(said(await removeGarden({ name: "Saltcote Yard" }))).toMatchObject({
    ok: false,
    fields: { name: expect.stringContaining("Second yard") },
  });
  expect(await removeGarden({ name: "Second yard" })).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ gardenName: "Saltcote Yard" });
  expect(await makeFirstGarden(SECOND_GARDEN)).toMatchObject({ ok: false, status: 409 });
  expect(await removeGarden({ name: "Saltcote Yard" })).toMatchObject({ ok: true });
  expect(await who()).toBeNull();
  const left = await rows<{ table_name: string }>(
    "select table_name from information_schema.columns where table_schema = 'public' and column_name = 'garden_id'",
  );
  for (const { table_name } of left)
    expect([table_name, await rows(`select 1 from "${table_name}" limit 1`)]).toEqual([table_name, []]);
  expect(await makeFirstGarden(SECOND_GARDEN)).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ gardenName: "Second yard", role: "keeper" });
});

test("a changed password ends the other sessions; the last keeper stays; who leaves is out at once", async () => {
  await fresh();
  await fresh();
  const { changePassword } = await import("../../src/server/people/accountActions");
  const { endMembership, setRole } = await import("../../src/server/people/memberActions");
  expect(said(await changePassword({ old: "not it at all", password: "a new long word" }))).toMatchObject({
    ok: false,
    fields: { old: expect.any(String) },
  });
  expect(await changePassword({ old: RIGHT.password, password: "a new long word" })).toMatchObject({ ok: true });
  expect(await rows("select 1 from session where account_id = 1")).toHaveLength(1);
  const [me] = await rows<{ id: number; version: number }>("select id, version from person where name = 'Ines Varela'");
  expect(said(await setRole({ ...me, role: "helper" }))).toMatchObject({
    ok: false,
    message: expect.stringContaining("last keeper"),
  });
  expect(said(await endMembership({ id: me!.id }))).toMatchObject({
    ok: false,
    message: expect.stringContaining("last keeper"),
  });
  const { signIn } = await access();
  const [tomas] = await rows<{ id: number }>("select id from person where name = 'Tomas Lind'");
  expect(await endMembership({ id: tomas!.id })).toMatchObject({ ok: true });
  signedOut();
  await signIn({ signInName: "tomas", password: "saltcote-yard" });
  expect(await who()).toBeNull();
});

test("the first start makes one account and is closed then", async () => {
  const { firstStart } = await access();
  const first = {
    name: "First",
    signInName: "first",
    password: "a long enough word",
    gardenName: "Mine",
    place: "",
    latitudeDeg: 50,
    timeZone: "UTC",
    currency: "€",
    unitSystem: "metric",
  };
  expect(await firstStart(first)).toMatchObject({ ok: false, status: 403 });
  await rows("delete from session");
  await rows("update person set account_id = null");
  await rows("delete from account");
  expect(said(await firstStart({ ...first, timeZone: "Nowhere/Else" }))).toMatchObject({
    ok: false,
    fields: { timeZone: expect.stringContaining("Nowhere/Else") },
  });
  const both = await Promise.all([firstStart(first), firstStart({ ...first, signInName: "second" })]);
  expect(both.map((result) => result.ok).sort()).toEqual([false, true]);
  expect(await who()).toMatchObject({ gardenName: "Mine", role: "keeper", personName: "First" });
});
