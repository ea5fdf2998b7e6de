import { STAND_MODELS } from "../place/kinds";
import { flood } from "../place/kinds/floodAndMedia";
import { standFlow } from "../place/standFlow";
import { GRAVITY_M_PER_S2 } from "../units/physics";
import type { Loop, Stand } from "./garden";
import { loopPipes, solveBanks } from "./loopPipes";
import { filmBand } from "./standFlows";

test("the usual flow of a film channel goes by its length", () => {
  expect(filmBand(6, 90)).toEqual({ leastLph: 60, mostLph: 120, verdict: "within" });
  expect(filmBand(2, 30).verdict).toBe("within");
  expect(filmBand(6, 30).verdict).toBe("under");
  expect(filmBand(14, 170).verdict).toBe("within");
  expect(filmBand(6, 170).verdict).toBe("over");
});

test("benches in series want the flow of one, and fill one after another", () => {
  const spec = { ...STAND_MODELS["flood-bench"].example, lines: 4, linesPerRun: 2 };
  expect(standFlow(spec).wantedLph).toBe(2 * spec.fillFlowLph);
  const alone = STAND_MODELS["flood-bench"].counts({ ...spec, linesPerRun: 1 });
  const inRuns = STAND_MODELS["flood-bench"].counts(spec);
  const fillOf = ({ facts }: typeof alone) => facts.find(({ kind }) => kind === "fill-time")!.value;
  expect(fillOf(inRuns)).toBeCloseTo(2 * fillOf(alone), 9);
  expect(flood(spec).fillTimeMin).toBeCloseTo(fillOf(alone), 9);
});

test("a tower on a thin tube gets what slow flow through it gives, and a wider tube more", () => {
  const towers = { ...STAND_MODELS.towers.example, rows: 1, towersPerRow: 1, microLengthM: 2 };
  const given = (microBoreMm: number) => {
    const stand = { id: 1, name: "Towers", spec: { ...towers, microBoreMm } } as Stand;
    const pump = {
      ...{ kind: "gravity", lowestWaterM: 2.2, waterSinksM: 0, highestOutletM: 2, headWantedM: 0 },
      ...{ pipeLengthM: 0.01, boreMm: 100, elbows: 0, valves: 0, fittingsK: 0, nonReturnValve: false },
    } as Loop["pump"];
    const pipes = loopPipes({ pump }, [stand])!;
    return solveBanks(pipes, pipes.lowWaterM, () => true, null).flow.flowLph;
  };
  // Hagen and Poiseuille: Q = π·g·h·D⁴ ÷ (128·ν·L), at 20 cm of head, in L/h; what the ends take is next to nothing.
  const slowLph = ((Math.PI * GRAVITY_M_PER_S2 * 0.2 * 0.001 ** 4) / (128 * 1.004e-6 * 2)) * 3_600_000;
  expect(given(1) / slowLph).toBeGreaterThan(0.99);
  expect(given(1) / slowLph).toBeLessThan(1);
  expect(given(4)).toBeGreaterThan(50 * given(1));
});
