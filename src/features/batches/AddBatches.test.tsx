import { screen, waitFor } from "@testing-library/react";
import type { PlanInput } from "@/core/batches/types";
import { dayFromIso } from "@/core/units/day";
import type { OrderRow } from "@/core/garden/garden";
import type { ActionResult } from "@/server/session/result";
import { shown, toasts } from "../../../tests/component/shown";
import { AddBatches } from "./AddBatches";

interface Sent {
  readonly batches: readonly { varietyId: number; sowDay: number; cells: number; targetPlants: number }[];
}
const add = jest.fn<Promise<ActionResult<number[]>>, [Sent]>(async () => ({ ok: true, value: [1] }));
jest.mock("@/server/batches/keep", () => ({ addGrowing: jest.fn() }));
jest.mock("@/server/batches/actions", () => ({ addBatches: (input: Sent) => add(input) }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const today = dayFromIso("2027-05-06");
const stage = (days: number, survival: number) => ({
  name: `${days} days`,
  growingAreaId: 1,
  daysByMonth: new Array<number>(12).fill(days),
  survival,
  needLpd: 0.1,
});
const input: PlanInput = {
  today,
  from: today - 60,
  to: today + 200,
  growingAreas: [],
  drainShareByLoop: {},
  batches: [],
  orders: [],
  varieties: [
    {
      id: 1,
      name: "Lettuce",
      kind: "leaf",
      unit: { id: 1, name: "heads", divisible: false },
      foodSafetySensitive: false,
      germination: 0.9,
      seedsPerCell: 1,
      pattern: { kind: "once", unitsPerPlant: 1, keepsDays: 5 },
      stages: [stage(10, 1), stage(20, 1)],
    },
  ],
};
const order: OrderRow = {
  id: 5,

  customerId: 2,
  customerName: "Stall",
  varietyId: 1,
  weekday: 4,
  quantity: 24,
  from: today,
  to: today + 120,
} as unknown as OrderRow;
const done = jest.fn();
const adding = (orders: readonly OrderRow[]) => (
  <AddBatches first={1} input={input} orders={orders} sowWeekdays={[1, 4]} onDone={done} />
);

test("what the orders still need is shown before it is added, and what is too late is said", async () => {
  const { user } = shown(adding([order]));
  expect(screen.getByText(/^Too late to sow for 5 market days/u)).toBeTruthy();
  const press = screen.getByRole("button", { name: /^Add \d+ batches$/u });
  await user.click(press);
  await waitFor(() => expect(done).toHaveBeenCalled());
  const { batches } = add.mock.calls[0]![0];
  expect(press.textContent).toBe(`Add ${batches.length} batches`);
  // 24 of cells that come up at 0.9: the least number that reaches them at a 90 % chance is the binomial quantile.
  expect(batches[0]).toMatchObject({ varietyId: 1, targetPlants: 24, cells: 29 });
  expect(batches.every(({ sowDay }) => sowDay >= today)).toBe(true);
  expect(toasts().done).toEqual([`${batches.length} batches of Lettuce added`]);
});

test("a crop without orders is not covered; one batch and a series are worked out from either end", async () => {
  const { user } = shown(adding([]));
  expect(screen.getByText(/There is no order for Lettuce ahead/u)).toBeTruthy();
  await user.click(screen.getByRole("radio", { name: "One batch" }));
  await user.selectOptions(screen.getByLabelText("Count from"), "sown");
  const plants = screen.getByLabelText("Plants wanted at the end");
  await user.clear(plants);
  await user.type(plants, "0");
  expect(screen.getByText(/a whole number from 1 to 100 000/u)).toBeTruthy();
  expect(screen.queryByRole("button", { name: /^Add/u })).toBeNull();
  await user.clear(plants);
  await user.type(plants, "30");
  await user.click(screen.getByRole("button", { name: "Add 1 batch" }));
  await waitFor(() => expect(add).toHaveBeenCalledTimes(1));
  expect(add.mock.calls[0]![0].batches).toEqual([{ varietyId: 1, sowDay: today + 60, cells: 36, targetPlants: 30 }]);
  await user.click(screen.getByRole("radio", { name: "A series" }));
  expect(screen.getByRole("button", { name: "Add 6 batches" })).toBeTruthy();
});
