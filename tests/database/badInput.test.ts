import fc from "fast-check";
import { METRIC } from "../../src/core/units/dimensions";
import { refusalWords } from "../../src/features/frame/refusalWords";
import type { Action, ActionResult } from "../../src/server/session/result";
import { demoGarden } from "./demoGarden";
import { hostile, paths, put } from "./hostile";
import { signedInAs } from "./request";
import { ROUTES, SAMPLES } from "./samples";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const RUNS = 40;
const SEED = 20270902;

const { rows } = demoGarden(() => signedInAs("ines"));

/** What was tried before may have signed out, or changed the password. */
async function signedInAgain() {
  await rows(
    "update account set password_hash = other.password_hash from account other where account.id = 1 and other.id = 2",
  );
  await signedInAs("ines", "saltcote-yard", true);
}

const changes = async () => (await rows("select count(*) from change where garden_id = 1"))[0]!.count;
const all = Object.entries(SAMPLES).flatMap(([room, actions]) =>
  Object.entries(actions).map(([name, sample]) => [`${room} ${name}`, room, name, sample] as const),
);

test.each(all)("%s refuses what makes no sense, in words, and keeps nothing of it", async (_, room, name, sample) => {
  const action = ((await import(`../../src/server/${room}`)) as Record<string, Action>)[name]!;
  await signedInAgain();
  const input = await sample.input(rows);
  const places = paths(input);
  await fc.assert(
    fc.asyncProperty(fc.nat(places.length - 1), hostile, fc.boolean(), async (place, bad, extra) => {
      const given =
        extra && place === 0 ? { ...(input as object), [String(bad)]: bad } : put(input, places[place]!, bad);
      const before = await changes();
      const result: ActionResult<unknown> = await action(given);
      if (result.ok) return;
      const message = refusalWords(result.reason, METRIC);
      expect(message).toMatch(/\S/u);
      expect(message).not.toMatch(/[a-z]+_[a-z]+_check|syntax error|undefined|\[object/u);
      expect([400, 401, 403, 404, 409, 429]).toContain(result.status);
      expect(await changes()).toBe(before);
    }),
    { numRuns: RUNS, seed: SEED },
  );
});

test.each(Object.keys(ROUTES).filter((path) => path !== "live"))(
  "the route %s answers nonsense in its address without failing",
  async (path) => {
    const { GET } = (await import(`../../src/app/${path}/route`)) as { GET: (request: Request) => Promise<Response> };
    await fc.assert(
      fc.asyncProperty(fc.constantFrom("from", "to", "kind", "search", "layout", "x"), hostile, async (name, bad) => {
        const query = new URLSearchParams([[name, String(bad)]]);
        const answer = await GET(new Request(`http://here/${path}?${query}`));
        expect(answer.status).toBeLessThan(500);
        if (answer.status >= 400) expect(await answer.text()).toMatch(/\S/u);
      }),
      { numRuns: RUNS, seed: SEED },
    );
  },
);
