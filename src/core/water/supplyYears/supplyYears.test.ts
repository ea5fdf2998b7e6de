import reference from "../../../../tests/reference/water/storage.json";
import { rainInflowL } from "../rainInflow";
import { firstShortDay, leastStoreL } from "./leastStore";
import { storeYears } from "./storeYears";
import { weatherYears } from "./weatherYears";

const MONTH_STARTS = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334, 365];
/** Wet winters and a dry summer. */
const rain = {
  rainMmByMonth: [70, 60, 50, 40, 20, 5, 0, 2, 20, 60, 80, 90],
  wetDaysByMonth: [9, 8, 7, 6, 4, 1, 0, 0.5, 3, 7, 9, 10],
};

test("the store that carries 90 % of the seasons is the least that does", () => {
  const one = reference.cases.find(({ kind }) => kind === "size")!;
  const { rainMm, drawL, roofAreaM2, reliabilityShare, sizeStepL } = one.given as unknown as {
    rainMm: number[][];
    drawL: number[];
    roofAreaM2: number;
    reliabilityShare: number;
    sizeStepL: number;
  };
  const want = one.expect as unknown as { sizeL: number; yearsRequired: number; sizeNeededByYearL: number[] };
  const seasons = rainMm.map((days) => ({
    inflowL: days.map((mm) => rainInflowL(mm, roofAreaM2)),
    drawL,
    othersLpd: 0,
  }));
  const carries = (season: (typeof seasons)[number], sizeL: number) => firstShortDay(season, sizeL, sizeL) === null;
  const carried = (sizeL: number) => seasons.filter((season) => carries(season, sizeL)).length;
  const wanted = Math.ceil(reliabilityShare * seasons.length);
  expect(wanted).toBe(want.yearsRequired);
  expect(leastStoreL(carried, wanted, sizeStepL, 100_000)).toBe(want.sizeL);
  seasons.forEach((season, year) => {
    const leastL = want.sizeNeededByYearL[year]!;
    expect([carries(season, leastL), carries(season, leastL - sizeStepL)]).toEqual([true, false]);
  });
  expect(leastStoreL(() => 0, 1, 10, 20_000)).toBeNull();
});

test("a plan is carried in more years by a larger roof, and a source that is drawn first spares the store", () => {
  const source = { id: 1, name: "", kind: "rain", priority: 1, limitLpd: 0, roofAreaM2: 60, pricePerM3: 0 } as const;
  const given = {
    ...{ from: 20_454, needL: new Array<number>(365).fill(60), years: 200, seed: 5, rain },
    ...{ sources: [source], store: { capacityL: 6000, storedL: 6000 } },
  };
  const one = storeYears(given);
  const wider = storeYears({ ...given, sources: [{ ...source, roofAreaM2: 120 }] });
  expect(wider.carried).toBeGreaterThanOrEqual(one.carried);
  const mains = { ...source, kind: "mains", priority: 0, limitLpd: 50, roofAreaM2: 0 } as const;
  const helped = storeYears({ ...given, sources: [source, mains] });
  expect(helped.carried).toBeGreaterThan(one.carried);
  expect(helped.leastL ?? Infinity).toBeLessThan(one.leastL ?? Infinity);
  const shares: number[] = [];
  storeYears({ ...given, sources: [source, mains] }, (share) => shares.push(share));
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
  expect(shares.at(-1)).toBeGreaterThan(0.9);
});

test("simulated years keep to the normals: rain and wet days of each month, and no two seeds alike", () => {
  const years = weatherYears(rain, 1000, 7);
  for (let month = 0; month < 12; month++) {
    const days = years.map((year) => year.subarray(MONTH_STARTS[month], MONTH_STARTS[month + 1]));
    const meanMm = days.reduce((sum, own) => sum + own.reduce((a, b) => a + b, 0), 0) / years.length;
    const wet = days.reduce((sum, own) => sum + own.filter((mm) => mm > 0).length, 0) / years.length;
    expect(Math.abs(meanMm - rain.rainMmByMonth[month]!)).toBeLessThanOrEqual(0.08 * rain.rainMmByMonth[month]! + 0.3);
    expect(Math.abs(wet - rain.wetDaysByMonth[month]!)).toBeLessThanOrEqual(0.05 * rain.wetDaysByMonth[month]! + 0.1);
  }
  expect(weatherYears(rain, 2, 7)).toEqual(years.slice(0, 2));
  expect(weatherYears(rain, 1, 8)).not.toEqual(years.slice(0, 1));
});

test("wet days come in spells, and amounts differ", () => {
  const days = weatherYears(rain, 400, 3).flatMap((year) => [...year.subarray(0, 31)]);
  const isWet = days.map((mm) => mm > 0);
  const after = (before: boolean) => {
    const next = isWet.slice(1).filter((_, at) => isWet[at] === before);
    return next.filter(Boolean).length / next.length;
  };
  expect(after(true)).toBeGreaterThan(after(false) + 0.15);
  const amounts = days.filter((mm) => mm > 0).sort((a, b) => a - b);
  expect(amounts[Math.floor(amounts.length * 0.9)]! / amounts[Math.floor(amounts.length / 2)]!).toBeGreaterThan(2);
});
