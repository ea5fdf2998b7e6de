import { screen, waitFor, within } from "@testing-library/react";
import type { ActionResult } from "@/server/session/result";
import type { ReadingView } from "@/server/round/readingView";
import { shown, US, went } from "../../../tests/component/shown";
import { ReadingForm } from "./ReadingForm";

const enter = jest.fn<Promise<ActionResult<number>>, [unknown]>(async () => ({ ok: true, value: 31 }));
jest.mock("@/server/round/actions", () => ({ enterReading: (input: unknown) => enter(input), undoEntry: jest.fn() }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const tank: ReadingView = {
  loopId: 4,
  tankName: "Leaf tank",
  tankL: 750,
  normalFillL: 600,
  strength: null,
  bands: { ecLow: 1.4, ecHigh: 1.6, phLow: 5.8, phHigh: 6.3 },
  meter: { ecMsPerCm: 1.5, ph: 6, waterC: 20, levelL: 590 },
  days: [
    { day: 21_000, ecMsPerCm: 1.4, ph: 6, levelL: 600 },
    { day: 21_001, ecMsPerCm: 1.5, ph: null, levelL: 590 },
  ],
  slip: null,
  noRecipe: false,
  meters: [],
  sources: [],
};
const field = (name: string) => screen.getByRole<HTMLInputElement>("textbox", { name: new RegExp(`^${name}`, "u") });
const save = () => screen.getByRole("button", { name: "Save and work out" });

test("as many figures as were read are saved; the others stay open", async () => {
  const { user } = shown(<ReadingForm tank={tank} />);
  await user.type(field("EC"), "1.45");
  await user.type(field("Level"), "560");
  await user.click(save());
  await waitFor(() => expect(went().push).toHaveBeenCalledWith("/round?entry=31", { scroll: false }));
  expect(enter).toHaveBeenCalledWith({
    loopId: 4,
    ecMsPerCm: 1.45,
    ph: null,
    waterC: null,
    levelL: 560,
    oxygenMgPerL: null,
    sure: true,
  });
});

test("nothing read is not saved, and neither is what cannot be read", async () => {
  const { user } = shown(<ReadingForm tank={tank} />);
  await user.click(save());
  expect(await screen.findByText("Write at least one figure")).toBeTruthy();
  await user.type(field("pH"), "six");
  await user.click(save());
  expect(await screen.findByText(/"six" is not/u)).toBeTruthy();
  expect(enter).not.toHaveBeenCalled();
});

test("a likely slip of unit is asked about first: taken over, or confirmed as typed", async () => {
  const { user } = shown(<ReadingForm tank={tank} />);
  await user.type(field("EC"), "1420");
  const asked = screen.getByRole("alert");
  expect(asked.textContent).toContain("Was it 1420 µS/cm (1.42 mS/cm)?");
  await user.click(save());
  expect(enter).not.toHaveBeenCalled();
  await user.click(within(asked).getByRole("button", { name: "Yes: 1.42 mS/cm" }));
  expect(field("EC").value).toBe("1.42 mS/cm");
  await user.type(field("pH"), "58");
  await user.click(screen.getByRole("button", { name: "No, as typed" }));
  expect(screen.queryByRole("alert")).toBeNull();
});

test("26 °F in a garden that reads Fahrenheit is asked about as 58 pH is", async () => {
  const { user } = shown(<ReadingForm tank={tank} />, US);
  await user.type(field("Temperature"), "26");
  expect(screen.getByRole("alert").textContent).toContain("26 °F is ice. Was it 26 °C?");
});

test("the meter's figures are taken over; the bands and the days are in the garden's units", async () => {
  const { user } = shown(<ReadingForm tank={tank} />, US);
  expect(screen.getByText("band 14 CF – 16 CF")).toBeTruthy();
  expect(screen.getByRole("img", { name: /^EC over the last four weeks, now 15 CF/u }).textContent).toContain("EC, CF");
  await user.click(screen.getByRole("button", { name: /meter’s last reading/u }));
  expect(field("Level").value).toBe("155.9 gal");
  await user.click(save());
  await waitFor(() => expect(enter).toHaveBeenCalledWith({ loopId: 4, ...tank.meter, oxygenMgPerL: null, sure: true }));
});

test("a reading is typed as its meter shows it; one that does not correct for temperature wants that too", async () => {
  const meters = [
    { id: 1, name: "Pen", ecScale: "ppm500", compensated: true },
    { id: 2, name: "Old pen", ecScale: "mS/cm", compensated: false },
  ] as const;
  const { user } = shown(<ReadingForm tank={{ ...tank, meters }} />);
  await user.selectOptions(screen.getByRole("combobox", { name: /^Read with/u }), "Pen");
  await user.type(field("EC"), "900");
  expect(screen.getByText("band 700 ppm ×500 – 800 ppm ×500")).toBeTruthy();
  await user.click(save());
  await waitFor(() => expect(enter).toHaveBeenLastCalledWith(expect.objectContaining({ ecMsPerCm: 1.8 })));

  await user.selectOptions(screen.getByRole("combobox", { name: /^Read with/u }), "Old pen");
  await user.clear(field("EC"));
  await user.type(field("EC"), "2.25");
  await user.click(save());
  expect(await screen.findByText("This meter does not correct for temperature: read that too")).toBeTruthy();
  await user.type(field("Temperature"), "30");
  expect(screen.getByText("2.05 mS/cm")).toBeTruthy();
  await user.click(save());
  await waitFor(() => expect(enter).toHaveBeenLastCalledWith(expect.objectContaining({ ecMsPerCm: 2.25 / 1.0955 })));
});

test("a pen of the other ppm scale is asked about where only that scale lies in the band", async () => {
  const pen = { id: 9, name: "TDS pen", ecScale: "ppm500" as const, compensated: true };
  const { user } = shown(<ReadingForm tank={{ ...tank, meters: [pen] }} />);
  await user.type(field("EC"), "1050");
  const asked = screen.getByRole("alert");
  expect(asked.textContent).toContain("1050 ppm is outside the band on the scale ×500. Does your pen show ppm ×700?");
  await user.click(save());
  expect(enter).not.toHaveBeenCalled();
  await user.click(within(asked).getByRole("button", { name: /^Yes/u }));
  await user.click(save());
  await waitFor(() => expect(enter).toHaveBeenCalledWith(expect.objectContaining({ ecMsPerCm: 1.5 })));
});
