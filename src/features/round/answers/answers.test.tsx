import { screen, waitFor } from "@testing-library/react";
import { METRIC } from "@/core/units/dimensions";
import { dayFromIso } from "@/core/units/day";
import type { Setup } from "@/core/garden/setup/told";
import type { ActionResult } from "@/server/session/result";
import { shown, US, went } from "../../../../tests/component/shown";
import type { AnswerContext } from "./context";
import { QuickAnswers } from "./QuickAnswers";
import { QUESTIONS } from "./questions";

const make = jest.fn<Promise<ActionResult<{ houseId: number }>>, [Setup]>(async () => ({
  ok: true,
  value: { houseId: 7 },
}));
const keep = jest.fn<Promise<ActionResult<number>>, [unknown]>(async () => ({ ok: true, value: 3 }));
jest.mock("@/server/place/setup", () => ({ makeSetup: (setup: Setup) => make(setup) }));
jest.mock("@/server/water/keepLoop", () => ({ keepLoop: (input: unknown) => keep(input) }));
jest.mock("@/server/batches/keep", () => ({
  keepSowing: (input: unknown) => keep(input),
  keepWeek: (input: unknown) => keep(input),
}));
jest.mock("@/server/feed/keepLabelFeed", () => ({ keepLabelFeed: (input: unknown) => keep(input) }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const context: AnswerContext = {
  units: METRIC,
  latitudeDeg: 40,
  latitudeIsKnown: true,
  today: dayFromIso("2027-05-06"),
  garden: { houses: [{ id: 1, name: "Net house" }], loops: [{ id: 4, name: "Leaf" }], mayPlan: true },
};
const asked = (first: (typeof QUESTIONS)[number]["name"], more: Partial<AnswerContext> = {}) =>
  shown(<QuickAnswers first={first} context={{ ...context, ...more }} />, more.units);
const answer = () => screen.getByRole("region", { name: "Answer" }).textContent;
const blank = (name: string) => screen.getByRole("textbox", { name }) as HTMLInputElement;

test("each question answers before anything is typed, and none of it needs a garden", async () => {
  const { user } = asked("fit", { garden: null });
  const figures = [
    /360 plants/u,
    /2\.4 L a day/u,
    /250 mL/u,
    / sow/u,
    /76\.8 a week/u,
    /fits|tight|of it fits/u,
    /522 L\/h/u,
  ];
  for (const [index, { words }] of QUESTIONS.entries()) {
    await user.click(screen.getByRole("button", { name: words }));
    expect(answer()).toMatch(figures[index]!);
    expect(screen.queryByRole("button", { name: "Keep in the garden" })).toBeNull();
  }
});

test("the answer follows every stroke, in the units that were typed; nonsense is told and the last answer stays", async () => {
  const { user } = asked("fit");
  await user.clear(blank("Channels"));
  await user.type(blank("Channels"), "3");
  expect(answer()).toContain("90 plants");
  await user.clear(blank("Length"));
  await user.type(blank("Length"), "20 ft");
  expect(answer()).toContain("plants on a ft²");
  expect(blank("Length").value).toBe("20 ft");
  await user.clear(blank("Length"));
  await user.type(blank("Length"), "600 m");
  expect(blank("Length").getAttribute("aria-invalid")).toBe("true");
  expect(screen.getByText("Length is 600 m; it must be from 0.1 m to 500 m.")).toBeTruthy();
  expect(answer()).toContain("The answer to what stood there before.");
  expect((screen.getByRole("button", { name: "Keep in the garden" }) as HTMLButtonElement).disabled).toBe(true);
});

test("a whole house is filled with a kind; other kinds ask what decides about them", async () => {
  const { user } = asked("fit");
  await user.selectOptions(screen.getByRole("combobox", { name: "What is there" }), "I fill a house of");
  expect(answer()).toMatch(/\d+ channels fit/u);
  await user.selectOptions(screen.getByRole("combobox", { name: "What is there" }), "I have");
  await user.selectOptions(screen.getByRole("combobox", { name: "Kind" }), "towers");
  expect(answer()).toContain("108 plants");
});

test("what is kept is sent as it was told, and leads to where it is", async () => {
  const { user } = asked("fit");
  await user.click(screen.getByRole("button", { name: "Keep in the garden" }));
  await waitFor(() => expect(went().push).toHaveBeenCalledWith("/place?house=7"));
  expect(make.mock.calls[0]![0]).toMatchObject({
    place: { houseId: 1 },
    stands: [{ told: "channels", figures: { lines: 12, lengthM: 6, spacingM: 0.2 }, young: false }],
  });
});

test("a timer may be told in seconds and over midnight, and is kept for a loop", async () => {
  const { user } = asked("water");
  await user.selectOptions(screen.getByRole("combobox", { name: "It runs" }), "again and again");
  for (const [name, text] of [
    ["Run", "60 s"],
    ["Every", "15 min"],
    ["From", "22:00"],
    ["To", "4:00"],
  ] as const) {
    await user.clear(blank(name));
    await user.type(blank(name), text);
  }
  expect(answer()).toContain("24 runs, 24 minutes a day");
  await user.click(screen.getByRole("button", { name: "Keep in the garden" }));
  await waitFor(() => expect(keep).toHaveBeenCalled());
  expect(keep.mock.calls[0]![0]).toEqual({
    loopId: 4,
    timer: { kind: "every", runMin: 1, everyMin: 15, fromMin: 1320, toMin: 240 },
  });
});

test("a tank that is told lasts so long, or takes its refill in time", async () => {
  const { user } = asked("water");
  await user.type(blank("Tank"), "100 L");
  expect(answer()).toMatch(/a full tank lasts4 days/u);
  await user.type(blank("Refill"), "5 L/h");
  expect(answer()).toMatch(/the tank refills in time/u);
});

test("a reading is corrected with half at a time, and what is too strong with water", async () => {
  const { user } = asked("tank");
  await user.selectOptions(screen.getByRole("combobox", { name: "What is in it" }), "feed that was read");
  expect(answer()).toContain("125 mL");
  await user.clear(blank("It reads"));
  await user.type(blank("It reads"), "1.9");
  expect(screen.getByText("Drain as much first if it does not fit.")).toBeTruthy();
  expect(answer()).toContain("water to add50 L");
  // What the full dose adds to the EC makes a feed of it, whatever the label prints.
  await user.type(blank("Name of the product"), "Bottle");
  await user.click(screen.getByRole("button", { name: "Keep in the garden" }));
  await waitFor(() => expect(keep).toHaveBeenCalled());
  const product = { form: "liquid", isByVolume: true, amount: 5, unit: "mL", per: "L", label: {}, name: "Bottle" };
  expect(keep.mock.calls.at(-1)![0]).toMatchObject({ products: [product], labelEcMsPerCm: 1.6, sure: false });
});

test("a dose by the millilitre that tells no EC makes no feed; its tank is kept", async () => {
  const { user } = asked("tank");
  await user.click(screen.getByRole("button", { name: "Keep in the garden" }));
  await waitFor(() => expect(keep).toHaveBeenCalledWith({ loopId: null, tankL: 100 }));
});

test("a pump near its limit is to be measured; in a US garden it speaks of gallons and feet", async () => {
  const { user } = asked("pump", { units: US });
  expect(answer()).toContain("gph");
  await user.clear(blank("Lift"));
  await user.type(blank("Lift"), "5.5 ft");
  expect(answer()).toMatch(/measure it with a bucket and a watch/u);
  await user.clear(blank("Lift"));
  await user.type(blank("Lift"), "8 ft");
  expect(answer()).toContain("It cannot lift the water that high.");
});

test("of weekly harvest, weeks and sites the third is told, and kept as an order", async () => {
  const { user } = asked("week");
  await user.selectOptions(screen.getByRole("combobox", { name: "What is asked" }), "how long each may stay");
  expect(answer()).toMatch(/\d+ days/u);
  await user.selectOptions(screen.getByRole("combobox", { name: "What is asked" }), "how many a week I can pick");
  await user.click(screen.getByRole("button", { name: "Keep in the garden" }));
  await waitFor(() => expect(keep).toHaveBeenCalled());
  expect(keep.mock.calls[0]![0]).toEqual({ crop: { library: "Lettuce, heads" }, weekday: 5, quantity: 76 });
});

test("what was mixed is held against label and plan: too much is drained and filled, too little is made good", async () => {
  const { user } = asked("tank");
  const write = async (name: string, text: string) => {
    await user.clear(blank(name));
    await user.type(blank(name), text);
  };
  await user.selectOptions(screen.getByRole("combobox", { name: "What is in it" }), "feed that I have mixed");
  // 100 L at half of 5 mL a litre are 250 mL; twice as much went in, and there is room for 20 L.
  expect(answer()).toContain("2 times what I wanted");
  expect(answer()).toContain("to drain first40 L");
  expect(answer()).toContain("then water60 L");
  await write("Room over it", "200 L");
  expect(answer()).toContain("water to add100 L");
  await write("I put in", "100");
  expect(answer()).toContain("0.4 times what I wanted");
  expect(screen.getByText("150 mL")).toBeTruthy();
  await write("I put in", "6000");
  expect(answer()).toContain("take plants out of it");
});
