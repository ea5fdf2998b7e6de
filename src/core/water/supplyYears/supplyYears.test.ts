import reference from "../../../../tests/reference/water/storage.json";
import { rainInflowL } from "../rainInflow";
import { onDayOfYear } from "../../place/climate/normals";
import type { WeatherDay } from "../../place/climate/weatherFile";
import { dayFromIso } from "../../units/day";
import { drawnYears } from "./drawnYears";
import { firstShortDay, leastStoreL } from "./leastStore";
import { storeYears } from "./storeYears";
import { temperatureYears } from "./temperatureYears";
import { weatherYears } from "./weatherYears";

const MONTH_STARTS = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334, 365];
const MIDDLES = [16, 45, 75, 105, 136, 166, 197, 228, 258, 289, 319, 350];
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

const coast = {
  ...{ latitudeDeg: 37.2, elevationM: 18, nearSea: true, humidityByMonth: null, windMPerSByMonth: null },
  highestCByMonth: [16, 17, 19, 20, 23, 27, 30, 30, 27, 23, 19, 17],
  lowestCByMonth: [7, 8, 9, 11, 13, 16, 18, 18, 17, 14, 11, 8],
};

test("temperatures of simulated years keep to the normals of each month, go from day to day, and swing less on wet days", () => {
  const wetYears = weatherYears(rain, 1000, 7);
  const years = temperatureYears(coast, wetYears, rain.wetDaysByMonth, 7);
  for (const name of ["highestC", "lowestC"] as const)
    MIDDLES.forEach((middle, month) => {
      const near = years.flatMap((year) => [...year[name].subarray(middle - 8, middle + 7)]);
      const mean = near.reduce((sum, one) => sum + one, 0) / near.length;
      expect(Math.abs(mean - coast[`${name}ByMonth`][month]!)).toBeLessThan(0.5);
    });
  const swing = (isWet: boolean) => {
    const days = years.flatMap((year, at) =>
      [...year.highestC].flatMap((high, day) => (wetYears[at]![day]! > 0 === isWet ? [high - year.lowestC[day]!] : [])),
    );
    return days.reduce((sum, one) => sum + one, 0) / days.length;
  };
  expect(swing(true)).toBeLessThan(0.85 * swing(false));
  const [first] = years;
  const off = [...first!.highestC].map((high, day) => high - onDayOfYear(coast.highestCByMonth, day + 1));
  const together = off.slice(1).reduce((sum, one, at) => sum + one * off[at]!, 0);
  expect(together / off.reduce((sum, one) => sum + one * one, 0)).toBeGreaterThan(0.35);
});

/** Days of some years: each month of a year has one rain of its own, so that it is known again. */
const measuredYears = (years: readonly number[]): WeatherDay[] =>
  years.flatMap((year) =>
    Array.from({ length: 365 + Number(year % 4 === 0) }, (_, at) => ({
      ...{ day: dayFromIso(`${year}-01-01`) + at, highestC: year - 2000, lowestC: 5 },
      ...{ rainMm: year - 2015, humidityPercent: null, windMPerS: null, radiationMjPerM2: null },
    })),
  );

test("with five whole years of each month years are put together from whole months as they were; else they are simulated", () => {
  const days = measuredYears([2016, 2017, 2018, 2019, 2020]);
  const years = drawnYears(days, 300, 3)!;
  for (const year of years)
    for (let month = 0; month < 12; month++)
      expect(new Set(year.rainMm.subarray(MONTH_STARTS[month], MONTH_STARTS[month + 1])).size).toBe(1);
  const first = years.map(({ rainMm }) => rainMm[0]!);
  expect([...new Set(first)].sort()).toEqual([1, 2, 3, 4, 5]);
  expect(years.some(({ rainMm }) => rainMm[0] !== rainMm[200])).toBe(true);
  expect(drawnYears(days, 2, 3)).toEqual(years.slice(0, 2));
  expect(drawnYears(days.slice(1), 2, 3)).toBeNull();
  const store = {
    ...{ from: 20_454, needL: new Array<number>(100).fill(60), years: 20, seed: 5, rain, measured: days },
    sources: [{ id: 1, name: "", kind: "rain", priority: 1, limitLpd: 0, roofAreaM2: 60, pricePerM3: 0 } as const],
    store: { capacityL: 6000, storedL: 6000 },
  };
  expect(storeYears(store)).toMatchObject({ from: "measured", carried: 20, needFollows: false });
  expect(storeYears({ ...store, measured: days.slice(1) }).from).toBe("simulated");
});

test("what plants drink by the climate follows each year's temperatures; the rest stays as it is", () => {
  const given = {
    ...{ from: 20_454, needL: new Array<number>(365).fill(60), years: 60, seed: 5, rain, normals: coast },
    sources: [{ id: 1, name: "", kind: "rain", priority: 1, limitLpd: 0, roofAreaM2: 90, pricePerM3: 0 } as const],
    store: { capacityL: 6000, storedL: 6000 },
  };
  const follows = storeYears({ ...given, byClimateL: given.needL });
  const steady = storeYears({ ...given, byClimateL: given.needL.map(() => 0) });
  expect(follows.needFollows).toBe(true);
  expect(follows.leastL).not.toBe(steady.leastL);
  expect(steady.leastL).toBe(storeYears({ ...given, normals: null }).leastL);
});
