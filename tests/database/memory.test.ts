import type { ActionResult, Refusal } from "../../src/server/session/result";
import { METRIC } from "../../src/core/units/dimensions";
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

test("the later of two saves is refused, says who was first, and nothing of it is kept", async () => {
  const { savePool } = await place();
  const pool = await sample("place/actions", "savePool");
  await signedInAs("oke");
  expect(await savePool({ ...pool, cleaningDays: 3 })).toMatchObject({ ok: true });
  await signedInAs("ines");
  const late = (await savePool({ ...pool, name: "Renamed" })) as Refusal;
  expect(late).toMatchObject({ ok: false, status: 409, stale: { by: "Oke Adeyi" } });
  expect(await rows("select name, cleaning_days from pool where id = $1", [pool.id])).toEqual([{ name: pool.name, cleaning_days: 3 }]); // prettier-ignore
  expect(await savePool({ ...pool, name: "Renamed", cleaningDays: 3, version: late.stale!.version })).toMatchObject({ ok: true }); // prettier-ignore
});

test("two saves at the very same moment: one is kept, the other refused", async () => {
  const { savePool } = await place();
  await signedInAs("ines");
  const pool = await sample("place/actions", "savePool");
  const both = await Promise.all([savePool({ ...pool, cleaningDays: 5 }), savePool({ ...pool, cleaningDays: 6 })]);
  expect(both.map((result) => result.ok).sort()).toEqual([false, true]);
});

test("an act is taken back whole, once, and only while its rows stand as it left them", async () => {
  const { saveVariety } = await import("../../src/server/growth/actions");
  const { undoAct } = await import("../../src/server/history/actions");
  await signedInAs("tomas");
  const variety = await sample("growth/actions", "saveVariety");
  const stages = variety.stages as object[];
  const whole = () => rows("select to_jsonb(variety) - 'version' as variety, (select jsonb_agg(to_jsonb(s) order by position) from variety_stage s where s.variety_id = variety.id) as stages from variety where id = $1", [variety.id]); // prettier-ignore
  const before = await whole();
  const saved = await saveVariety({ ...variety, name: "Shorter", stages: stages.slice(0, 1) });
  expect(await whole()).not.toEqual(before);
  expect(await undoAct({ act: actOf(saved) })).toMatchObject({ ok: true });
  expect(await whole()).toEqual(before);
  expect(await undoAct({ act: actOf(saved) })).toMatchObject({ ok: false, status: 409 });

  const again = await saveVariety({ ...variety, version: (variety.version as number) + 2, crop: "other" });
  await rows("update variety set unit = 'boxes' where id = $1", [variety.id]);
  expect(await undoAct({ act: actOf(again) })).toMatchObject({ ok: false, message: expect.stringContaining("changed again since") }); // prettier-ignore
});

test("what was removed comes back; what has been used since is not taken away", async () => {
  const { addBatches, removeBatches } = await import("../../src/server/batches/actions");
  const { undoAct } = await import("../../src/server/history/actions");
  await signedInAs("tomas");
  const [standing] = await rows<{ id: number }>("select batch.id from batch join batch_stage on batch_id = batch.id group by batch.id having count(*) = 2 order by 1 limit 1"); // prettier-ignore
  const stages = () => rows("select position, plants from batch_stage where batch_id = $1 order by 1", [standing!.id]);
  const before = await stages();
  const removed = await removeBatches({ ids: [standing!.id] });
  expect(await stages()).toEqual([]);
  expect(await undoAct({ act: actOf(removed) })).toMatchObject({ ok: true });
  expect(await stages()).toEqual(before);
  const added = await addBatches({ batches: [{ varietyId: 1, sowDay: "2027-10-04", cells: 9, targetPlants: 8 }] });
  await rows("insert into batch_stage (garden_id, batch_id, position, begun_on, plants) values (1, $1, 0, '2027-10-04', 9)", (added as { value: number[] }).value); // prettier-ignore
  expect(await undoAct({ act: actOf(added) })).toMatchObject({ ok: false, message: expect.stringContaining("used since") }); // prettier-ignore
});

test("the history is shown by person, batch and place, and an undone act says so", async () => {
  const { historyView } = await import("../../src/server/history/view");
  const { season } = await import("../../src/server/batches/season");
  const { onBehalf } = await import("../../src/server/session/onBehalf");
  const view = async (asked: object) => onBehalf({ gardenId: 1 }, async (db) => historyView(db, 1, asked, (await season()).rows, METRIC)); // prettier-ignore
  const [oke] = await rows<{ id: number }>("select id from person where name = 'Oke Adeyi'");
  const byOke = await view({ person: oke!.id });
  expect(new Set(byOke.acts.map(({ personName }) => personName))).toEqual(new Set(["Oke Adeyi"]));
  const [house] = (await view({ house: 1 })).acts;
  expect(house).toMatchObject({
    personName: "Tomas Lind",
    canUndo: true,
    changes: [{ does: "changed", title: "House Tunnel", parts: [{ label: "height", before: { value: 2.6, dimension: "length" }, after: { value: 2.7 } }] }],
  }); // prettier-ignore
  const [batch] = await rows<{ id: number }>("select id from batch where garden_id = 1 order by id desc limit 1");
  for (const act of (await view({ batch: batch!.id })).acts)
    for (const change of act.changes) expect(change.title).toMatch(/^Batch of|: stage/u);
  const undone = (await view({})).acts.filter((act) => act.undone);
  expect(undone.length).toBeGreaterThanOrEqual(2);
  expect(undone.every(({ canUndo }) => !canUndo)).toBe(true);
});
