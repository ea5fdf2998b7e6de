import loop from "../../../tests/reference/feed/loop.json";
import { tankDays, type ChangeRule, type TankDaysInput } from "./tankDays";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; given: any; expect: any };

function ruleOf({ kind, days, share, ion, mmolL }: Case["given"]["policy"]): ChangeRule {
  if (kind === "everyDays") return { kind: "every-days", days };
  if (kind === "topUpVolume") return { kind: "top-up-volume", tanks: share };
  return kind === "ionLimit" ? { kind: "ion-limit", limitsMmolPerL: { [ion]: mmolL } } : { kind: "never" };
}

const inputOf = (given: Case["given"]): TankDaysInput => ({
  tankL: given.tank_L,
  drunkL: new Array(given.days).fill(given.transpiration_Lday),
  evaporatedL: new Array(given.days).fill(given.evaporation_Lday),
  recipeMmolPerL: given.recipe_mmolL,
  recipeGPer1000L: given.recipe_g_per_1000L,
  waterMmolPerL: given.water_mmolL,
  strength: given.strength,
  topUp:
    given.topUpStrength === null
      ? { kind: "hold-ec", ecMsPerCm: given.holdEC_mScm }
      : { kind: "strength", strength: given.topUpStrength },
  uptakeMmolPerL: given.uptake_mmolL,
  uptakeShare: {},
  ...{ ecLow: given.band_mScm[0], ecHigh: given.band_mScm[1] },
  ...{ minutesPerDay: given.labour_min_per_day, minutesPerChange: given.labour_min_per_change },
});
const near = (found: number, want: number, rel: number) =>
  expect(Math.abs(found - want)).toBeLessThanOrEqual(Math.max(1e-9, rel * Math.abs(want)));

test.each(loop.cases as unknown as Case[])("$name", ({ given, expect: want }) => {
  const found = tankDays(inputOf(given), ruleOf(given.policy));
  const isHeld = given.topUpStrength === null;
  near(found.waterL, want.water_L, 1e-6);
  near(found.dischargedL, want.discharge_L, 1e-6);
  expect(found.changeDays).toEqual(want.changeDays);
  near(found.feedSaltsG, want.feedSalts_g, isHeld ? 0.015 : 0.002);
  near(found.nitrogenDischargedG, want.nitrogenDischarged_g, isHeld ? 0.01 : 1e-4);
  near(Math.max(...found.sodiumMmolPerL), want.peakNa_mmolL, 1e-4);
  near(Math.max(...found.chlorideMmolPerL), want.peakCl_mmolL, 1e-4);
  expect(found.sodiumMmolPerL.indexOf(Math.max(...found.sodiumMmolPerL)) + 1).toBe(want.peakNa_day);
  near(Math.min(...found.ecMsPerCm), want.EC_min_mScm, 0.006);
  near(Math.max(...found.ecMsPerCm), want.EC_max_mScm, 0.006);
  near(found.ecMsPerCm.at(-1)!, want.EC_last_mScm, 0.006);
  expect(Math.abs(found.daysOutsideBand - want.daysOutsideBand)).toBeLessThanOrEqual(want.nearBandEdge_days + 1);
  expect(found.minutes).toBe(want.labour_min);
  for (const [ion, mmol] of Object.entries((want.unmetUptake_mmol ?? {}) as Record<string, number>))
    near(found.unmetMmol[ion as "K"]!, mmol, 0.015);
});

test("ions taken in proportion never run out, and what carries no nutrient is told as a share of the EC", () => {
  const { given } = (loop.cases as unknown as Case[]).find(({ name }) => name.includes("salty water, top up only"))!;
  const input = inputOf(given);
  const { Na: _na, Cl: _cl, ...nutrients } = input.uptakeMmolPerL;
  const found = tankDays({ ...input, uptakeMmolPerL: nutrients, uptakeShare: { Na: 0.1, Cl: 0.1 } }, { kind: "never" });
  expect(found.unmetMmol.Na).toBe(0);
  // At rest what comes in with each litre goes out: w·(drunk + evaporated) = share·c·drunk.
  const rest = (given.water_mmolL.Na * 65) / (0.1 * 60);
  expect(found.sodiumMmolPerL.at(-1)!).toBeLessThan(rest);
  expect(found.ballastShareOfEc).toBeGreaterThan(0.3);
  expect(found.ballastShareOfEc).toBeLessThan(0.6);
});
