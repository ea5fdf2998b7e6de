import { isoFromDay } from "./day";
import { dayAt, timeAt } from "./clockText";

test("an instant falls on the garden's own day and hour", () => {
  const at = new Date("2027-09-02T23:30:00Z");
  expect([isoFromDay(dayAt(at, "UTC")), timeAt(at, "UTC")]).toEqual(["2027-09-02", "23:30"]);
  expect([isoFromDay(dayAt(at, "Europe/Lisbon")), timeAt(at, "Europe/Lisbon")]).toEqual(["2027-09-03", "00:30"]);
  expect([isoFromDay(dayAt(at, "America/Denver")), timeAt(at, "America/Denver")]).toEqual(["2027-09-02", "17:30"]);
  expect(() => dayAt(at, "Nowhere/Else")).toThrow(RangeError);
});
