import { screen, waitFor, within } from "@testing-library/react";
import type { TankDaysInput } from "@/core/feed/tankDays";
import type { Loop } from "@/core/garden/garden";
import { dayFromIso } from "@/core/units/day";
import type { ActionResult } from "@/server/session/result";
import { shown } from "../../../../tests/component/shown";
import { ChangeSheet, type ChangeSheetProps } from "./ChangeSheet";

const act = jest.fn<Promise<ActionResult<number>>, [unknown]>(async () => ({ ok: true, value: 8 }));
jest.mock("@/server/water/actions", () => ({ saveLoop: (input: unknown) => act(input) }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const days = 84;
const input: TankDaysInput = {
  ...{ tankL: 600, drunkL: new Array<number>(days).fill(40), evaporatedL: new Array<number>(days).fill(0) },
  ...{ recipeMmolPerL: { NO3: 19, K: 11, Ca: 4.5, Mg: 1, SO4: 1.1, H2PO4: 2, NH4: 1.25 }, recipeGPer1000L: 2500 },
  ...{ waterMmolPerL: { Na: 3, Cl: 3, Ca: 1 }, strength: 0.5, topUp: { kind: "strength", strength: 0.5 } },
  ...{ uptakeMmolPerL: { NO3: 9, K: 6, Ca: 2, Mg: 0.5, SO4: 0.5, H2PO4: 1, NH4: 0.6 }, uptakeShare: {} },
  ...{ ecLow: 1.4, ecHigh: 2.2, minutesPerDay: 5, minutesPerChange: 45 },
};
const loop = { id: 4, name: "Leaf", changeRule: { kind: "never" } } as unknown as Loop;
const sheet = (own: Partial<ChangeSheetProps> = {}) => (
  <ChangeSheet today={dayFromIso("2027-09-02")} loops={[{ id: 4, name: "Leaf" }]} loop={loop} input={input} {...own} />
);
const row = (name: RegExp) => screen.getByRole("row", { name });

test("the schools stand side by side on one tank; one is looked at, another is chosen with its figure", async () => {
  const { user } = shown(sheet());
  expect(within(row(/changed every week/u)).getAllByRole("cell")[0]!.textContent).toBe("12");
  expect(within(row(/never changed/u)).getByRole("rowheader").textContent).toContain("this loop");
  // What every week lets out, and the ground that takes it.
  await user.click(within(row(/changed every week/u)).getByRole("button", { name: "Look" }));
  expect(screen.getByText(/What is let out is fertiliser/u).textContent).toContain("7200 L");
  const weeks = screen.getByRole("textbox", { name: "Weeks" });
  await user.clear(weeks);
  await user.type(weeks, "6");
  const six = screen.getByRole("row", { name: /changed every 6/u });
  await waitFor(() => expect(within(six).getAllByRole("cell")[0]!.textContent).toBe("2"));
  await user.click(within(six).getByRole("button", { name: "Choose" }));
  await waitFor(() => expect(act).toHaveBeenCalledTimes(1));
  expect(act.mock.calls[0]![0]).toMatchObject({ changeRule: { kind: "weeks", weeks: 6 } });
});

test("a loop that cannot be followed says why, and a garden without one what is shown here", () => {
  const { unmount } = shown(sheet({ input: "no-recipe" }));
  expect(screen.getByText(/no recipe yet: choose one under Water/u)).toBeTruthy();
  unmount();
  shown(sheet({ loops: [], loop: null, input: null }));
  expect(screen.getByText("No water goes round yet")).toBeTruthy();
});
