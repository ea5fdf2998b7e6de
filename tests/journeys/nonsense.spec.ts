import { fuzz } from "../../scripts/fuzz/fuzz";
import { callerIn, expect, test } from "./garden";

const CALLS = 400;

test("nonsense over HTTP is answered in words, never with a 5xx, and every page opens afterwards", async ({
  garden,
}) => {
  const { faults, pagesOpened } = await fuzz({
    url: garden.url,
    rows: garden.rows as never,
    calls: CALLS,
    seed: 20_270_902,
  });
  expect(faults).toEqual([]);
  expect(pagesOpened).toBeGreaterThan(20);
});

test("a name that looks like a day does not shut the history", async ({ garden }) => {
  const { call, get } = await callerIn(garden, "ines");
  const [pool] = await garden.rows<Record<string, unknown>>(
    'select id, version, cleaning_days as "cleaningDays" from pool order by id limit 1',
  );
  expect(await call("savePool", { ...pool, name: "2027-02-30" })).toMatchObject({ ok: true });
  const page = await get("/people/history");
  expect(page.status).toBe(200);
  expect(await page.text()).toContain("2027-02-30");
});
