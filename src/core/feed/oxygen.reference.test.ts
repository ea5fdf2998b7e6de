import reference from "../../../tests/reference/feed/oxygen.json";
import { oxygenHeldMgPerL, pressureAtm } from "./oxygen";

interface Case {
  readonly name: string;
  readonly given: { readonly temperature_C: number; readonly altitude_m?: number; readonly DO_mgL?: number };
  readonly expect: {
    readonly DOsat_mgL?: number;
    readonly lossAgainstSeaLevel_pct?: number;
    readonly saturation_pct?: number;
  };
  readonly tol: { readonly abs_mgL?: number; readonly rel?: number; readonly abs_pct?: number };
}

test.each((reference.cases as Case[]).map((one) => [one.name, one] as const))(
  "oxygen: %s",
  (_, { given, expect: want, tol }) => {
    const { temperature_C: waterC, altitude_m: heightM = 0, DO_mgL: read } = given;
    const held = oxygenHeldMgPerL(waterC, heightM);
    const { DOsat_mgL: saturation, lossAgainstSeaLevel_pct: loss, saturation_pct: percent } = want;
    if (saturation !== undefined)
      expect(Math.abs(held - saturation)).toBeLessThanOrEqual(tol.abs_mgL ?? tol.rel! * saturation);
    if (loss !== undefined) expect(100 * (1 - held / oxygenHeldMgPerL(waterC, 0))).toBeCloseTo(loss, 1);
    if (percent !== undefined) expect(Math.abs((100 * read!) / held - percent)).toBeLessThanOrEqual(tol.abs_pct!);
  },
);

test("the air is thinner higher up", () => {
  expect(pressureAtm(0)).toBe(1);
  expect(pressureAtm(1500)).toBeCloseTo(0.834503, 4);
});
