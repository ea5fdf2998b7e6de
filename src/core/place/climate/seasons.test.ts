import { seasonsAreTurned } from "./seasons";

test("January hotter than July at 52° north is seen, as is the reverse in the south; near the equator nothing is", () => {
  const north = [4, 6, 10, 14, 18, 21, 23, 23, 19, 14, 9, 5];
  const south = [...north.slice(6), ...north.slice(0, 6)];
  expect([seasonsAreTurned(north, 52), seasonsAreTurned(south, 52)]).toEqual([false, true]);
  expect([seasonsAreTurned(north, -35), seasonsAreTurned(south, -35)]).toEqual([true, false]);
  expect([seasonsAreTurned(south, 12), seasonsAreTurned(new Array<number>(12).fill(20), 52)]).toEqual([false, false]);
});
