import { tankDose, tankTopUp } from "./tankDose";

const caps = { amount: 2, unit: "cap", per: "L", form: "liquid", measureML: 8 } as const;

test("a tank's dose is told in the label's own measure, and in mL where its size is known", () => {
  expect(tankDose(25, caps, 0.5)).toEqual({ measures: 25, grams: null, mL: 200 });
  expect(tankDose(100, { amount: 1, unit: "teaspoon", per: "usGallon", form: "solid" }, 1)).toEqual({
    measures: expect.closeTo(26.417, 3),
    grams: null,
    mL: expect.closeTo(132.086, 3),
  });
});

test("a reading under what is wanted takes product, one over it water, unless the water is too strong itself", () => {
  const read = (readMsPerCm: number, more = {}) =>
    tankTopUp(100, caps, { readMsPerCm, wantedMsPerCm: 1.4, labelMsPerCm: 1.6, waterMsPerCm: 0.4, ...more });
  expect(read(1)).toMatchObject({
    kind: "add",
    strength: expect.closeTo(0.25, 9),
    amount: { mL: expect.closeTo(400, 6) },
  });
  expect(read(1.4)).toEqual({ kind: "in-place" });
  expect(read(1.9)).toEqual({ kind: "dilute", waterL: expect.closeTo(50, 9) });
  expect(read(1.9, { waterMsPerCm: 1.5 })).toEqual({ kind: "water-too-strong" });
});
