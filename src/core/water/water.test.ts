import { dayFromIso } from "../units/day";
import { ladder, type LadderInput } from "./ladder";
import { frictionFactor } from "./frictionFactor";
import { pumpCurve, risesAt } from "./pumpCurve";
import { supplyHorizon, type WaterSource } from "./supply";
import { timerMinutes, timerRuns } from "./timer";
import { clockText } from "../units/format";

test("timers: few long runs, many short ones, all day; a run is cut off by the next start", () => {
  expect(
    timerRuns({ kind: "every", everyMin: 90, runMin: 15, fromMin: 420, toMin: 1140 }).map((run) =>
      clockText(run.startMin),
    ),
  ).toEqual(["07:00", "08:30", "10:00", "11:30", "13:00", "14:30", "16:00", "17:30"]);
  expect(timerMinutes({ kind: "times", timesMin: [600, 480, 490], runMin: 20 })).toBe(10 + 20 + 20);
  expect(timerMinutes({ kind: "continuous" })).toBe(1440);
  expect(() => timerRuns({ kind: "every", everyMin: 10, runMin: 11, fromMin: 0, toMin: 60 })).toThrow(
    "runMin is 11; it must be from 0.05 to 10",
  );
  expect(() => timerRuns({ kind: "times", timesMin: [1500], runMin: 5 })).toThrow("timesMin is 1500");
});

test("a timer's window may go on over midnight or end at 24:00, and its runs may last seconds", () => {
  const over = { kind: "every", everyMin: 120, runMin: 1, fromMin: 22 * 60, toMin: 4 * 60 } as const;
  expect(timerRuns(over).map((run) => clockText(run.startMin))).toEqual(["00:00", "02:00", "22:00"]);
  expect(timerMinutes({ ...over, everyMin: 15, fromMin: 360, toMin: 1440 })).toBe((18 * 60) / 15);
  // The same time twice is once around the clock.
  expect(timerMinutes({ ...over, everyMin: 15, fromMin: 360, toMin: 360 })).toBe((24 * 60) / 15);
});

test("friction factor: laminar, turbulent, and between them one smooth curve", () => {
  expect(frictionFactor(1000, 0.0001)).toBe(0.064);
  const step = 0.01;
  for (const edge of [2000, 4000]) {
    const [before, after] = [frictionFactor(edge - step, 1e-4), frictionFactor(edge + step, 1e-4)];
    expect(Math.abs(after - before)).toBeLessThan(1e-6);
    const slope = (re: number) => (frictionFactor(re + step / 2, 1e-4) - frictionFactor(re - step / 2, 1e-4)) / step;
    expect(slope(edge + step)).toBeCloseTo(slope(edge - step), 6);
  }
});

test("a pump curve goes through its points, never rises between falling ones, and refuses flows that do not rise", () => {
  const points = [
    { flowLph: 0, headM: 5.5 },
    { flowLph: 3500, headM: 3 },
    { flowLph: 6000, headM: 1 },
  ];
  const curve = pumpCurve(points);
  for (const point of points) expect(curve.headM(point.flowLph)).toBeCloseTo(point.headM, 9);
  for (let flow = 0; flow < 6000; flow += 50) expect(curve.headM(flow + 50)).toBeLessThan(curve.headM(flow));
  expect(() => pumpCurve([points[1]!, points[0]!])).toThrow("flowLph of point 2 is 0; flows must rise");
});

const source = (
  id: number,
  kind: WaterSource["kind"],
  priority: number,
  limitLpd: number,
  more: Partial<WaterSource> = {},
): WaterSource => ({
  id,
  name: kind,
  kind,
  priority,
  limitLpd,
  roofAreaM2: 0,
  pricePerM3: 1,
  ...more,
});
const dry = { rainMmByMonth: new Array(12).fill(0), wetDaysByMonth: new Array(12).fill(0) };

test("sources serve in their order; the first day short is named with its litres; what is drawn is paid for", () => {
  const sources = [source(1, "mains", 2, 100), source(2, "rain", 1, 0, { pricePerM3: 0 })];
  const horizon = supplyHorizon(
    dayFromIso("2027-07-01"),
    [150, 150, 150, 150],
    sources,
    { capacityL: 1000, storedL: 300 },
    dry,
  );
  expect(horizon.storedL).toEqual([150, 0, 0, 0]);
  expect(horizon.drawnL).toEqual([
    [0, 0, 100, 100],
    [150, 150, 0, 0],
  ]);
  expect(horizon.firstShort).toEqual({ day: dayFromIso("2027-07-03"), litres: 50 });
  expect(horizon.cost).toBeCloseTo(0.2, 12);
});

test("rain fills the store and spills over; without a roof nothing comes in", () => {
  const wet = { rainMmByMonth: new Array(12).fill(62), wetDaysByMonth: new Array(12).fill(6.2) };
  const roof = source(1, "rain", 1, 0, { roofAreaM2: 20 });
  const horizon = supplyHorizon(dayFromIso("2027-01-01"), [0, 0, 0], [roof], { capacityL: 75, storedL: 0 }, wet);
  // 10 mm on each of 6.2 wet days is 150 L each, over 31 days 30 L a day.
  horizon.storedL.forEach((stored, day) => expect(stored).toBeCloseTo(Math.min(75, 30 * (day + 1)), 9));
  expect(supplyHorizon(dayFromIso("2027-01-01"), [10], [], { capacityL: 75, storedL: 75 }, wet).shortL).toEqual([10]);
});

const loop = (more: Partial<LadderInput> = {}): LadderInput => ({
  kind: "recirculating",
  drainShare: 0,
  turns: 1,
  timer: { kind: "continuous" },
  injector: null,
  pump: {
    ...{ by: "pump", flowLph: 4000, wantedLph: 3240, liftM: 1, banks: 6, lessLift: null, widerPipe: null },
    main: { boreMm: 33.2, lengthM: 10, lossM: 0.8, headThereM: 3.2, neededM: 1.8 },
  },
  stands: [
    {
      key: "1:1",
      name: "Bank",
      lines: 36,
      lineFlowLph: 90,
      linesPerValve: 6,
      limited: false,
      sitesPerLine: 24,
      share: 1.2,
      leastPlantShare: 1,
      plants: 600,
      needLpd: 90,
    },
  ],
  garden: { needLpd: 400, sourcesLpd: 600, storedL: 9000, capacityL: 18_000 },
  ...more,
});
const rungOf = (input: LadderInput, kind: string) => ladder(input).rungs.find((rung) => rung.kind === kind)!;

test("the ladder goes from source to plant and finds its tightest rung", () => {
  const found = ladder(loop());
  expect(found.rungs.map((rung) => rung.kind)).toEqual(["source", "store", "pump", "main", "bank", "line", "plant"]);
  expect(found.wantedFlowLph).toBe(3240);
  expect(found.rungs[found.tightest!]!.ratio).toBe(Math.min(...found.rungs.map((rung) => rung.ratio)));
  expect(rungOf(loop(), "store").ratio).toBeCloseTo(9000 / (14 * 400), 12);
});

test("a weak pump starves bank and line alike, and what would ease it is worked out", () => {
  const pump = { ...loop().pump!, flowLph: 2000, lessLift: { lessM: 0.1, gainLph: 90 } };
  const weak = loop({ pump, stands: [{ ...loop().stands[0]!, share: 0.6 }] });
  const [pumped, bank, line] = (["pump", "bank", "line"] as const).map((kind) => rungOf(weak, kind));
  expect([pumped!.verdict, bank!.verdict, line!.verdict]).toEqual(["short", "short", "short"]);
  expect(bank!.ratio).toBeCloseTo(0.6, 9);
  expect(pumped!.eases).toEqual([
    { kind: "more-turns", turns: 2, flowLph: 1620 },
    { kind: "less-lift", lessM: 0.1, gainLph: 90 },
  ]);
  expect(bank!.eases).toEqual([{ kind: "own-turn" }]);
  // One bank alone takes no turns.
  const alone = { ...weak, pump: { ...pump, banks: 1 } };
  expect(rungOf(alone, "pump").eases.map(({ kind }) => kind)).toEqual(["less-lift"]);
  expect(rungOf(alone, "bank").eases).toEqual([]);
  expect(rungOf(loop({ pump: { ...pump, flowLph: 0 } }), "pump")).toMatchObject({ canGive: 0, lifts: false });
});

test("drip: a plant gets its emitters' share for the minutes that run, and more minutes ease what is missing", () => {
  const drip = loop({
    kind: "run-to-waste",
    pump: null,
    drainShare: 0.2,
    timer: { kind: "times", timesMin: [480], runMin: 30 },
    injector: { leastLph: 20, greatestLph: 2500 },
    stands: [
      {
        key: "2:1",
        name: "Beds",
        lines: 6,
        lineFlowLph: 100,
        linesPerValve: 2,
        limited: true,
        sitesPerLine: 100,
        share: 1,
        leastPlantShare: 1,
        plants: 500,
        needLpd: 400,
      },
    ],
  });
  const plant = rungOf(drip, "plant");
  expect(plant.canGive).toBeCloseTo(0.5, 9);
  expect(plant.needs).toBeCloseTo(1, 9);
  expect(plant.eases).toEqual([{ kind: "longer-timer", minutes: 30 }]);
  expect(rungOf(drip, "injector").verdict).toBe("ample");
  const thin = { ...drip, stands: [{ ...drip.stands[0]!, lineFlowLph: 5 }] };
  expect(rungOf(thin, "injector")).toMatchObject({
    canGive: 10,
    needs: 20,
    verdict: "short",
    eases: [{ kind: "open-together", stand: "Beds" }],
  });
});

test("the water is followed to the bank whose plants are worst off, or to one that is asked for; the plant that gets least counts", () => {
  const [bank] = loop().stands;
  const banks = [bank!, { ...bank!, key: "1:2", name: "Far", share: 0.9, leastPlantShare: 0.5 }];
  const worst = ladder(loop({ stands: banks }));
  expect(worst.followed).toBe("1:2");
  expect(worst.rungs.at(-1)).toMatchObject({ stand: "Far", canGive: ((90 * 0.9) / 24) * 0.5 * 24 });
  const asked = ladder(loop({ stands: banks, follow: "1:1" }));
  expect(asked.followed).toBe("1:1");
  expect(asked.rungs.at(-1)).toMatchObject({ stand: "Bank" });
  expect(ladder(loop({ stands: banks, follow: "gone" })).followed).toBe("1:2");
});

test("a loop that feeds nothing wants nothing", () => {
  const idle = ladder(
    loop({ stands: [], pump: null, garden: { needLpd: 0, sourcesLpd: 0, storedL: 0, capacityL: 0 } }),
  );
  expect(idle.rungs.map((rung) => rung.verdict)).toEqual(["idle"]);
  expect(idle.tightest).toBeNull();
});

test("a table falls, but for a hump at its begin; where it rises again is told", () => {
  const table = (...heads: number[]) => heads.map((headM, at) => ({ flowLph: at * 1000, headM }));
  expect(risesAt(table(5, 4, 2, 0))).toBeNull();
  expect(risesAt(table(5, 5.3, 4, 1))).toBeNull();
  expect(risesAt(table(5, 5, 4))).toBeNull();
  expect(risesAt(table(1, 3, 5))).toBe(2);
  expect(risesAt(table(5, 2, 4, 1))).toBe(2);
  expect(risesAt(table(3, 3))).toBe(1);
});
