import { solveLoop, type LoopNetwork } from "./loopNetwork";
import { regulationAt, regulatorLink, squareLink, type Regulator } from "./pressure";

const regulator: Regulator = { setHeadM: 10, leastLph: 50, greatestLph: 1200, lossM: 3, atLph: 1000 };
/** Drippers behind what the mains bring. */
const behind = (before: LoopNetwork["before"], surfaceM: number, takeOffs = 100): LoopNetwork => ({
  ...{ surfaceM, pump: null, before, bypass: null },
  main: [{ lengthM: 5, boreMm: 20, fittingsK: 0 }],
  banks: [
    {
      ...{ atMain: 0, open: true, elevationM: 0, lateral: null },
      connection: { lengthM: 0.5, boreMm: 20, fittingsK: 0 },
      manifold: { pipe: { boreMm: 20 }, firstOfftakeM: 0.1, offtakeSpacingM: 0.1, offtakes: takeOffs },
      outlet: { nominalFlowLph: 2, nominalHeadM: 10, exponent: 0.5, leastHeadM: null },
    },
  ],
});

test("behind a regulator the head is what it is set to, whatever the mains bring; without head to spare it only loses", () => {
  const flowAt = (supplyM: number) => solveLoop(behind([regulatorLink(regulator, supplyM)], supplyM));
  const [high, higher] = [flowAt(30), flowAt(45)];
  expect(high.flowLph).toBeCloseTo(higher.flowLph, 6);
  expect(high.banks[0]!.inletHeadM).toBeLessThanOrEqual(10);
  expect(high.banks[0]!.inletHeadM).toBeGreaterThan(9.5);
  expect(flowAt(6).flowLph).toBeLessThan(high.flowLph);
  expect(regulationAt(regulator, 30, high.flowLph)).toBe("regulates");
  expect(regulationAt(regulator, 30, 20)).toBe("too-little-flow");
  expect(regulationAt(regulator, 30, 1300)).toBe("too-much-flow");
  expect(regulationAt(regulator, 10.5, 1000)).toBe("too-little-head");
});

test("a filter that clogs takes from every emitter", () => {
  const clean = solveLoop(behind([squareLink({ lossM: 0.5, atLph: 1000 })], 10));
  const dirty = solveLoop(behind([squareLink({ lossM: 60, atLph: 1000 })], 10));
  expect(dirty.banks[0]!.greatestLph).toBeLessThan(clean.banks[0]!.leastLph);
  expect(clean.banks[0]!.leastLph).toBeGreaterThan(0.9 * 2);
  expect(dirty.banks[0]!.leastLph).toBeLessThan(0.9 * 2);
});
