import acid from "../../../tests/reference/feed/acid.json";
import { acidForWater, acidsWithin, type AcidAnswer } from "./acidForWater";
import { stockTankG } from "./stocks";
import { acidAmount, acidMeqPerL, aeratedAlkalinityMeqPerL, bicarbonateG, phAfterAcid, type TankAcid } from "./phDose";

interface Given {
  readonly alkalinity_mgL_CaCO3?: number;
  readonly pH_initial?: number;
  readonly pH_target?: number;
  readonly acid?: string;
  readonly strength_pct_w?: number;
  readonly density_gmL?: number;
  readonly pCO2_ppm?: number;
  readonly pH?: number;
  readonly tank_L?: number;
  readonly ratio_R?: number;
  readonly stockTank_L?: number;
}
interface Case {
  readonly name: string;
  readonly given: Given;
  readonly expect: Readonly<Record<string, number | boolean | string>>;
  readonly tol?: { readonly abs_meqL?: number };
}
const cases = acid.cases as unknown as readonly Case[];
const MG_CACO3_PER_MEQ = 50.043;
/** Water whose whole alkalinity is given: what of it is carbonate. */
const water = (alkalinityMgPerL: number, ph: number) => ({
  ph,
  carbonateAlkalinityMeqPerL: alkalinityMgPerL / MG_CACO3_PER_MEQ + 1000 * (10 ** -ph - 10 ** (ph - 14)),
  phosphorusMmolPerL: 0,
  ammoniumMmolPerL: 0,
});
const within = (found: number, want: number, rel: number, abs = 0) =>
  expect(Math.abs(found - want)).toBeLessThanOrEqual(Math.max(abs, Math.abs(want) * rel));

const closed = cases.filter(({ given, expect: want }) => {
  const isWater = given.alkalinity_mgL_CaCO3 !== undefined && given.pH_target !== undefined;
  return isWater && given.pCO2_ppm === undefined && want.plausible === undefined;
});
test("the reference has its cases", () => expect(closed.length).toBeGreaterThanOrEqual(20));

test.each(closed)("acid for alkalinity: $name", ({ given, expect: want, tol }) => {
  const tank = water(given.alkalinity_mgL_CaCO3!, given.pH_initial!);
  const meqPerL = acidMeqPerL(tank, given.pH_target!);
  if (want.acidNeeded === false) return expect(meqPerL).toBeLessThanOrEqual(0);
  within(meqPerL, want.acid_meqL as number, 0.01, tol?.abs_meqL);
  within(phAfterAcid(tank, want.acid_meqL as number) as number, given.pH_target!, 0, 0.03);
});

const ACIDS: readonly string[] = ["phosphoric", "nitric", "sulfuric", "citric"] satisfies TankAcid[];
const dosed = closed.filter(
  ({ given, expect: want }) => ACIDS.includes(given.acid!) && (want.mL_per_1000L ?? want.g_per_1000L_anhydrous),
);
test.each(dosed)("its millilitres, or its grams: $name", ({ given, expect: want }) => {
  const amount = acidAmount(
    given.acid as TankAcid,
    (want.acid_meqL as number) * 1000,
    given.pH_target!,
    given.strength_pct_w,
    given.density_gmL ?? 1,
  );
  within(amount, (want.mL_per_1000L ?? want.g_per_1000L_anhydrous) as number, 0.001);
});

test.each(cases.filter(({ given }) => given.pH !== undefined))("$name", ({ given, expect: want }) => {
  // A mole in grams and its equivalents at the pH: citric acid 192.12 g, phosphoric acid 98.00 g.
  within(192.12 / acidAmount("citric", 1000, given.pH!), want.citric as number, 0.002);
  within(98 / acidAmount("phosphoric", 1000, given.pH!, 100, 1), want.phosphoric as number, 0.002);
});

test.each(cases.filter(({ given }) => given.pCO2_ppm !== undefined))("$name", ({ given, expect: want }) => {
  const ph = given.pH_target!;
  const alkalinityMeqPerL = given.alkalinity_mgL_CaCO3! / MG_CACO3_PER_MEQ;
  // What is left in balance with the air, with the charge of water itself.
  const leftMeqPerL = aeratedAlkalinityMeqPerL(ph) + 1000 * (10 ** (ph - 14) - 10 ** -ph);
  within(alkalinityMeqPerL - leftMeqPerL, want.acid_total_open_meqL as number, 0.0005);
});

test("bicarbonate of potassium: 100.115 g a mole, one equivalent each", () => {
  expect(bicarbonateG(1000)).toBeCloseTo(39.098 + 1.008 + 12.011 + 3 * 15.999, 2);
});

test("water in the air at pH 7 keeps what Henry's law gives it", () => {
  // [CO2] 10^-1.47 × 420e-6 mol/L, [HCO3-] that × 10^(7 - 6.35), [CO3--] a half per mille of it, counted twice.
  const co2MmolPerL = 1000 * 10 ** -1.47 * 420e-6;
  expect(co2MmolPerL).toBeCloseTo(0.01423, 5);
  expect(aeratedAlkalinityMeqPerL(7)).toBeCloseTo(0.06366, 4);
});

const wished = (given: Given, leaveMeqPerL: number | null = null) =>
  acidForWater({
    ...{ alkalinityMgCaco3PerL: given.alkalinity_mgL_CaCO3!, ph: given.pH_initial!, leaveMeqPerL },
    ...{ targetPh: given.pH_target ?? 3.5, acid: (given.acid ?? "nitric") as TankAcid },
    ...{ massPercent: given.strength_pct_w ?? 38, densityGPerMl: given.density_gmL ?? 1.234 },
  });
test.each(closed.filter(({ expect: want }) => want.acidNeeded !== false && want.practically === undefined))(
  "water by the sheet: $name",
  ({ given, expect: want }) => {
    const found = wished(given) as AcidAnswer;
    within(found.meqPerL, want.acid_meqL as number, 0.01);
    within(found.phNow, given.pH_target!, 0, 0.03);
    const amount = want.mL_per_1000L ?? want.g_per_1000L_anhydrous;
    if (amount !== undefined) within(found.per1000L, amount as number, 0.01);
    const brought = want.N_added_mgL ?? want.P_added_mgL ?? want.S_added_mgL;
    if (brought !== undefined) within(found.addsMgPerL!.mgPerL, brought as number, 0.01);
    if (want.pH_open_420ppm !== undefined) within(found.phLater, want.pH_open_420ppm as number, 0, 0.03);
    if (want.mL_for_tank !== undefined)
      within(found.per1000L * (given.tank_L! / 1000), want.mL_for_tank as number, 0.01);
    if (want.mL_per_stockTank !== undefined)
      within(stockTankG(found.per1000L, given.ratio_R!, given.stockTank_L!), want.mL_per_stockTank as number, 0.01);
    if (want.residualAlkalinity_meqL !== undefined)
      within(found.leftMeqPerL, want.residualAlkalinity_meqL as number, 0.01, 0.01);
  },
);
test.each(cases.filter(({ given }) => "leaveAlkalinity_meqL" in given))("$name", ({ given, expect: want }) => {
  const found = wished(given, (given as Given & { leaveAlkalinity_meqL: number }).leaveAlkalinity_meqL) as AcidAnswer;
  within(found.meqPerL, want.acid_meqL as number, 0.001, 1e-6);
  within(found.per1000L, want.mL_per_1000L as number, 0.001, 1e-6);
  within(found.phNow, want.pH_closed as number, 0, 0.02);
  within(found.phLater, want.pH_open_420ppm as number, 0, 0.03);
});

test("a pH that its alkalinity cannot have is refused", () => {
  const { given } = cases.find(({ expect: want }) => want.plausible === false)!;
  expect(wished(given)).toBe("not-carbonate");
});

test("each acid goes as far as the recipe has room for what it brings, then the next one", () => {
  const { shares, leftMeqPerL } = acidsWithin(
    3,
    ["nitric", "phosphoric", "citric"],
    { "NO3-N": 14.007, P: 30.974 },
    5.8,
  );
  expect(shares.map(({ acid }) => acid)).toEqual(["nitric", "phosphoric", "citric"]);
  expect(shares[0]!.meqPerL).toBeCloseTo(1, 6);
  expect(shares.reduce((sum, { meqPerL }) => sum + meqPerL, 0)).toBeCloseTo(3, 9);
  expect(leftMeqPerL).toBe(0);
  expect(acidsWithin(3, ["nitric"], { "NO3-N": 0 }, 5.8)).toEqual({ shares: [], leftMeqPerL: 3 });
});
