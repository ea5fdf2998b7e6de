import fc from "fast-check";
import { solveLoop, type LoopNetwork, type NetworkBank } from "./network/loopNetwork";
import { pumpDuty } from "./pumpDuty";
import { storageDay } from "./storageBalance";
import { supplyHorizon } from "./supply";

const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const emitter = fc.record({
  ...{ nominalFlowLph: figure(1, 90), nominalHeadM: figure(0.1, 10), exponent: figure(0.4, 1) },
  leastHeadM: fc.constant(null),
});
const bank: fc.Arbitrary<NetworkBank> = fc.record({
  ...{ atMain: fc.constant(0), open: fc.boolean(), elevationM: figure(-0.5, 1.5) },
  connection: fc.record({ lengthM: figure(0, 5), boreMm: figure(12, 40), fittingsK: figure(0, 20) }),
  manifold: fc.record({
    pipe: fc.record({ boreMm: figure(12, 40) }),
    ...{ firstOfftakeM: figure(0, 1), offtakeSpacingM: figure(0.1, 1), offtakes: fc.integer({ min: 1, max: 8 }) },
  }),
  lateral: fc.constant(null),
  outlet: fc.oneof(emitter, fc.record({ lengthM: figure(0.2, 3), boreMm: figure(2, 8), fittingsK: fc.constant(1.5) })),
});
const networks: fc.Arbitrary<LoopNetwork> = fc.record({
  ...{ surfaceM: figure(0, 1), before: fc.constant([]), bypass: fc.constant(null) },
  pump: fc.record({
    kind: fc.constant("label" as const),
    flowAtNoLiftLph: figure(500, 9000),
    greatestLiftM: figure(2, 30),
  }),
  main: fc.tuple(fc.record({ lengthM: figure(1, 30), boreMm: figure(16, 50), fittingsK: figure(0, 10) })),
  banks: fc.array(bank, { minLength: 1, maxLength: 4 }),
});
const sum = (values: Iterable<number>) => [...values].reduce((all, one) => all + one, 0);

test("what leaves the pump is what the banks get, what a bank gets is what its outlets give, and closed ones get none", () => {
  fc.assert(
    fc.property(networks, (network) => {
      const { flowLph, banks } = solveLoop(network);
      expect(sum(banks.map((one) => one.flowLph))).toBeCloseTo(flowLph, 4);
      banks.forEach(({ flowLph: own, outletsLph, headsM }, at) => {
        expect(sum(outletsLph)).toBeCloseTo(own, 4);
        if (!network.banks[at]!.open) expect(own).toBe(0);
        outletsLph.forEach((one, outlet) => expect(one > 1e-9 && headsM[outlet]! <= 0).toBe(false));
      });
    }),
    { numRuns: 200 },
  );
});

test("a pump gives less the higher it lifts, and nothing past its greatest lift", () => {
  const system = (staticLiftM: number, flowAtNoLiftLph: number, greatestLiftM: number) => ({
    pump: { kind: "label", flowAtNoLiftLph, greatestLiftM } as const,
    ...{ staticLiftM, headWantedM: 0, pipe: { lengthM: 10, boreMm: 26, fittingsK: 4 } },
  });
  fc.assert(
    fc.property(figure(-1, 6), figure(0.01, 2), figure(500, 9000), figure(1, 8), (liftM, moreM, flow, head) => {
      const [low, high] = [liftM, liftM + moreM].map((lift) => pumpDuty(system(lift, flow, head)));
      expect(high!.flowLph).toBeLessThanOrEqual(low!.flowLph + 1e-6);
      if (liftM + moreM >= head) expect(high!.kind).toBe("cannot-lift");
      if (low!.kind === "works") expect(high!.flowLph).toBeLessThan(low!.flowLph);
    }),
  );
});

test("a store loses no litre: what was in it and came is what is left, was drawn and ran over", () => {
  const litres = figure(0, 20_000);
  fc.assert(
    fc.property(litres, litres, litres, litres, (stored, capacity, inflow, draw) => {
      const before = Math.min(stored, capacity);
      const { endL, shortL, spillL } = storageDay(before, capacity, inflow, draw);
      expect(before + inflow).toBeCloseTo(endL + spillL + (draw - shortL), 6);
      expect(Math.min(endL, shortL, spillL)).toBeGreaterThanOrEqual(0);
      expect(endL).toBeLessThanOrEqual(capacity);
    }),
  );
});

test("each day's need is drawn or short, and a source that gives more never makes it shorter", () => {
  const source = (id: number, limitLpd: number) => ({
    ...{ id, name: "S", kind: "mains", priority: id, limitLpd, roofAreaM2: 0, pricePerM3: 1 },
  });
  const store = { capacityL: 0, storedL: 0 };
  const dry = { rainMmByMonth: new Array<number>(12).fill(0), wetDaysByMonth: new Array<number>(12).fill(0) };
  const needs = fc.array(figure(0, 900), { minLength: 1, maxLength: 60 });
  fc.assert(
    fc.property(needs, figure(0, 500), figure(0, 500), figure(0, 300), (need, first, second, more) => {
      const horizon = (limit: number) =>
        supplyHorizon(20_000, need, [source(1, limit), source(2, second)] as never, store, dry);
      const { drawnL, shortL } = horizon(first);
      need.forEach((litres, day) => expect(drawnL[0]![day]! + drawnL[1]![day]! + shortL[day]!).toBeCloseTo(litres, 2));
      horizon(first + more).shortL.forEach((short, day) => expect(short).toBeLessThanOrEqual(shortL[day]! + 1e-9));
    }),
  );
});
