import { screen, waitFor } from "@testing-library/react";
import type { Setup } from "@/core/garden/setup/told";
import type { ActionResult } from "@/server/session/result";
import { shown, US, went } from "../../../../tests/component/shown";
import { WhatHaveYouGot } from "./WhatHaveYouGot";

const make = jest.fn<Promise<ActionResult<{ houseId: number }>>, [Setup]>(async () => ({
  ok: true,
  value: { houseId: 2 },
}));
jest.mock("@/server/place/setup", () => ({ makeSetup: (setup: Setup) => make(setup) }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const asked = (units?: typeof US) => shown(<WhatHaveYouGot latitudeDeg={40} houseNames={["Old tunnel"]} />, units);
const box = (name: string, at = 0) => screen.getAllByRole("textbox", { name })[at] as HTMLInputElement;
const press = (name: string) => screen.getByRole("button", { name }) as HTMLButtonElement;

test("kinds are picked, told and drawn, and one press makes them with tank, pump and timer", async () => {
  const { user } = asked();
  const fill = async (name: string, text: string, at = 0) => {
    await user.clear(box(name, at));
    await user.type(box(name, at), text);
  };
  expect(press("Make this place").disabled).toBe(true);
  await user.click(press("Add channels"));
  await fill("Channels", "14");
  await fill("A plant every", "22 cm");
  await fill("Tank", "400 L");
  await fill("Flow at no lift", "3000 L/h");
  await fill("Greatest lift", "3 m");
  expect(screen.getByRole("img", { name: /Film tunnel with channels, to scale/u })).toBeTruthy();
  const answers = screen.getAllByRole("definition").map(({ textContent }) => textContent);
  expect(answers[0]).toBe("378 plants");
  expect(answers.some((words) => words?.includes("fill to"))).toBe(true);
  await user.click(press("Make this place"));
  await waitFor(() => expect(went().push).toHaveBeenCalledWith("/place?house=2"));
  expect(make.mock.calls[0]![0]).toMatchObject({
    place: { kind: "film tunnel", lengthM: null, widthM: null },
    stands: [{ told: "channels", figures: { lines: 14, lengthM: 6, spacingM: 0.22 } }],
    tank: { litres: 400, underOutletsM: 0.6 },
    pump: { flowAtNoLiftLph: 3000, greatestLiftM: 3 },
    timer: { kind: "continuous" },
  });
});

test("a place that is too small says by how much, and is not made", async () => {
  const { user } = asked();
  await user.click(press("Add beds"));
  await user.type(box("Length", 0), "3 m");
  await user.type(box("Width", 0), "2 m");
  await waitFor(() => expect(box("Width", 0).value).toBe("2 m"));
  expect(screen.getByText(/No room for beds: the place is too short and too narrow/u)).toBeTruthy();
  expect(press("Make this place").disabled).toBe(true);
});

test("stands that need no pump ask for none; in a US garden figures are round in feet and gallons", async () => {
  const { user } = asked(US);
  await user.click(press("Add seed trays"));
  expect(screen.queryByRole("textbox", { name: "Tank" })).toBeNull();
  await user.click(press("Add buckets"));
  expect(box("Bucket").value).toBe("5 gal");
  expect(box("Dripper").value).toBe("0.5 gph");
  // Running all the time they give far more than is drunk.
  expect(screen.getByText(/thirstiest crop of the library drinks 0\.5\d+ gal, the rest drains/u)).toBeTruthy();
  await user.selectOptions(screen.getByRole("combobox", { name: "It runs" }), "a few times a day");
  expect(screen.queryByText(/the rest drains/u)).toBeNull();
  await user.click(press("Take out buckets"));
  expect(screen.queryByRole("textbox", { name: "Tank" })).toBeNull();
});

test("what was told outlives a reload", async () => {
  const first = asked();
  await first.user.click(press("Add towers"));
  await first.user.clear(box("Tiers"));
  await first.user.type(box("Tiers"), "9");
  first.unmount();
  asked();
  expect(box("Tiers").value).toBe("9");
});

test("a common pump fills in both figures of a label, and the tank is drawn", async () => {
  const { user } = asked();
  await user.click(press("Add channels"));
  await user.type(box("Tank"), "400 L");
  await user.selectOptions(screen.getByRole("combobox", { name: "Common pumps" }), "3000 L/h, 3 m");
  expect([box("Flow at no lift").value, box("Greatest lift").value]).toEqual(["3000 L/h", "3 m"]);
  expect(screen.getByText("400 L").tagName).toBe("text");
});
