import { layoutTextInSvg } from "../../src/core/place/layout/svg";
import type { LayoutDocument } from "../../src/core/place/layout/document";
import { demoGarden } from "./demoGarden";
import { signedInAs } from "./request";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);
jest.setTimeout(60_000);

const { rows } = demoGarden(() => signedInAs("ines"));
const place = () => import("../../src/server/place/actions");
const layouts = () => import("../../src/server/place/layoutActions");
const bench = () => import("../../src/server/place/benchActions");
const undo = async (act: string | undefined) => (await import("../../src/server/history/actions")).undoAct({ act });

type Row = Record<string, unknown>;
const one = async <T = Row>(sql: string, values: unknown[] = []) => (await rows<T>(sql, values))[0]!;
const standInput = async (name: string) => {
  const stand = await one(`select id, version, house_id as "houseId", pool_id as "poolId", loop_id as "loopId", name, x_m as "xM", y_m as "yM", turned, spec from stand where garden_id = 1 and name = $1`, [name]); // prettier-ignore
  return stand as Row & { id: number; spec: Row };
};
const fileOf = async (file: "layout.json" | "layout.svg" | "stands.csv", query = "") => {
  const { GET } = (await import(`../../src/app/(garden)/place/${file}/route`)) as { GET: (request: Request) => Promise<Response> }; // prettier-ignore
  return (await GET(new Request(`http://here/place/${file}${query}`))).text();
};
const copy = async (name: string, change: (layout: LayoutDocument) => LayoutDocument = (layout) => layout) => {
  const document = change(JSON.parse(await fileOf("layout.json")) as LayoutDocument);
  const made = await (await layouts()).importLayout({ name, text: JSON.stringify(document) });
  if (!made.ok) throw new Error(made.message);
  return one<{ id: number; version: number }>("select id, version from layout where id = $1", [made.value]);
};
const withSpec = (layout: LayoutDocument, stand: string, change: Row): LayoutDocument =>
  ({ ...layout, stands: layout.stands.map((old) => (old.name === stand ? { ...old, spec: { ...old.spec, ...change } } : old)) }) as LayoutDocument; // prettier-ignore

test("a stand over another or out of its house is refused where it is, and nothing is stored", async () => {
  const leaf = await standInput("Leaf bank");
  const { saveStand, addStands, saveHouse } = await place();
  const over = await saveStand({ ...leaf, xM: 5 });
  expect(over).toMatchObject({ ok: false, status: 400, fields: { xM: "Leaf bank and Beds lie over one another." } });
  const outside = await saveStand({ ...leaf, yM: 6 });
  expect(outside).toMatchObject({ ok: false, fields: { xM: expect.stringContaining("Leaf bank reaches out of the house: it needs 1 m to 7 m along and 6 m to 15.6 m across, the house is 24 m by 12 m") } }); // prettier-ignore
  expect(await standInput("Leaf bank")).toEqual(leaf);
  // Of several, one that does not fit keeps all out.
  const before = await one("select count(*) from stand");
  const { id: _id, version: _version, ...bare } = leaf;
  const spec = { ...leaf.spec, lines: 1, lineLengthM: 1 };
  const two = await addStands({ stands: [{ ...bare, name: "Fits", xM: 22.5, yM: 0.2, spec }, { ...bare, name: "Over", xM: 22.6, yM: 0.2, spec }] }); // prettier-ignore
  expect(two).toMatchObject({ ok: false, message: "Over and Fits lie over one another." });
  expect(await one("select count(*) from stand")).toEqual(before);
  const house = await one(`select id, version, name, length_m as "lengthM", width_m as "widthM", height_m as "heightM", cover, shade_share as "shadeShare", x_m as "xM", y_m as "yM" from house where name = 'Net house'`); // prettier-ignore
  expect(await saveHouse({ ...house, lengthM: 15 })).toMatchObject({ ok: false, fields: { lengthM: expect.stringContaining("reaches out of the house") } }); // prettier-ignore
});

test("measures that contradict one another are told at their field", async () => {
  const { saveStand } = await place();
  const leaf = await standInput("Leaf bank");
  const refused = async (change: Row) => {
    const result = await saveStand({ ...leaf, spec: { ...leaf.spec, ...change } });
    return result.ok ? {} : result.fields;
  };
  expect(await refused({ pitchM: 7 })).toEqual({ "spec.pitchM": "Pitch, plant to plant is 7 m; it must not be wider than the line is long" }); // prettier-ignore
  expect(await refused({ holeMm: 120 })).toEqual({ "spec.holeMm": "Hole is 120 mm; it must not be wider than the channel" }); // prettier-ignore
  expect(await refused({ zones: [{ lengthM: 6, pitchM: 0, weeks: 2 }] })).toEqual({ "spec.zones.0.pitchM": "Zone pitch is 0 m; it must be from 0.005 to 50 m" }); // prettier-ignore
});

test("a layout goes out as JSON and as a drawing and comes in again the same; the stands go out as a table", async () => {
  const text = await fileOf("layout.json");
  const layout = JSON.parse(text) as LayoutDocument;
  expect(layout.stands.map(({ name }) => name)).toContain("Cress pond");
  const svg = await fileOf("layout.svg");
  expect(JSON.parse(layoutTextInSvg(svg)!)).toEqual(layout);
  const { importLayout } = await layouts();
  const made = await importLayout({ name: "From the drawing", text: svg });
  expect(made).toMatchObject({ ok: true });
  const kept = await one<{ document: LayoutDocument }>("select document from layout where name = 'From the drawing'");
  expect({ ...kept.document, name: "" }).toEqual({ ...layout, name: "" });
  const table = (await fileOf("stands.csv")).split("\r\n");
  expect(table[0]).toMatch(/^house,stand,kind,pool,loop,x_m,y_m/u);
  expect(table.find((line) => line.includes("Leaf bank"))).toMatch(/^Net house,Leaf bank,Channel bank,Leaf bank,Leaf,1,1.2,no,6,9.6,36,24,864,40,15,3,0,86.4$/u); // prettier-ignore
});

test("a layout file with a fault says what and where, and changes nothing", async () => {
  const { importLayout } = await layouts();
  const layout = JSON.parse(await fileOf("layout.json")) as LayoutDocument;
  const before = await one("select count(*) from layout");
  const faults = async (text: string) => {
    const result = await importLayout({ name: "Broken", text });
    return result.ok ? "taken" : result.fields.text;
  };
  const changed = (change: Row) => JSON.stringify({ ...layout, ...change });
  expect(await faults("{")).toMatch(/^This is no JSON/u);
  expect(await faults("[]")).toContain('format: A layout file begins with "format": "seed-round-layout".');
  expect(await faults(changed({ version: 2 }))).toBe("version: This file has version 2; this program reads version 1.");
  const [first, ...others] = layout.stands;
  expect(await faults(changed({ stands: [{ ...first, house: "Nowhere" }, ...others] }))).toContain(`stands[0].house: Germination rack stands in “Nowhere”, which is none of the houses`); // prettier-ignore
  expect(await faults(changed({ stands: [{ ...first, loop: "Gone", pool: "None" }, ...others] }))).toMatch(/stands\[0\]\.pool.*\nstands\[0\]\.loop: .*none of the garden's loops/u); // prettier-ignore
  expect(await faults(JSON.stringify(withSpec(layout, "Leaf bank", { pitchM: -1 })))).toMatch(/^stands\[\d\]\.spec\.pitchM: Pitch, plant to plant is -1 m; it must be/u); // prettier-ignore
  expect(await faults(JSON.stringify(withSpec(layout, "Leaf bank", { lineLengthM: 8 })))).toMatch(/^stands\[\d\]: Leaf bank and Beds lie over one another\.$/u); // prettier-ignore
  expect(await faults(changed({ stands: [...layout.stands, first] }))).toMatch(/two stands called “Germination rack”/u);
  expect(await one("select count(*) from layout")).toEqual(before);
});

test("a denser layout is adopted under running batches, as one act that can be taken back", async () => {
  const { adoptLayout } = await layouts();
  const denser = await copy("Denser", (layout) => withSpec(layout, "Leaf bank", { pitchM: 0.2 }));
  const batches = await one("select count(*), sum(target_plants) from batch");
  const adopted = await adoptLayout(denser);
  expect(adopted).toMatchObject({ ok: true, value: { changed: ["Leaf bank, Net house"], added: [], removed: [], displaced: [] } }); // prettier-ignore
  expect((await standInput("Leaf bank")).spec.pitchM).toBe(0.2);
  expect(await one("select count(*), sum(target_plants) from batch")).toEqual(batches);
  expect(await undo(adopted.ok ? adopted.act : "")).toMatchObject({ ok: true });
  expect((await standInput("Leaf bank")).spec.pitchM).toBe(0.25);
});

test("batches that no longer fit are listed and none is lost; a layout put by by others is refused", async () => {
  const { adoptLayout } = await layouts();
  const half = await copy("Half", (layout) => {
    const smaller = withSpec(layout, "Leaf bank", { lines: 18 });
    return { ...smaller, stands: smaller.stands.filter(({ name }) => name !== "Bucket line") };
  });
  const batches = await one("select count(*) from batch");
  const adopted = await adoptLayout(half);
  if (!adopted.ok) throw new Error(adopted.message);
  expect(adopted.value.removed).toEqual(["Bucket line, Net house"]);
  const pools = new Set(adopted.value.displaced.map(({ poolName }) => poolName));
  expect(pools).toEqual(new Set(["Leaf bank", "Bucket line"]));
  for (const { over, plants } of adopted.value.displaced) expect(over).toBeLessThanOrEqual(plants);
  expect(await one("select count(*) from batch")).toEqual(batches);
  expect(await undo(adopted.act)).toMatchObject({ ok: true });
  expect(await one("select count(*) from stand where name = 'Bucket line'")).toEqual({ count: 1 });
  expect(await adoptLayout({ ...half, version: 7 })).toMatchObject({ ok: false, status: 409 });
});

test("stands of a copy are checked as those of the garden are, and the garden stays as it is", async () => {
  const { saveLayoutStand, removeLayoutStand } = await layouts();
  const { id, version } = await copy("Worked on");
  const { houses, stands } = (await one<{ document: LayoutDocument }>("select document from layout where id = $1", [id])).document; // prettier-ignore
  const index = stands.findIndex(({ name }) => name === "Leaf bank");
  const { house, pool: _pool, loop: _loop, ...leaf } = stands[index]!;
  const stand = { ...leaf, id: index + 1, version, houseId: houses.findIndex(({ name }) => name === house) + 1, poolId: 3, loopId: null }; // prettier-ignore
  expect(await saveLayoutStand({ layoutId: id, stand: { ...stand, xM: 5 } })).toMatchObject({ ok: false, fields: { xM: expect.stringContaining("over one another") } }); // prettier-ignore
  expect(await saveLayoutStand({ layoutId: id, stand: { ...stand, xM: 0.5 } })).toMatchObject({ ok: true });
  expect(await saveLayoutStand({ layoutId: id, stand: { ...stand, xM: 0.7 } })).toMatchObject({ ok: false, status: 409 }); // prettier-ignore
  const stale = { layoutId: id, version, id: 1 };
  expect(await removeLayoutStand(stale)).toMatchObject({ ok: false, status: 409 });
  expect(await removeLayoutStand({ ...stale, version: version + 1, id: 99 })).toMatchObject({ ok: false, status: 404 });
  expect(await saveLayoutStand({ layoutId: id, stand: { ...stand, version: version + 1, id: 99, xM: 0.5, name: "Ghost" } })).toMatchObject({ ok: false, status: 404 }); // prettier-ignore
  expect(await removeLayoutStand({ ...stale, version: version + 1 })).toMatchObject({ ok: true });
  const after = (await one<{ document: LayoutDocument }>("select document from layout where id = $1", [id])).document;
  expect(after.stands.map(({ name }) => name)).not.toContain("Germination rack");
  expect(after.stands.find(({ name }) => name === "Leaf bank")!.xM).toBe(0.5);
  expect((await standInput("Leaf bank")).xM).toBe(1);
});

test("houses of a copy are changed, added and taken away in it alone, and a renamed one keeps its stands", async () => {
  const { addLayoutPool, addLayoutStands, adoptLayout, removeLayoutHouse, saveLayoutHouse } = await layouts();
  const { id } = await copy("Larger");
  const now = async () => (await one<{ version: number; document: LayoutDocument }>("select version, document from layout where id = $1", [id])); // prettier-ignore
  const { version, document } = await now();
  const tunnel = { ...document.houses[0]!, id: 1, version };
  expect(tunnel.name).toBe("Tunnel");
  expect(await saveLayoutHouse({ layoutId: id, house: { ...tunnel, lengthM: 3 } })).toMatchObject({ ok: false, fields: { lengthM: expect.stringContaining("reaches out of the house") } }); // prettier-ignore
  expect(await saveLayoutHouse({ layoutId: id, house: { ...tunnel, name: "Net house" } })).toMatchObject({ ok: false, fields: { name: "Another house has this name." } }); // prettier-ignore
  expect(await saveLayoutHouse({ layoutId: id, house: { ...tunnel, name: "Long tunnel", lengthM: 20 } })).toMatchObject({ ok: true }); // prettier-ignore
  expect(await saveLayoutHouse({ layoutId: id, house: tunnel })).toMatchObject({ ok: false, status: 409 });
  expect(await removeLayoutHouse({ layoutId: id, version: version + 1, id: 1 })).toMatchObject({ ok: false, message: "Long tunnel has stands in it: take them away first." }); // prettier-ignore
  expect(await removeLayoutHouse({ layoutId: id, version: version + 1, id: 9 })).toMatchObject({ ok: false, status: 404 }); // prettier-ignore
  const stood = document.stands.filter(({ house }) => house === "Tunnel").length;
  expect((await now()).document.stands.filter(({ house }) => house === "Long tunnel")).toHaveLength(stood);
  // A second tunnel for a pool of its own: both come into the garden when the copy is adopted.
  expect(await saveLayoutHouse({ layoutId: id, house: { ...tunnel, id: null, version: null, name: "Second tunnel", yM: 60 } })).toMatchObject({ ok: true }); // prettier-ignore
  expect(await addLayoutPool({ layoutId: id, pool: { id: null, version: null, name: document.pools[0]!.name, cleaningDays: 1 } })).toMatchObject({ ok: false, fields: { name: "Another pool has this name." } }); // prettier-ignore
  const pool = await addLayoutPool({ layoutId: id, pool: { id: null, version: null, name: "Second leaf", cleaningDays: 2 } }); // prettier-ignore
  const { house: _house, pool: _pool, loop: _loop, ...rack } = document.stands[0]!;
  expect(await addLayoutStands({ layoutId: id, stands: [{ ...rack, name: "Rack", xM: 1, yM: 1, houseId: 4, poolId: pool.ok ? pool.value : 0, loopId: null }] })).toMatchObject({ ok: true }); // prettier-ignore
  const adopted = await adoptLayout({ id, version: (await now()).version });
  expect(adopted).toMatchObject({ ok: true, value: { addedHouses: ["Long tunnel", "Second tunnel"], removedHouses: ["Tunnel"], newPools: ["Second leaf"] } }); // prettier-ignore
  expect(await one("select house.name as house, pool.name as pool from stand join house on house.id = house_id join pool on pool.id = pool_id where stand.name = 'Rack'")).toEqual({ house: "Second tunnel", pool: "Second leaf" }); // prettier-ignore
  expect(await undo(adopted.ok ? adopted.act : "")).toMatchObject({ ok: true });
  expect(await one("select count(*) from house where name = 'Tunnel'")).toEqual({ count: 1 });
});

test("two who add to one copy at once both keep what they added", async () => {
  const { addLayoutStands } = await layouts();
  const { id } = await copy("Shared");
  const { house: _house, pool: _pool, loop: _loop, ...rack } = (await one<{ document: LayoutDocument }>("select document from layout where id = $1", [id])).document.stands[0]!; // prettier-ignore
  const add = (name: string, yM: number) => addLayoutStands({ layoutId: id, stands: [{ ...rack, name, xM: 11, yM, houseId: 1, poolId: 1, loopId: null }] }); // prettier-ignore
  expect(await Promise.all([add("Mine", 4), add("Yours", 5)])).toMatchObject([{ ok: true }, { ok: true }]);
  const { stands } = (await one<{ document: LayoutDocument }>("select document from layout where id = $1", [id])).document; // prettier-ignore
  expect(stands.map(({ name }) => name)).toEqual(expect.arrayContaining(["Mine", "Yours"]));
});

test("a layout whose houses alone differ can be adopted, and says which", async () => {
  const { adoptLayout } = await layouts();
  const wider = await copy("Wider", (layout) => ({ ...layout, houses: layout.houses.map((house) => (house.name === "Tunnel" ? { ...house, widthM: 7 } : house)) })); // prettier-ignore
  const adopted = await adoptLayout(wider);
  expect(adopted).toMatchObject({ ok: true, value: { changedHouses: ["Tunnel"], changed: [], addedHouses: [] } });
  expect(await one("select width_m from house where name = 'Tunnel'")).toEqual({ width_m: 7 });
  expect(await undo(adopted.ok ? adopted.act : "")).toMatchObject({ ok: true });
});

test("a copy is checked against the tank as the garden is", async () => {
  const { layoutHouseViews, layoutRows } = await import("../../src/server/place/layoutViews");
  const { season } = await import("../../src/server/batches/season");
  const { id } = await copy("More channels", (layout) => withSpec(layout, "Leaf bank", { lineLengthM: 7, channelWidthM: 0.17, gapM: 0.02 })); // prettier-ignore
  const worked = await season();
  const { document } = await one<{ document: LayoutDocument }>("select document from layout where id = $1", [id]);
  const views = layoutHouseViews(layoutRows(document, 1, worked.rows.loops), worked).flatMap(({ stands }) => stands);
  const warnings = views.find(({ stand }) => stand.name === "Leaf bank")!.counts.warnings.join();
  // 171 L from the leaf bank, 14 L from the nursery bank and 12 L out of the pump's pipe, into 150 L.
  expect(warnings).toMatch(/198 L run back and the tank of the leaf loop has 150 L of room: it overflows/u);
});

const list = {
  id: null, version: null, name: "Rails", material: "tube", kerfMm: 3, trimMm: 0, leastOffcutMm: 300, objective: "bars", usesOffcuts: true,
  stocks: [{ lengthMm: 3000, price: 0 }], pieces: [{ lengthMm: 1000, count: 4, label: "rail" }],
}; // prettier-ignore
const planned = async (id: number, version: number, stop = new AbortController()) => {
  const { POST } = (await import("../../src/app/(garden)/place/bench/plan/route")) as { POST: (request: Request) => Promise<Response> }; // prettier-ignore
  const request = new Request("http://here/place/bench/plan", { method: "POST", body: JSON.stringify({ id, version }), signal: stop.signal }); // prettier-ignore
  return POST(request);
};

test("cuts are planned in a thread of their own, use the shelf, and what is left over lies there for the next", async () => {
  const { saveCutList, saveOffcut, cutDone } = await bench();
  expect(await saveOffcut({ id: null, version: null, material: "tube", lengthMm: 2100, count: 1 })).toMatchObject({ ok: true }); // prettier-ignore
  const made = await saveCutList(list);
  if (!made.ok) throw new Error(made.message);
  const said = await (await planned(made.value, 1)).text();
  expect(said).toMatch(/"progress"[\s\S]*"done":true/u);
  const { version, plan } = await one<{ version: number; plan: { boughtBars: number; proved: boolean } }>("select version, plan from cut_list where id = $1", [made.value]); // prettier-ignore
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
  expect(await cutDone({ id: made.value, version: again.version })).toMatchObject({ ok: false, message: expect.stringContaining("0 lie there") }); // prettier-ignore
});

test("planning can be stopped, and keeps nothing then", async () => {
  const { saveCutList } = await bench();
  const pieces = Array.from({ length: 40 }, (_, index) => ({ lengthMm: 311 + 37 * index, count: 5, label: "" }));
  const made = await saveCutList({ ...list, name: "Many", stocks: [3000, 4000, 6000].map((lengthMm) => ({ lengthMm, price: 0 })), pieces }); // prettier-ignore
  if (!made.ok) throw new Error(made.message);
  const stop = new AbortController();
  const answer = await planned(made.value, 1, stop);
  const reader = answer.body!.getReader();
  stop.abort();
  await reader.cancel();
  expect(await one("select plan from cut_list where id = $1", [made.value])).toEqual({ plan: null });
});

test("a list may live from the shelf alone, and a long bar there gives what none on sale does", async () => {
  const { saveCutList, saveOffcut } = await bench();
  const shelfOnly = { ...list, name: "From the shelf", material: "old pipe", stocks: [], pieces: [{ lengthMm: 4000, count: 3, label: "" }] }; // prettier-ignore
  await saveOffcut({ id: null, version: null, material: "old pipe", lengthMm: 4500, count: 2 });
  expect(await saveCutList({ ...shelfOnly, usesOffcuts: false })).toMatchObject({ ok: false, fields: { stocks: expect.stringContaining("Give at least one length") } }); // prettier-ignore
  expect(await saveCutList({ ...shelfOnly, pieces: [{ lengthMm: 5000, count: 1, label: "" }] })).toMatchObject({ ok: false, fields: { pieces: "A piece of 5000 mm is longer than any bar on sale or on the shelf gives (4500 mm)" } }); // prettier-ignore
  const made = await saveCutList(shelfOnly);
  if (!made.ok) throw new Error(made.message);
  await (await planned(made.value, 1)).text();
  const { plan } = await one<{ plan: object }>("select plan from cut_list where id = $1", [made.value]);
  expect(plan).toMatchObject({ boughtBars: 0, uncut: [{ lengthMm: 4000, count: 1 }], proved: true });
});

test("a list that was changed while it was planned keeps no plan for what it was", async () => {
  const { saveCutList } = await bench();
  const made = await saveCutList({ ...list, name: "Moving" });
  if (!made.ok) throw new Error(made.message);
  await saveCutList({ ...list, id: made.value, version: 1, name: "Moved" });
  expect(await (await planned(made.value, 1)).text()).toMatch(
    /"problem":"Not saved: Ines Varela changed this meanwhile/u,
  );
  expect(await one("select plan from cut_list where id = $1", [made.value])).toEqual({ plan: null });
});

test("a cut list says what is wrong with it at its field", async () => {
  const { saveCutList } = await bench();
  const refused = async (change: Row) => {
    const result = await saveCutList({ ...list, name: "Wrong", ...change });
    return result.ok ? {} : result.fields;
  };
  expect(await refused({ kerfMm: -1 })).toEqual({ kerfMm: "Kerf of the saw is -1 mm; it must be from 0 to 50 mm" });
  expect(await refused({ pieces: [{ lengthMm: 4000, count: 1, label: "" }] })).toEqual({ pieces: "A piece of 4000 mm is longer than any bar on sale gives (3000 mm)" }); // prettier-ignore
  expect(await refused({ objective: "money" })).toEqual({ objective: "For the least money every length on sale needs its price." }); // prettier-ignore
  expect(await refused({ stocks: [] })).toEqual({
    stocks: "Give at least one length on sale, or put bars of this material on the shelf.",
  });
  expect(await rows("select 1 from cut_list where name = 'Wrong'")).toEqual([]);
});
