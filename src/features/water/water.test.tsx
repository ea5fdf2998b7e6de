import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import type { Loop, Stand } from "@/core/garden/garden";
import { STAND_MODELS } from "@/core/place/kinds";
import { drippedOf } from "@/core/water/dripLine";
import type { ActionResult } from "@/server/session/result";
import { shown, US } from "../../../tests/component/shown";
import { EXAMPLE_PUMPS } from "./examplePump";
import { LinesSheet } from "./lines/LinesSheet";
import { PumpSheet } from "./pump/PumpSheet";

const act = jest.fn<Promise<ActionResult<number>>, [unknown]>(async () => ({ ok: true, value: 8 }));
jest.mock("@/server/place/actions", () => ({ saveStand: (input: unknown) => act(input) }));
jest.mock("@/server/water/actions", () => ({ saveLoop: (input: unknown) => act(input) }));
jest.mock("@/server/round/actions", () => ({ enterCatchCans: (input: unknown) => act(input), undoEntry: jest.fn() }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const stand = (id: number, spec: Stand["spec"]): Stand => ({
  ...{
    id,
    name: `Stand ${id}`,
    houseId: 1,
    growingAreaId: 1,
    loopId: 1,
    spec,
    xM: 0,
    yM: 0,
    turned: false,
    groundM: 0,
    ...{ matC: null, lampsUmolPerM2S: null, lampHours: null, domed: false },
    position: 1,
  },
});
const beds = stand(5, STAND_MODELS["drip-beds"].example);
const lines = (more = {}) => (
  <LinesSheet
    stands={[{ id: 5, name: beds.name }]}
    view={{
      stand: beds,
      spec: drippedOf(beds.spec)!,
      head: { headM: 10, from: "network" },
      watering: null,
      tests: [],
      ...more,
    }}
  />
);
const blank = (name: string) => screen.getByRole("textbox", { name });
const type = (name: string, text: string) => fireEvent.change(blank(name), { target: { value: text } });

test("a drip line is worked out with every stroke, wrong figures are told, and what was tried is kept with the stand", async () => {
  const { user } = shown(lines());
  expect(screen.getByRole("region", { name: "How even the line is" }).textContent).toContain("33 emitters");
  type("Emitter spacing", "0");
  expect(screen.getByRole("alert").textContent).toContain("Emitter spacing");
  expect(screen.queryByRole("button", { name: "Keep this line" })).toBeNull();
  type("Emitter spacing", "20 cm");
  expect(screen.getByRole("region", { name: "How even the line is" }).textContent).toContain("50 emitters");
  await user.click(screen.getByRole("button", { name: "Keep this line" }));
  await waitFor(() => expect(act).toHaveBeenCalledTimes(1));
  const sent = act.mock.calls[0]![0] as { spec: object; opened: { spec: object } };
  expect(sent.spec).toEqual({ ...beds.spec, emitterSpacingM: 0.2 });
  expect(sent.opened.spec).toEqual(beds.spec);
  await user.click(screen.getByRole("button", { name: "Put it back" }));
  expect(screen.getByRole("region", { name: "How even the line is" }).textContent).toContain("33 emitters");
});

test("in feet and gallons no metric figure is left on the sheet of lines", () => {
  const { container } = shown(lines(), US);
  expect(container.textContent).not.toMatch(/\d (?:m|mm|cm|L|L\/h)\b/u);
});

test("cans are read with spaces, lines or commas, judged while they are typed, and sent as millilitres", async () => {
  const { user } = shown(lines());
  const cans = blank("Caught, mL, from the inlet on");
  fireEvent.change(cans, { target: { value: "81 79 x 78" } });
  await user.click(screen.getByRole("button", { name: "Keep this test" }));
  expect(screen.getByText("Can 3: “x” is not a number")).toBeTruthy();
  fireEvent.change(cans, { target: { value: "81, 79,5\n80; 12 78" } });
  expect(screen.getByRole("img", { name: "5 cans along the line. blocked: 4" })).toBeTruthy();
  await user.click(screen.getByRole("button", { name: "Keep this test" }));
  await waitFor(() => expect(act).toHaveBeenCalledTimes(1));
  expect(act.mock.calls[0]![0]).toMatchObject({ line: 1, volumesMl: [81, 79.5, 80, 12, 78], durationS: 180 });
});

const loop = (pump: Loop["pump"]) =>
  ({ id: 1, name: "Leaf", kind: "recirculating", tankL: 600, normalFillL: 500, pump, typed: {} }) as unknown as Loop;
const channels = stand(2, { ...STAND_MODELS["channel-bank"].example, lines: 12, linesPerValve: 6 });
const sheet = (pump: Loop["pump"]) => (
  <PumpSheet
    loops={[{ id: 1, name: "Leaf" }]}
    loop={loop(pump)}
    stands={[channels]}
    minutesPerDay={1440}
    longestRunMin={15}
  />
);
const gives = () => screen.getByRole("region", { name: "What the pump gives" });

test("a closed bank leaves more to the other; all closed is told; another pump is tried apart from the loop's own", async () => {
  const { user } = shown(sheet(EXAMPLE_PUMPS.label));
  const share = () => Number(/(\d+) %$/u.exec(screen.getAllByRole("listitem")[0]!.textContent!)![1]);
  const before = share();
  await user.click(screen.getByRole("switch", { name: "Stand 2, valve 2: open" }));
  expect(share()).toBeGreaterThan(before);
  await user.click(screen.getByRole("switch", { name: "Stand 2, valve 1: open" }));
  expect(screen.getByText("Every bank is closed: open one.")).toBeTruthy();
  await user.click(screen.getByRole("switch", { name: "Stand 2, valve 1: open" }));
  type("Greatest lift", "0.4 m");
  await user.click(screen.getByRole("button", { name: "Try it" }));
  expect(gives().textContent).toContain("It cannot lift the water to Stand 2, valve 1");
  const sizes = screen.getByRole("list", { name: "Sizes that are sold" });
  await user.click(within(sizes).getAllByRole("button", { name: /fits|ample/ })[0]!);
  await user.click(screen.getByRole("button", { name: "Put it into the Leaf loop" }));
  await waitFor(() => expect(act).toHaveBeenCalledTimes(1));
  expect(act.mock.calls[0]![0]).toMatchObject({ id: 1, pump: { kind: "label", boreMm: EXAMPLE_PUMPS.label.boreMm } });
});

test("without a pump a tank on its stand says what a run takes, and the mains whether the regulator holds", () => {
  const { unmount } = shown(sheet(EXAMPLE_PUMPS.gravity));
  expect(screen.getByText(/A run of 15 min from 500 L takes/)).toBeTruthy();
  expect(screen.queryByText("Other pumps on these pipes")).toBeNull();
  unmount();
  shown(sheet(EXAMPLE_PUMPS.mains));
  expect(screen.getByText(/The regulator holds its head|not hold/)).toBeTruthy();
});

test("a porous hose is laid from a test at two heads; a test that cannot be is refused in words", async () => {
  act.mockClear();
  const { user } = shown(lines());
  const one = "From a metre in ten minutes";
  type(`${one}, the other time`, "100 mL");
  expect(screen.getByRole("alert").textContent).toContain("less at the higher head");
  expect(screen.queryByRole("button", { name: "Lay it in these beds" })).toBeNull();
  type("At the other head", "3 m");
  expect(screen.getByRole("alert").textContent).toContain("Both heads are the same");
  type("At the other head", "6 m");
  type(`${one}, the other time`, "500 mL");
  await user.click(screen.getByText("A porous hose in its place"));
  await user.click(screen.getByRole("button", { name: "Lay it in these beds" }));
  await waitFor(() => expect(act).toHaveBeenCalledTimes(1));
  // Twice the head, twice the water: 1.5 L/h a metre at 3 m, a tenth of it every 10 cm.
  const { spec } = act.mock.calls[0]![0] as { spec: { emitterFlowLph: number; emitterExponent: number } };
  expect(spec).toMatchObject({ emitterSpacingM: 0.1, emitterHeadM: 3, equivalentLengthM: 0 });
  expect(spec.emitterFlowLph).toBeCloseTo(0.15, 9);
  expect(spec.emitterExponent).toBeCloseTo(1, 9);
});
