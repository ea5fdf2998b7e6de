import { byLabel, doseDoubt } from "./byLabel";
import { doseSlip } from "./doseSlip";
import { ecOfIons } from "./ec";
import { feedSheet } from "./feedSheet";
import { keptProduct, labelFeedDoubts, type LabelProduct } from "./labelFeed";
import { mixIons } from "./nutrients";
import { stockSolubility } from "./stocks";
import { ecOfShare } from "../garden/setup/addLabelFeed";

const BOTTLE: LabelProduct = {
  ...{ name: "part A", form: "liquid", densityKgPerL: null, label: {}, isByVolume: false },
  ...{ amount: 4, unit: "mL", per: "L", measureL: null },
};
const POWDER: LabelProduct = { ...BOTTLE, form: "solid", unit: "g", amount: 1 };
/** Nitrate of potassium by its label: balanced, its forms printed. */
const BALANCED = { "NO3-N": 13.85, K2O: 46.6 };

describe("a product by its label", () => {
  test("millilitres need no density where nothing or only volumes are printed; else it is asked", () => {
    expect(keptProduct(BOTTLE)).toEqual({ percent: {}, densityKgPerL: 1, gPer1000L: 4000 });
    const byVolume = keptProduct({ ...BOTTLE, label: { K2O: 12.05 }, isByVolume: true, densityKgPerL: 1.2 });
    // 12.05 g of K2O in 100 mL are 10.0 g of K; 1.2 kg a litre makes 8.34 % by mass; 4 mL/L bring 400 mg/L of K.
    expect(byVolume).toMatchObject({ gPer1000L: 4800 });
    if ("kind" in byVolume) throw new Error(byVolume.kind);
    expect((byVolume.percent.K! * byVolume.gPer1000L) / 100).toBeCloseTo(400, 0);
    expect(keptProduct({ ...BOTTLE, label: { K2O: 10 } })).toEqual({ kind: "density-missing" });
    expect(keptProduct({ ...POWDER, unit: "teaspoon" })).toEqual({ kind: "density-missing" });
    expect(keptProduct({ ...BOTTLE, unit: "cap" })).toEqual({ kind: "measure-missing" });
  });

  test("adds up to 100 % at most; nitrogen without its forms is kept as such", () => {
    expect(keptProduct({ ...POWDER, label: { N: 60, K2O: 41 } })).toEqual({ kind: "adds-up", sum: 101 });
    const kept = keptProduct({ ...POWDER, label: { N: 20, P2O5: 20, K2O: 20 } });
    expect(kept).toMatchObject({ percent: { "unstated-N": 20 } });
  });
});

describe("the EC of a feed by labels", () => {
  const ofSalt = [{ percent: { "NO3-N": 13.85, K: 38.67 } }];
  test("is worked out where the label balances, taken from the pack where told, and else asked for", () => {
    const found = byLabel(ofSalt, [1000], null);
    expect(found).toMatchObject({ kind: "worked-out" });
    expect(byLabel([{ percent: { "unstated-N": 20, K: 16 } }], [1000], null)).toEqual({
      kind: "not-told",
      why: "nitrogen-forms-missing",
    });
    expect(byLabel([{ percent: {} }], [1000], null)).toEqual({ kind: "not-told", why: "not-balanced" });
    const told = byLabel([{ percent: {} }], [4000], 1.6);
    if (told.kind !== "told") throw new Error(told.kind);
    expect(ecOfIons(told.ions)).toBeCloseTo(1.6, 6);
    expect(told.workedOutMsPerCm).toBeNull();
  });

  test("a share of the label with a water has the EC that the sheet makes it to", () => {
    const water = { Ca: 1, HCO3: 2 };
    const found = byLabel(ofSalt, [1000], null);
    if (found.kind === "not-told") throw new Error(found.why);
    const ec = ecOfShare(found.ions, water, 0.5);
    const sheet = sheetOf(ec, null);
    expect(sheet.strength).toBeCloseTo(0.5, 5);
    expect(sheet.gPer1000L[0]).toBeCloseTo(500, 1);
    expect(ecOfIons(mixIons([[1, water], [0.5, sheet.recipeIons]]))).toBeCloseTo(ec, 6); // prettier-ignore
  });
});

const sheetOf = (ecMsPerCm: number, labelEcMsPerCm: number | null, percent = { "NO3-N": 13.85, K: 38.67 } as object) =>
  feedSheet({
    wish: { targetsMgPerL: {}, waterMgPerL: { Ca: 40.078 } },
    byLabel: { labelEcMsPerCm },
    ecMsPerCm,
    salts: ["A", "B"].map((part, at) => ({
      ...{ id: at + 1, name: `part ${part}`, percent: at === 0 ? percent : {}, solubilityGPerL: null },
      ...{ stock: part as "A" | "B", pricePerKg: 0, onHandG: 0, gPer1000L: at === 0 ? 1000 : 4000 },
      ...{ form: "liquid" as const, densityKgPerL: 1.25 },
    })),
    waterAlkalinityMgCaco3PerL: 100.08,
    ...{ ratioR: 100, convention: "in", stocks: [], coldestC: 10, feedLpd: 100 },
  });

test("a slip of bottles tells millilitres, with a stir between the parts, and comes to the EC wanted", () => {
  const feed = sheetOf(1.2, 1.5, {});
  const slip = doseSlip({
    recipe: {
      ...{ feed, inParts: true, bands: { ecLow: 1, ecHigh: 1.4, ecTarget: 1.2, phLow: 5.5, phHigh: 6.5 } },
      salts: ["A", "B"].map((part, at) => ({
        ...{ id: at + 1, name: `part ${part}`, form: "liquid" as const, densityKgPerL: 1.25 },
        stock: part as "A" | "B",
      })),
    },
    ...{ feeding: "dry", reading: { ecMsPerCm: 0.6, ph: 6, waterC: 20, levelL: 100 }, before: null },
    ...{ normalFillL: 100, greatestL: 110, acid: "citric", weakerSourceId: null },
  });
  expect(slip.steps.map((step) => step.do)).toEqual(["salt", "wait", "salt", "wait"]);
  expect(slip.cautions).toEqual(["parts"]);
  const [a, b] = slip.steps.flatMap((step) => (step.do === "salt" ? [step] : []));
  expect(a!.liquidL).toBeCloseTo(a!.grams / 1250, 9);
  // The label's ratio of parts is kept: 1 to 4 by mass.
  expect(b!.grams / a!.grams).toBeCloseTo(4, 9);
});

test("bottles that are poured into a stock must fit into it", () => {
  const part = { name: "part A", percent: {}, solubilityGPerL: null, form: "liquid", densityKgPerL: 1.2 } as const;
  const at = (factor: number) => stockSolubility([{ ...part, gPer1000L: 6000 }], factor, 10);
  expect(at(100)).toMatchObject({ nearest: { kind: "volume" }, load: 0.5, highestRatioR: 200 });
  expect(at(250).verdict).toBe("does-not-dissolve");
});

describe("what is asked about a label's dose", () => {
  test.each([
    [4.8, "spoons"],
    [1.6 * 3.785, "us-gallon"],
    [1.6 / 4.55, "imperial-gallon"],
    [16, "ten"],
    [1.6 * 2.29, "oxides"],
    [1.6 * 1.9, "unknown"],
    [1.7, null],
  ])("worked out %d where the pack tells 1.6: %s", (workedOut, slip) => expect(doseDoubt(workedOut, 1.6)).toBe(slip));

  test("a dose that is a stock is refused, whatever the pack tells", () => {
    expect(byLabel([{ percent: { "NO3-N": 13.85, K: 38.67 } }], [40_000], 1.6)).toEqual({
      ...{ kind: "not-told", why: "too-strong" },
    });
  });

  test("a dose stronger than any feed, and much of what tells no EC", () => {
    const kept = keptProduct({ ...POWDER, amount: 6, label: BALANCED });
    if ("kind" in kept) throw new Error(kept.kind);
    expect(labelFeedDoubts([kept], null).doubts).toMatchObject([{ kind: "strong" }]);
    expect(labelFeedDoubts([{ percent: {}, gPer1000L: 15_000 }], 1.6).doubts).toMatchObject([{ kind: "much" }]);
    expect(labelFeedDoubts([{ ...kept, gPer1000L: 1000 }], null).doubts).toEqual([]);
  });
});
