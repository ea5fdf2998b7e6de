import { solveLateral, type Lateral } from "../../src/core/water/lateral";
import { solveLoop, type LoopNetwork } from "../../src/core/water/network/loopNetwork";
import { storeYears } from "../../src/core/water/supplyYears/storeYears";
import { supplyHorizon } from "../../src/core/water/supply";
import { epanetModel } from "../../tests/engines/epanet";

type LeastMs = (work: () => unknown, times: number) => number;

const TIMES = 15;
/** Ours is compiled while it runs. */
const OUR_TIMES = 500;
const OUTLET = { nominalFlowLph: 2, nominalHeadM: 10, exponent: 0.5, leastHeadM: null };
const LINE: Omit<Lateral, "emitter"> = {
  pipe: { boreMm: 13.6 },
  count: 200,
  spacingM: 0.3,
  firstSpacingM: 0.3,
  slopeRise: 0,
  equivalentLengthM: 0.1,
};
const WIDE = { lengthM: 0.001, boreMm: 1000, fittingsK: 0 };

/** Lines, loops and gardens of emitters, against the EPANET engine solving the same model again. */
export async function waterBench(leastMs: LeastMs) {
  console.log("\nWater, solved again and again; the engine's model stays open");
  await compare(leastMs, "a lateral of 200 emitters", 20, oneLine(LINE.count), () => {
    const { flowsLph, totalLph } = solveLateral({ ...LINE, emitter: OUTLET }, 10);
    return { flowLph: totalLph, outletsLph: flowsLph };
  });
  const loop = loopOf(40, 100);
  await compare(leastMs, "a loop of 40 laterals of 100 emitters with a pump", 5, loop, () => solvedFlows(loop));
  supplyBench(leastMs);
  const garden = loopOf(100, 100);
  const ms = leastMs(() => solveLoop(garden), TIMES);
  console.log(`  a garden of 10 000 emitters: ${ms.toFixed(1)} ms (asked: under 50 ms)`);
}

interface Flows {
  readonly flowLph: number;
  readonly outletsLph: ArrayLike<number>;
}

async function compare(leastMs: LeastMs, what: string, asked: number, network: LoopNetwork, ours: () => Flows) {
  const model = await epanetModel(network);
  const theirMs = leastMs(() => model.solve(), TIMES);
  const ourMs = leastMs(ours, OUR_TIMES);
  const [theirs, own] = [model.flows(), ours()];
  model.close();
  const most = Array.from(own.outletsLph).reduce(
    (worst, flow, at) => Math.max(worst, Math.abs(flow / theirs.outletsLph[at]! - 1)),
    Math.abs(own.flowLph / theirs.flowLph - 1),
  );
  if (most > 0.005) throw new Error(`${what}: flows differ by ${(100 * most).toFixed(2)} %`);
  console.log(
    `  ${what}: ${ourMs.toFixed(2)} ms, ${(theirMs / ourMs).toFixed(1)} times as fast (asked: ${asked}); flows within ${(100 * most).toFixed(3)} %`,
  );
}

function solvedFlows(network: LoopNetwork): Flows {
  const { flowLph, banks } = solveLoop(network);
  return { flowLph, outletsLph: banks.flatMap(({ outletsLph }) => [...outletsLph]) };
}

function oneLine(count: number): LoopNetwork {
  const manifold = { pipe: { boreMm: 1000 }, firstOfftakeM: 0.001, offtakeSpacingM: 0, offtakes: 1 };
  const lateral = { ...LINE, count };
  return {
    ...{ surfaceM: 10, pump: null, before: [], main: [WIDE], bypass: null },
    banks: [{ atMain: 0, open: true, elevationM: 0, connection: WIDE, manifold, lateral, outlet: OUTLET }],
  };
}

function loopOf(laterals: number, emitters: number): LoopNetwork {
  const banks = 4;
  return {
    surfaceM: 0.5,
    pump: { kind: "label", flowAtNoLiftLph: 5 * laterals * emitters, greatestLiftM: 35 },
    before: [],
    main: [{ lengthM: 20, boreMm: 80, fittingsK: 5 }],
    banks: Array.from({ length: banks }, (_, bank) => ({
      ...{ atMain: 0, open: true, elevationM: 0.2 * bank, outlet: OUTLET },
      connection: { lengthM: 2, boreMm: 50, fittingsK: 3 },
      manifold: { pipe: { boreMm: 50 }, firstOfftakeM: 0.6, offtakeSpacingM: 1.2, offtakes: laterals / banks },
      lateral: { ...LINE, count: emitters },
    })),
    bypass: null,
  };
}

const RAIN = {
  rainMmByMonth: [70, 60, 50, 40, 20, 5, 0, 2, 20, 60, 80, 90],
  wetDaysByMonth: [9, 8, 7, 6, 4, 1, 0, 0.5, 3, 7, 9, 10],
};
const NORMALS = {
  ...{ latitudeDeg: 37, elevationM: 20, nearSea: true, humidityByMonth: null, windMPerSByMonth: null },
  highestCByMonth: [16, 17, 19, 20, 23, 27, 30, 30, 27, 23, 19, 17],
  lowestCByMonth: [7, 8, 9, 11, 13, 16, 18, 18, 17, 14, 11, 8],
};
const DAYS = 548;
const ROOF = { id: 1, name: "roof", kind: "rain", priority: 1, limitLpd: 0, roofAreaM2: 150, pricePerM3: 0 } as const;

/** Eighteen months of stores and sources, and a thousand years of weather for them. */
function supplyBench(leastMs: LeastMs) {
  const sources = [ROOF, { ...ROOF, id: 2, kind: "mains" as const, priority: 2, limitLpd: 600, roofAreaM2: 0 }];
  const needL = new Array<number>(DAYS).fill(420);
  const store = { capacityL: 18_000, storedL: 12_000 };
  const four = () => {
    for (let loop = 0; loop < 4; loop++) supplyHorizon(20_454, needL, sources, store, RAIN);
  };
  console.log(`  18 months of supply for 4 loops: ${leastMs(four, TIMES).toFixed(1)} ms (asked: under 20 ms)`);
  const weather = { rain: RAIN, normals: NORMALS, byClimateL: needL };
  const years = () => storeYears({ from: 20_454, needL, sources, store, ...weather, years: 1000, seed: 1 });
  console.log(`  1 000 weather years: ${leastMs(years, 3).toFixed(0)} ms (asked: under 2 s)`);
}
