import { screen, waitFor, within } from "@testing-library/react";
import type { StrengthBasis } from "@/core/feed/strengthSchool";
import type { Loop } from "@/core/garden/garden";
import type { ActionResult } from "@/server/session/result";
import { shown } from "../../../../tests/component/shown";
import { StrengthSheet } from "./StrengthSheet";

const act = jest.fn<Promise<ActionResult<number>>, [unknown]>(async () => ({ ok: true, value: 8 }));
jest.mock("@/server/water/actions", () => ({ saveLoop: (input: unknown) => act(input) }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const ph = { phLow: 5.6, phHigh: 6.4 };
const basis: StrengthBasis = {
  ...{ ecMsPerCm: 1.6, ecLow: 1.4, ecHigh: 1.8, lightShare: 1 },
  aged: [{ name: "Lettuce", ageDays: 14, plants: 300 }],
  wishes: [
    { name: "Lettuce", plants: 900, ecLow: 1, ecHigh: 1.4, ...ph },
    { name: "Tomato", plants: 100, ecLow: 2, ecHigh: 3, ...ph },
  ],
};
const loop = { id: 4, name: "Leaf", strength: { kind: "constant" } } as unknown as Loop;
const row = (name: RegExp) => screen.getAllByRole("listitem").find((item) => name.test(item.textContent ?? ""))!;

test("four schools on the crops of a tank: what each comes to, whom it leaves out, one chosen with its figures", async () => {
  const { user } = shown(
    <StrengthSheet loops={[{ id: 4, name: "Leaf" }]} loop={loop} basis={basis} untold={["Mint"]} aheadDays={28} />,
  );
  expect(row(/always as strong/u).textContent).toContain("Lettuce, Tomato outside: 100 % of the plant-days");
  expect(row(/brightest days/u).textContent).toContain("1.45");
  expect(row(/suits most/u).textContent).toContain("Tomato outside: 10 % of the plant-days");
  // Two weeks old, half way from 0.4 to 1.6.
  expect(row(/for seedlings to/u).textContent).toContain("1 mS/cm");
  expect(screen.getByText("Lettuce and Tomato: no strength suits both.")).toBeTruthy();
  expect(screen.getByText(/Not counted.*Mint/u)).toBeTruthy();
  const grown = screen.getByRole("textbox", { name: "EC for grown plants" });
  await user.clear(grown);
  await user.type(grown, "2");
  await waitFor(() => expect(row(/for seedlings to/u).textContent).toContain("1.2 mS/cm"));
  await user.click(within(row(/for seedlings to/u)).getByRole("button", { name: "Choose" }));
  await waitFor(() => expect(act).toHaveBeenCalledTimes(1));
  expect(act.mock.calls[0]![0]).toMatchObject({ strength: { kind: "age", ecAtMaturity: 2, maturityDays: 28 } });
});
