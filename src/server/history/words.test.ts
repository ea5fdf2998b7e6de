import { changedParts, titleOf, type Names } from "./words";

const none = new Map<number, string>();
const days = new Set(["batch.sow_day"]);
const names: Names = {
  house: none, pool: new Map([[2, "Nursery"]]), stand: none, loop: new Map([[1, "Leaf loop"]]), source: none, salt: none, recipe: none,
  variety: new Map([[7, "Mizuna"]]), outlet: new Map([[3, "Stall"]]), batch: new Map([[9, 7]]),
}; // prettier-ignore

test("a change is told by what it touched, with figures that follow the garden's units", () => {
  const before = { id: 4, garden_id: 1, version: 1, name: "Bank", pool_id: 2, x_m: 0.5, turned: false, spec: { kind: "channel-bank", pitchM: 0.25, lines: 12 } }; // prettier-ignore
  const after = { ...before, version: 2, pool_id: 5, x_m: 1.5, spec: { ...before.spec, pitchM: 0.2 } };
  expect(titleOf({ table: "stand", before, after }, names)).toBe("Stand Bank");
  expect(changedParts({ table: "stand", before, after }, names, days)).toEqual([
    { label: "pool", before: "Nursery", after: "no. 5" },
    { label: "x", before: { value: 0.5, dimension: "length" }, after: { value: 1.5, dimension: "length" } },
    { label: "pitch", before: { value: 0.25, dimension: "length" }, after: { value: 0.2, dimension: "length" } },
  ]);
  expect(changedParts({ table: "stand", before: null, after }, names, days)).toEqual([]);
});

test("rows without a name of their own are told by what they belong to", () => {
  const told = (table: string, after: object) => titleOf({ table, before: null, after: after as never }, names);
  expect(told("batch", { variety_id: 7, sow_day: "2027-09-02" })).toBe("Batch of Mizuna, sown 2 Sep 2027");
  expect(told("batch_stage", { batch_id: 9, position: 1 })).toBe("Mizuna: stage 2");
  expect(told("order_line", { variety_id: 8, outlet_id: 3 })).toBe("Order of one that is gone for Stall");
  expect(told("stock_tank", { loop_id: 1, letter: "B" })).toBe("Stock B of the Leaf loop");
});

test("a day is known by its column, not by its look", () => {
  const row = { id: 1, name: "2027-02-30", sow_day: "2027-09-02", note: "2027-13-45" };
  const parts = (table: string) =>
    changedParts(
      { table, before: row, after: { ...row, name: "2027-99-99", sow_day: "2027-09-03", note: "" } },
      names,
      days,
    );
  expect(parts("batch")).toEqual([
    { label: "name", before: "2027-02-30", after: "2027-99-99" },
    { label: "sow day", before: "2 Sep 2027", after: "3 Sep 2027" },
    { label: "note", before: "2027-13-45", after: null },
  ]);
  expect(parts("pool")).toContainEqual({ label: "sow day", before: "2027-09-02", after: "2027-09-03" });
  expect(titleOf({ table: "pool", before: null, after: row }, names)).toBe("Pool 2027-02-30");
});
