import type { HistoryNames } from "@/server/history/view";
import { changedParts, titleOf } from "./historyWords";

const none = new Map<number, string>();
const days = new Set(["batch.sow_day"]);
const names: HistoryNames = {
  house: none,
  growingArea: new Map([[2, "Nursery"]]),
  stand: none,
  loop: new Map([[1, "Leaf loop"]]),
  source: none,
  salt: none,
  recipe: none,
  variety: new Map([[7, "Mizuna"]]),
  unit: new Map(),
  customer: new Map([[3, "Stall"]]),
  batch: new Map([[9, 7]]),
};

test("a change is named by what it touched, with figures that follow the garden's units", () => {
  const before = {
    id: 4,
    garden_id: 1,
    version: 1,
    name: "Bank",
    growing_area_id: 2,
    x_m: 0.5,
    turned: false,
    spec: { kind: "wicking-bed", pitchM: 0.25, voidShare: 0.4 },
  };
  const after = {
    ...before,
    version: 2,
    growing_area_id: 5,
    x_m: 1.5,
    spec: { ...before.spec, pitchM: 0.2, voidShare: 0.95 },
  };
  expect(titleOf({ table: "stand", before, after }, names)).toBe("Wicking beds Bank");
  expect(changedParts({ table: "stand", before, after }, names, days)).toEqual([
    { label: "used for", before: "Nursery", after: "no. 5" },
    {
      label: "from the left of the house",
      before: { value: 0.5, dimension: "length" },
      after: { value: 1.5, dimension: "length" },
    },
    {
      label: "pitch, plant to plant",
      before: { value: 0.25, dimension: "smallLength" },
      after: { value: 0.2, dimension: "smallLength" },
    },
    { label: "void share", before: { value: 0.4, dimension: "share" }, after: { value: 0.95, dimension: "share" } },
  ]);
  expect(changedParts({ table: "stand", before: null, after }, names, days)).toEqual([]);
});

test("rows without a name of their own are named by what they belong to", () => {
  const title = (table: string, after: object) => titleOf({ table, before: null, after: after as never }, names);
  expect(title("batch", { variety_id: 7, sow_day: "2027-09-02" })).toBe("Batch of Mizuna, sown 2 Sep 2027");
  expect(title("batch_stage", { batch_id: 9, position: 1 })).toBe("Mizuna: stage 2");
  expect(title("order_line", { variety_id: 8, customer_id: 3 })).toBe("Order of deleted for Stall");
  expect(title("stock_tank", { loop_id: 1, letter: "B" })).toBe("Stock B of the Leaf loop");
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
    { label: "sow on", before: "2 Sep 2027", after: "3 Sep 2027" },
    { label: "note", before: "2027-13-45", after: null },
  ]);
  expect(parts("growing_area")).toContainEqual({ label: "sow day", before: "2027-09-02", after: "2027-09-03" });
  expect(titleOf({ table: "growing_area", before: null, after: row }, names)).toBe("Growing area 2027-02-30");
});
