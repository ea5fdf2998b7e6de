import fc from "fast-check";
import light from "../../../../tests/reference/growth/light.json";
import { dayFromIso } from "../../units/day";
import { houseEt0, insideDay, lightInside, type HouseClimate } from "./houseAir";
import { measuredDay, normalDay, onDayOfYear, type ClimateNormals } from "./normals";
import { weatherNormals } from "./weatherNormals";
import { clearSkyRadiation, dailyLightMol, radiationFromTemperatures, sunOfDay } from "./sun";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
const of = (kind: string) => (light.cases as any[]).filter(({ given }) => given.kind === kind);

test.each(of("Ra"))("sun over the day: $name", ({ given, expect: want }) => {
  const found = sunOfDay(given.latitudeDeg, given.dayOfYear);
  expect(Math.abs(found.extraterrestrialMjPerM2Day - want.RaMJPerM2Day)).toBeLessThan(1e-6);
  expect(Math.abs(found.daylightHours - want.daylightHours)).toBeLessThan(1e-6);
});

test.each(of("dli"))("light of the day: $name", ({ given, expect: want }) => {
  const sun = sunOfDay(given.latitudeDeg, want.dayOfYear);
  const clearMj = clearSkyRadiation(sun, given.elevationM);
  const { tMaxC, tMinC, kRs, skyMethod } = given;
  const skyMj = skyMethod === "clearSky" ? clearMj : radiationFromTemperatures(sun, tMaxC, tMinC, kRs);
  const outsideMj = skyMethod === "hargreavesCapped" ? Math.min(clearMj, skyMj) : skyMj;
  const inside = lightInside({ ...film, lightThrough: given.coverTransmissivity, shadeShare: given.shadeShare });
  expect(dailyLightMol(outsideMj * inside)).toBeCloseTo(want.dliSunMolPerM2Day, 6);
});

const film: HouseClimate = {
  ...{ cover: "film", lightThrough: null, shadeShare: 0, warmerByDayC: 6, warmerByNightC: 2 },
  ...{ heatedToC: 8, ventedAtC: 28 },
};
const coast: ClimateNormals = {
  ...{ latitudeDeg: 37.2, elevationM: 18, nearSea: true, humidityByMonth: null, windMPerSByMonth: null },
  highestCByMonth: [16, 17, 19, 20, 23, 27, 30, 30, 27, 23, 19, 17],
  lowestCByMonth: [7, 8, 9, 11, 13, 16, 18, 18, 17, 14, 11, 8],
};

test("a figure by month holds in the middle of its month, lies between its neighbours elsewhere, and turns the year smoothly", () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -30, max: 40, noNaN: true }), { minLength: 12, maxLength: 12 }),
      fc.integer({ min: 1, max: 365 }),
      (byMonth, day) => {
        const value = onDayOfYear(byMonth, day);
        expect(value).toBeGreaterThanOrEqual(Math.min(...byMonth) - 1e-9);
        expect(value).toBeLessThanOrEqual(Math.max(...byMonth) + 1e-9);
        const step = Math.max(...byMonth.map((one, month) => Math.abs(one - byMonth[(month + 1) % 12]!))) / 28;
        expect(Math.abs(value - onDayOfYear(byMonth, (day % 365) + 1))).toBeLessThanOrEqual(step + 1e-9);
      },
    ),
    { seed: 21 },
  );
  expect(onDayOfYear(coast.highestCByMonth, 197)).toBe(30);
  expect(onDayOfYear(coast.highestCByMonth, 1)).toBeCloseTo((16 + 17) / 2, 1);
});

test("a house is as much warmer as told, heated from below and vented from above, never cooler than outside by venting", () => {
  const winter = normalDay(coast, 16);
  expect(insideDay(film, winter)).toMatchObject({ lowestC: 9, highestC: 22 });
  expect(insideDay({ ...film, warmerByNightC: 0 }, winter).lowestC).toBe(8);
  const summer = normalDay(coast, 197);
  expect(insideDay(film, summer).highestC).toBe(30);
  expect(insideDay({ ...film, ventedAtC: null }, summer).highestC).toBe(36);
  expect(insideDay({ ...film, warmerByDayC: -4 }, summer).highestC).toBe(26);
});

test("more shade, less drunk; a solid room has no figure; what was measured goes before what is worked out", () => {
  const summer = normalDay(coast, 197);
  const mm = (more: Partial<HouseClimate>) => houseEt0({ ...film, ...more }, summer, 18)!.mmPerDay;
  expect(mm({ shadeShare: 0.5 })).toBeLessThan(mm({}));
  expect(mm({})).toBeLessThan(mm({ cover: "open" }));
  expect(houseEt0({ ...film, cover: "solid" }, summer, 18)).toBeNull();
  const day = { highestC: 30, lowestC: 18, humidity: null, windMPerS: null };
  expect(measuredDay(coast, { ...day, radiationMjPerM2: 9 }, 197)).toMatchObject({
    radiationMjPerM2Day: 9,
    windAt2MMPerS: 2,
  });
  expect(() => measuredDay(coast, { ...day, lowestC: 31, radiationMjPerM2: null }, 197)).toThrow(/highestC is 30/u);
});

test("measured days come to months: means, rain of a whole month, wet days from 0.1 mm; too few days come to nothing", () => {
  const january = Array.from({ length: 25 }, (_, at) => ({
    ...{ day: dayFromIso("2027-01-01") + at, highestC: 14 + (at % 2), lowestC: 5 },
    ...{ rainMm: at % 5 === 0 ? 6 : 0.05, humidityPercent: at < 10 ? 80 : null, windMPerS: 3, radiationMjPerM2: null },
  }));
  const months = weatherNormals([...january, { ...january[0]!, day: dayFromIso("2027-02-01") }]);
  expect(months.slice(1)).toEqual(new Array(11).fill(null));
  expect(months[0]).toMatchObject({ days: 25, lowestC: 5, humidity: null, windMPerS: 3 });
  expect(months[0]!.highestC).toBeCloseTo(14 + 12 / 25, 9);
  expect(months[0]!.rainMm).toBeCloseTo(((5 * 6 + 20 * 0.05) / 25) * 31, 9);
  expect(months[0]!.wetDays).toBeCloseTo((5 / 25) * 31, 9);
});
