import fc from "fast-check";
import { dilution } from "./dilution";

test("what a scale weighs within 5 % is weighed; less comes out of water, or one after the other", () => {
  expect(dilution(1, 0.1)).toBeNull();
  expect(dilution(0.25, 0.1)).toEqual({ weighG: 1.25, stages: [{ intoMl: 1000, takeMl: 200 }] });
  expect(dilution(0.02, 0.1)).toEqual({ weighG: 1, stages: [{ intoMl: 1000, takeMl: 20 }] });
  // Boric acid: 20 g and more do not dissolve in a litre that is cold.
  expect(dilution(7.5, 2, 25)).toEqual({ weighG: 37.5, stages: [{ intoMl: 2000, takeMl: 400 }] });
  const twice = [
    { intoMl: 1000, takeMl: 200 },
    { intoMl: 1000, takeMl: 10 },
  ];
  expect(dilution(0.02, 1)).toEqual({ weighG: 10, stages: twice });
  expect(dilution(0.0001, 1000)).toBe("scale-too-coarse");
  expect(dilution(5, 10, 1)).toBe("scale-too-coarse");
});

test("what is taken at the end holds what is wanted, dissolves, and what is weighed is over ten steps of the scale", () => {
  const grams = fc.double({ min: 1e-4, max: 100, noNaN: true });
  fc.assert(
    fc.property(grams, fc.constantFrom(0.01, 0.1, 1, 5), fc.constantFrom(25, 400, null), (wanted, step, dissolves) => {
      const found = dilution(wanted, step, dissolves);
      if (found === null || found === "scale-too-coarse") return;
      const taken = found.stages.reduce((share, { intoMl, takeMl }) => (share * takeMl) / intoMl, found.weighG);
      expect(taken).toBeCloseTo(wanted, 9);
      expect(found.weighG).toBeGreaterThanOrEqual(10 * step - 1e-6);
      expect(found.weighG / (found.stages[0]!.intoMl / 1000)).toBeLessThanOrEqual(dissolves ?? Infinity);
      expect(Math.min(...found.stages.map(({ takeMl }) => takeMl))).toBeGreaterThanOrEqual(10);
    }),
  );
});
