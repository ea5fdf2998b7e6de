import { fireEvent, screen, waitFor } from "@testing-library/react";
import type { ClimateRow } from "@/core/garden/garden";
import type { WeatherMonth } from "@/core/place/climate/weatherNormals";
import { MONTHS } from "@/core/units/day";
import type { ActionResult } from "@/server/session/result";
import { shown, US } from "../../../../tests/component/shown";
import { ClimateForm } from "./ClimateForm";
import { WeatherImport } from "./WeatherImport";

const act = jest.fn<Promise<ActionResult<number>>, [unknown]>(async () => ({ ok: true, value: 8 }));
jest.mock("@/server/place/climateActions", () => ({
  saveClimate: (input: unknown) => act(input),
  importWeather: (input: unknown) => act(input),
  removeWeather: (input: unknown) => act(input),
}));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));
beforeEach(() => act.mockClear());

const none: readonly (WeatherMonth | null)[] = new Array<null>(12).fill(null);
const cell = (name: string) => screen.getByRole("textbox", { name });
const type = (name: string, text: string) => fireEvent.change(cell(name), { target: { value: text } });
const form = (climate: ClimateRow | null, months = none, onDraft = jest.fn()) => (
  <ClimateForm latitudeDeg={37.2} climate={climate} months={months} onDraft={onDraft} onDone={jest.fn()} />
);

test("a column is filled whole or left empty; a gap in it is told, and what is drawn waits for it", async () => {
  const onDraft = jest.fn();
  const { user } = shown(form(null, none, onDraft), US);
  type("Warmest of the day, January", "60");
  onDraft.mockClear();
  await user.click(screen.getByRole("button", { name: "Save" }));
  expect((await screen.findByRole("alert")).textContent).toMatch(/Warmest of the day/u);
  expect(act).not.toHaveBeenCalled();
  expect(onDraft).not.toHaveBeenCalled();
  type("Warmest of the day, January", "");
  await user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(act).toHaveBeenCalledTimes(1));
  expect(act.mock.calls[0]![0]).toMatchObject({ highestCByMonth: null, rainMmByMonth: null, elevationM: 0 });
});

test("imported days fill the table, rounded as one would write them; what they do not know stays empty", async () => {
  const month = {
    days: 31,
    highestC: 14.26,
    lowestC: 5.04,
    humidity: 0.777,
    windMPerS: null,
    rainMm: 61.66,
    wetDays: 8.2,
  };
  const { user } = shown(form(null, new Array<WeatherMonth>(12).fill(month)));
  await user.click(screen.getByRole("button", { name: "Fill in the means of the imported days" }));
  expect((cell("Warmest of the day, March") as HTMLInputElement).value).toBe("14.3");
  expect((cell("Humidity of the air, March") as HTMLInputElement).value).toBe("78");
  await user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(act).toHaveBeenCalledTimes(1));
  expect(act.mock.calls[0]![0]).toMatchObject({ windMPerSByMonth: null, rainMmByMonth: new Array(12).fill(61.7) });
});

test("pasted weather is looked through with every stroke and taken only when nothing is wrong", async () => {
  const { user } = shown(<WeatherImport imported={null} onDone={jest.fn()} />);
  const paste = (text: string) => fireEvent.change(screen.getByRole("textbox"), { target: { value: text } });
  paste("day|high|low\n2026-01-01|9|1");
  expect(screen.getByRole("alert").textContent).toContain(
    "The first line is “day|high|low”: it should name the columns, with commas, semicolons or tabs between them.",
  );
  expect(screen.getByRole("button", { name: "Bring in" }).hasAttribute("disabled")).toBe(true);
  paste("day;high;tmin\n2026-01-01;9;1");
  expect(screen.getByRole("alert").textContent).toContain("No column for the warmest of the day: name one “tmax”.");
  paste("day;tmax;tmin\n2026-01-01;9,5;1");
  await user.click(screen.getByRole("button", { name: "Bring in 1 day" }));
  await waitFor(() => expect(act).toHaveBeenCalledWith({ text: "day;tmax;tmin\n2026-01-01;9,5;1" }));
});

test("a month whose coldest is over its warmest is told and not sent", async () => {
  const { user } = shown(form(null));
  for (const month of MONTHS) {
    type(`Coldest of the night, ${month}`, "5");
    type(`Warmest of the day, ${month}`, month === "May" ? "2" : "15");
  }
  await user.click(screen.getByRole("button", { name: "Save" }));
  expect(
    (await screen.findByText(/the coldest of the night is over the warmest of the day/u)).textContent,
  ).toBeTruthy();
  expect(act).not.toHaveBeenCalled();
});
