import { access, fresh, freshAccess, who } from "./freshAccess";
import { said } from "./said";
import { signedOut } from "./request";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const { rows, resetLinkFor } = freshAccess();

test("a second factor: asked for at the access, each step once, by the real clock, not switched off by a link or a new secret", async () => {
  const { beginFactor, renewRecoveryCodes, switchFactorOff, switchFactorOn } =
    await import("../../src/server/people/accountActions");
  const { resetPassword, signIn } = await access();
  const { generate } = await import("otplib");
  const seconds = () => Math.floor(Date.now() / 1000);
  signedOut();
  await signIn({ signInName: "tomas", password: "saltcote-yard" });
  const { secret, picture } = ((await beginFactor({})) as { value: { secret: string; picture: string } }).value;
  expect(picture).toMatch(/^<svg/u);
  // The garden's clock is in 2027; the phone's is not.
  const codeOf = (steps: number) => generate({ secret, epoch: seconds() + 30 * steps });
  expect(
    said(await switchFactorOn({ code: await generate({ secret, epoch: Date.parse("2027-09-02T12:00:00Z") / 1000 }) })),
  ).toMatchObject({ ok: false, fields: { code: expect.any(String) } });
  const on = (await switchFactorOn({ code: await codeOf(-1) })) as { value: string[] };
  expect(on.value).toHaveLength(10);
  expect(JSON.stringify(await rows("select * from recovery_code, second_factor, act"))).not.toMatch(
    new RegExp([...on.value, secret].join("|"), "u"),
  );
  signedOut();
  const tomas = { signInName: "tomas", password: "saltcote-yard" };
  expect(said(await signIn(tomas))).toMatchObject({ ok: false, status: 401, fields: { code: expect.any(String) } });
  expect(said(await signIn({ ...tomas, code: await codeOf(-1) }))).toMatchObject({
    ok: false,
    fields: { code: expect.stringContaining("used already") },
  });
  const once = await codeOf(0);
  expect(await signIn({ ...tomas, code: once })).toMatchObject({ ok: true });
  expect(await signIn({ ...tomas, code: once })).toMatchObject({ ok: false });
  // A new secret for the cookies ends sessions, not the factor.
  process.env.SEED_ROUND_SECRET = "n".repeat(48);
  expect(await who()).toBeNull();
  expect(said(await signIn(tomas))).toMatchObject({ ok: false, fields: { code: expect.any(String) } });
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
  expect(said(await signIn(renewed))).toMatchObject({ ok: false, fields: { code: expect.any(String) } });
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
  // All of it is listed for the keepers.
  const kinds = await rows(
    "select kind from access_event where account_id = (select id from account where sign_in_name = 'tomas') order by id",
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
