import { differences } from "./versions";
import type { FieldSpec } from "./fields";

const FIELDS: readonly FieldSpec[] = [
  { name: "name", label: "Name", type: "text" },
  { name: "spec.pitchM", label: "Pitch", type: "quantity", dimension: "length" },
  {
    name: "spec.rows",
    label: "Rows",
    type: "quantity",
    dimension: "count",
    when: (values) => values.spec.kind === "bed",
  },
];
const base = { id: 1, version: 3, name: "Bank", spec: { kind: "channel", pitchM: 0.25 }, targetsMgPerL: { K: 200 } };

test("what both set differently, and what only the other one changed, field by field", () => {
  const mine = { ...base, name: "My bank", spec: { kind: "channel", pitchM: 0.2 } };
  const theirs = { ...base, version: 4, spec: { kind: "channel", pitchM: 0.3 }, targetsMgPerL: { K: 210 } };
  expect(differences(base, mine, theirs, FIELDS)).toEqual([
    expect.objectContaining({ name: "name", mine: "My bank", theirs: "Bank", touched: true }),
    expect.objectContaining({ name: "spec.pitchM", label: "Pitch", mine: 0.2, theirs: 0.3, touched: true }),
    expect.objectContaining({ name: "targetsMgPerL", label: "Targets", spec: null, touched: false }),
  ]);
  expect(differences(base, base, { ...base, version: 9 }, FIELDS)).toEqual([]);
});
