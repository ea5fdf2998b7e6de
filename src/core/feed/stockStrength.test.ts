import { stockStrength } from "./stockStrength";

test("a stock from which water dried up is stronger; what no eye can tell is as mixed", () => {
  expect(stockStrength({ beforeL: 5, madeL: 45, usedL: 20, leftL: 27 })).toEqual({
    expectedL: 30,
    factor: expect.closeTo(30 / 27, 9),
    verdict: "stronger",
  });
  expect(stockStrength({ beforeL: 5, madeL: 45, usedL: 20, leftL: 29 }).verdict).toBe("as-mixed");
  expect(stockStrength({ beforeL: 5, madeL: 45, usedL: 20, leftL: 34 }).verdict).toBe("more-left");
  expect(stockStrength({ beforeL: 0, madeL: 45, usedL: 20, leftL: 0 }).factor).toBeNull();
});
