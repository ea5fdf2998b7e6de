import { STAND_MODELS } from "../place/kinds";
import type { KnownPump } from "../water/pumpCurve";
import type { RealPump } from "../water/loopPump";
import type { Loop, Stand } from "./garden";
import { loopPipes, solveBanks, wantedBy } from "./loopPipes";
import { pumpOnPipes } from "./ladderPump";
import { neededHeadM, systemCurve, tryPump } from "./pumpTrial";

const stand = (id: number, spec: Stand["spec"]) => ({ id, name: `Stand ${id}`, spec }) as Stand;
const loop = {
  name: "Leaf",
  pump: {
    ...{
      kind: "label",
      flowAtNoLiftLph: 3000,
      greatestLiftM: 3,
      highestOutletM: 1.2,
      lowestWaterM: 0.2,
      waterSinksM: 0.4,
    },
    ...{ headWantedM: 0, pipeLengthM: 8, boreMm: 26.2, elbows: 3, valves: 1, fittingsK: 1.5, nonReturnValve: false },
  },
} as unknown as Loop & { readonly pump: RealPump };
const channels = stand(1, { ...STAND_MODELS["channel-bank"].example, lines: 12, linesPerValve: 6 });
const beds = stand(2, STAND_MODELS["drip-beds"].example);
const all = () => true;

test("a closed bank gives the others more, and what leaves the pump is what the banks get", () => {
  const pipes = loopPipes(loop, [channels])!;
  expect(pipes.banks.map(({ key, lines, wantedLph }) => [key, lines, wantedLph])).toEqual([
    ["1:1", 6, 540],
    ["1:2", 6, 540],
  ]);
  const both = solveBanks(pipes, pipes.lowWaterM, all, loop.pump);
  const one = solveBanks(pipes, pipes.lowWaterM, (key) => key === "1:1", loop.pump);
  expect(both.banks[0]!.flow.flowLph + both.banks[1]!.flow.flowLph).toBeCloseTo(both.flow.flowLph, 6);
  expect(one.banks[0]!.share).toBeGreaterThan(both.banks[0]!.share! * 1.1);
  expect(one.banks[1]!.share).toBeNull();
});

test("a pump that cannot lift is told with the head that would, and one with that head is enough", () => {
  const pipes = loopPipes(loop, [channels, beds])!;
  const weak: KnownPump = { kind: "label", flowAtNoLiftLph: 5000, greatestLiftM: 0.5 };
  expect(tryPump(pipes, weak, all, 1440).verdict).toBe("cannot-lift");
  expect(tryPump(pipes, weak, all, 1440).worst.bank.stand).toBe("Stand 1");
  const neededM = neededHeadM(pipes, all)!;
  const level: KnownPump = {
    kind: "table",
    points: [
      { flowLph: 0, headM: neededM + 0.02 },
      { flowLph: 20_000, headM: neededM + 0.01 },
    ],
  };
  expect(tryPump(pipes, level, all, 1440).shareOfWanted).toBeCloseTo(1, 2);
});

test("a fuller tank gives more, more lift less; the pipes take more head for more flow", () => {
  const pipes = loopPipes(loop, [channels])!;
  const { low, high, kwhPerDay } = tryPump(pipes, loop.pump, all, 720);
  expect(high.flow.flowLph).toBeGreaterThan(low.flow.flowLph);
  expect(kwhPerDay).toBeCloseTo((((low.flow.flowLph / 3_600_000) * low.flow.pumpHeadM * 9806.65) / 0.35) * 0.012, 6);
  const higher = loopPipes({ ...loop, pump: { ...loop.pump, lowestWaterM: -0.3 } }, [channels])!;
  expect(tryPump(higher, loop.pump, all, 720).low.flow.flowLph).toBeLessThan(low.flow.flowLph);
  const flows = systemCurve(pipes, pipes.lowWaterM, all, 4).map(({ flowLph }) => flowLph);
  expect(flows.every((flow, at) => at === 0 || flow >= flows[at - 1]!)).toBe(true);
  expect(loopPipes({ ...loop, pump: null }, [channels])).toBeNull();
});

test("channels in series are fed once for each run", () => {
  const runs = stand(1, { ...STAND_MODELS["channel-bank"].example, lines: 12, linesPerValve: 12, linesPerRun: 3 });
  expect(wantedBy(solveBanks(loopPipes(loop, [runs])!, 1, all, loop.pump))).toBe(4 * 90);
});

test("stands of one name on one loop keep their own shares", () => {
  const far = { ...stand(2, { ...STAND_MODELS["channel-bank"].example, outletHeightM: 0.2 }), name: channels.name };
  const { shares } = pumpOnPipes({ ...loop, turns: 1 }, [channels, far])!;
  expect(shares.get(2)).toBeGreaterThan(shares.get(1)!);
});

test("a stand on higher ground gets less, one on lower ground more, than beside one another", () => {
  const terraced = (groundM: number) => {
    const pipes = loopPipes(loop, [channels, { ...stand(2, channels.spec), groundM }])!;
    return solveBanks(pipes, pipes.lowWaterM, all, loop.pump).banks.map(({ share }) => share!);
  };
  const level = terraced(0);
  expect(level[0]).toBeCloseTo(level[2]!, 1);
  const lower = terraced(-0.1);
  expect(lower[2]).toBeGreaterThan(level[2]!);
  // The highest outlet stays where the pump is told: the other one is what lies lower then.
  const higher = terraced(0.1);
  expect(higher[0]).toBeGreaterThan(higher[2]!);
});

test("a regulator holds its head in its range; with less flow the lines get nearly all that the mains have", () => {
  const { lowestWaterM: _low, waterSinksM: _sinks, ...pipe } = loop.pump;
  const mains = (regulatorLeastLph: number) =>
    ({
      ...loop,
      pump: {
        ...{ ...pipe, kind: "mains", supplyHeadM: 30, setHeadM: 10, highestOutletM: 0.1 },
        ...{ regulatorLeastLph, regulatorGreatestLph: 5000, regulatorLossM: 2 },
      },
    }) as unknown as Loop;
  const flowOf = (least: number) => solveBanks(loopPipes(mains(least), [beds])!, 30, all, null);
  expect(flowOf(20).regulation).toBe("regulates");
  expect(flowOf(20).banks[0]!.flow.inletHeadM).toBeLessThan(10);
  expect(flowOf(3000).regulation).toBe("too-little-flow");
  expect(flowOf(3000).banks[0]!.flow.inletHeadM).toBeGreaterThan(25);
});

test("a filter takes head that grows as it clogs: what is looked at is when it is due, and the mains keep it behind a regulator that does not hold", () => {
  const filtered = {
    ...loop,
    pump: { ...loop.pump, filterCleanM: 0.1, filterDirtyM: 0.8, filterAtLph: 1000 },
  } as typeof loop;
  const flow = (pipes: ReturnType<typeof loopPipes>) => tryPump(pipes!, loop.pump, all, 720).low.flow.flowLph;
  const [none, clean, due] = [
    flow(loopPipes(loop, [channels])),
    flow(loopPipes(filtered, [channels], "clean")),
    flow(loopPipes(filtered, [channels])),
  ];
  expect(clean).toBeLessThan(none);
  expect(due).toBeLessThan(0.9 * clean);
  // The pump's own head there is what the rest takes, and the filter by the square of the flow.
  const trial = tryPump(loopPipes(filtered, [channels])!, loop.pump, all, 720);
  const rest = solveBanks(
    loopPipes(loop, [channels])!,
    loopPipes(loop, [channels])!.lowWaterM + trial.low.flow.pumpHeadM - 0.8 * (due / 1000) ** 2,
    all,
    null,
  );
  expect(rest.flow.flowLph).toBeCloseTo(due, 2);
  const mains = {
    ...{
      kind: "mains",
      supplyHeadM: 30,
      setHeadM: 10,
      regulatorLeastLph: 5000,
      regulatorGreatestLph: 9000,
      regulatorLossM: 1,
    },
    ...{ highestOutletM: 0.1, headWantedM: 0, pipeLengthM: 8, boreMm: 26.2, elbows: 3, valves: 1, fittingsK: 1.5 },
  };
  const on = (more: object) => {
    const pipes = loopPipes({ ...loop, pump: { ...mains, ...more } } as unknown as Loop, [beds])!;
    return solveBanks(pipes, pipes.lowWaterM, all, null);
  };
  expect(on({}).regulation).toBe("too-little-flow");
  expect(on({ filterDirtyM: 8, filterAtLph: 600 }).flow.flowLph).toBeLessThan(on({}).flow.flowLph);
});
