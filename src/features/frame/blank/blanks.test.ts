import { toldKind } from "@/core/place/told/kinds";
import { METRIC } from "@/core/units/dimensions";
import { inUnit, leaveBlank, spokenText, startBlanks, typeBlank, withTexts } from "./blanks";

const { measures } = toldKind("channels");
const first = { lines: "12", lengthM: "6 m", spacingM: "20 cm", endM: "10 cm", pathEvery: "6" };
const start = startBlanks(measures, first, METRIC);
const typed = (...pairs: readonly (readonly [string, string])[]) =>
  pairs.reduce((state, [name, text]) => typeBlank(measures, state, name, text), start);

test("what is typed is worked out at once, and stays as it was typed", () => {
  const state = typed(["lengthM", "19 ft 8"], ["lines", "1k"]);
  expect(state.good).toMatchObject({ lines: 1000, lengthM: expect.closeTo(5.9944, 9), spacingM: 0.2 });
  expect(state.texts.lengthM).toBe("19 ft 8");
});

test("units follow what was typed last", () => {
  expect(typed(["lengthM", "20 ft"]).units.system).toBe("us");
  expect(typed(["lengthM", "20 ft"], ["spacingM", "20 cm"]).units.system).toBe("metric");
  expect(inUnit(0.1, "smallLength", start.typedUnits.spacingM, METRIC)).toBe("10 cm");
});

test("nonsense is told beside its blank with its range, and the last good figures stay", () => {
  for (const [text, words] of [
    ["abc", 'Length: "abc" is not a number'],
    ["", "Length is missing."],
    ["0", "Length is 0 m; it must be from 0.1 m to 500 m."],
    ["900 m", "Length is 900 m; it must be from 0.1 m to 500 m."],
  ] as const) {
    const state = typed(["lengthM", "5 m"], ["lengthM", text]);
    expect(state.problems).toEqual([{ name: "lengthM", words: expect.stringContaining(words) }]);
    expect(state.good.lengthM).toBe(5);
  }
  expect(typed(["lines", "2.5"]).problems[0]!.words).toBe("Channels is 2.5; it must be a whole number.");
  expect(typed(["spacingM", "7 m"]).problems[0]!.words).toBe(
    "A plant every is 7 m; it must not be more than the length.",
  );
});

test("texts that were kept and are wrong leave the figures that the question begins with", () => {
  const kept = withTexts(measures, start, { lengthM: "six", spacingM: "30 cm" });
  expect([kept.texts.lengthM, kept.good.lengthM, kept.problems.length]).toEqual(["six", 6, 1]);
});

test("a bare number gets the garden's unit when its blank is left", () => {
  const state = leaveBlank(measures, typed(["lengthM", "8"]), "lengthM");
  expect([state.texts.lengthM, state.good.lengthM]).toEqual(["8 m", 8]);
  expect(leaveBlank(measures, typed(["lines", "8"]), "lines").texts.lines).toBe("8");
});

test("first figures are said in centimetres, or in inches and feet", () => {
  const us = { ...METRIC, system: "us" } as const;
  expect([spokenText(0.2, "smallLength", METRIC), spokenText(0.2032, "smallLength", us)]).toEqual(["20 cm", "8 in"]);
  expect([spokenText(6, "length", METRIC), spokenText(6.096, "length", us)]).toEqual(["6 m", "20 ft"]);
});
