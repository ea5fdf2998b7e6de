import { progressByDay, growingYear } from "../../src/core/garden/clocks";
import type { House } from "../../src/core/garden/garden";
import { sowDayFor } from "../../src/core/growth/sowDay";
import { stageClock, type StageLength } from "../../src/core/growth/stageDays";
import { CROP_LIBRARY } from "../../src/core/growth/library/crops";
import { daysByMonthAt } from "../../src/core/growth/library/crop";
import { normalDay } from "../../src/core/place/climate/normals";
import { dayFromIso } from "../../src/core/units/day";

type LeastMs = (work: () => unknown, times: number) => number;

const TIMES = 20;
const BATCHES = 500;
const SPAN_DAYS = 548;
const FROM = dayFromIso("2027-09-02");
const LATITUDE_DEG = 37.2;
const TUNNEL = {
  ...{
    cover: "film",
    lightThrough: null,
    shadeShare: 0,
    warmerByDayC: 6,
    warmerByNightC: 2,
    heatedToC: 8,
    ventedAtC: 30,
  },
  ...{ lampsFromMin: null, lampsToMin: null, lampsUmolPerM2S: null },
} as unknown as House;
const NORMALS = {
  ...{ latitudeDeg: LATITUDE_DEG, elevationM: 18, nearSea: true, humidityByMonth: null, windMPerSByMonth: null },
  highestCByMonth: [16, 17, 19, 20, 23, 27, 30, 30, 27, 23, 19, 17],
  lowestCByMonth: [7, 8, 9, 11, 13, 16, 18, 18, 17, 14, 11, 8],
};

/** The stages of the 30 crops of the library, half of them by the calendar and half by warmth and light, new each time. */
function varieties(progress: readonly (readonly number[][])[]): StageLength[][] {
  return CROP_LIBRARY.map(({ stages }, crop) =>
    stages.map(({ days }, at) => ({
      daysByMonth: daysByMonthAt(days, LATITUDE_DEG),
      ...(crop % 2 === 1 && { progressByDay: progress[crop]![at]! }),
    })),
  );
}

/** Boundaries of many batches, and sow days backward from each day of a year. */
export function growthBench(leastMs: LeastMs): void {
  console.log("\nGrowth");
  const outside = Array.from({ length: 366 }, (_, at) => normalDay(NORMALS, at + 1));
  const year = growingYear(outside, TUNNEL, null)!;
  const made = () =>
    CROP_LIBRARY.map(({ stages, airC, lightMolPerM2Day }) =>
      stages.map(({ days }) =>
        progressByDay(
          {
            ...{ referenceDays: days[0], baseC: airC[0], optimumC: airC[1], maxC: airC[2], usesLight: true },
            ...{ halfLightMol: lightMolPerM2Day / 2, referenceDliMol: lightMolPerM2Day },
          },
          [{ share: 1, days: year }],
        ),
      ),
    );
  const progress = made();
  const forward = leastMs(() => {
    const lengths = varieties(progress);
    const clocks = lengths.map((stages) => stages.map((stage) => stageClock(stage, FROM, FROM + SPAN_DAYS + 400)));
    for (let batch = 0; batch < BATCHES; batch++) {
      let at = FROM + ((batch * 37) % SPAN_DAYS);
      for (const clock of clocks[batch % clocks.length]!) at = clock(at);
    }
  }, TIMES);
  console.log(`  stages of ${BATCHES} batches over 18 months: ${forward.toFixed(1)} ms (asked: under 30 ms)`);
  const backward = leastMs(() => {
    for (const stages of varieties(progress)) for (let day = 0; day < 365; day++) sowDayFor(FROM + day, stages);
  }, TIMES);
  console.log(`  sow days for each day of a year, 30 varieties: ${backward.toFixed(1)} ms (asked: under 50 ms)`);
  const clocks = leastMs(made, 5);
  console.log(`  the year of the stages of 30 varieties by warmth and light: ${clocks.toFixed(1)} ms`);
}
