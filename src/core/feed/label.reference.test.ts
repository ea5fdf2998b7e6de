import label from "../../../tests/reference/feed/label.json";
import { doseCheck } from "./doseCheck";
import { dosePerL, elementsOfLabel, labelMgPerL, type DoseUnit, type LabelDose } from "./label";
import { labelEc, labelFactorForEc, type Dosed } from "./labelEc";
import { ionsFromElements } from "./nutrients";
import { concentrationFactor } from "./stocks";
import { strengthAtAge } from "./strengthByAge";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; kind: string; given: any; expect: any; tol?: any };
const ofKind = (kind: string) => (label.cases as Case[]).filter((entry) => entry.kind === kind);
const within = (found: number | null | undefined, want: number | null, rel = 0.0005) =>
  want === null
    ? expect(found).toBeNull()
    : expect(Math.abs(found! - want)).toBeLessThanOrEqual(Math.abs(want) * rel + 1e-9);
const all = (found: object, want: object) => {
  expect(Object.keys(found).sort()).toEqual(Object.keys(want).sort());
  for (const [name, value] of Object.entries(want)) within((found as Record<string, number>)[name], value);
};

test.each(ofKind("label"))("label in elements: $name", ({ given, expect: want }) =>
  all(elementsOfLabel(given.labelPct), want.elementsPct),
);

test.each(ofKind("dose"))("$name", ({ given, expect: want }) => {
  const dose = given as LabelDose;
  within(dosePerL(dose).gramsPerL, want.gramsPerL);
  // The file tells millilitres of a powder only where it was dosed by volume.
  if (want.mLPerL !== null) within(dosePerL(dose).mLPerL, want.mLPerL);
  all(labelMgPerL(given.labelPct, dose, given.labelBasis)!, want.mgPerL);
});

test("a spoon of a powder without its density, and a cap without its size, cannot be told", () => {
  const spoon = { amount: 1, per: "L", form: "solid" } as const;
  expect(dosePerL({ ...spoon, unit: "teaspoon" })).toEqual({ gramsPerL: null, mLPerL: 5 });
  expect(dosePerL({ ...spoon, unit: "cap", densityGPerML: 1 })).toEqual({ gramsPerL: null, mLPerL: null });
  expect(labelMgPerL({ N: 20 }, { ...spoon, unit: "teaspoon" as DoseUnit })).toBeNull();
});

interface Product {
  readonly product: string;
  readonly labelPct: Dosed["label"];
  readonly gPerL: number;
}
const dosed = (products: readonly Product[]): Dosed[] =>
  products.map(({ labelPct, gPerL }) => ({ label: labelPct, gPerL }));
const WHY = {
  "forms of nitrogen not given": "nitrogen-forms-missing",
  "ions do not balance": "not-balanced",
} as Record<string, string>;

test.each(ofKind("labelEc"))("EC by labels: $name", ({ given, expect: want, tol }) => {
  const found = labelEc(dosed(given.products));
  all(found.mgPerL, want.mgPerL);
  expect(found.kind).toBe(want.ecPossible ? "ec" : WHY[want.why]);
  if (found.kind !== "nitrogen-forms-missing" && want.chargeBalancePct !== undefined)
    expect(Math.abs(found.chargeBalance * 100 - want.chargeBalancePct)).toBeLessThanOrEqual(tol.chargeBalancePoints);
  if (found.kind !== "ec") return;
  within(found.ecMsPerCm, want.ecMsPerCm, tol.ecRel);
  expect(found.isDoubtful).toBe(want.warns);
});

test.each(ofKind("scaleToEc"))("$name", ({ given, expect: want, tol }) => {
  const water = ionsFromElements(given.water_mgPerL ?? {});
  const found = labelFactorForEc(dosed(given.products), given.wantedEcMsPerCm, water);
  if (found.kind !== "factor") {
    expect([found.kind, want.possible]).toEqual(["water-too-strong", false]);
    return;
  }
  within(found.ecAtLabelMsPerCm, want.ecAtLabel, tol.ecRel);
  within(found.ecOfWaterMsPerCm, want.ecOfWater, tol.ecRel);
  within(found.factor, want.factorToLabel, tol.factorRel);
  for (const { product, gPerL } of given.products as Product[])
    within(found.factor * gPerL, want.gPerL[product], tol.factorRel);
});

const GRAMS = { pound: 453.59237, ounce: 28.349523125, kg: 1000 } as Record<string, number>;
test.each(ofKind("stock"))("$name", ({ given, expect: want, tol }) => {
  const litres = given.stockVolume * (given.stockUnit === "usGallon" ? 3.785411784 : 1);
  const factor = concentrationFactor(given.ratio, given.ratioMeans.startsWith("1 part stock to") ? "to" : "in");
  within(litres, want.stockLitres);
  expect(factor).toBe(want.factor);
  within(litres * factor, want.feedLitres);
  const products = (given.products as (Product & { amount: number; unit: string })[]).map((product) => ({
    ...product,
    gPerL: (product.amount * GRAMS[product.unit]!) / litres / factor,
  }));
  for (const { product, gPerL } of products) within(gPerL, want.productGPerLOfFeed[product]);
  const feed = labelEc(dosed(products));
  all(feed.mgPerL, want.feedMgPerL);
  expect(feed.kind === "ec").toBe(want.ecPossible);
  if (feed.kind === "ec") within(feed.ecMsPerCm, want.ecMsPerCm, tol.ecRel);
});

test.each(ofKind("ramp"))("strength by age: $name", ({ given, expect: want }) => {
  for (const { ageDays, strength, gPerL } of want.byAge) {
    const found = strengthAtAge(ageDays, given.strengthAtStart, given.strengthAtMaturity, given.maturityDays);
    within(found, strength);
    if (gPerL !== undefined) within(found * given.labelGPerL, gPerL);
  }
});

test.each(ofKind("doseCheck"))("dose against label: $name", ({ given, expect: want }) => {
  const { mend, ...found } = doseCheck(given);
  all(found, {
    labelG: want.labelG,
    planG: want.planG,
    ratioToLabel: want.ratioToLabel,
    ratioToPlan: want.ratioToPlan,
  });
  switch (mend.kind) {
    case "nothing":
      expect(want.mend).toBe("nothing");
      break;
    case "add-product":
      within(mend.addG, want.addProductG);
      break;
    case "add-water":
      within(mend.addL, want.addWaterL);
      within(mend.thenL, want.thenL);
      break;
    case "drain-and-fill":
      within(mend.drainL, want.drainL);
      within(mend.thenAddL, want.thenAddWaterL);
      within(mend.thenL, want.thenL);
      within(mend.drainedG, want.productDrainedG);
  }
});
