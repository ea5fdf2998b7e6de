import { screen, waitFor } from "@testing-library/react";
import type { DoseSlip } from "@/core/feed/slip";
import type { ReadingView } from "@/server/round/readingView";
import { WhoProvider } from "@/features/frame/who";
import { shown, went } from "../../../tests/component/shown";
import { Slip } from "./Slip";

const done = jest.fn(async () => ({ ok: true, value: 40 }));
jest.mock("@/server/round/actions", () => ({
  doseDone: (input: unknown) => done(...([input] as unknown as [])),
  undoEntry: jest.fn(),
}));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const acid = (massPercent: number): DoseSlip => ({
  verdict: "correct",
  says: [{ kind: "ph-high" }, { kind: "drops-out", clearToPh: 6.6 }],
  steps: [{ do: "acid", acid: "phosphoric", amount: 12, unit: "mL", halfwayPh: 6.3, massPercent }],
  cautions: ["acid"],
});
const tank = (slip: DoseSlip, normalFillL = 600) =>
  ({ tankName: "Leaf tank", loopId: 4, strength: null, slip, normalFillL, sources: [] }) as unknown as ReadingView;

test("what the reading says, what to do with its cautions, and that it was done", async () => {
  const { user } = shown(<Slip entryId={7} tank={tank(acid(75))} />);
  expect(screen.getByText(/Over about pH 6\.6 calcium phosphate drops out of this feed/u)).toBeTruthy();
  expect(screen.getByRole("listitem").textContent).toMatch(/Phosphoric acid 75 %\s*12\s*mL/u);
  expect(screen.getByText(/goggles and gloves, acid into water/u)).toBeTruthy();
  await user.click(screen.getByRole("button", { name: "Done as planned" }));
  await waitFor(() => expect(went().push).toHaveBeenCalledWith("/round", { scroll: false }));
  expect(done).toHaveBeenCalledWith({ entryId: 7 });
});

test("strong acid into a small tank is shown, and can be done, only after a second word", async () => {
  const { user } = shown(<Slip entryId={7} tank={tank(acid(75), 40)} />);
  expect(screen.queryByRole("listitem")).toBeNull();
  expect(screen.queryByRole("button", { name: "Done as planned" })).toBeNull();
  expect(screen.getByRole("alert").textContent).toContain("Acid of 75 % into a tank of 40 L");
  await user.click(screen.getByRole("button", { name: "I have read it: show the slip" }));
  expect(screen.getByRole("listitem")).toBeTruthy();
  expect(screen.getByRole("button", { name: "Done as planned" })).toBeTruthy();
});

test("who may only look sees the slip, and no button that doses", () => {
  shown(
    <WhoProvider who={{ personId: 2, role: "viewer", timeZone: "UTC", whatIf: null }}>
      <Slip entryId={7} tank={tank(acid(75))} />
    </WhoProvider>,
  );
  expect(screen.queryByRole("button", { name: "Done as planned" })).toBeNull();
});
