import { Runner } from "../../src/server/jobs/runner";
import { demoGarden } from "./demoGarden";
import { signedInAs } from "./request";
import { said } from "./said";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const { rows } = demoGarden(() => signedInAs("ines"));

/** A list that keeps a thread busy for a while. */
const PIECES = Array.from({ length: 30 }, (_, index) => ({ lengthMm: 311 + 37 * index, count: 5, label: "" }));
const listIn = async (garden: number) =>
  (
    await rows<{ id: number }>(
      `insert into cut_list (garden_id, name, material, saw_cut_mm, trim_mm, least_offcut_mm, objective, uses_offcuts, stocks, pieces)
       values ($1, 'L' || random(), 'tube', 3, 0, 300, 'bars', false, '[{"lengthMm": 3000, "price": 0}, {"lengthMm": 4000, "price": 0}]', $2)
       returning id`,
      [garden, JSON.stringify(PIECES)],
    )
  )[0]!.id;
const jobIn = async (garden: number, more = "") =>
  (
    await rows<{ id: number }>(
      `insert into job (garden_id, person_id, kind, subject ${more && ", state, worker, lease_until, tries"})
       select $1, (select min(id) from person where garden_id = $1), 'cut-list', jsonb_build_object('id', $2::integer, 'version', 1) ${more}
       returning id`,
      [garden, await listIn(garden)],
    )
  )[0]!.id;
const otherGarden = async () => {
  const [garden] = await rows<{ id: number }>("insert into garden (name) values ('Other ' || random()) returning id");
  await rows("insert into person (garden_id, name, role) values ($1, 'Keeper', 'keeper')", [garden!.id]);
  return garden!.id;
};
const state = async (id: number) =>
  (await rows<{ state: string }>("select state from job where id = $1", [id]))[0]!.state;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const until = async (is: () => Promise<boolean>) => {
  while (!(await is())) await pause(20);
};
const running = async () =>
  (await rows<{ garden_id: number }>("select garden_id from job where state = 'running'")).map((job) => job.garden_id);

test("of many jobs asked for in two processes never more than two run, one at most for each garden; all come to an end", async () => {
  const gardens = [1, await otherGarden(), await otherGarden()];
  const jobs: number[] = [];
  for (const garden of [...gardens, ...gardens]) jobs.push(await jobIn(garden));
  const runners = [new Runner({ lookMs: 30 }), new Runner({ lookMs: 30 }), new Runner({ lookMs: 30 })];
  let most = 0;
  await until(async () => {
    const now = await running();
    expect(new Set(now).size).toBe(now.length);
    most = Math.max(most, now.length);
    return (await Promise.all(jobs.map(state))).every((one) => one === "done");
  });
  expect(most).toBe(2);
  expect(
    await rows("select 1 from cut_list where plan is null and id in (select (subject ->> 'id')::int from job)"),
  ).toEqual([]);
  await Promise.all(runners.map((runner) => runner.stop()));
});

test("a job whose worker was killed is found by its lease and begun again; one that never ends is given up in words", async () => {
  const dead = await jobIn(1, ", 'running', gen_random_uuid(), now() + interval '400 milliseconds', 1");
  const hopeless = await jobIn(await otherGarden(), ", 'running', gen_random_uuid(), now() - interval '1 second', 3");
  const runner = new Runner({ lookMs: 30 });
  await until(async () => (await state(hopeless)) === "failed");
  expect(await rows("select refused ->> 'kind' as why from job where id = $1", [hopeless])).toEqual([
    { why: "job-gave-up" },
  ]);
  await until(async () => (await state(dead)) === "done");
  expect(await rows("select tries from job where id = $1", [dead])).toEqual([{ tries: 2 }]);
  await runner.stop();
});

test("a job that is stopped keeps nothing, though it does not look for long; the next one is begun", async () => {
  const { stopJob } = await import("../../src/server/jobs/actions");
  const runner = new Runner({ lookMs: 30, reportMs: 50 });
  const job = await jobIn(1);
  await until(async () => (await rows("select 1 from job where id = $1 and progress is not null", [job])).length > 0);
  expect(await stopJob({ id: job })).toMatchObject({ ok: true });
  // A thread that is asked to stop and does not look is ended.
  await until(async () => (await state(job)) !== "running");
  expect(await state(job)).toBe("stopped");
  const next = await jobIn(1);
  await until(async () => (await state(next)) === "done");
  await runner.stop();
});

test("a thread stops within 200 ms of its next look, stays warm for the next job, and passes on what fails", async () => {
  const { WarmThread } = await import("../../src/server/jobs/thread");
  const thread = new WarmThread();
  const said: unknown[] = [];
  const looking = "../../tests/database/lookingJob.ts";
  const first = thread.work(looking, 100_000, (progress) => said.push(progress));
  await until(async () => said.length > 3);
  const asked = performance.now();
  first.stop();
  expect(await first.ended).toBeNull();
  expect(performance.now() - asked).toBeLessThan(200);
  expect(await thread.work(looking, 3, () => undefined).ended).toEqual({ found: { looked: 3, jobs: 2 } });
  await expect(thread.work(looking, -1, () => undefined).ended).rejects.toThrow("cannot look so often");
  await thread.end();
});

test("a process that ends leaves what it had in hand to the next one", async () => {
  const first = new Runner({ lookMs: 30 });
  const job = await jobIn(1);
  await until(async () => (await state(job)) === "running");
  await first.stop();
  expect(await state(job)).toBe("waiting");
  const second = new Runner({ lookMs: 30 });
  await until(async () => (await state(job)) === "done");
  await second.stop();
});

test("who only looks cannot start one", async () => {
  const { planCuts } = await import("../../src/server/place/benchActions");
  await signedInAs("school");
  expect(said(await planCuts({ id: await listIn(1), version: 1 }))).toMatchObject({ ok: false, status: 403 });
});
