import { layoutTextInSvg } from "../../src/core/place/layout/svg";
import { said } from "./said";
import type { LayoutDocument } from "../../src/core/place/layout/document";
import { HOUSE, STAND } from "../../src/core/garden/entities/place";
import { demoGarden } from "./demoGarden";
import { formOf } from "./samples/lib";
import type { Runner } from "../../src/server/jobs/runner";
import { signedInAs } from "./request";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

let runner: Runner | undefined;
// Before the connections are closed.
afterAll(() => runner?.stop());
const { rows } = demoGarden(() => signedInAs("ines"));
const place = () => import("../../src/server/place/actions");
const whatIfs = () => import("../../src/server/garden/whatIf/actions");
const bench = () => import("../../src/server/place/benchActions");
const undo = async (act: string | undefined) => (await import("../../src/server/history/actions")).undoAct({ act });

type Row = Record<string, unknown>;
const one = async <T = Row>(sql: string, values: unknown[] = []) => (await rows<T>(sql, values))[0]!;
const standInput = async (name: string) => {
  return (await formOf(rows, STAND, `name = '${name}'`)) as Row & { id: number; spec: Row };
};
const fileOf = async (file: "layout.json" | "layout.svg" | "stands.csv", query = "") => {
  const { GET } = (await import(`../../src/app/(garden)/place/${file}/route`)) as {
    GET: (request: Request) => Promise<Response>;
  };
  return (await GET(new Request(`http://here/place/${file}${query}`))).text();
};
const withSpec = (layout: LayoutDocument, stand: string, change: Row): LayoutDocument =>
  ({
    ...layout,
    stands: layout.stands.map((old) => (old.name === stand ? { ...old, spec: { ...old.spec, ...change } } : old)),
  }) as LayoutDocument;

test("a stand over another or out of its house is refused where it is, and nothing is stored", async () => {
  const leaf = await standInput("Leaf bank");
  const { saveStand, addStands, saveHouse } = await place();
  const over = await saveStand({ ...leaf, xM: 5 });
  expect(said(over)).toMatchObject({ ok: false, status: 400, fields: { xM: "Leaf bank and Beds overlap." } });
  const outside = await saveStand({ ...leaf, yM: 6 });
  expect(said(outside)).toMatchObject({
    ok: false,
    fields: {
      xM: expect.stringContaining(
        "Leaf bank reaches outside the house: it needs 1 m to 7 m along and 6 m to 15.6 m across, the house is 24 m by 12 m",
      ),
    },
  });
  expect(await standInput("Leaf bank")).toEqual(leaf);
  // Of several, one that does not fit keeps all out.
  const before = await one("select count(*) from stand");
  const { id: _id, opened: _opened, typed: _typed, ...bare } = leaf;
  const spec = { ...leaf.spec, lines: 1, lineLengthM: 1 };
  const two = await addStands({
    stands: [
      { ...bare, name: "Fits", xM: 22.5, yM: 0.2, spec },
      { ...bare, name: "Over", xM: 22.6, yM: 0.2, spec },
    ],
  });
  expect(said(two)).toMatchObject({ ok: false, message: "Fits and Over overlap." });
  expect(await one("select count(*) from stand")).toEqual(before);
  const house = await formOf(rows, HOUSE, "name = 'Net house'");
  expect(said(await saveHouse({ ...house, lengthM: 15 }))).toMatchObject({
    ok: false,
    fields: { lengthM: expect.stringContaining("reaches outside the house") },
  });
});

test("measures that contradict one another are told at their field", async () => {
  const { saveStand } = await place();
  const leaf = await standInput("Leaf bank");
  const refused = async (change: Row) => {
    const result = await saveStand({ ...leaf, spec: { ...leaf.spec, ...change } });
    return result.ok ? {} : result.fields;
  };
  expect(await refused({ pitchM: 7 })).toEqual({
    "spec.pitchM": "Pitch, plant to plant is 7 m; it must not be wider than the line is long",
  });
  expect(await refused({ holeMm: 120 })).toEqual({
    "spec.holeMm": "Hole is 120 mm; it must not be wider than the channel",
  });
  expect(await refused({ zones: [{ lengthM: 6, pitchM: 0, weeks: 2 }] })).toEqual({
    "spec.zones.0.pitchM": "Zone pitch is 0 m; it must be from 0.005 to 50 m",
  });
});

test("a layout goes out as JSON and as a drawing and comes in again the same; the stands go out as a table", async () => {
  const text = await fileOf("layout.json");
  const layout = JSON.parse(text) as LayoutDocument;
  expect(layout.stands.map(({ name }) => name)).toContain("Cress pond");
  const svg = await fileOf("layout.svg");
  expect(JSON.parse(layoutTextInSvg(svg)!)).toEqual(layout);
  const { importLayout } = await whatIfs();
  const made = await importLayout({ name: "From the drawing", text: svg });
  expect(made).toMatchObject({ ok: true });
  // The garden as it is changes nothing.
  expect(await rows("select 1 from change_set_row where set_id = $1", [made.ok ? made.value : 0])).toEqual([]);
  const table = (await fileOf("stands.csv")).split("\r\n");
  expect(table[0]).toMatch(/^house,stand,kind,growing_area,loop,x_m,y_m/u);
  expect(table.find((line) => line.includes("Leaf bank"))).toMatch(
    /^Net house,Leaf bank,Channel bank,Leaf bank,Leaf,1,1.2,no,6,9.6,36,24,864,40,15,3,0,86.4$/u,
  );
});

test("a layout file with a fault says what and where, and changes nothing", async () => {
  const { importLayout } = await whatIfs();
  const layout = JSON.parse(await fileOf("layout.json")) as LayoutDocument;
  const before = await one("select count(*) from change_set");
  const faults = async (text: string) => {
    const result = said(await importLayout({ name: "Broken", text }));
    return result.ok ? "taken" : result.fields.text;
  };
  const changed = (change: Row) => JSON.stringify({ ...layout, ...change });
  expect(await faults("{")).toMatch(/^This is not a JSON/u);
  expect(await faults("[]")).toContain('format: A layout file begins with "format": "seed-round-layout".');
  expect(await faults(changed({ version: 3 }))).toBe(
    "version: This file has version 3; this program reads versions 1 and 2.",
  );
  const [first, ...others] = layout.stands;
  expect(await faults(changed({ stands: [{ ...first, house: "Nowhere" }, ...others] }))).toContain(
    `stands[0].house: Germination rack is in “Nowhere”, which is not a house`,
  );
  expect(await faults(changed({ stands: [{ ...first, loop: "Gone", growingArea: "None" }, ...others] }))).toMatch(
    /stands\[0\]\.growingArea.*\nstands\[0\]\.loop: .*not a loop of the garden/u,
  );
  expect(await faults(JSON.stringify(withSpec(layout, "Leaf bank", { pitchM: -1 })))).toMatch(
    /^stands\[\d\]\.spec\.pitchM: Pitch, plant to plant is -1 m; it must be/u,
  );
  expect(await faults(JSON.stringify(withSpec(layout, "Leaf bank", { lineLengthM: 8 })))).toMatch(
    /^stands\[\d\]: Leaf bank and Beds overlap\.$/u,
  );
  expect(await faults(changed({ stands: [...layout.stands, first] }))).toMatch(/two stands called “Germination rack”/u);
  expect(await one("select count(*) from change_set")).toEqual(before);
});

const list = {
  id: null,
  version: null,
  name: "Rails",
  material: "tube",
  sawCutMm: 3,
  trimMm: 0,
  leastOffcutMm: 300,
  objective: "bars",
  usesOffcuts: true,
  stocks: [{ lengthMm: 3000, price: 0 }],
  pieces: [{ lengthMm: 1000, count: 4, label: "rail" }],
};
const jobOf = (id: number) =>
  one<{ state: string; refused: object | null; progress: object | null }>(
    "select state, refused, progress from job where id = $1",
    [id],
  );
beforeAll(async () => {
  const { Runner: Own } = await import("../../src/server/jobs/runner");
  runner = new Own({ lookMs: 50 });
});
/** The job that plans a list, once it has come to its end. */
const planned = async (id: number, version: number) => {
  const asked = await (await bench()).planCuts({ id, version });
  if (!asked.ok) throw new Error(asked.reason.kind);
  for (;;) {
    const job = await jobOf(asked.value);
    if (job.state !== "waiting" && job.state !== "running") return job;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
};

test("cuts are planned in a thread of their own, use the shelf, and what is left over lies there for the next", async () => {
  const { saveCutList, saveOffcut, cutDone } = await bench();
  expect(await saveOffcut({ id: null, version: null, material: "tube", lengthMm: 2100, count: 1 })).toMatchObject({
    ok: true,
  });
  const made = await saveCutList(list);
  if (!made.ok) throw new Error(made.reason.kind);
  expect(await planned(made.value, 1)).toMatchObject({ state: "done" });
  const { version, plan } = await one<{ version: number; plan: { boughtBars: number; proved: boolean } }>(
    "select version, plan from cut_list where id = $1",
    [made.value],
  );
  // Two rails out of the offcut, two out of one bar: 994 mm of it are left.
  expect(plan).toMatchObject({ boughtBars: 1, proved: true });
  const cut = await cutDone({ id: made.value, version });
  expect(cut).toMatchObject({ ok: true, value: 1 });
  const shelf = () => rows("select length_mm, count from offcut where material = 'tube'");
  expect(await shelf()).toEqual([{ length_mm: 994, count: 1 }]);
  expect(await undo(cut.ok ? cut.act : "")).toMatchObject({ ok: true });
  expect(await shelf()).toEqual([{ length_mm: 2100, count: 1 }]);
  // What somebody else used meanwhile is not cut from.
  await rows("delete from offcut where material = 'tube'");
  const again = await one<{ version: number }>("select version from cut_list where id = $1", [made.value]);
  expect(said(await cutDone({ id: made.value, version: again.version }))).toMatchObject({
    ok: false,
    message: expect.stringContaining("there are 0"),
  });
});

test("planning can be stopped, and keeps nothing then", async () => {
  const { saveCutList } = await bench();
  const pieces = Array.from({ length: 40 }, (_, index) => ({ lengthMm: 311 + 37 * index, count: 5, label: "" }));
  const made = await saveCutList({
    ...list,
    name: "Many",
    stocks: [3000, 4000, 6000].map((lengthMm) => ({ lengthMm, price: 0 })),
    pieces,
  });
  if (!made.ok) throw new Error(made.reason.kind);
  const { planCuts } = await bench();
  const { stopJob } = await import("../../src/server/jobs/actions");
  const asked = await planCuts({ id: made.value, version: 1 });
  const job = asked.ok ? asked.value : 0;
  // Asked again, it is the same.
  expect(await planCuts({ id: made.value, version: 1 })).toMatchObject({ value: job });
  const state = async () => (await jobOf(job)).state;
  while ((await state()) === "waiting") await new Promise((resolve) => setTimeout(resolve, 10));
  expect(await stopJob({ id: job })).toMatchObject({ ok: true });
  while ((await state()) === "running") await new Promise((resolve) => setTimeout(resolve, 10));
  expect(await state()).toBe("stopped");
  expect(await one("select plan from cut_list where id = $1", [made.value])).toEqual({ plan: null });
  expect(await stopJob({ id: job })).toMatchObject({ ok: false, status: 404 });
});

test("a list may live from the shelf alone, and a long bar there gives what none on sale does", async () => {
  const { saveCutList, saveOffcut } = await bench();
  const shelfOnly = {
    ...list,
    name: "From the shelf",
    material: "old pipe",
    stocks: [],
    pieces: [{ lengthMm: 4000, count: 3, label: "" }],
  };
  await saveOffcut({ id: null, version: null, material: "old pipe", lengthMm: 4500, count: 2 });
  expect(said(await saveCutList({ ...shelfOnly, usesOffcuts: false }))).toMatchObject({
    ok: false,
    fields: { stocks: expect.stringContaining("Give at least one length") },
  });
  expect(said(await saveCutList({ ...shelfOnly, pieces: [{ lengthMm: 5000, count: 1, label: "" }] }))).toMatchObject({
    ok: false,
    fields: { pieces: "A piece of 5000 mm is longer than any bar on sale or on the shelf gives (4500 mm)." },
  });
  const made = await saveCutList(shelfOnly);
  if (!made.ok) throw new Error(made.reason.kind);
  await planned(made.value, 1);
  const { plan } = await one<{ plan: object }>("select plan from cut_list where id = $1", [made.value]);
  expect(plan).toMatchObject({ boughtBars: 0, uncut: [{ lengthMm: 4000, count: 1 }], proved: false });
});

test("a list that was changed while it was planned keeps no plan for what it was", async () => {
  const { saveCutList } = await bench();
  const made = await saveCutList({ ...list, name: "Moving" });
  if (!made.ok) throw new Error(made.reason.kind);
  expect(await (await bench()).planCuts({ id: made.value, version: 9 })).toMatchObject({ ok: false, status: 409 });
  // Changed between being asked for and being begun.
  const asked = one<{ id: number }>(
    `insert into job (garden_id, person_id, kind, subject, state, worker, lease_until)
     values (1, 1, 'cut-list', jsonb_build_object('id', $1::integer, 'version', 1), 'running', gen_random_uuid(), now() + interval '1 second')
     returning id`,
    [made.value],
  );
  await saveCutList({ ...list, id: made.value, version: 1, name: "Moved" });
  const { id: job } = await asked;
  await rows("update job set lease_until = now() where id = $1", [job]);
  while ((await jobOf(job)).state === "running") await new Promise((resolve) => setTimeout(resolve, 20));
  expect(await jobOf(job)).toMatchObject({ state: "failed", refused: { kind: "stale", by: "Ines Varela" } });
  expect(await one("select plan from cut_list where id = $1", [made.value])).toEqual({ plan: null });
});

test("a cut list says what is wrong with it at its field", async () => {
  const { saveCutList } = await bench();
  const refused = async (change: Row) => {
    const result = said(await saveCutList({ ...list, name: "Wrong", ...change }));
    return result.ok ? {} : result.fields;
  };
  expect(await refused({ sawCutMm: -1 })).toEqual({ sawCutMm: "Saw cut is -1 mm; it must be from 0 to 50 mm" });
  expect(await refused({ pieces: [{ lengthMm: 4000, count: 1, label: "" }] })).toEqual({
    pieces: "A piece of 4000 mm is longer than any bar on sale gives (3000 mm).",
  });
  expect(await refused({ objective: "money" })).toEqual({
    objective: "For the least money every length on sale needs its price.",
  });
  expect(await refused({ stocks: [] })).toEqual({
    stocks: "Give at least one length on sale, or put bars of this material on the shelf.",
  });
  expect(await rows("select 1 from cut_list where name = 'Wrong'")).toEqual([]);
});
