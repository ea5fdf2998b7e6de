import type { ActionResult, Refusal } from "../../src/server/session/result";
import { said } from "./said";
import { demoGarden } from "./demoGarden";
import { signedInAs } from "./request";
import { SAMPLES } from "./samples";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const { rows } = demoGarden();

const sample = async (room: string, name: string) =>
  (await SAMPLES[room]![name]!.input(rows)) as Record<string, unknown>;
const place = () => import("../../src/server/place/actions");
const actOf = (result: ActionResult<unknown>) => (result as { act: string }).act;

test("each change keeps who, when, before and after", async () => {
  await signedInAs("tomas");
  const { saveHouse } = await place();
  const house = await sample("place/actions", "saveHouse");
  const saved = await saveHouse({ ...house, heightM: 2.7 });
  expect(saved).toMatchObject({ ok: true });
  const found = await rows(
    `select name as by, table_name, before ->> 'height_m' as before, after ->> 'height_m' as after, at = '2027-09-02T12:00:00Z' as now
       from change join person on person.id = person_id where act = $1`,
    [actOf(saved)],
  );
  expect(found).toEqual([{ by: "Tomas Lind", table_name: "house", before: "2.6", after: "2.7", now: true }]);
});

test("of two saves of one field the later is refused and says who was first; other fields both hold, and are told", async () => {
  const { saveGrowingArea } = await place();
  const growingArea = await sample("place/actions", "saveGrowingArea");
  const now = () => rows("select name, cleaning_days from growing_area where id = $1", [growingArea.id]);
  await signedInAs("oke");
  expect(await saveGrowingArea({ ...growingArea, cleaningDays: 3 })).toMatchObject({ ok: true });
  await signedInAs("ines");
  const late = (await saveGrowingArea({ ...growingArea, cleaningDays: 4 })) as Refusal;
  expect(late).toMatchObject({ ok: false, status: 409, stale: { by: "Oke Adeyi" } });
  expect(await now()).toEqual([{ name: growingArea.name, cleaning_days: 3 }]);
  expect(await saveGrowingArea({ ...growingArea, name: "Renamed" })).toMatchObject({
    ok: true,
    also: { by: "Oke Adeyi", fields: ["Cleaning between crops"] },
  });
  expect(await now()).toEqual([{ name: "Renamed", cleaning_days: 3 }]);
  const opened = { name: "Renamed", cleaningDays: 3 };
  expect(await saveGrowingArea({ ...growingArea, ...opened, opened, cleaningDays: 4 })).toMatchObject({ ok: true });
});

test("a form over a row that is gone is told so, and two rows exchange their names in one act", async () => {
  const { saveHouse, removeHouse } = await place();
  await signedInAs("ines");
  const { id: _id, ...shed } = await sample("place/actions", "saveHouse");
  const made = await saveHouse({ ...shed, id: null, opened: null, name: "Shed", yM: 70 });
  const id = (made as { value: number }).value;
  expect(await removeHouse({ id })).toMatchObject({ ok: true });
  expect(said(await saveHouse({ ...shed, id, name: "Shed", yM: 80 }))).toMatchObject({ ok: false, status: 404 });
  const { changeGarden } = await import("../../src/server/garden/change");
  const { onBehalf } = await import("../../src/server/session/onBehalf");
  const { session } = await import("../../src/server/session/session");
  const who = await session();
  const names = async () =>
    (await rows<{ name: string }>("select name from growing_area where id < 3 order by id")).map(({ name }) => name);
  const [first, second] = (await names()) as [string, string];
  const swap = (a: string, b: string) =>
    onBehalf({ gardenId: 1, personId: 1 }, (db) =>
      changeGarden(db, who, {
        growing_area: { added: {}, removed: {}, updated: { 1: { name: [a, b] }, 2: { name: [b, a] } } },
      }),
    );
  await swap(first, second);
  expect(await names()).toEqual([second, first]);
  await swap(second, first);
});

test("two saves at the very same moment: one is kept, the other refused", async () => {
  const { saveGrowingArea } = await place();
  await signedInAs("ines");
  const growingArea = await sample("place/actions", "saveGrowingArea");
  const both = await Promise.all([
    saveGrowingArea({ ...growingArea, cleaningDays: 5 }),
    saveGrowingArea({ ...growingArea, cleaningDays: 6 }),
  ]);
  expect(both.map((result) => result.ok).sort()).toEqual([false, true]);
});

test("an act is undone whole, once, and only while its rows are as it left them", async () => {
  const { saveVariety } = await import("../../src/server/growth/actions");
  const { undoAct } = await import("../../src/server/history/actions");
  await signedInAs("tomas");
  const variety = await sample("growth/actions", "saveVariety");
  const stages = variety.stages as object[];
  const whole = () =>
    rows(
      "select to_jsonb(variety) as variety, (select jsonb_agg(to_jsonb(s) order by position) from variety_stage s where s.variety_id = variety.id) as stages from variety where id = $1",
      [variety.id],
    );
  const before = await whole();
  const saved = await saveVariety({ ...variety, name: "Shorter", stages: stages.slice(0, 1) });
  expect(await whole()).not.toEqual(before);
  expect(await undoAct({ act: actOf(saved) })).toMatchObject({ ok: true });
  expect(await whole()).toEqual(before);
  expect(await undoAct({ act: actOf(saved) })).toMatchObject({ ok: false, status: 409 });

  const again = await saveVariety({ ...variety, crop: "other" });
  await rows("update variety set crop = 'boxes' where id = $1", [variety.id]);
  expect(said(await undoAct({ act: actOf(again) }))).toMatchObject({
    ok: false,
    message: expect.stringContaining("changed again since"),
  });
});

test("what is saved as it was leaves nothing to undo, and says so by naming no act", async () => {
  const { saveVariety } = await import("../../src/server/growth/actions");
  await signedInAs("tomas");
  const variety = await sample("growth/actions", "saveVariety");
  const act = "00000000-0000-4000-8000-000000000005";
  const unchanged = await saveVariety(variety, act);
  expect(unchanged).toMatchObject({ ok: true });
  expect([unchanged, await saveVariety(variety, act)]).not.toContainEqual(expect.objectContaining({ act }));
});

test("what was removed comes back; what has been used since is not taken away", async () => {
  const { addBatches, removeBatches } = await import("../../src/server/batches/actions");
  const { undoAct } = await import("../../src/server/history/actions");
  await signedInAs("tomas");
  const [standing] = await rows<{ id: number }>(
    "select batch.id from batch join batch_stage on batch_id = batch.id group by batch.id having count(*) = 2 order by 1 limit 1",
  );
  const stages = () => rows("select position, plants from batch_stage where batch_id = $1 order by 1", [standing!.id]);
  const before = await stages();
  const removed = await removeBatches({ ids: [standing!.id] });
  expect(await stages()).toEqual([]);
  expect(await undoAct({ act: actOf(removed) })).toMatchObject({ ok: true });
  expect(await stages()).toEqual(before);
  const added = await addBatches({ batches: [{ varietyId: 1, sowDay: "2027-10-04", cells: 9, targetPlants: 8 }] });
  await rows(
    "insert into batch_stage (garden_id, batch_id, position, begun_on, plants) values (1, $1, 0, '2027-10-04', 9)",
    (added as { value: number[] }).value,
  );
  expect(said(await undoAct({ act: actOf(added) }))).toMatchObject({
    ok: false,
    message: expect.stringContaining("used since"),
  });
});

test("the history is shown by person, batch and place, and an undone act says so", async () => {
  const { historyView } = await import("../../src/server/history/view");
  const { season } = await import("../../src/server/garden/season");
  const { onBehalf } = await import("../../src/server/session/onBehalf");
  const view = async (asked: object) =>
    onBehalf({ gardenId: 1 }, async (db) => historyView(db, 1, asked, (await season()).garden));
  const [oke] = await rows<{ id: number }>("select id from person where name = 'Oke Adeyi'");
  const byOke = await view({ person: oke!.id });
  expect(new Set(byOke.acts.map(({ personName }) => personName))).toEqual(new Set(["Oke Adeyi"]));
  const [house] = (await view({ house: 1 })).acts;
  expect(house).toMatchObject({
    personName: "Tomas Lind",
    canUndo: true,
    changes: [
      {
        table: "house",
        before: expect.objectContaining({ name: "Tunnel", height_m: 2.6 }),
        after: expect.objectContaining({ height_m: 2.7 }),
      },
    ],
  });
  const [batch] = await rows<{ id: number }>("select id from batch where garden_id = 1 order by id desc limit 1");
  for (const act of (await view({ batch: batch!.id })).acts)
    for (const change of act.changes) expect(change.table).toMatch(/^batch/u);
  const undone = (await view({})).acts.filter((act) => act.undone);
  expect(undone.length).toBeGreaterThanOrEqual(2);
  expect(undone.every(({ canUndo }) => !canUndo)).toBe(true);
});
