import { Runner } from "../../src/server/jobs/runner";
import { demoGarden } from "./demoGarden";
import { signedInAs } from "./request";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);
jest.setTimeout(240_000);

const { rows } = demoGarden(() => signedInAs("ines"));

const one = async <T>(sql: string, values: unknown[] = []) => (await rows<{ value: T }>(sql, values))[0]!.value;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const open = `batch where garden_id = 1 and sow_day > date '2027-09-06' and not exists
  (select 1 from batch_stage where batch_id = batch.id)`;
const batches = () => rows("select id, sow_day, cells, target_plants from batch where garden_id = 1 order by id");

/** Asks for a season and waits for it; meanwhile something may be done. */
async function planned(meanwhile: () => Promise<unknown> = () => Promise.resolve()) {
  const job = await one<number>(
    `insert into job (garden_id, person_id, kind, subject)
     select 1, min(id), 'season', '{"day": 21063}' from person where garden_id = 1 returning id as value`,
  );
  const runner = new Runner({ lookMs: 30 });
  await meanwhile();
  for (;;) {
    const state = await one<string>("select state as value from job where id = $1", [job]);
    if (state === "done" || state === "failed") break;
    await pause(100);
  }
  await runner.stop();
  return one<number | null>("select set_id as value from season_answer where garden_id = 1");
}

beforeAll(async () => {
  await rows("update season set horizon_days = 60 where garden_id = 1");
  await rows("delete from order_line where garden_id = 1 and id > 4");
  await rows("update order_line set quantity = quantity + 3 where garden_id = 1");
});

test("a season solved while the garden changes leaves what was changed to be settled, and the plan as it is", async () => {
  const id = await one<number>(`select min(id) as value from ${open}`);
  const setId = await planned(async () => {
    await pause(300);
    await rows("update batch set cells = cells + 31, target_plants = target_plants + 30 where id = $1", [id]);
  });
  expect(setId).not.toBeNull();
  const before = await batches();
  const { acceptSeason } = await import("../../src/server/batches/season");
  const touched = await rows(
    "select 1 from change_set_row where set_id = $1 and entity = 'batch' and row_id = $2 and op <> 'add'",
    [setId, id],
  );
  const result = await acceptSeason({ setId, batchIds: null }, "11111111-1111-4111-8111-111111111111");
  // Only where the season changes that very batch is there something to settle.
  expect(result.ok).toBe(touched.length === 0);
  if (!result.ok) expect(await batches()).toEqual(before);
});

test("of two who accept one season at once one has it, the other is told; it is in the plan once", async () => {
  const setId = await planned();
  expect(setId).not.toBeNull();
  const added = await one<number>(
    "select count(*)::integer as value from change_set_row where set_id = $1 and entity = 'batch' and op = 'add'",
    [setId],
  );
  const removed = await one<number>(
    "select count(*)::integer as value from change_set_row where set_id = $1 and entity = 'batch' and op = 'remove'",
    [setId],
  );
  const before = (await batches()).length;
  const { acceptSeason } = await import("../../src/server/batches/season");
  const results = await Promise.all(
    ["22222222-2222-4222-8222-222222222222", "33333333-3333-4333-8333-333333333333"].map((act) =>
      acceptSeason({ setId, batchIds: null }, act),
    ),
  );
  expect(results.map(({ ok }) => ok).sort()).toEqual([false, true]);
  expect(results.find(({ ok }) => !ok)).toMatchObject({ reason: { kind: "nothing-to-adopt" } });
  expect((await batches()).length).toBe(before + added - removed);
});
