import pg from "pg";
import { demoGarden } from "./demoGarden";
import { signedInAs } from "./request";

/** What the framework remembers for one request. */
const request = new Map<unknown, unknown>();
jest.mock("react", () => ({
  ...jest.requireActual<object>("react"),
  cache:
    <T>(work: () => T) =>
    () => {
      if (!request.has(work)) request.set(work, work());
      return request.get(work);
    },
}));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

demoGarden(() => signedInAs("ines"));
beforeEach(() => request.clear());

/** What a page of the garden reads, its parts beside one another as the framework makes them. */
async function page() {
  const { stationSigns } = await import("../../src/server/round/signs");
  const { todayRound } = await import("../../src/server/round/today");
  const { season } = await import("../../src/server/garden/season");
  const { readCached } = await import("../../src/server/session/read");
  const { members } = await import("../../src/server/people/queries");
  return Promise.all([
    stationSigns(),
    todayRound(),
    season(),
    readCached("members", (db, who) => members(db, who.gardenId)),
  ]);
}

test("a page holds one connection at a time", async () => {
  const { pool } = await import("../../src/server/db/pool");
  const { read } = await import("../../src/server/session/read");
  const held: number[] = [];
  const look = () =>
    read(async (db) => {
      held.push(pool().totalCount - pool().idleCount);
      await db.query("select pg_sleep(0.01)");
      // Read within a reading, it uses the same connection.
      await read(async (inner) => void (await inner.query("select 1")));
      held.push(pool().totalCount - pool().idleCount);
    });
  await Promise.all([look(), look(), look(), look()]);
  expect(held).toEqual(Array.from({ length: 8 }, () => 1));
});

test("a page of a garden that has not moved asks one question; one that has moved is read again", async () => {
  const { addNote } = await import("../../src/server/round/actions");
  const asked = jest.spyOn(pg.Client.prototype, "query");
  const questions = async (): Promise<string[]> => {
    request.clear();
    asked.mockClear();
    await page();
    return asked.mock.calls
      .map(([text]) => String(text))
      .filter((text) => !/^(begin|commit)|set_config/u.test(text.trim()));
  };
  await page();
  expect(await questions()).toEqual([expect.stringContaining("from enter(")]);
  request.clear();
  expect(await addNote({ title: "It moved", place: "", day: "2027-09-02", note: "" })).toMatchObject({ ok: true });
  // A note moves the round, not the season.
  const again = await questions();
  expect(again.length).toBeGreaterThan(1);
  expect(again.join("\n")).not.toContain("from batch");
  expect(await questions()).toHaveLength(1);
  asked.mockRestore();
});
