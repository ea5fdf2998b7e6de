import { acidDanger, slipDanger } from "./acidDanger";

test("strong acid in a small tank, and far too much of any, is asked about", () => {
  const dose = { acid: "phosphoric", massPercent: 75, volumeL: 40, meqPerL: 1 } as const;
  expect(acidDanger(dose)).toMatchObject({ kind: "strong-in-small-tank", volumeL: 40 });
  expect(acidDanger({ ...dose, volumeL: 400 })).toBeNull();
  expect(acidDanger({ ...dose, massPercent: 10 })).toBeNull();
  expect(acidDanger({ ...dose, acid: "citric", massPercent: 100 })).toBeNull();
  expect(acidDanger({ ...dose, volumeL: 400, meqPerL: 9 })).toEqual({ kind: "much", meqPerL: 9 });
});

test("a slip whose tank has learned several times what is worked out is asked about", () => {
  const step = { do: "acid", acid: "citric", unit: "g", halfwayPh: 6.2, massPercent: 100, amount: 40 } as const;
  const learned = { pairs: 3, least: 30, greatest: 50, workedOut: 10 };
  expect(slipDanger([{ ...step, learned }], 500)).toEqual({ kind: "far-from-worked-out", times: 4 });
  expect(slipDanger([{ ...step, learned: { ...learned, workedOut: 30 } }], 500)).toBeNull();
  expect(slipDanger([{ ...step, acid: "nitric", massPercent: 60, unit: "mL" }], 30)).toMatchObject({
    kind: "strong-in-small-tank",
  });
  expect(slipDanger([step], null)).toBeNull();
});
