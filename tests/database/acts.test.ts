import { access, fresh, freshAccess, RIGHT, who } from "./freshAccess";
import { signedOut } from "./request";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const { rows } = freshAccess();

test("an act asked again under its id is answered again and writes nothing, signed in and before", async () => {
  const { invite } = await import("../../src/server/people/memberActions");
  const { addNote } = await import("../../src/server/round/actions");
  const { join } = await access();
  await fresh();
  const act = "00000000-0000-4000-8000-000000000001";
  const note = { title: "Once", place: "", day: "2027-09-02", note: "" };
  const [first, second] = await Promise.all([addNote(note, act), addNote(note, act)]);
  expect(second).toEqual(first);
  expect(await addNote(note, act)).toEqual(first);
  expect(first).toMatchObject({ ok: true, act });
  expect(await rows("select 1 from log_entry where what ->> 'title' = 'Once'")).toHaveLength(1);
  expect(await addNote({ ...note, title: "Other" }, act)).toMatchObject({ ok: false, status: 409 });
  for (const junk of ["junk", 7, {}, "0".repeat(36)])
    expect(await addNote(note, junk)).toMatchObject({ ok: false, status: 400 });
  // A password that was sent along cannot be guessed from what is kept.
  const { confirmPassword } = await import("../../src/server/people/accountActions");
  expect(await confirmPassword({ password: RIGHT.password })).toMatchObject({ ok: true });
  expect(
    await rows("select 1 from act where input_hash = sha256($1::bytea)", [
      JSON.stringify({ password: RIGHT.password }),
    ]),
  ).toEqual([]);
  await rows("update act set at = now() - interval '91 days'");
  expect(await addNote({ ...note, title: "Much later" })).toMatchObject({ ok: true });
  expect(await rows("select 1 from act")).toHaveLength(1);
  // What was refused is tried again: it may be right by now.
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
  await rows("update access_act set at = now() - interval '16 minutes'");
  expect(await join(helper, joining)).toMatchObject({ ok: false, status: 404 });
});
