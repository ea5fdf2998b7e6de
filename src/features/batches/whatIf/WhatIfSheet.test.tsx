import { screen, waitFor, within } from "@testing-library/react";
import type { GardenFigures } from "@/core/garden/comparison";
import type { ActionResult } from "@/server/session/result";
import type { ChosenWhatIf, WhatIfView } from "@/server/garden/whatIf/view";
import { shown, US } from "../../../../tests/component/shown";
import { WhatIfSheet } from "./WhatIfSheet";

const done = { ok: true as const, value: undefined };
const adopt = jest.fn<Promise<ActionResult<undefined>>, [unknown]>(async () => done);
const settle = jest.fn<Promise<ActionResult<undefined>>, [unknown]>(async () => done);
jest.mock("@/server/garden/whatIf/actions", () => ({
  adoptWhatIf: (input: unknown) => adopt(input),
  settleWhatIf: (input: unknown) => settle(input),
}));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const figures = (more: Partial<GardenFigures> = {}): GardenFigures => ({
  places: {
    lines: 48,
    sites: 1224,
    densities: { perM2OfLine: 41, perM2OfStand: 20, perM2OfHouse: 10.4 },
    heldL: 230,
    drainBackL: 104,
    pieces: 0,
    cost: 0,
    priced: 0,
  },
  sitesShort: null,
  flowWantedLph: 5000,
  flowGivenLph: 6000,
  weakLoops: [],
  waterLpd: 400,
  waterShort: null,
  saltsG: 300_000,
  saltsShort: null,
  ordersAhead: 20,
  ordersMet: 18,
  waterCost: 100,
  saltCost: 50,
  sales: 0,
  allPriced: false,
  ...more,
});
const names = Object.fromEntries(
  "house growingArea stand loop source salt recipe variety unit customer batch"
    .split(" ")
    .map((kind) => [kind, new Map()]),
) as unknown as ChosenWhatIf["names"];
const row = (rowId: number, name: string): ChosenWhatIf["rows"][number] => ({
  entity: "customer",
  rowId,
  change: { id: rowId, table: "customer", before: null, after: { id: rowId, name } },
});
const chosen = (more: Partial<ChosenWhatIf> = {}): ChosenWhatIf => ({
  id: 3,
  name: "Stronger pump",
  purpose: "",
  rows: [row(1, "Quay stall"), row(2, "School kitchen")],
  conflicts: [],
  displaced: [],
  batches: 759,
  names,
  days: new Set<string>(),
  ...more,
});
const view = (one: ChosenWhatIf, then = figures()): WhatIfView => ({
  now: figures(),
  compared: [{ id: one.id, name: one.name, purpose: "", figures: then, changes: one.rows.length, conflicts: 0 }],
  chosen: one,
  layouts: [],
});
const sheet = (one = chosen(), then = figures(), units?: typeof US) =>
  shown(<WhatIfSheet {...view(one, then)} />, units);

test("a what-if that changes nothing says so, and reassures nobody", () => {
  sheet(chosen({ rows: [] }));
  expect(screen.getByText(/It changes nothing/u)).toBeTruthy();
  expect(screen.queryByText(/loses a place/u)).toBeNull();
});

test("that no batch loses its place is said with how many were looked at, and not where there is none", () => {
  const { unmount } = sheet();
  expect(screen.getByText("None of the plan's 759 batches loses a place that it has now.")).toBeTruthy();
  unmount();
  sheet(chosen({ batches: 0 }));
  expect(screen.queryByText(/loses a place/u)).toBeNull();
});

test("batches that would no longer fit are listed with what they lack, and adopting says that it does so anyway", () => {
  const lost = {
    batchId: 9,
    variety: "Mizuna",
    sownOn: 20_000,
    growingAreaName: "Leaf bank",
    from: 20_010,
    plants: 40,
    over: 12,
  };
  sheet(chosen({ displaced: [lost] }));
  const list = within(screen.getByRole("region", { name: "Batches that no longer fit" }));
  expect(list.getByText(/1 stay of a batch would no longer fit/u)).toBeTruthy();
  expect(list.getByRole("row", { name: /Mizuna of .*Leaf bank.*12 of 40/u })).toBeTruthy();
  expect(screen.getByRole("button", { name: "Adopt it anyway" })).toBeTruthy();
});

test("all of it is adopted, or what is left ticked", async () => {
  const { user } = sheet();
  await user.click(screen.getByRole("button", { name: "Adopt it" }));
  await waitFor(() => expect(adopt).toHaveBeenLastCalledWith({ id: 3, rows: null }));
  await user.click(screen.getByRole("checkbox", { name: /Adopt: .*Quay stall/u }));
  await user.click(screen.getByRole("button", { name: "Adopt 1 change" }));
  await waitFor(() => expect(adopt).toHaveBeenLastCalledWith({ id: 3, rows: [{ entity: "customer", rowId: 2 }] }));
});

test("a conflict is settled either way, and nothing is adopted before", async () => {
  const conflict: ChosenWhatIf["conflicts"][number] = {
    entity: "customer",
    rowId: 1,
    kind: "changed",
    field: "name",
    row: row(1, "Quay stall").change,
    values: { id: 0, table: "customer", before: { name: "Stall" }, after: { name: "Quay stall" } },
  };
  const { user } = sheet(chosen({ conflicts: [conflict] }));
  expect(screen.getByRole<HTMLButtonElement>("button", { name: "Adopt it" }).disabled).toBe(true);
  await user.click(screen.getByRole("button", { name: "As the what-if has it" }));
  const said = { id: 3, entity: "customer", rowId: 1, field: "name" };
  await waitFor(() => expect(settle).toHaveBeenLastCalledWith({ ...said, as: "mine" }));
  await user.click(screen.getByRole("button", { name: "As it is now" }));
  await waitFor(() => expect(settle).toHaveBeenLastCalledWith({ ...said, as: "live" }));
});

test("what was deleted in the garden can only be taken as it is now", () => {
  const gone = {
    entity: "customer",
    rowId: 1,
    kind: "gone",
    field: null,
    row: row(1, "Quay stall").change,
    values: null,
  } as const;
  sheet(chosen({ conflicts: [gone] }));
  expect(screen.getByText("It was deleted in the garden.")).toBeTruthy();
  expect(screen.queryByRole("button", { name: "As the what-if has it" })).toBeNull();
});

test("figures stand beside those of now in the garden's units, with what is different and from when something is short", () => {
  const then = figures({ flowGivenLph: 6000 + 378.5412, ordersMet: 12, weakLoops: ["Leaf"], waterCost: 140 });
  sheet(chosen(), then, US);
  const line = (name: RegExp) => screen.getByRole("row", { name }).textContent;
  expect(line(/^(?:Flow )?Pumps bring/u)).toMatch(/1685 gph\(\+100 gph\)short: Leaf/u);
  expect(line(/Orders met/u)).toMatch(/12\(−6\)of 20/u);
  expect(line(/Water and salts cost/u)).toMatch(/\$ 190\(\+\$ 40\)/u);
  expect(line(/Held in lines/u)).not.toMatch(/[+−]/u);
  // Nothing is sold and nothing has a price: no rows of noughts.
  expect(screen.queryByText("Sales")).toBeNull();
  expect(screen.queryByText("Materials cost")).toBeNull();
});
