import { fireEvent, screen, waitFor } from "@testing-library/react";
import type { Loop, Stand } from "@/core/garden/garden";
import type { StillSpec } from "@/core/place/stillVessel";
import { STAND_MODELS } from "@/core/place/kinds";
import type { ActionResult } from "@/server/session/result";
import { shown } from "../../../tests/component/shown";
import { LoopNeed, type LoopNeedProps } from "./LoopNeed";
import { StillSheet } from "./still/StillSheet";
import { TimerChecks } from "./TimerChecks";

const act = jest.fn<Promise<ActionResult<number>>, [unknown]>(async () => ({ ok: true, value: 8 }));
jest.mock("@/server/place/actions", () => ({ saveStand: (input: unknown) => act(input) }));
jest.mock("@/server/water/actions", () => ({ setNeedFactor: (input: unknown) => act(input) }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));
beforeEach(() => act.mockClear());

const need = (more: Partial<LoopNeedProps["need"]> = {}): LoopNeedProps["need"] => ({
  ...{ litres: 107, openWaterLpd: 7, hasClimate: true, learned: null },
  today: { plants: 600, needLpd: 100, byClimateLpd: 100 },
  ...more,
});
const loop = { id: 4, name: "Leaf", needFactor: 1 } as Loop;

test("what is drunk says how it was worked out, and the log's factor is taken over at a press", async () => {
  const { user } = shown(
    <LoopNeed loop={loop} need={need({ learned: { factor: 1.2345, days: 20, leaks: [20_000] } })} />,
  );
  const said = screen.getByRole("region", { name: "What is drunk" });
  expect(said.textContent).toContain("107 L a day, by the climate; 7 L of it from open water.");
  expect(said.textContent).toContain(
    "they drink 1.23 times what is worked out, over 20 days. On 1 day far more left it",
  );
  await user.click(screen.getByRole("button", { name: "Count with 1.23 from now on" }));
  await waitFor(() => expect(act).toHaveBeenCalledWith({ id: 4, from: 1, factor: 1.23 }));
});

test("without a climate that is said; a few days, and a factor in use already, propose nothing", () => {
  const figures = { plants: 600, needLpd: 100, byClimateLpd: 0 };
  const { unmount } = shown(
    <LoopNeed
      loop={loop}
      need={need({ openWaterLpd: 0, hasClimate: false, today: figures, learned: { factor: 2, days: 3, leaks: [] } })}
    />,
  );
  expect(screen.getByRole("region").textContent).toContain("107 L a day, by the figures of the stages.");
  expect(screen.getByRole("link", { name: "Tell the climate" })).toBeTruthy();
  expect(screen.queryByRole("button", { name: /Count with/u })).toBeNull();
  unmount();
  shown(
    <LoopNeed loop={{ ...loop, needFactor: 1.2 }} need={need({ learned: { factor: 1.21, days: 9, leaks: [] } })} />,
  );
  expect(screen.getByRole("region").textContent).toContain("Its tank agrees, over 9 days.");
});

test("runs in the dark are counted, and a pause longer than roots last is told with the line that feels it first", () => {
  const light = { daylight: { riseMin: 360, setMin: 1080 }, windows: [{ fromMin: 360, toMin: 1080 }] };
  const film = [{ stand: "Leaf bank", plants: 24, needLpd: 4, filmL: 0.5 }];
  const every = { kind: "every", everyMin: 360, runMin: 10, fromMin: 0, toMin: 1440 } as const;
  shown(<TimerChecks timer={every} light={light} film={film} />);
  expect(screen.getByText(/2 of 4 runs fall in the dark/u)).toBeTruthy();
  expect(screen.getByRole("region", { name: "Pauses" }).textContent).toMatch(
    /longest pause by day is 350 min; the roots of the Leaf bank last 196 min in the peak hour: they may wilt/u,
  );
  fireEvent.change(screen.getByRole("textbox", { name: /A root mat holds/u }), { target: { value: "0.2 L" } });
  expect(screen.getByRole("region", { name: "Pauses" }).textContent).not.toContain("wilt");
});

test("still water says when to fill it, whether a float keeps up, and keeps what was tried with the stand", async () => {
  const spec = STAND_MODELS["wicking-bed"].example as StillSpec;
  const stand = { id: 5, name: "Wicking beds", spec, houseId: 1 } as unknown as Stand;
  const { user } = shown(
    <StillSheet
      stands={[{ id: 5, name: "Wicking beds" }]}
      shown={{ stand, spec, needLpd: 20, plants: 64, evaporationMm: null }}
    />,
  );
  // 2.4 m × 1.2 m × 40 % × 15 cm over the least depth, 20 L a day.
  expect(screen.getByText("Fill it every 8 days")).toBeTruthy();
  const type = (name: string, text: string) =>
    fireEvent.change(screen.getByRole("textbox", { name }), { target: { value: text } });
  type("Float valve, rated flow", "60 L/h");
  expect(screen.getByText("The float keeps up")).toBeTruthy();
  type("Head there is at the float", "1 cm");
  expect(screen.getByText("The float does not keep up")).toBeTruthy();
  await user.click(screen.getByRole("button", { name: "Keep it" }));
  await waitFor(() => expect(act).toHaveBeenCalledTimes(1));
  expect((act.mock.calls[0]![0] as { spec: object }).spec).toEqual({ ...spec, floatRatedLph: 60, headAtFloatM: 0.01 });
});
