import { kinematicViscosityM2PerS } from "./waterViscosity";

test("viscosity of water is that of the tables at their points, log-linear between, and falls with warmth", () => {
  const micro = (waterC: number) => kinematicViscosityM2PerS(waterC) * 1e6;
  for (const [waterC, viscosity] of [
    [5, 1.519],
    [20, 1.004],
    [25, 0.893],
    [40, 0.658],
  ] as const)
    expect(micro(waterC)).toBeCloseTo(viscosity, 9);
  expect(micro(7.5)).toBeCloseTo(Math.sqrt(1.519 * 1.307), 9);
  expect(micro(0)).toBeCloseTo(1.519 ** 2 / 1.307, 9);
  for (let waterC = 0; waterC < 50; waterC++) expect(micro(waterC + 1)).toBeLessThan(micro(waterC));
});
