import { readSalts, saltsTable, type FileSalt } from "./saltsFile";

const SALT: Required<FileSalt> = {
  ...{ name: "potassium nitrate", percent: { "NO3-N": 13.85, K: 38.67 }, form: "solid", densityKgPerL: null },
  ...{
    solubilityGPerL: [127, 194, 279, 380],
    pricePerKg: 2.2,
    onHandG: 25_000,
    leadDays: 10,
    chelate: false,
    alone: false,
  },
  caution: "Oxidiser: dry, away from fuel",
};
const lines = (rows: readonly Record<string, string | number>[]) => [
  Object.keys(rows[0]!),
  ...rows.map((row) => Object.values(row).map(String)),
];

test("salts go out as lines and come back the same", () => {
  const bare = { ...SALT, name: "liquid feed", form: "liquid" as const, densityKgPerL: 1.2, solubilityGPerL: null };
  expect(readSalts(lines(saltsTable([SALT, bare])))).toEqual({ salts: [SALT, bare], problems: [] });
});

test("what has no column stays out; an empty line is none", () => {
  const { salts, problems } = readSalts([
    ["Name", "k_percent"],
    ["potash", "40"],
    ["", ""],
  ]);
  expect([salts, problems]).toEqual([[{ name: "potash", percent: { K: 40 } }], []]);
});

test("what is wrong is told line by line", () => {
  const problemsOf = (...rows: readonly (readonly string[])[]) => readSalts(rows).problems;
  expect(problemsOf([])).toEqual([{ kind: "empty" }]);
  expect(problemsOf(["salt"], ["a"])).toEqual([{ kind: "unknown-column", column: "salt" }, { kind: "no-name" }]);
  const head = ["name", "K_percent", "S_percent", "form", "dissolves_0c_g_per_l"];
  expect(
    problemsOf(head, ["a", "60", "50", "", ""], ["a", "x", "2", "gas", ""], ["", "-1", "3", "liquid", "90"]),
  ).toEqual([
    { kind: "adds-up", line: 2, sum: 110 },
    { kind: "twice", line: 3, name: "a" },
    { kind: "not-a-number", line: 3, column: "K_percent", text: "x" },
    { kind: "not-one-of", line: 3, column: "form", of: ["solid", "liquid"] },
    { kind: "name-missing", line: 4 },
    { kind: "outside-range", line: 4, column: "K_percent", value: -1, least: 0, greatest: 100 },
    { kind: "solubility-in-part", line: 4 },
    { kind: "liquid-without-density", line: 4 },
  ]);
});
