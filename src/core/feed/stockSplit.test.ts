import { SALT_LIBRARY, stockFor, type StockPlace } from "./salts";
import { stockSplit } from "./stockSplit";
import { stockConflict, stockSolubility } from "./stocks";

const salt = (name: string, gPer1000L: number, stock: StockPlace) => {
  const found = SALT_LIBRARY.find((one) => one.name === name)!;
  return { ...found, id: SALT_LIBRARY.indexOf(found), gPer1000L, stock };
};
const FEED = [
  salt("calcium nitrate, commercial double salt", 800, "A"),
  salt("potassium nitrate", 600, "A"),
  salt("Fe-DTPA 11 %", 16, "A"),
  salt("monopotassium phosphate", 150, "B"),
  salt("potassium sulfate", 120, "B"),
  salt("magnesium sulfate heptahydrate", 440, "B"),
  salt("boric acid", 1.5, "B"),
];

test("potassium nitrate is split between A and B, and twice as much dissolves", () => {
  const split = stockSplit(FEED, 2, 100, 5)!;
  expect(split.places[1]).toBe("A+B");
  expect(FEED.filter((one, at) => split.places[at] !== one.stock)).toHaveLength(1);
  // 600 g in 1000 L against 160.5 g/L at 5 °C: up to 1:267 in one stock; in two it is the sulfates that are first.
  expect(split.nowRatioR).toBe(267);
  const inB = [{ ...FEED[1]!, gPer1000L: 300 }, ...FEED.slice(3)];
  expect(split.highestRatioR).toBe(Math.min(stockSolubility(inB, 100, 5).highestRatioR, 535));
});

test("with a third tank a sulfate goes by itself; nothing that drops out is put together", () => {
  const three = stockSplit(FEED, 3, 100, 5)!;
  const two = stockSplit(FEED, 2, 100, 5)!;
  expect(three.highestRatioR).toBeGreaterThan(two.highestRatioR);
  for (const letter of ["A", "B", "C"])
    expect(stockConflict(FEED.filter((_, at) => three.places[at]!.includes(letter)))).toBeNull();
  for (const [at, one] of FEED.entries()) if (stockFor(one) === "A") expect(three.places[at]).toBe("A");
});

test("what lies as well as it can is left as it is", () => {
  const split = stockSplit(FEED, 2, 100, 5)!;
  expect(stockSplit(FEED.map((one, at) => ({ ...one, stock: split.places[at]! })), 2, 100, 5)).toBeNull(); // prettier-ignore
});
