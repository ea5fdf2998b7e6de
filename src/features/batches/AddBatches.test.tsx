import { screen, waitFor } from "@testing-library/react";
import type { PlanInput } from "@/core/batches/types";
import { dayFromIso } from "@/core/units/day";
import type { ActionResult } from "@/server/session/result";
import { shown } from "../../../tests/component/shown";
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
const done = jest.fn();
const adding = () => <AddBatches first={1} input={input} sowWeekdays={[1, 4]} onDone={done} />;

test("one batch and a series are worked out from either end", async () => {
  const { user } = shown(adding());
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
