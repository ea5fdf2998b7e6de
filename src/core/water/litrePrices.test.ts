import { randomUniform, randomLcg } from "d3-random";
import { litrePrices } from "./litrePrices";
import { supplyHorizon, type WaterSource } from "./supply";

const source = (id: number, kind: WaterSource["kind"], limitLpd: number, pricePerM3: number): WaterSource => ({
  ...{ id, name: kind, kind, priority: id, limitLpd, pricePerM3 },
  roofAreaM2: kind === "rain" ? 40 : 0,
});
const DAY = 20_000;
const dry = { rainMmByMonth: new Array<number>(12).fill(0), wetDaysByMonth: new Array<number>(12).fill(0) };

test("stored rain costs what has to be drawn for it once the store is empty, and nothing before it runs over", () => {
  const sources = [source(1, "rain", 0, 0), source(2, "mains", 100, 2), source(3, "carried", 100, 9)];
  const store = { capacityL: 1000, storedL: 300 };
  const pricesOf = (need: number[], rain = dry) =>
    litrePrices(supplyHorizon(DAY, need, sources, store, rain), sources, store);
  expect(pricesOf([200, 50, 80, 150])).toEqual([0.002, 0.002, 0.002, 0.009]);
  const wet = { rainMmByMonth: new Array<number>(12).fill(1500), wetDaysByMonth: new Array<number>(12).fill(28) };
  expect(pricesOf([100, 100, 100], wet)).toEqual([0, 0, 0]);
  expect(litrePrices(supplyHorizon(DAY, [5], [], store, dry), [], store)).toEqual([0]);
});

test("a little more on any day costs so much more in all (seed 15)", () => {
  const random = randomUniform.source(randomLcg(15));
  for (let times = 0; times < 30; times++) {
    const between = (least: number, most: number) => random(least, most)();
    const rain = {
      rainMmByMonth: dry.rainMmByMonth.map(() => between(0, 150)),
      wetDaysByMonth: new Array<number>(12).fill(9),
    };
    const sources = [
      source(times % 2 === 0 ? 1 : 3, "rain", 0, between(0, 1)),
      source(2, "mains", between(20, 120), between(1, 3)),
      source(4, "carried", 1e6, between(4, 9)),
    ];
    const store = { capacityL: between(200, 2000), storedL: between(0, 2000) };
    const need = Array.from({ length: 120 }, () => between(0, 260));
    const supply = supplyHorizon(DAY, need, sources, store, rain);
    const prices = litrePrices(supply, sources, store);
    for (let day = 0; day < need.length; day += 13) {
      const more = supplyHorizon(
        DAY,
        need.map((litres, at) => litres + (at === day ? 0.001 : 0)),
        sources,
        store,
        rain,
      );
      expect((more.cost - supply.cost) / 0.001).toBeCloseTo(prices[day]!, 6);
    }
  }
});
