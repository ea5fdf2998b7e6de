import type { SlipFinding, SlipStep } from "@/core/feed/slip";
import { METRIC, type UnitPreferences } from "@/core/units/dimensions";
import type { StandView } from "@/core/garden/placeView";
import { patternWords } from "./growth/patternWords";
import { lineWordsToday } from "./place/lineToday";
import { stopsOf } from "./round/stops";
import { slipFindingWords, slipStepView } from "./round/slipWords";
import { timerWords } from "./water/words";

test("harvests and timers as one would say them", () => {
  expect(patternWords({ kind: "once", unitsPerPlant: 1, keepsDays: 4 }, "heads")).toBe(
    "heads: once, 1 a plant, keeps 4 days",
  );
  expect(
    patternWords({ kind: "cut", unitsPerPlant: 0.5, cuts: 2, daysBetween: 14, factor: 0.8, keepsDays: 6 }, "bunches"),
  ).toBe("bunches: 2 cuts 14 days apart, 0.5 a plant");
  expect(patternWords({ kind: "picking", unitsPerPlantWeek: 0.3, weeks: 18, keepsDays: 6 }, "kg")).toBe(
    "kg: picked for 18 weeks, 0.3 a plant each week",
  );
  expect(timerWords({ kind: "continuous" })).toBe("runs day and night");
  expect(timerWords({ kind: "every", everyMin: 90, runMin: 6, fromMin: 420, toMin: 1140 })).toBe(
    "runs 6 min every 90 min, 07:00–19:00",
  );
  expect(timerWords({ kind: "times", timesMin: [480, 1020], runMin: 20 })).toBe("runs 20 min at 08:00, 17:00");
});

test("a line says what grows on it, how old it is and what is free", () => {
  const run = {
    batchId: 1,
    variety: "Mizuna",
    mark: { tone: 0, hatch: "plain" as const, initials: "Mi" },
    sownOn: 21_000,
    daysOfStage: 20,
  };
  const view = {
    counts: { sitesPerLine: 10 },
    growing: [
      { ...run, start: 8, end: 14, dayOfStage: 4 },
      { ...run, start: 20, end: 30, dayOfStage: 23 },
    ],
  } as unknown as StandView;
  expect(lineWordsToday(view, 0)).toBe("2 Mizuna of 1 Jul, day 5 of 20; 8 free");
  expect(lineWordsToday(view, 1)).toBe("4 Mizuna of 1 Jul, day 5 of 20; 6 free");
  expect(lineWordsToday(view, 2)).toBe("10 Mizuna of 1 Jul, ready for 3 days");
  expect(lineWordsToday(view, 3)).toBe("10 free");
});

test("every step of a slip has its amount in the measure of the hand", () => {
  const view = (step: SlipStep) => slipStepView(step, METRIC);
  const drain = view({ do: "drain", litres: 66, why: "makes-room" });
  expect(drain).toMatchObject({ title: "Drain", amount: { value: 66, dimension: "volume" } });
  const stock = view({ do: "stock", letter: "B", litres: 0.9 });
  expect(stock).toMatchObject({ title: "Stock B", amount: { dimension: "dose" } });
  const acid = { do: "acid", amount: 12, halfwayPh: 6.44 } as const;
  const citric = view({ ...acid, acid: "citric", unit: "g" });
  expect(citric.amount).toEqual({ value: 12, dimension: "mass" });
  expect(citric.note).toContain("pH should come to 6.4");
  expect(view({ ...acid, acid: "phosphoric", unit: "mL" }).amount).toEqual({ value: 0.012, dimension: "dose" });
  expect(view({ do: "wait", minutes: 20, before: "reading-again" })).toMatchObject({ title: "Wait 20 minutes" });
});

test("what a reading says follows the garden's units and names the source that could help", () => {
  const us: UnitPreferences = { ...METRIC, system: "us", ec: "CF", temperature: "°F" };
  const words = (finding: SlipFinding) => slipFindingWords(finding, us, (id) => (id === 3 ? "Rain" : undefined));
  expect(words({ kind: "low-level", missingL: 189.27 })).toBe("The tank is 49.9 gal below its normal fill level.");
  expect(words({ kind: "warm-water", overC: 25 })).toContain("Over 77 °F");
  expect(words({ kind: "warm-water", overC: 25, holdsMgPerL: 7.827 })).toContain("here at most 7.8 mg/L");
  expect(words({ kind: "water-too-strong", waterEcMsPerCm: 1.2, sourceId: 3 })).toBe(
    "This water alone has EC 12 CF: it cannot bring the tank down. Rain could.",
  );
  expect(words({ kind: "not-read", figures: ["levelL", "waterC"] })).toBe(
    "Not read: level, temperature; amounts cannot be worked out without the level.",
  );
});

test("what is done is listed with what is to be done, stop by stop in the order of the walk", () => {
  const stop = (key: string, order: number) => ({ key, name: key, order });
  const stops = stopsOf(
    [
      { key: "a", stop: stop("net", 1001) },
      { key: "b", stop: stop("gate", 0) },
    ] as never,
    [
      { id: 1, what: { kind: "dose", tank: "Leaf tank", steps: [] } },
      { id: 2, what: { kind: "skip", stop: stop("net", 1001) } },
      { id: 3, what: { kind: "note", title: "Seen", place: "" } },
    ] as never,
  );
  expect(stops.map((entry) => [entry.stop.key, entry.items.length, entry.done.length])).toEqual([
    ["gate", 1, 0],
    ["tanks", 0, 1],
    ["net", 1, 1],
  ]);
});
