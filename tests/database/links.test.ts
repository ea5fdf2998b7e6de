import { access, fresh, freshAccess, SECOND_GARDEN, who } from "./freshAccess";
import { said } from "./said";
import { signedOut, withHeaders } from "./request";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const { rows, idOf, invitedAs, resetLinkFor } = freshAccess();

test("an invitation lets one person in, once, as what it says; a withdrawn or old one nobody", async () => {
  const { invite, withdrawInvitation } = await import("../../src/server/people/memberActions");
  const { join } = await access();
  const somebody = { name: "New Helper", signInName: "newcomer", password: "a long enough word" };
  await fresh();
  const key = ((await invite({ role: "helper", days: 3 })) as { value: string }).value;
  expect(JSON.stringify(await rows("select * from invitation"))).not.toContain(key);
  signedOut();
  expect(said(await join({ key, ...somebody, name: "Tomas Lind" }))).toMatchObject({
    ok: false,
    fields: { name: "Another member has this name." },
  });
  expect(await rows("select 1 from account where sign_in_name = 'newcomer'")).toEqual([]);
  expect(await join({ key, ...somebody })).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({ personName: "New Helper", role: "helper", gardenId: 1 });
  expect(await join({ key, ...somebody, name: "Second", signInName: "second" })).toMatchObject({
    ok: false,
    status: 404,
  });
  await fresh();
  const other = ((await invite({ role: "keeper", days: 1 })) as { value: string }).value;
  const [open] = await rows<{ id: number }>("select id from invitation where used_at is null");
  await withdrawInvitation({ id: open!.id });
  expect(await join({ key: other, ...somebody, signInName: "third" })).toMatchObject({ ok: false, status: 404 });
  const third = ((await invite({ role: "viewer", days: 1 })) as { value: string }).value;
  await rows("update invitation set expires_at = now() - interval '1 minute'");
  expect(await join({ key: third, ...somebody, signInName: "fourth" })).toMatchObject({ ok: false, status: 404 });
});

test("an invitation dies with its maker's right, and who left comes back to the old place with the old account", async () => {
  const { endMembership, setRole } = await import("../../src/server/people/memberActions");
  const { join, joinSignedIn, signIn } = await access();
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
  const { join } = await access();
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
  const { joinSignedIn, resetPassword, signIn } = await access();
  expect(await makeGarden(SECOND_GARDEN)).toMatchObject({ ok: true });
  expect(await who()).toMatchObject({
    gardenName: "Second yard",
    role: "keeper",
    units: { system: "us", temperature: "°F" },
  });
  const key = await invitedAs("grower");
  await switchGarden({ gardenId: 1 });
  expect(await who()).toMatchObject({ gardenName: "Saltcote Yard", role: "keeper" });
  // Made while Priya was a member of one garden; by the time it is used she is a member of two.
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
  expect(said(await resetLinkFor("Priya Sen"))).toMatchObject({
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
