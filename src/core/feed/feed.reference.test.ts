import correction from "../../../tests/reference/feed/correction.json";
import ec from "../../../tests/reference/feed/ec.json";
import injector from "../../../tests/reference/feed/injector.json";
import stocks from "../../../tests/reference/feed/stocks.json";
import saltCases from "../../../tests/reference/feed/salts.json";
import { bringBack, type TankCorrection } from "./bringBack";
import { ecOfIons } from "./ec";
import { injectorVerdict, pressureVerdict } from "../water/injector";
import { calibrate, headsInSeries, dialPercent, strokeError } from "./calibration";
import { acidAmount, acidMeqPerL, phAfterAcid } from "./phDose";
import { learnedAmount, learnedResponse } from "./learnedResponse";
import { SALT_LIBRARY, stockFor, type Salt } from "./salts";
import { strengthForEc } from "./scaleToEc";
import { concentrationFactor, stockConflict, stockDaysLeft, stockMl, stockSolubility, stockTankG } from "./stocks";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; given: any; expect: any; tol?: any };
const named = (name: string): Salt => SALT_LIBRARY.find((salt) => salt.name === name)!;
const convention = (given: { ratioConvention?: string }) => (given.ratioConvention?.startsWith("to") ? "to" : "in");
const within = (found: number, want: number, rel: number, abs = 1e-9) =>
  expect(Math.abs(found - want)).toBeLessThanOrEqual(Math.max(abs, Math.abs(want) * rel));
const having = (file: { cases: unknown }, key: string) =>
  (file.cases as Case[]).filter(({ given, expect: want }) => key in given || key in want);

test.each(having(ec, "ions_mmolL"))("EC of ions: $name", ({ given, expect: want }) =>
  within(ecOfIons(given.ions_mmolL), want.ec_mScm, 0.002),
);
const measured = having(ec, "measured_mScm");
test.each(measured)("EC against what was measured: $name", ({ given, expect: want, tol }) =>
  within(ecOfIons(given.ions_mmolL), want.measured_mScm, tol.ec_vs_measured_rel),
);
test("all conductivity standards but one are met within 3 %", () => {
  const out = measured.filter(
    ({ given, expect: want }) => Math.abs(ecOfIons(given.ions_mmolL) / want.measured_mScm - 1) > 0.03,
  );
  // Sodium sulfate pairs less than its constant says.
  expect(out.map(({ name }) => name)).toEqual(["measured: Na2SO4 0.02 eq/L"]);
});
test.each(having(ec, "factorFree"))("$name", ({ given, expect: want, tol }) =>
  within(strengthForEc(given.recipe_mmolL, given.water_mmolL, given.targetEC_mScm) as number, want.factorFree, tol.rel),
);

test.each(
  (saltCases.cases as Case[]).filter((entry) => entry.expect.pct && SALT_LIBRARY.some((s) => s.name === entry.name)),
)("salt composition: $name", ({ name, expect: want }) => {
  for (const [nutrient, percent] of Object.entries(want.pct as Record<string, number>))
    within(named(name).percent[nutrient as "K"]!, percent, 0, 0.02);
});

test.each(having(stocks, "mass_g_per_tank"))("$name", ({ given, expect: want }) => {
  const factor = concentrationFactor(given.ratio_R, convention(given));
  expect(factor).toBe(want.concentrationFactor);
  for (const [name, grams] of Object.entries(want.mass_g_per_tank as Record<string, number>)) {
    within(stockTankG(given.salts_g_per_1000L[name], factor, given.stockTank_L), grams, 0.001);
    const place = stockFor(named(name));
    expect(want.split[place === "either" ? "either" : `mustBe${place}`]).toContain(name);
  }
});
test.each(having(stocks, "sameStockTank"))("in one stock: $name", ({ given, expect: want }) => {
  const acids: Record<string, Partial<Salt>> = {
    phosphoric: { percent: { P: 26 }, acid: true },
    sulfuric: { percent: { S: 12 }, acid: true },
    nitric: { percent: { "NO3-N": 8 }, acid: true },
  };
  const salts = given.sameStockTank.map((name: string) => named(name) ?? { name, ...acids[name.split(" ")[0]!] });
  expect([...(stockConflict(salts)?.ions ?? [])]).toEqual(want.reasonIons);
});
test.each(having(stocks, "dissolves"))("dissolves? $name", ({ given, expect: want }) => {
  const salt = {
    name: given.salt,
    percent: {},
    solubilityGPerL: given.solubility_gL.gL,
    gPer1000L: given.g_per_1000L,
  };
  const found = stockSolubility([salt], concentrationFactor(given.ratio_R, convention(given)), given.coldest_C);
  within(found.fractions[0]!.gPerL, want.stock_gL, 0.002);
  within(found.fractions[0]!.limitGPerL, want.limit_gL, 0.002);
  expect(found.verdict !== "does-not-dissolve").toBe(want.dissolves);
  within(found.highestRatioR, want.highestRatio_R, 0.0001, 1);
});
test.each(having(stocks, "sumOfFractions"))("dissolve together? $name", ({ given, expect: want }) => {
  const salts = Object.entries(given.salts_g_per_1000L as Record<string, number>).map(([name, gPer1000L]) => ({
    ...named(name),
    gPer1000L,
    solubilityGPerL: given.solubility_gL[name].gL,
  }));
  const found = stockSolubility(salts, given.ratio_R, given.coldest_C);
  expect(found.verdict).toBe({ ok: "clear", warn: "close", refuse: "does-not-dissolve" }[want.verdict as "ok"]);
});
test.each(having(stocks, "wholeDaysLeft"))("days left: $name", ({ given, expect: want }) => {
  const days = stockDaysLeft(
    given.stockLeft_L,
    given.feedUse_Lday,
    concentrationFactor(given.ratio_R, convention(given)),
  );
  within(days.exact, want.daysLeft, 0.001);
  expect(days.whole).toBe(want.wholeDaysLeft);
});
test.each(having(stocks, "mL_A"))("$name", ({ given, expect: want }) =>
  within(
    stockMl(given.feed_L, concentrationFactor(given.ratio_R, convention(given)), given.strength),
    want.mL_A,
    0.001,
  ),
);

test.each(having(injector, "zoneFlows_Lh"))("$name", ({ given, expect: want }) => {
  const metresPerBar = 10.19716;
  for (const [zone, flow] of Object.entries(given.zoneFlows_Lh as Record<string, number>))
    expect(want.verdict[zone].replace("in range", "in-range")).toContain(
      injectorVerdict(flow, given.minFlow_Lh, given.maxFlow_Lh),
    );
  const [least, greatest] = (given.pressureRange_bar ?? []).map((bar: number) => bar * metresPerBar);
  for (const [zone, bar] of Object.entries((given.zonePressures_bar ?? {}) as Record<string, number>))
    expect(pressureVerdict(bar * metresPerBar, least, greatest)).toBe(
      want.pressureVerdict[zone].replace("in range", "in-range"),
    );
});
test.each(having(injector, "stockDrawn_mL"))("$name", ({ given, expect: want, tol }) => {
  const meter = given.meterPosition.startsWith("after") ? "after" : "before";
  const run = {
    ...{
      wantedR: given.setRatio_R,
      setR: given.setRatio_R,
      convention: "in" as const,
      meter: meter as "after" | "before",
    },
    ...{ stockDrawnL: given.stockDrawn_mL / 1000, meteredL: given.meteredWater_L },
  };
  const found = calibrate(run);
  expect(found.verdict).toBe(want.verdict.replace(" ", "-"));
  within((found.strength - 1) * 100, want.doseError_pct, 0, 0.05);
  if (want.actualRatio_R === null) {
    expect([found.actualR, found.correctedR]).toEqual([null, null]);
    return;
  }
  within(found.actualR!, want.actualRatio_R, tol.rel);
  within(found.correctedR!, want.correctedSetting_R, tol.rel);
  // The same run, its ratio read the other way: one part less.
  within(calibrate({ ...run, convention: "to" }).actualR!, want.actualRatio_toWater_R, tol.rel);
  // Set as corrected, with the same fault, it gives what is wanted.
  const outflowL = found.actualR! * run.stockDrawnL;
  const again = (outflowL / found.actualR!) * (run.setR / found.correctedR!);
  within(
    calibrate({ ...run, setR: found.correctedR!, stockDrawnL: again, meteredL: outflowL, meter: "after" }).strength,
    1,
    1e-9,
  );
});
test.each(having(injector, "dial_pct"))("$name", ({ given, expect: want }) =>
  within(dialPercent(want.ratio_R), given.dial_pct, 1e-4),
);
test.each(having(injector, "litresPerStroke"))("$name", ({ given, expect: want }) =>
  within(strokeError(given.litresPerStroke, given.run_L) * 100, want.worstDoseError_pct, 1e-4),
);
test.each(having(stocks, "A_against_plan_pct"))("$name", ({ given, expect: want }) => {
  const { first, second } = headsInSeries(given.ratio_R, convention(given));
  within((first - 1) * 100, want.A_against_plan_pct, 0, 0.02);
  within((second - 1) * 100, want.B_against_plan_pct, 0, 0.02);
});
test("stock cannot be more than what flowed out with it", () => {
  const run = { wantedR: 100, setR: 100, convention: "in", stockDrawnL: 0.9, meteredL: 0.5, meter: "after" } as const;
  expect(() => calibrate(run)).toThrow(/more than the 0.5 L/u);
});

const reading = (given: Case["given"]) => ({
  recipe: given.recipe_mmolL,
  water: given.water_mmolL,
  volumeL: given.volume_L,
  headspaceL: given.headspace_L,
  ecMsPerCm: given.EC_mScm,
  targetEcMsPerCm: given.targetEC_mScm,
  stockFactor: given.ratio_R ?? 100,
});
test.each(having(correction, "stockA_L"))("$name", ({ given, expect: want, tol }) => {
  const found = bringBack({ ...reading(given), headspaceL: 1e5 }) as TankCorrection;
  expect(found.kind).toBe("strengthen");
  within(found.strengthNow, want.strengthNow, tol.rel);
  within(found.stockEachL, want.stockA_L, tol.rel);
  // Where the stock does not fit, the same function lets water out first.
  expect((bringBack(reading(given)) as TankCorrection).drainL > 0).toBe(!want.fitsHeadspace);
});
test.each(having(correction, "water_numeric_L"))("$name", ({ given, expect: want, tol }) => {
  const found = bringBack(reading(given)) as TankCorrection;
  within(found.linearWaterL!, want.water_linearRule_L, 0.01);
  expect(found.kind).toBe(want.fits ? "dilute" : "drain-and-refill");
  within(found.drainL, want.fits ? 0 : want.drain_L, tol.rel);
  within(found.waterL, want.fits ? want.water_numeric_L : want.refill_L, tol.rel);
  if (!want.fits) within(found.sameVolumeL!, want.sameVolume_drain_L, tol.rel);
});
test("water stronger than the target cannot dilute", () => {
  const entry = having(correction, "waterEC_mScm").find(({ expect: want }) => want.possible === false)!;
  expect(bringBack(reading(entry.given)).kind).toBe("water-too-strong");
});
test.each(having(correction, "acid_meqL"))("$name", ({ given, expect: want, tol }) => {
  const buffer = {
    ph: given.pH,
    carbonateAlkalinityMeqPerL: given.carbonateAlkalinity_meqL,
    phosphorusMmolPerL: given.P_mmolL,
    ammoniumMmolPerL: given.NH4_mmolL,
  };
  const meqPerL = acidMeqPerL(buffer, given.targetPH);
  within(meqPerL, want.acid_meqL, tol.rel);
  within(
    acidAmount("nitric", meqPerL * given.volume_L, given.targetPH, given.strength_pct_w, given.density_gmL),
    want.mL,
    tol.rel,
  );
  within(phAfterAcid(buffer, meqPerL / 2) as number, want.pH_afterFirstHalf, 0, tol.pH_abs);
});

test.each(having(correction, "log"))("$name", ({ given, expect: want }) => {
  const pairs = (given.log as { acid_mL: number; pH_before: number; pH_after: number }[]).map((one) => ({
    ...{ amount: one.acid_mL, volumeL: 100, phBefore: one.pH_before, phAfter: one.pH_after },
  }));
  const found = learnedResponse(pairs)!;
  within(found.median, want["mL_per_0.1pH_mean"], 0.001);
  within(learnedAmount(found, 100, given.pH_now - given.pH_target), want.mL_mean, 0.001);
  expect(learnedResponse(pairs.slice(0, 2))).toBeNull();
});
