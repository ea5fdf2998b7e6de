import type { Row } from "../../src/core/garden/changes";
import { HOUSE, STAND } from "../../src/core/garden/entities/place";
import { LOOP } from "../../src/core/garden/entities/water";
import type { LayoutDocument } from "../../src/core/place/layout/document";
import type { ActionResult } from "../../src/server/session/result";
import { demoGarden } from "./demoGarden";
import { signedInAs, withHeaders } from "./request";
import { said } from "./said";
import { formOf } from "./samples/lib";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const { rows } = demoGarden(() => signedInAs("ines"));
const place = () => import("../../src/server/place/actions");
const water = () => import("../../src/server/water/actions");
const sets = () => import("../../src/server/garden/whatIf/actions");
const undo = async (act: string | undefined) => (await import("../../src/server/history/actions")).undoAct({ act });

const valueOf = <Value>(result: ActionResult<Value>): Value => {
  if (!result.ok) throw new Error(JSON.stringify(result.reason));
  return result.value;
};
const actOf = (result: ActionResult<unknown>) => (result.ok ? result.act : undefined);

/** What a page of a what-if sends goes into it; null is the garden itself. */
const onPageOf = (whatIf: number | null) =>
  withHeaders({ "x-seed-round-path": whatIf === null ? "/place" : `/place?whatif=${whatIf}` });
const added = async (name: string) => valueOf(await (await sets()).addWhatIf({ name, purpose: "" })) as number;
const view = async (id: number) => {
  const { whatIfView } = await import("../../src/server/garden/whatIf/view");
  const { onBehalf } = await import("../../src/server/session/onBehalf");
  const { session } = await import("../../src/server/session/session");
  const who = await session();
  return onBehalf(who, (db) => whatIfView(db, who, id), { readOnly: true });
};
const leafBank = () => formOf(rows, STAND, "name = 'Leaf bank'");
const plan = () =>
  rows(`select 'stand' as what, id, to_jsonb(stand) as row from stand union all select 'house', id, to_jsonb(house) from house
        union all select 'loop', id, to_jsonb(loop) from loop order by 1, 2`);

beforeEach(async () => {
  onPageOf(null);
  await signedInAs("ines");
});

test("what is changed on a page of a what-if stays in it; adopted, undone and adopted again, rows keep their ids", async () => {
  const before = await plan();
  const id = await added("Bigger pump, one bench more");
  onPageOf(id);
  const leaf = await leafBank();
  expect(await (await place()).saveStand({ ...leaf, xM: 1.5 })).toMatchObject({ ok: true });
  const loop = await formOf(rows, LOOP, "name = 'Leaf'");
  const pump = { ...(loop.pump as Row), highestOutletM: 1.5 };
  expect(await (await water()).saveLoop({ ...loop, pump })).toMatchObject({ ok: true });
  const house = valueOf(
    await (await place()).saveHouse({ ...(await formOf(rows, HOUSE)), id: null, opened: null, name: "Shed", yM: 90 }),
  );
  // Seen in it, a stand goes into the house that it added.
  const { id: _id, opened: _opened, typed: _typed, ...bare } = leaf;
  const rack = {
    ...bare,
    name: "Bench",
    houseId: house,
    xM: 0,
    yM: 0,
    spec: { ...(leaf.spec as Row), lines: 2, lineLengthM: 2 },
  };
  const [bench] = valueOf(await (await place()).addStands({ stands: [rack] }));
  expect(await plan()).toEqual(before);

  onPageOf(null);
  const adopted = await (await sets()).adoptWhatIf({ id, rows: null });
  expect(adopted).toMatchObject({ ok: true });
  const after = await plan();
  expect(after).toHaveLength(before.length + 2);
  expect(await rows("select id, house_id from stand where name = 'Bench'")).toEqual([{ id: bench, house_id: house }]);
  expect(said(await (await sets()).adoptWhatIf({ id, rows: null }))).toMatchObject({
    ok: false,
    message: expect.stringContaining("in the garden already"),
  });
  const undone = await undo(actOf(adopted));
  expect(undone).toMatchObject({ ok: true });
  expect(await plan()).toEqual(before);
  expect(await undo(actOf(undone))).toMatchObject({ ok: true });
  expect(await plan()).toEqual(after);
  expect(await undo(actOf(await redone(id)))).toMatchObject({ ok: false });
});

/** Adopting what is adopted already is refused, and has no act. */
const redone = async (id: number) => (await sets()).adoptWhatIf({ id, rows: null });

test("it follows the garden: other fields both hold, the same field is settled one way or the other", async () => {
  const id = await added("Follows");
  onPageOf(id);
  const leaf = await leafBank();
  const { saveStand } = await place();
  const x = leaf.xM as number;
  await saveStand({ ...leaf, xM: x + 0.2, name: "Leaf bank moved" });
  await signedInAs("oke");
  onPageOf(null);
  await saveStand({ ...leaf, xM: x + 0.1, turned: false, yM: (leaf.yM as number) + 0.1 });
  await signedInAs("ines");
  const { chosen } = await view(id);
  expect(chosen!.conflicts).toMatchObject([{ entity: "stand", rowId: leaf.id, kind: "changed", field: "xM" }]);
  expect(chosen!.rows.map(({ change }) => change.after!.name)).toEqual(["Leaf bank moved"]);
  expect(said(await (await sets()).adoptWhatIf({ id, rows: null }))).toMatchObject({
    ok: false,
    message: expect.stringContaining("settle that on the What if sheet first"),
  });
  const settle = { id, entity: "stand", rowId: leaf.id, field: "xM" };
  expect(await (await sets()).settleWhatIf({ ...settle, as: "mine" })).toMatchObject({ ok: true });
  expect((await view(id)).chosen!.conflicts).toEqual([]);
  const adopted = await (await sets()).adoptWhatIf({ id, rows: null });
  expect(adopted).toMatchObject({ ok: true });
  expect(await rows("select name, round(x_m::numeric, 3)::float as x from stand where id = $1", [leaf.id])).toEqual([
    { name: "Leaf bank moved", x: Number((x + 0.2).toFixed(3)) },
  ]);
  await undo(actOf(adopted));
});

test("of a row that was deleted in the garden only leaving it out is left; a what-if that deletes one that was changed asks", async () => {
  const { saveHouse, removeHouse } = await place();
  const bare = { ...(await formOf(rows, HOUSE)), id: null, opened: null };
  const first = valueOf(await saveHouse({ ...bare, name: "First shed", yM: 100 }));
  const second = valueOf(await saveHouse({ ...bare, name: "Second shed", yM: 120 }));
  const id = await added("Sheds");
  onPageOf(id);
  const open = (house: number) => formOf(rows, HOUSE, `id = ${house}`);
  await saveHouse({ ...(await open(first)), heightM: 2.9 });
  await removeHouse({ id: second });
  onPageOf(null);
  await saveHouse({ ...(await open(second)), heightM: 3.3 });
  await removeHouse({ id: first });
  const { chosen } = await view(id);
  expect(chosen!.conflicts.map(({ rowId, kind }) => [rowId, kind])).toEqual(
    expect.arrayContaining([
      [first, "gone"],
      [second, "removed-but-changed"],
    ]),
  );
  const { settleWhatIf, adoptWhatIf } = await sets();
  expect(await settleWhatIf({ id, entity: "house", rowId: first, field: null, as: "mine" })).toMatchObject({
    status: 404,
  });
  await settleWhatIf({ id, entity: "house", rowId: first, field: null, as: "live" });
  await settleWhatIf({ id, entity: "house", rowId: second, field: null, as: "mine" });
  expect(await adoptWhatIf({ id, rows: null })).toMatchObject({ ok: true });
  expect(await rows("select 1 from house where name like '%shed'")).toEqual([]);
});

test("a part of it takes along what it needs; what it adds and then drops leaves nothing behind", async () => {
  const { saveHouse, removeHouse, addStands } = await place();
  const id = await added("In part");
  onPageOf(id);
  const bare = { ...(await formOf(rows, HOUSE)), id: null, opened: null };
  const house = valueOf(await saveHouse({ ...bare, name: "Barn", yM: 140 }));
  const dropped = valueOf(await saveHouse({ ...bare, name: "Dropped", yM: 160 }));
  const { id: _id, opened: _opened, typed: _typed, ...leaf } = await leafBank();
  const spec = { ...(leaf.spec as Row), lines: 2, lineLengthM: 2 };
  const stand = { ...leaf, houseId: house, xM: 0, yM: 0, spec };
  const [kept] = valueOf(await addStands({ stands: [{ ...stand, name: "In the barn" }] }));
  const [out] = valueOf(await addStands({ stands: [{ ...stand, name: "In what is dropped", houseId: dropped }] }));
  expect(said(await removeHouse({ id: dropped }))).toMatchObject({
    message: expect.stringContaining("still used (stands)"),
  });
  await (await place()).removeStand({ id: out! });
  expect(await removeHouse({ id: dropped })).toMatchObject({ ok: true });
  expect(await rows("select entity, op from change_set_row where set_id = $1 order by id", [id])).toEqual([
    { entity: "house", op: "add" },
    { entity: "stand", op: "add" },
  ]);
  onPageOf(null);
  const part = await (await sets()).adoptWhatIf({ id, rows: [{ entity: "stand", rowId: kept! }] });
  expect(part).toMatchObject({ ok: true });
  expect(
    await rows("select house.name from stand join house on house.id = house_id where stand.id = $1", [kept]),
  ).toEqual([{ name: "Barn" }]);
  await undo(actOf(part));
});

test("a name that somebody took meanwhile keeps what has it out, and all that hangs on it; the rest of the what-if holds", async () => {
  const { saveHouse, addStands, removeHouse, saveStand } = await place();
  const id = await added("Names");
  onPageOf(id);
  const bare = { ...(await formOf(rows, HOUSE)), id: null, opened: null };
  const mine = valueOf(await saveHouse({ ...bare, name: "Barn", yM: 220 }));
  const { id: _id, opened: _opened, typed: _typed, ...leaf } = await leafBank();
  const spec = { ...(leaf.spec as Row), lines: 2, lineLengthM: 2 };
  await addStands({ stands: [{ ...leaf, name: "In the barn", houseId: mine, xM: 0, yM: 0, spec }] });
  await saveStand({ ...(await leafBank()), xM: 1.35 });
  onPageOf(null);
  const theirs = valueOf(await saveHouse({ ...bare, name: "Barn", yM: 240 }));
  const { chosen } = await view(id);
  expect(chosen!.conflicts.map(({ entity, kind }) => [entity, kind])).toEqual([
    ["house", "name-taken"],
    ["stand", "refers-to-gone"],
  ]);
  expect(chosen!.rows.map(({ change }) => change.after!.name)).toEqual(["Leaf bank"]);
  const { adoptWhatIf } = await sets();
  expect(await adoptWhatIf({ id, rows: null })).toMatchObject({ ok: false, status: 409 });
  const part = await adoptWhatIf({ id, rows: [{ entity: "stand", rowId: _id }] });
  expect(part).toMatchObject({ ok: true });
  await undo(actOf(part));
  // Named otherwise in the garden, everything holds again.
  await removeHouse({ id: theirs });
  expect((await view(id)).chosen!.conflicts).toEqual([]);
});

test("two who adopt at once: one does, the other is told that nothing is left", async () => {
  const id = await added("At once");
  onPageOf(id);
  await (await place()).saveStand({ ...(await leafBank()), xM: 1.3 });
  onPageOf(null);
  const { adoptWhatIf } = await sets();
  const both = await Promise.all([adoptWhatIf({ id, rows: null }), adoptWhatIf({ id, rows: null })]);
  expect(both.map(({ ok }) => ok).sort()).toEqual([false, true]);
  await undo(actOf(both.find(({ ok }) => ok)!));
});

test("what really happened is no part of a what-if, and one that is gone takes nothing", async () => {
  const id = await added("Gone");
  onPageOf(id);
  const { enterStore } = await import("../../src/server/round/actions");
  expect(said(await enterStore({ storeId: 1, storedL: 100, note: "" }))).toMatchObject({
    ok: false,
    message: expect.stringContaining("not part of a what-if"),
  });
  await (await sets()).removeWhatIf({ id });
  expect(said(await (await place()).saveStand({ ...(await leafBank()), xM: 1.3 }))).toMatchObject({
    ok: false,
    status: 404,
    message: expect.stringContaining("no longer there"),
  });
});

test("one that is dropped is one line of the history, and comes back with all that was in it", async () => {
  const id = await added("Dropped");
  onPageOf(id);
  valueOf(await (await place()).saveStand({ ...(await leafBank()), xM: 1.2 }));
  onPageOf(null);
  const inIt = () => rows("select entity, row_id, op, patch from change_set_row where set_id = $1", [id]);
  const before = await inIt();
  expect(before.length).toBeGreaterThan(0);
  const dropped = actOf(await (await sets()).removeWhatIf({ id }));
  expect(await inIt()).toEqual([]);
  const { historyView } = await import("../../src/server/history/view");
  const { seasonToRead } = await import("../../src/server/garden/season");
  const { onBehalf } = await import("../../src/server/session/onBehalf");
  const { session } = await import("../../src/server/session/session");
  const who = await session();
  const { acts } = await onBehalf(
    who,
    async (db) => historyView(db, who.gardenId, {}, (await seasonToRead(db, who)).garden),
    { readOnly: true },
  );
  const act = acts.find((one) => one.act === dropped)!;
  expect(act.changes.map(({ table }) => table)).toEqual(["change_set"]);
  expect(act).toMatchObject({ canUndo: true, more: 0 });
  expect(await undo(dropped)).toMatchObject({ ok: true });
  expect(await inIt()).toEqual(before);
});

test("two what-ifs have two names: the second one is refused beside the field", async () => {
  await added("Twice");
  expect(said(await (await sets()).addWhatIf({ name: "Twice", purpose: "" }))).toMatchObject({
    ok: false,
    fields: { name: "Another what-if has this name." },
  });
});

test("a stored value that a narrowed range does not hold is told at its field; nothing is half-written", async () => {
  const id = await added("Narrowed");
  onPageOf(id);
  const leaf = await leafBank();
  await (await place()).saveStand({ ...leaf, xM: 1.3 });
  await rows(
    "update change_set_row set patch = jsonb_build_object('xM', jsonb_build_array($2::float, -3)) where set_id = $1",
    [id, leaf.xM],
  );
  onPageOf(null);
  expect(said(await (await sets()).adoptWhatIf({ id, rows: null }))).toMatchObject({
    ok: false,
    fields: { xM: "From the left of the house is -3 m; it must be from 0 to 500 m" },
  });
  expect(await rows("select x_m from stand where id = $1", [leaf.id])).toEqual([{ x_m: leaf.xM }]);
});

test("a what-if from before a field was described holds the rows that it adds and deletes; what there is no more is left out", async () => {
  const { saveHouse, removeHouse } = await place();
  const bare = { ...(await formOf(rows, HOUSE)), id: null, opened: null };
  const old = valueOf(await saveHouse({ ...bare, name: "Old shed", yM: 180 }));
  const id = await added("From before");
  onPageOf(id);
  const house = valueOf(await saveHouse({ ...bare, name: "New shed", yM: 200 }));
  await removeHouse({ id: old });
  await (await place()).saveStand({ ...(await leafBank()), xM: 1.25 });
  // As it would have been stored before shade and typed texts were known, and while stands had a colour.
  await rows("update change_set_row set patch = patch - 'shadeShare' - 'typed' where set_id = $1 and op <> 'update'", [
    id,
  ]);
  await rows(
    `update change_set_row set patch = patch || '{"colour": ["red", "blue"]}' where set_id = $1 and op = 'update'`,
    [id],
  );
  await rows("update house set shade_share = 0 where id = $1", [old]);
  onPageOf(null);
  expect((await view(id)).chosen!.conflicts).toEqual([]);
  const adopted = await (await sets()).adoptWhatIf({ id, rows: null });
  expect(adopted).toMatchObject({ ok: true });
  expect(await rows("select shade_share from house where id = any($1)", [[house, old]])).toEqual([{ shade_share: 0 }]);
  await undo(actOf(adopted));
});

test("a layout that was saved before becomes a what-if when it is opened, and lists the batches that lose their places", async () => {
  const { liveLayout } = await import("../../src/core/garden/layoutTables");
  const { season } = await import("../../src/server/garden/season");
  const now = liveLayout((await season()).garden, "Half");
  const half: LayoutDocument = {
    ...now,
    stands: now.stands
      .filter(({ name }) => name !== "Bucket line")
      .map((stand) =>
        stand.name === "Leaf bank" ? { ...stand, spec: { ...stand.spec, lines: 18 } as typeof stand.spec } : stand,
      ),
  };
  const [old] = await rows<{ id: number }>(
    "insert into layout (garden_id, name, document) values (1, 'Half', $1) returning id",
    [JSON.stringify(half)],
  );
  const id = valueOf(await (await sets()).openLayout({ id: old!.id })) as number;
  expect(await rows("select 1 from layout where id = $1", [old!.id])).toEqual([]);
  const { chosen, now: today, compared } = await view(id);
  expect(chosen!.rows.map(({ entity, change }) => [entity, change.after === null])).toEqual(
    expect.arrayContaining([
      ["stand", true],
      ["stand", false],
    ]),
  );
  expect(new Set(chosen!.displaced.map(({ growingAreaName }) => growingAreaName))).toEqual(
    new Set(["Leaf bank", "Bucket line"]),
  );
  const figures = compared.find((one) => one.id === id)!.figures;
  expect(today.places.sites - figures.places.sites).toBe(864 / 2 + 32);
  expect(figures.ordersMet).toBeLessThan(today.ordersMet);
});
