import { barrelRun } from "./barrelRun";

const barrel = { storedL: 800, fullL: 1000, lowestWaterM: 0.8, waterSinksM: 1 };

test("a barrel through an orifice empties as Torricelli's law says, slower and slower", () => {
  // Flow k·√(level over the outlet): √V falls evenly.
  const k = 300;
  const run = barrelRun({ ...barrel, lowestWaterM: 0 }, 60, (waterM) => k * Math.sqrt(Math.max(0, waterM)));
  const rootAfter = Math.sqrt(0.8) - (k / 1000 / 2) * 1;
  expect(run.leftL / 1000).toBeCloseTo(rootAfter ** 2, 5);
  expect(run.lastLph).toBeLessThan(run.firstLph);
  expect(run.givenL + run.leftL).toBeCloseTo(800, 9);
});

test("a barrel gives no more than is in it", () => {
  expect(barrelRun({ ...barrel, storedL: 5 }, 600, () => 400)).toMatchObject({ givenL: 5, leftL: 0, lastLph: 0 });
});
