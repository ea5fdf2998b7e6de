import { riseToZero } from "../numeric/riseToZero";
import { GREATEST, requireEach, requireFigures } from "../units/range";
import { ecOfIons } from "./ec";
import { ATOMIC_WEIGHT_G_PER_MOL, type Ion, type IonAmounts } from "./nutrients";

/** When the solution of a recirculating tank is thrown away and made anew. */
export type ChangeRule =
  | { readonly kind: "every-days"; readonly days: number }
  /** When so many tanks of water have been topped up since. */
  | { readonly kind: "top-up-volume"; readonly tanks: number }
  | { readonly kind: "ion-limit"; readonly limitsMmolPerL: IonAmounts }
  | { readonly kind: "never" };

/** What a tank is topped up with: water with so much of the recipe, or water and then recipe until the EC is right. */
export type TopUp =
  { readonly kind: "strength"; readonly strength: number } | { readonly kind: "hold-ec"; readonly ecMsPerCm: number };

/** A recirculating tank over some days. */
export interface TankDaysInput {
  readonly tankL: number;
  /** What plants drink, and what evaporates without its ions, day by day. */
  readonly drunkL: ArrayLike<number>;
  readonly evaporatedL: ArrayLike<number>;
  /** At full strength, mmol/L, and the grams of salts in 1000 L of it. */
  readonly recipeMmolPerL: IonAmounts;
  readonly recipeGPer1000L: number;
  readonly waterMmolPerL: IonAmounts;
  /** Of a fresh solution. */
  readonly strength: number;
  readonly topUp: TopUp;
  /** What plants take with each litre that they drink, as far as it is there, mmol/L. */
  readonly uptakeMmolPerL: IonAmounts;
  /** Of ions that they take in proportion to what is in the tank, the share of its concentration. */
  readonly uptakeShare: IonAmounts;
  readonly ecLow: number;
  readonly ecHigh: number;
  readonly minutesPerDay: number;
  readonly minutesPerChange: number;
}

/** What came of it. */
export interface TankDays {
  readonly waterL: number;
  readonly dischargedL: number;
  readonly feedSaltsG: number;
  readonly nitrogenDischargedG: number;
  /** Days, counted from 1, at whose end the tank was changed. */
  readonly changeDays: readonly number[];
  /** By day, after the top-up and before a change. */
  readonly ecMsPerCm: Float64Array;
  readonly sodiumMmolPerL: Float64Array;
  readonly chlorideMmolPerL: Float64Array;
  readonly daysOutsideBand: number;
  readonly minutes: number;
  /** What plants would have taken and did not find, mmol, and as a share of what they would have taken. */
  readonly unmetMmol: IonAmounts;
  readonly unmetShare: IonAmounts;
  /** Of the last day's EC, what carries no nutrient. */
  readonly ballastShareOfEc: number;
  /** Ions in the tank at the end of the last day. */
  readonly lastMmolPerL: IonAmounts;
}

const MOST_ADDED = 8;
/** Ions that feed nothing, or hardly. */
const BALLAST: readonly Ion[] = ["Na", "Cl"];

/**
 * A recirculating tank day by day: plants drink and take ions, water evaporates, the tank is topped up to its fill level, it is
 * read, and it is changed where the rule says so. Bicarbonate is not carried: it is neutralised and leaves as gas.
 *
 * @throws RangeError when a figure is outside its range, or the days of what is drunk and what evaporates differ
 * @source mass balance in the order of tests/reference/feed/loop.json; EC by ecOfIons
 */
export function tankDays(input: TankDaysInput, rule: ChangeRule): TankDays {
  requireTankDays(input, rule);
  const { tankL, recipeMmolPerL, waterMmolPerL, topUp, uptakeMmolPerL, uptakeShare } = input;
  const ions = [...new Set([recipeMmolPerL, waterMmolPerL, uptakeMmolPerL, uptakeShare].flatMap(Object.keys))].filter(
    (ion) => ion !== "HCO3",
  ) as Ion[];
  const row = (amounts: IonAmounts) => Float64Array.from(ions, (ion) => amounts[ion] ?? 0);
  const [recipe, water, uptake, share] = [recipeMmolPerL, waterMmolPerL, uptakeMmolPerL, uptakeShare].map(row);
  const fresh = water!.map((amount, at) => amount + input.strength * recipe![at]!);
  const days = input.drunkL.length;
  const read = { ec: new Float64Array(days), na: new Float64Array(days), cl: new Float64Array(days) };
  const [naAt, clAt] = [ions.indexOf("Na"), ions.indexOf("Cl")];
  const [unmet, wanted] = [new Float64Array(ions.length), new Float64Array(ions.length)];
  const changeDays: number[] = [];
  const ecOf = (mmolPerL: Float64Array) => ecOfIons(named(ions, mmolPerL));
  let tank = fresh.slice();
  let [waterL, saltsG, nitrogenG, daysOutside, toppedUpL, sinceDay] = [
    tankL,
    fedG(input, tankL, input.strength),
    0,
    0,
    0,
    0,
  ];
  for (let day = 0; day < days; day++) {
    const [drunkL, lostL] = [input.drunkL[day]!, input.drunkL[day]! + input.evaporatedL[day]!];
    for (let at = 0; at < ions.length; at++) {
      const wantedMmol = drunkL * (uptake![at]! + share![at]! * tank[at]!);
      const takenMmol = Math.min(wantedMmol, tank[at]! * tankL);
      wanted[at]! += wantedMmol;
      unmet[at]! += wantedMmol - takenMmol;
      const addedMmol = lostL * (water![at]! + (topUp.kind === "strength" ? topUp.strength * recipe![at]! : 0));
      tank[at] = Math.max(0, tank[at]! - (takenMmol - addedMmol) / tankL);
    }
    waterL += lostL;
    toppedUpL += lostL;
    if (topUp.kind === "strength") saltsG += fedG(input, lostL, topUp.strength);
    else {
      const added = addedForEc(tank, recipe!, topUp.ecMsPerCm, ecOf);
      tank = tank.map((amount, at) => amount + added * recipe![at]!);
      saltsG += fedG(input, tankL, added);
    }
    const ec = (read.ec[day] = ecOf(tank));
    read.na[day] = naAt < 0 ? 0 : tank[naAt]!;
    read.cl[day] = clAt < 0 ? 0 : tank[clAt]!;
    if (ec < input.ecLow || ec > input.ecHigh) daysOutside++;
    if (
      !isDue(rule, {
        day: day + 1 - sinceDay,
        tanks: toppedUpL / tankL,
        mmolPerL: (ion) => tank[ions.indexOf(ion)] ?? 0,
      })
    )
      continue;
    changeDays.push(day + 1);
    nitrogenG += (nitrogenMmol(ions, tank) * tankL * ATOMIC_WEIGHT_G_PER_MOL.N) / 1000;
    waterL += tankL;
    saltsG += fedG(input, tankL, input.strength);
    [toppedUpL, sinceDay] = [0, day + 1];
    tank = fresh.slice();
  }
  return {
    waterL,
    dischargedL: changeDays.length * tankL,
    feedSaltsG: saltsG,
    nitrogenDischargedG: nitrogenG,
    changeDays,
    ecMsPerCm: read.ec,
    sodiumMmolPerL: read.na,
    chlorideMmolPerL: read.cl,
    daysOutsideBand: daysOutside,
    minutes: days * input.minutesPerDay + changeDays.length * input.minutesPerChange,
    unmetMmol: named(ions, unmet),
    unmetShare: named(
      ions,
      unmet.map((mmol, at) => (wanted[at]! > 0 ? mmol / wanted[at]! : 0)),
    ),
    ballastShareOfEc: ballastShare(ions, tank),
    lastMmolPerL: named(ions, tank),
  };
}

const fedG = ({ recipeGPer1000L }: TankDaysInput, litres: number, strength: number) =>
  (recipeGPer1000L * strength * litres) / 1000;

const named = (ions: readonly Ion[], amounts: Float64Array): IonAmounts =>
  Object.fromEntries(ions.map((ion, at) => [ion, amounts[at]!]));

const nitrogenMmol = (ions: readonly Ion[], tank: Float64Array) =>
  ions.reduce((sum, ion, at) => sum + (ion === "NO3" || ion === "NH4" ? tank[at]! : 0), 0);

/** Of an EC, what Na and Cl make. */
function ballastShare(ions: readonly Ion[], tank: Float64Array): number {
  const all = ecOfIons(named(ions, tank));
  const fed = ecOfIons(
    named(
      ions,
      tank.map((amount, at) => (BALLAST.includes(ions[at]!) ? 0 : amount)),
    ),
  );
  return all > 0 ? 1 - fed / all : 0;
}

/** How much of the recipe brings a tank back to an EC; none where it is there already. */
function addedForEc(tank: Float64Array, recipe: Float64Array, wanted: number, ecOf: (tank: Float64Array) => number) {
  const missing = (added: number) => ecOf(tank.map((amount, at) => amount + added * recipe[at]!)) - wanted;
  const now = missing(0);
  if (now >= 0) return 0;
  // A day asks for little: the end is sought near.
  let most = 0.05;
  while (most < MOST_ADDED && missing(most) < 0) most *= 2;
  return riseToZero(0, most, missing);
}

interface Since {
  readonly day: number;
  readonly tanks: number;
  readonly mmolPerL: (ion: Ion) => number;
}

function isDue(rule: ChangeRule, since: Since): boolean {
  switch (rule.kind) {
    case "every-days":
      return since.day >= rule.days;
    case "top-up-volume":
      return since.tanks >= rule.tanks - 1e-9;
    case "ion-limit":
      return (Object.entries(rule.limitsMmolPerL) as [Ion, number][]).some(
        ([ion, limit]) => since.mmolPerL(ion) >= limit - 1e-9,
      );
    case "never":
      return false;
  }
}

function requireTankDays(input: TankDaysInput, rule: ChangeRule): void {
  const where = "tankDays";
  requireFigures(where, input, {
    ...{ tankL: [0.1, GREATEST], recipeGPer1000L: [0, 100_000], strength: [0, 20] },
    ...{ ecLow: [0, 20], ecHigh: [input.ecLow, 20], minutesPerDay: [0, 1440], minutesPerChange: [0, 10_000] },
  });
  if (input.topUp.kind === "strength") requireFigures(where, input.topUp, { strength: [0, 20] });
  else requireFigures(where, input.topUp, { ecMsPerCm: [0, 20] });
  for (const [name, amounts] of [
    ["recipeMmolPerL", input.recipeMmolPerL],
    ["waterMmolPerL", input.waterMmolPerL],
    ["uptakeMmolPerL", input.uptakeMmolPerL],
    ["uptakeShare", input.uptakeShare],
  ] as const)
    requireEach(where, name, amounts, 0, name === "uptakeShare" ? 1 : 500);
  requireEach(where, "drunkL", Array.from(input.drunkL), 0);
  requireEach(where, "evaporatedL", Array.from(input.evaporatedL), 0);
  if (input.drunkL.length !== input.evaporatedL.length)
    throw new RangeError(`tankDays: ${input.drunkL.length} days are drunk but ${input.evaporatedL.length} evaporate`);
  if (rule.kind === "every-days") requireFigures(where, rule, { days: [1, 3660, "whole"] });
  if (rule.kind === "top-up-volume") requireFigures(where, rule, { tanks: [0.01, 1000] });
  if (rule.kind === "ion-limit") requireEach(where, "limitsMmolPerL", rule.limitsMmolPerL, 0, 500);
}
