import { screen, waitFor, within } from "@testing-library/react";
import type { CalibrationFact } from "@/core/garden/facts";
import type { InjectorFlow, InjectorSheet as Sheet } from "@/core/garden/injectorSheet";
import { dayFromIso } from "@/core/units/day";
import { loopOf } from "../../../../tests/component/feedOf";
import { shown } from "../../../../tests/component/shown";
import { InjectorSheet } from "./InjectorSheet";

const keep = jest.fn(async () => ({ ok: true, value: 5 }));
jest.mock("@/server/round/actions", () => ({
  enterCalibration: (input: unknown) => keep(...([input] as unknown as [])),
  undoEntry: jest.fn(),
}));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const today = dayFromIso("2027-09-02");
const loop = loopOf({
  ...{ injectorLeastLph: 20, injectorGreatestLph: 2500, injectorLeastR: 50, injectorGreatestR: 500 },
  ...{ injectorLeastHeadM: 3, injectorGreatestHeadM: 60, injectorStrokeL: 0.5, calibrateEveryDays: 90 },
});
const flow = (own: Partial<InjectorFlow>): InjectorFlow => ({
  ...{ key: "1", names: ["Bench"], open: "alone", flowLph: 300, verdict: "in-range", headroom: 14 },
  ...{ headM: 8, pressure: "in-range" as never, strokeError: 0.02 },
  ...own,
});
const sheet = (...flows: InjectorFlow[]): Sheet => ({ by: "network", flows, shortestRunMin: 5 });
const props = (flows: InjectorFlow[], past: readonly CalibrationFact[] = []) => ({
  ...{ loops: [{ id: 4, name: "Leaf" }], loop, sheet: sheet(...flows), past, today },
});
const field = (name: RegExp) => screen.getByRole("textbox", { name });

test("a bank under the least flow is told, with the others", () => {
  const low = flow({ key: "2", names: ["Gutter"], flowLph: 12, verdict: "too-low" as never, headroom: -0.4 });
  shown(<InjectorSheet {...props([flow({}), low])} />);
  const flows = screen.getByRole("region", { name: "Flow through the injector" });
  expect(within(flows).getByRole("heading").textContent).toBe("Doses from 20 L/h to 2500 L/h");
  expect(flows.textContent).toContain("1 row below lies outside of that.");
  expect(within(flows).getByText(/Gutter/u)).toBeTruthy();
});

test("without an injector it says where one is told", () => {
  shown(<InjectorSheet {...props([])} sheet={null} />);
  expect(screen.getByText("No injector on this loop")).toBeTruthy();
});

test("a calibration shows what it gives while it is typed; far off it is asked about, and kept on a second word", async () => {
  const { user } = shown(<InjectorSheet {...props([flow({})])} />);
  await user.type(field(/^Stock drawn/u), "500 mL");
  await user.type(field(/^Water metered/u), "50 L");
  expect(screen.getByText("1:100")).toBeTruthy();
  await user.clear(field(/^Stock drawn/u));
  await user.type(field(/^Stock drawn/u), "5 L");
  const asked = screen.getByRole("alert");
  expect(asked.textContent).toContain("10 times the strength that it is set to");
  expect(keep).not.toHaveBeenCalled();
  await user.click(within(asked).getByRole("button", { name: "It is right: keep it" }));
  await waitFor(() => expect(keep).toHaveBeenCalled());
  expect(keep.mock.calls[0]).toEqual([
    expect.objectContaining({ loopId: 4, stockDrawnL: 5, meteredL: 50, sure: true }),
  ]);
});

test("what is no calibration is said beside its field", async () => {
  const { user } = shown(<InjectorSheet {...props([flow({})])} />);
  await user.clear(field(/^Set to/u));
  await user.type(field(/^Set to/u), "5000");
  await user.type(field(/^Stock drawn/u), "500 mL");
  await user.click(screen.getByRole("button", { name: "Keep this calibration" }));
  expect(screen.getByText("1 to 5000 is no ratio; it must be from 1 to 2000")).toBeTruthy();
  expect(screen.getByText("Water metered is missing")).toBeTruthy();
  expect(keep).not.toHaveBeenCalled();
});
