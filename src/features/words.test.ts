import type { StandView } from "@/server/place/view";
import { patternWords } from "./growth/patternWords";
import { lineWordsToday } from "./place/lineToday";
import { slipStepView } from "./round/slipView";
import { stopsOf } from "./round/stops";
import { timerWords } from "./water/timerWords";

test("harvests and timers as one would say them", () => {
  expect(patternWords({ kind: "once", unitsPerPlant: 1, holdDays: 4 }, "heads")).toBe(
    "heads: once, 1 a plant, holds 4 days",
  );
  expect(
    patternWords({ kind: "cut", unitsPerPlant: 0.5, cuts: 2, daysBetween: 14, factor: 0.8, holdDays: 6 }, "bunches"),
  ).toBe("bunches: 2 cuts 14 days apart, 0.5 a plant");
  expect(patternWords({ kind: "picking", unitsPerPlantWeek: 0.3, weeks: 18, holdDays: 6 }, "kg")).toBe(
    "kg: picked 18 weeks, 0.3 a plant and week",
  );
  expect(timerWords({ kind: "continuous" })).toBe("runs day and night");
  expect(timerWords({ kind: "every", everyMin: 90, runMin: 6, fromMin: 420, toMin: 1140 })).toBe(
    "6 min every 90 min, 07:00–19:00",
  );
  expect(timerWords({ kind: "times", timesMin: [480, 1020], runMin: 20 })).toBe("20 min at 08:00, 17:00");
});

test("a line says what stands on it, how old it is and what is free", () => {
  const run = { batchId: 1, variety: "Mizuna", tone: 0, sownOn: 21_000, daysOfStage: 20 };
  const view = { counts: { sitesPerLine: 10 }, growing: [{ ...run, start: 8, end: 14, dayOfStage: 4 }, { ...run, start: 20, end: 30, dayOfStage: 23 }] } as unknown as StandView; // prettier-ignore
  expect(lineWordsToday(view, 0)).toBe("2 Mizuna of 1 Jul, day 5 of 20; 8 free");
  expect(lineWordsToday(view, 1)).toBe("4 Mizuna of 1 Jul, day 5 of 20; 6 free");
  expect(lineWordsToday(view, 2)).toBe("10 Mizuna of 1 Jul, ready since 3 days");
  expect(lineWordsToday(view, 3)).toBe("10 free");
});

test("every step of a slip has its amount in the measure of the hand", () => {
  expect(slipStepView({ do: "drain", litres: 66, note: "n" })).toMatchObject({
    title: "Drain",
    amount: { value: 66, dimension: "volume" },
    note: "n",
  });
  expect(slipStepView({ do: "stock", letter: "B", litres: 0.9, note: "n" })).toMatchObject({
    title: "Stock B",
    amount: { dimension: "dose" },
  });
  expect(slipStepView({ do: "acid", name: "citric acid", amount: 12, unit: "g", note: "n" }).amount).toMatchObject({
    value: 12,
    dimension: "mass",
  });
  expect(
    slipStepView({ do: "acid", name: "phosphoric acid 75 %", amount: 12, unit: "mL", note: "n" }).amount,
  ).toMatchObject({
    value: 0.012,
    dimension: "dose",
  });
  expect(slipStepView({ do: "wait", minutes: 20, note: "n" })).toMatchObject({ title: "Wait 20 minutes", note: "n" });
});

test("what is done stands with what is to be done, stop by stop in the order of the walk", () => {
  const stop = (key: string, order: number) => ({ key, name: key, order });
  const stops = stopsOf(
    [{ key: "a", stop: stop("net", 1001) }, { key: "b", stop: stop("gate", 0) }] as never,
    [{ id: 1, planned: { stop: stop("tanks", 100) } }, { id: 2, planned: { stop: stop("net", 1001) } }, { id: 3, planned: {} }] as never,
  ); // prettier-ignore
  expect(stops.map((entry) => [entry.stop.key, entry.items.length, entry.done.length])).toEqual([["gate", 1, 0], ["tanks", 0, 1], ["net", 1, 1]]); // prettier-ignore
});
