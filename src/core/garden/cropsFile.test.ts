import { CROP_LIBRARY } from "../growth/library/crops";
import { cellOf } from "./cropColumns";
import { cropsTable, readCrops, type CropNames } from "./cropsFile";
import type { Garden, Variety } from "./garden";

const NAMES: CropNames = {
  units: new Map([["heads", 3]]),
  growingAreas: new Map([["Leaf bank", 5]]),
  crops: new Set(["Batavia"]),
};
const problemsOf = (...lines: string[][]) => readCrops(lines, NAMES).problems;

test("crops written to a file are read again as they were", () => {
  const { name, pattern, suits, germination } = CROP_LIBRARY[1]!;
  const variety = {
    ...{
      id: 1,
      name,
      crop: "lettuce",
      family: "",
      kind: "leaf",
      unitId: 3,
      unit: { id: 3, name: "heads", divisible: false },
    },
    ...{ germination, pattern, suits, suitsNot: [], tray: null, ecLow: 1, ecHigh: 1.8, notModelled: ["bolting"] },
    ...{ seedsPerCell: 3, thinTo: 2, learns: true },
    stages: [
      {
        ...{
          name: "grow",
          growingAreaId: 5,
          daysByMonth: [44, 40, 34, 28, 24, 22, 21, 23, 27, 33, 40, 45],
          survival: 0.97,
        },
        ...{ needLpd: 0.16, usesLight: true, uptakeMgPerL: { K: 120, Ca: 60.5 } },
      },
    ],
  } as unknown as Variety;
  const [row] = cropsTable({ varieties: [variety], growingAreas: [{ id: 5, name: "Leaf bank" }] } as unknown as Garden);
  const { crops, problems } = readCrops([Object.keys(row!), Object.values(row!)], NAMES);
  expect(problems).toEqual([]);
  const [crop] = crops;
  const { unit: _unit, stages, id: _id, ...own } = variety as unknown as Record<string, unknown>;
  expect(crop!.row).toMatchObject(
    Object.fromEntries(Object.entries(own).filter(([, value]) => cellOf(value as never) !== "")),
  );
  expect(crop!.stages).toHaveLength(1);
  expect(crop!.stages[0]).toMatchObject((stages as object[])[0]!);
});

test("what is wrong in a file of crops is told with its line and column; a crop that is there needs only what changes", () => {
  expect(problemsOf([""])).toEqual([{ kind: "empty" }]);
  expect(problemsOf(["germination"], ["0.9"])).toEqual([{ kind: "no-name" }]);
  expect(problemsOf(["name", "colour"], ["Batavia", "red"])).toEqual([{ kind: "unknown-column", column: "colour" }]);
  const line = (column: string, text: string) => problemsOf(["name", column], ["Batavia", text]);
  expect(line("germination", "0.91")).toEqual([]);
  expect(line("germination", "130")).toMatchObject([
    { kind: "cell", line: 2, cell: { kind: "outside-range", value: 130 } },
  ]);
  expect(line("germination", "high")).toMatchObject([{ cell: { kind: "not-a-number", text: "high" } }]);
  expect(line("kind", "lettuce")).toMatchObject([{ cell: { kind: "not-one-of" } }]);
  expect(line("stage1.daysByMonth", "10 10 10 10 10 10 10 10 10 10 10")).toMatchObject([
    { cell: { kind: "not-twelve", count: 11 } },
  ]);
  expect(line("stage1.daysByMonth", `0 ${"10 ".repeat(11).trim()}`)).toMatchObject([
    { cell: { kind: "outside-range" } },
  ]);
  expect(line("stage1.growingArea", "Nowhere")).toMatchObject([{ kind: "no-such", text: "Nowhere" }]);
  expect(line("stage2.survival", "0.9")).toMatchObject([{ kind: "gap-in-stages", stage: 1 }]);
  expect(problemsOf(["name", "airBaseC", "airOptimumC"], ["Batavia", "22", "18"])).toMatchObject([
    { kind: "out-of-order", column: "airBaseC", other: "airOptimumC" },
  ]);
  expect(problemsOf(["name"], ["Batavia"], ["Batavia"], [""])).toMatchObject([{ kind: "twice", line: 3 }]);
  expect(problemsOf(["name", "kind"], ["Endive", "leaf"])).toEqual([
    {
      ...{ kind: "new-lacks", line: 2, name: "Endive" },
      columns: ["unit", "germination", "pattern.kind", "stage1.growingArea", "stage1.daysByMonth"],
    },
  ]);
});
