import fc from "fast-check";
import { dilution } from "./dilution";

test("what a scale weighs within 5 % is weighed; less comes out of one litre, or one after the other", () => {
  expect(dilution(2, 0.1)).toBeNull();
  expect(dilution(0.5, 0.1)).toEqual({ weighG: 5, stages: [{ intoMl: 1000, takeMl: 100 }] });
  expect(dilution(0.04, 0.1)).toEqual({ weighG: 4, stages: [{ intoMl: 1000, takeMl: 10 }] });
  const twice = [
    { intoMl: 1000, takeMl: 100 },
    { intoMl: 1000, takeMl: 10 },
  ];
  expect(dilution(0.04, 1)).toEqual({ weighG: 40, stages: twice });
  expect(dilution(0.0001, 1000)).toBe("scale-too-coarse");
});

test("what is taken at the end holds what is wanted, and what is weighed is over twenty steps of the scale", () => {
  fc.assert(
    fc.property(fc.double({ min: 1e-4, max: 100, noNaN: true }), fc.constantFrom(0.01, 0.1, 1, 5), (grams, step) => {
      const found = dilution(grams, step);
      if (found === null || found === "scale-too-coarse") return;
      const taken = found.stages.reduce((share, { intoMl, takeMl }) => (share * takeMl) / intoMl, found.weighG);
      expect(taken).toBeCloseTo(grams, 9);
      expect(found.weighG).toBeGreaterThanOrEqual(20 * step - 1e-6);
      expect(Math.min(...found.stages.map(({ takeMl }) => takeMl))).toBeGreaterThanOrEqual(10);
    }),
  );
});
