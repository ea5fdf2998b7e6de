import { screen, waitFor, within } from "@testing-library/react";
import type { ActionResult } from "@/server/session/result";
import { shown, US } from "../../../../tests/component/shown";
import { LabelFeedForm } from "./LabelFeedForm";

const keep = jest.fn<Promise<ActionResult<number>>, [unknown]>(async () => ({ ok: true, value: 3 }));
jest.mock("@/server/feed/keepLabelFeed", () => ({ keepLabelFeed: (input: unknown) => keep(input) }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const loop = { id: 4, name: "Leaf", kind: "recirculating" } as const;
const box = (name: string, at = 0) => screen.getAllByRole("textbox", { name })[at]!;
const open = () => {
  const onDone = jest.fn();
  return { onDone, ...shown(<LabelFeedForm loop={loop} onDone={onDone} />) };
};
beforeEach(() => {
  keep.mockClear();
  localStorage.clear();
});

test("two bottles are kept with the EC that the pack tells, and feed the loop", async () => {
  const { user, onDone } = open();
  await user.type(box("Name of the feed"), "Bottles");
  await user.type(box("Name on the pack"), "Part A");
  await user.type(box("The label’s dose"), "4");
  await user.click(screen.getByRole("button", { name: "Another part, B" }));
  await user.type(box("Name on the pack", 1), "Part B");
  await user.type(box("The label’s dose", 1), "4");
  await user.click(screen.getByRole("button", { name: "Keep this feed" }));
  // Bottles that print nothing tell no EC.
  expect(screen.getByText(/no EC can be worked out/u)).toBeTruthy();
  expect(keep).not.toHaveBeenCalled();
  await user.type(box("The whole dose adds EC"), "1.8");
  await user.click(screen.getByRole("checkbox", { name: /Feed Leaf with it/u }));
  await user.clear(box("Grown after"));
  await user.type(box("Grown after"), "21");
  await user.clear(box("Weeks"));
  await user.type(box("Weeks"), "2");
  await user.click(screen.getByRole("button", { name: "Keep this feed" }));
  await waitFor(() => expect(onDone).toHaveBeenCalled());
  expect(keep.mock.calls[0]![0]).toMatchObject({
    ...{ name: "Bottles", share: 1, labelEcMsPerCm: 1.8, loopId: 4, sure: false, changeWeeks: 2 },
    ramp: { startShare: 0.25, maturityDays: 21 },
    products: [
      { name: "Part A", form: "liquid", amount: 4, unit: "mL", per: "L" },
      { name: "Part B", amount: 4 },
    ],
  });
});

test("a tablespoon for a teaspoon is asked about with its likely meaning, and saved only after a second word", async () => {
  const { user } = open();
  await user.type(box("Name of the feed"), "Bag");
  await user.type(box("Name on the pack"), "Bag");
  await user.selectOptions(screen.getByRole("combobox", { name: "It is a" }), "solid");
  await user.type(box("The label’s dose"), "1");
  await user.selectOptions(screen.getByRole("combobox", { name: "Measure" }), "tablespoon");
  await user.type(box("A litre of it weighs, kg"), "0.2");
  await user.type(box("NO3-N"), "13.85");
  await user.type(box("K2O"), "46.6");
  // 3 g/L of it come to about 3.9 mS/cm; the pack tells what a teaspoon gives.
  await user.type(box("The whole dose adds EC"), "1.3");
  const doubt = screen.getByRole("alert");
  expect(doubt.textContent).toContain("Three times apart: is it a tablespoon where a teaspoon was meant");
  await user.click(screen.getByRole("button", { name: "Keep this feed" }));
  expect(keep).not.toHaveBeenCalled();
  await user.click(within(doubt).getByRole("checkbox", { name: /I have looked at the label again/u }));
  await user.click(screen.getByRole("button", { name: "Keep this feed" }));
  await waitFor(() => expect(keep).toHaveBeenCalled());
  expect(keep.mock.calls[0]![0]).toMatchObject({ sure: true });
});

test("what cannot be is said beside its field, and nothing typed is lost", async () => {
  const { user } = open();
  await user.type(box("Name on the pack"), "Bag");
  await user.type(box("The label’s dose"), "much");
  await user.click(screen.getByRole("button", { name: "Keep this feed" }));
  expect(box("The label’s dose").getAttribute("aria-invalid")).toBe("true");
  expect(screen.getByText("Name is missing")).toBeTruthy();
  await user.clear(box("The label’s dose"));
  await user.type(box("The label’s dose"), "2");
  await user.type(box("N, all of it"), "60");
  await user.type(box("K2O"), "50");
  await user.click(screen.getByRole("button", { name: "Keep this feed" }));
  expect(screen.getByText(/the label adds up to 110 %/u)).toBeTruthy();
  expect(keep).not.toHaveBeenCalled();
  expect((box("Name on the pack") as HTMLInputElement).value).toBe("Bag");
});

test("in a US garden it asks in its own units", () => {
  shown(<LabelFeedForm loop={null} onDone={() => undefined} />, US);
  expect(screen.getByRole("textbox", { name: "The whole dose adds EC" }).getAttribute("placeholder")).toBe("in CF");
  expect(screen.queryByRole("checkbox", { name: /with it from now on/u })).toBeNull();
});
