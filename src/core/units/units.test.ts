import { METRIC, type UnitPreferences } from "./dimensions";
import { civilDate, dayFromIso, isoFromDay, nextWeekday } from "./day";
import { editText, formatNumber, quantityText } from "./format";
import { parseQuantity } from "./parse";
import { inText, roundIn } from "./rounded";
import { suspectScale, suspectSlip } from "./slips";

const US: UnitPreferences = { system: "us", ec: "CF", temperature: "°F", currency: "$" };
const value = (text: string, dimension: Parameters<typeof parseQuantity>[1], units = METRIC) => {
  const parsed = parseQuantity(text, dimension, units);
  return parsed.kind === "value" ? parsed.value : parsed;
};

test("a US gallon is 231 cubic inches, by the tank and by the minute", () => {
  const litres = (231 * 2.54 ** 3) / 1000;
  expect(value("10 gal", "volume")).toBeCloseTo(10 * litres, 9);
  expect(value("2.5", "lineFlow", US)).toBeCloseTo(2.5 * litres * 60, 9);
  expect(quantityText(1000, "lineFlow", US)).toBe("4.4 gpm");
  expect(quantityText(100, "volume", US)).toBe("26.4 gal");
});

test("what cannot be read says why and keeps quiet about nothing", () => {
  expect(value("", "length")).toEqual({ kind: "empty" });
  expect(value("abc", "length")).toMatchObject({ message: expect.stringContaining('"abc" is not a number') });
  expect(value("3 kg", "length")).toMatchObject({ message: expect.stringContaining('"kg" is not a unit known here') });
  expect(value("6 in 3 ft", "length")).toMatchObject({ message: expect.stringContaining("two parts") });
  expect(value("1.2.3", "length")).toMatchObject({ kind: "unreadable" });
  expect(value("5 ft x", "length")).toMatchObject({ kind: "unreadable" });
});

test.each([
  ["3 ft 6", "length", 1.0668],
  ['1 7/8"', "length", 0.047625],
  ["1/2 in", "length", 0.0127],
  ["2½ in", "length", 0.0635],
  ["3' 6\"", "length", 1.0668],
  ["1 m 20", "length", 1.2],
  ["0,25", "length", 0.25],
  ["250 mm", "length", 0.25],
  ["3 1/2", "length", 3.5],
  ["6'", "length", 1.8288],
  ['6"', "length", 0.1524],
  ["6”", "length", 0.1524],
  ["2,000", "volume", 2000],
  ["12,500.5 L", "volume", 12_500.5],
  ["0,250", "volume", 0.25],
  ["1,250", "ec", 1.25],
  ["1,400 ppm500", "ec", 2.8],
  ["1.5k", "flow", 1500],
  ["1.5k L/h", "flow", 1500],
  ["1.5 kg", "mass", 1500],
  ["2 qt", "volume", 1.892705892],
  ["2 tbsp", "volume", 0.03],
  ["60 s", "minutes", 1],
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

test("what a field shows for editing reads back as the same value, or within its four digits where the unit differs", () => {
  for (const dimension of ["length", "smallLength", "volume", "ec", "temperature", "flow", "mass"] as const) {
    expect(value(editText(1.37, dimension, METRIC), dimension)).toBeCloseTo(1.37, 9);
    expect(value(editText(1.37, dimension, US), dimension, US)).toBeCloseTo(1.37, 2);
  }
  expect(editText(5.45, "length", US)).toBe("17.88 ft");
  expect(editText(0.0762, "smallLength", US)).toBe("3 in");
  expect(editText(123_456, "volume", METRIC)).toBe("123456 L");
});

test("a time of the day is typed as people write it, up to 24:00", () => {
  for (const [text, minutes] of [
    ["6:00", 360],
    ["18.30", 1110],
    ["6 pm", 1080],
    ["12 am", 0],
    ["0730", 450],
    ["24:00", 1440],
  ] as const)
    expect(value(text, "clock")).toBe(minutes);
  expect(value("24:01", "clock")).toMatchObject({ message: expect.stringContaining("is not a time of the day") });
  expect([editText(1440, "clock", METRIC), quantityText(425, "clock", METRIC)]).toEqual(["24:00", "07:05"]);
});

test("a latitude is typed and shown with its hemisphere", () => {
  for (const [text, degrees, shown] of [
    ["43 N", 43, "43 °N"],
    ["35.3°S", -35.3, "35.3 °S"],
    ["-35.3", -35.3, "35.3 °S"],
    ["0", 0, "0 °N"],
  ] as const) {
    expect(value(text, "latitude")).toBe(degrees);
    expect(editText(degrees, "latitude", METRIC)).toBe(shown);
    expect(value(shown, "latitude")).toBe(degrees);
  }
});

test("defaults are round in the garden's own units, and texts say their quantities in them", () => {
  const text = (metres: number) => editText(roundIn(metres, "length", US), "length", US);
  expect([text(6), text(0.8), text(2.4)]).toEqual(["20 ft", "2.5 ft", "8 ft"]);
  expect(editText(roundIn(0.076, "smallLength", US), "smallLength", US)).toBe("3 in");
  expect(roundIn(5.45, "length", METRIC)).toBe(5.45);
  expect(editText(roundIn(6, "length", US, "down"), "length", US)).toBe("19 ft");
  expect(inText("0 for open spigots, {10 m} for most drip", METRIC)).toBe("0 for open spigots, 10 m for most drip");
  expect(inText("0 for open spigots, {10 m} for most drip", US)).toBe("0 for open spigots, 33 ft for most drip");
  expect(quantityText(20_000, "mass", US)).toBe("44.1 lb");
  expect(quantityText(21, "density", US)).toBe("1.95 per ft²");
});

test("a sum of money has its currency in front and both digits of its cents, from a thousand on none", () => {
  const text = (value: number) => quantityText(value, "money", METRIC);
  expect([40, 2.5, 104.94, -0.5, 999.999].map(text)).toEqual(["€ 40", "€ 2.50", "€ 104.94", "−€ 0.50", "€ 1000"]);
  expect([14_817.92, -1200, -0.001].map(text)).toEqual(["€ 14\u202f818", "−€ 1200", "€ 0"]);
  expect(text(Number.NaN)).toBe("–");
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

test("a reading in ppm on the other scale is noticed where only that one lies in the band", () => {
  const band = { ecLow: 1.3, ecHigh: 1.7 };
  // 1050 ppm: 2.1 mS/cm ×500, 1.5 ×700.
  expect(suspectScale(2.1, "ppm500", band)).toEqual({ kind: "ppm700", value: 2.1, likely: 1.5 });
  expect(suspectScale(1.1, "ppm700", band)).toMatchObject({ kind: "ppm500", likely: 1.54 });
  expect(suspectScale(1.5, "ppm500", band)).toBeUndefined();
  expect(suspectScale(2.1, "mS/cm", band)).toBeUndefined();
});

test("slips of unit are noticed with their likely meaning; plausible values are not", () => {
  expect(suspectSlip("ec", 1420)?.likely).toBe(1.42);
  expect(suspectSlip("ec", 14)?.likely).toBe(1.4);
  expect(suspectSlip("ph", 58)?.likely).toBe(5.8);
  expect(suspectSlip("waterC", 68)?.likely).toBe(20);
  // 26 °F, in a garden that reads Fahrenheit: the figure is right for Celsius.
  expect(suspectSlip("waterC", (26 - 32) / 1.8)?.likely).toBeCloseTo(26, 9);
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
