import { METRIC, type UnitPreferences } from "./dimensions";
import { civilDate, dayFromIso, isoFromDay, nextWeekday } from "./day";
import { editText, formatNumber, quantityText } from "./format";
import { parseQuantity } from "./parse";
import { suspectSlip } from "./slips";

const US: UnitPreferences = { system: "us", ec: "CF", temperature: "°F", currency: "$" };
const value = (text: string, dimension: Parameters<typeof parseQuantity>[1], units = METRIC) => {
  const parsed = parseQuantity(text, dimension, units);
  return parsed.kind === "value" ? parsed.value : parsed;
};

test("what cannot be read says why and keeps quiet about nothing", () => {
  expect(value("", "length")).toEqual({ kind: "empty" });
  expect(value("abc", "length")).toMatchObject({ message: expect.stringContaining('"abc" is not a number') });
  expect(value("3 kg", "length")).toMatchObject({ message: expect.stringContaining('"kg" is not a unit known here') });
  expect(value("1,200", "volume")).toMatchObject({ message: expect.stringContaining("1200 or 1.200") });
  expect(value("6 in 3 ft", "length")).toMatchObject({ message: expect.stringContaining("two parts") });
  expect(value("1.2.3", "length")).toMatchObject({ kind: "unreadable" });
  expect(value("5 ft x", "length")).toMatchObject({ kind: "unreadable" });
});

test.each([
  ["3 ft 6", "length", 1.0668],
  ["3' 6\"", "length", 1.0668],
  ["1 m 20", "length", 1.2],
  ["0,25", "length", 0.25],
  ["250 mm", "length", 0.25],
  ["250", "smallLength", 0.25],
  ["11 200", "volume", 11_200],
  ["11.2 m³", "volume", 11_200],
  ["1.2 mS", "ec", 1.2],
  ["12 CF", "ec", 1.2],
  ["1420 µS/cm", "ec", 1.42],
  ["700 ppm500", "ec", 1.4],
  ["68 °F", "temperature", 20],
  ["1.5 L/min", "flow", 90],
  ["2 lb 8", "mass", 1133.980925],
  ["−5", "temperature", -5],
  ["2 weeks", "days", 14],
] as const)("%s as %s is %d", (text, dimension, want) => expect(value(text, dimension)).toBeCloseTo(want, 9));

test("a bare number means the garden's own unit", () => {
  expect(value("3", "length", US)).toBeCloseTo(0.9144, 12);
  expect(value("18", "ec", US)).toBeCloseTo(1.8, 12);
  expect(value("77", "temperature", US)).toBeCloseTo(25, 9);
});

test("what a field shows for editing reads back as the same value", () => {
  for (const dimension of ["length", "smallLength", "volume", "ec", "temperature", "flow", "mass"] as const)
    for (const units of [METRIC, US])
      expect(value(editText(1.37, dimension, units), dimension, units)).toBeCloseTo(1.37, 7);
});

test("figures carry telling digits, thin spaces and a unit that fits their size", () => {
  expect(quantityText(11_200, "volume", METRIC)).toBe("11\u202f200 L");
  expect(quantityText(84_800, "volume", METRIC)).toBe("84.8 m³");
  expect(quantityText(4860, "mass", METRIC)).toBe("4.86 kg");
  expect(quantityText(0.011, "dose", METRIC)).toBe("11 mL");
  expect(quantityText(1.5, "ec", US)).toBe("15 CF");
  expect(formatNumber(-0.001, 1)).toBe("0");
  expect(formatNumber(Number.NaN)).toBe("–");
});

test("slips of unit are noticed with their likely meaning; plausible values are not", () => {
  expect(suspectSlip("ec", 1420)?.likely).toBe(1.42);
  expect(suspectSlip("ec", 14)?.likely).toBe(1.4);
  expect(suspectSlip("ph", 58)?.likely).toBe(5.8);
  expect(suspectSlip("waterC", 68)?.likely).toBe(20);
  expect([suspectSlip("ec", 3.2), suspectSlip("ph", 6.1), suspectSlip("waterC", 24)]).toEqual([
    undefined,
    undefined,
    undefined,
  ]);
});

test("days: leap days, weekdays, and dates that do not exist", () => {
  expect(isoFromDay(dayFromIso("2028-02-29"))).toBe("2028-02-29");
  expect(() => dayFromIso("2027-02-29")).toThrow('"2027-02-29" is not a date');
  expect(civilDate(dayFromIso("2027-05-06"))).toEqual({ year: 2027, month: 5, dayOfMonth: 6, weekday: 4 });
  expect(isoFromDay(nextWeekday(dayFromIso("2027-05-06"), 2))).toBe("2027-05-11");
});
