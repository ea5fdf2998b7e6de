import { screen, waitFor } from "@testing-library/react";
import type { Loop } from "@/core/garden/garden";
import type { Remedy } from "@/core/garden/remedies";
import type { Ladder, Rung } from "@/core/water/ladder";
import type { ActionResult } from "@/server/session/result";
import { shown } from "../../../tests/component/shown";
import { Tightest, TriedRemedy } from "./Tightest";

const act = jest.fn<Promise<ActionResult<number>>, [unknown]>(async () => ({ ok: true, value: 8 }));
jest.mock("@/server/water/actions", () => ({ saveLoop: (input: unknown) => act(input) }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const ease = { kind: "more-turns", turns: 2, flowLph: 900 } as const;
const rung = (ratio: number, eases: Rung["eases"]): Rung => ({
  ...{ kind: "pump", by: "pump", liftM: 1, lifts: true, dimension: "flow" },
  ...{ canGive: 1000 * ratio, needs: 1000, ratio, verdict: ratio < 1 ? "short" : "fits", eases },
});
const ladder = (ratio: number, eases: Rung["eases"] = []): Ladder => ({
  ...{ rungs: [rung(ratio, eases)], tightest: 0, wantedFlowLph: 1000, pumpFlowLph: 1000 * ratio },
  ...{ runMinutesPerDay: 60, followed: null },
});
const remedy: Remedy = { ease, change: { turns: 2 }, ladder: ladder(1.3) };

test("a remedy that can be tried is, and is left again; one that is no figure of the loop is only said", async () => {
  const onTry = jest.fn();
  const spare = { kind: "spare-the-store" } as const;
  const { user } = shown(
    <Tightest ladder={ladder(0.8, [ease, spare])} remedies={[remedy]} tried={null} onTry={onTry} />,
  );
  const said = screen.getByRole("region", { name: "Smallest margin" });
  expect(said.textContent).toContain("Pump can give 20 % less than needed.");
  expect(said.textContent).toContain("Draw on another source first");
  expect(screen.getAllByRole("button", { name: "Try it" })).toHaveLength(1);
  await user.click(screen.getByRole("button", { name: "Try it" }));
  expect(onTry).toHaveBeenCalledWith(remedy);
});

test("what is tried says what it comes to, and only a press makes it so", async () => {
  const loop = { id: 4, name: "Leaf", turns: 1, needFactor: 1 } as Loop;
  const { user } = shown(<TriedRemedy loop={loop} remedy={remedy} onDone={jest.fn()} />);
  expect(screen.getByRole("status").textContent).toContain(
    "Then the smallest margin: Pump can give 30 % more than needed",
  );
  expect(act).not.toHaveBeenCalled();
  await user.click(screen.getByRole("button", { name: "It is so now: keep it" }));
  await waitFor(() => expect(act).toHaveBeenCalledTimes(1));
  expect(act.mock.calls[0]![0]).toMatchObject({ id: 4, turns: 2, opened: { turns: 1 } });
});
