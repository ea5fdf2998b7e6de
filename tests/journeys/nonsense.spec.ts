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
  const [{ id, name, cleaningDays }] = (await garden.rows<{ id: number; name: string; cleaningDays: number }>(
    'select id, name, cleaning_days as "cleaningDays" from growing_area order by id limit 1',
  )) as [{ id: number; name: string; cleaningDays: number }];
  const opened = { name, cleaningDays };
  expect(await call("saveGrowingArea", { id, opened, cleaningDays, name: "2027-02-30" })).toMatchObject({ ok: true });
  const page = await get("/people/history");
  expect(page.status).toBe(200);
  expect(await page.text()).toContain("2027-02-30");
});
