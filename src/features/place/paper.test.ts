import { fittingScale, MARGIN_M, PAPERS, SCALES } from "./paper";

test.each([
  [12, 6, "A4", 50],
  [24, 12, "A4", 100],
  [24, 12, "A3", 100],
  [13, 8, "A3", 50],
  [5, 3, "A4", 25],
  [400, 300, "A4", 500],
] as const)("a house of %d by %d m on %s is drawn 1:%d", (lengthM, widthM, paper, scale) => {
  expect(fittingScale({ lengthM, widthM }, paper)).toBe(scale);
});

test("the next larger scale would not fit the sheet", () => {
  for (const [lengthM, widthM] of [
    [12, 6],
    [30, 9],
    [7, 6.5],
  ] as const) {
    const scale = fittingScale({ lengthM, widthM }, "A4");
    const larger = SCALES[SCALES.indexOf(scale as (typeof SCALES)[number]) - 1];
    const [w, h] = PAPERS.A4;
    if (larger)
      expect((lengthM + 2 * MARGIN_M) * 1000 > larger * w || (widthM + 2 * MARGIN_M) * 1000 > larger * h).toBe(true);
  }
});
