import fc from "fast-check";
import {
  apply,
  between,
  holding,
  isEmpty,
  isSame,
  rebase,
  reverse,
  settle,
  squash,
  type Changes,
  type Json,
  type Row,
  type Rules,
  type Table,
  type Tables,
} from "./changes";

const RULES: Rules = {
  references: { stand: { houseId: "house" } },
  names: { house: ["name"], stand: ["houseId", "name"] },
};
const NONE: Rules = { references: {}, names: {} };
const NOTHING: Tables = { house: {}, stand: {} };
const SEED = { seed: 10, numRuns: 400 };

const value: fc.Arbitrary<Json> = fc.oneof(
  fc.integer({ min: 0, max: 3 }),
  fc.constantFrom<Json>(null, true, "a", [1, 2], { kind: "bank", pitchM: 0.2 }, { kind: "bank", pitchM: 0.3 }),
);
const table = fc
  .uniqueArray(fc.integer({ min: 1, max: 6 }), { maxLength: 5 })
  .chain((ids) =>
    fc
      .tuple(...ids.map(() => fc.record({ name: value, spec: value })))
      .map((rows): Table => Object.fromEntries(ids.map((id, at) => [id, { id, ...rows[at]! } satisfies Row]))),
  );
const garden: fc.Arbitrary<Tables> = fc.record({ house: table, stand: table });
const same = (a: object, b: object) => isSame(a as Json, b as Json);

test("reverse undoes apply, and what leads from one garden to another is what was done (seed 10)", () => {
  fc.assert(
    fc.property(garden, garden, (before, after) => {
      const changes = between(before, after);
      expect(same(apply(before, changes), after)).toBe(true);
      expect(same(apply(after, reverse(changes)), before)).toBe(true);
      expect(same(between(before, apply(before, changes)), changes)).toBe(true);
      expect(isEmpty(between(before, before))).toBe(true);
    }),
    SEED,
  );
});

test("squash does what one and then the other does, and nothing where they cancel out (seed 10)", () => {
  fc.assert(
    fc.property(garden, garden, garden, (first, second, third) => {
      const both = squash(between(first, second), between(second, third));
      expect(same(apply(first, both), third)).toBe(true);
      expect(same(both, between(first, third))).toBe(true);
      expect(isEmpty(squash(between(first, second), between(second, first)))).toBe(true);
    }),
    SEED,
  );
});

test("rebased on the garden they were made on, changes stay as they are; once done, nothing is left of them (seed 10)", () => {
  fc.assert(
    fc.property(garden, garden, (before, after) => {
      const changes = between(before, after);
      expect(rebase(changes, before, NONE)).toEqual({ changes, conflicts: [] });
      expect(rebase(changes, after, NONE)).toEqual({ changes: {}, conflicts: [] });
    }),
    SEED,
  );
});

test("of any changes on any garden, what holds breaks no reference and no name that was whole (seed 10)", () => {
  const named = fc.constantFrom("Net", "Tunnel", "Bank", "Bench", "Rack", "Pond");
  const rows = (fields: Record<string, fc.Arbitrary<Json>>) =>
    fc
      .uniqueArray(fc.tuple(fc.integer({ min: 1, max: 6 }), named), { maxLength: 4, selector: ([id]) => id })
      .chain((found) =>
        fc
          .tuple(...found.map(() => fc.record(fields)))
          .map((more): Table =>
            Object.fromEntries(found.map(([id, name], at) => [id, { id, name, ...more[at] } satisfies Row])),
          ),
      );
  const whole = fc
    .record({ house: rows({}), stand: rows({ houseId: fc.integer({ min: 1, max: 6 }) }) })
    .map((tables) => apply(NOTHING, holding(between(NOTHING, tables), NOTHING, RULES).changes));
  fc.assert(
    fc.property(whole, whole, whole, (first, then, live) => {
      const { changes } = holding(between(first, then), live, RULES);
      const after = apply(live, changes);
      const standing = Object.values(after.stand ?? {});
      expect(standing.every(({ houseId }) => after.house?.[Number(houseId)])).toBe(true);
      const names = Object.values(after.house ?? {}).map(({ name }) => name);
      expect(new Set(names).size).toBe(names.length);
    }),
    SEED,
  );
});

const bank = { id: 1, name: "Bank", houseId: 1, pitchM: 0.25 };
const live: Tables = { house: { 1: { id: 1, name: "Net house" }, 2: { id: 2, name: "Tunnel" } }, stand: { 1: bank } };
const update = (entity: string, id: number, fields: Record<string, readonly [Json, Json]>): Changes => ({
  [entity]: { added: {}, removed: {}, updated: { [id]: fields } },
});

test("two people's changes of different fields both hold; of the same field there is a conflict with all three values", () => {
  const mine = update("stand", 1, { pitchM: [0.25, 0.2] });
  const renamed = apply(live, update("stand", 1, { name: ["Bank", "Leaf bank"] }));
  const { changes, conflicts } = rebase(mine, renamed, RULES);
  expect(conflicts).toEqual([]);
  expect(apply(renamed, changes).stand![1]).toEqual({ ...bank, name: "Leaf bank", pitchM: 0.2 });
  const wider = apply(live, update("stand", 1, { pitchM: [0.25, 0.3] }));
  expect(rebase(mine, wider, RULES)).toEqual({
    changes: {},
    conflicts: [{ entity: "stand", id: 1, kind: "changed", field: "pitchM", from: 0.25, live: 0.3, to: 0.2 }],
  });
});

test("what is gone, changed before it was removed, refers to what is gone or takes a name is told", () => {
  const kinds = (changes: Changes, on: Tables) => rebase(changes, on, RULES).conflicts.map(({ kind }) => kind);
  const without = { ...live, stand: {} };
  expect(kinds(update("stand", 1, { pitchM: [0.25, 0.2] }), without)).toEqual(["gone"]);
  expect(kinds(between(live, without), apply(live, update("stand", 1, { pitchM: [0.25, 0.3] })))).toEqual([
    "removed-but-changed",
  ]);
  const houseGone = { house: { 2: live.house![2]! }, stand: {} };
  expect(kinds(between(without, live), houseGone)).toEqual(["refers-to-gone"]);
  expect(kinds(between(live, { ...live, house: { 2: live.house![2]! } }), live)).toEqual(["refers-to-gone"]);
  expect(kinds(update("house", 1, { name: ["Net house", "Tunnel"] }), live)).toEqual(["name-taken"]);
  // A swap of two names takes no name that somebody keeps.
  const swap = squash(
    update("house", 1, { name: ["Net house", "Tunnel"] }),
    update("house", 2, { name: ["Tunnel", "Net house"] }),
  );
  expect(kinds(swap, live)).toEqual([]);
  expect(apply(live, swap).house).toEqual({ 1: { id: 1, name: "Tunnel" }, 2: { id: 2, name: "Net house" } });
});

test("an added row that is there already becomes the difference; ids of the browser become real ones, references too", () => {
  const added = between({ ...live, stand: {} }, { ...live, stand: { 1: { ...bank, pitchM: 0.2 } } });
  expect(rebase(added, live, RULES).changes).toEqual(update("stand", 1, { pitchM: [0.25, 0.2] }));
  const drawn: Changes = {
    house: { added: { [-1]: { id: -1, name: "New" } }, removed: {}, updated: {} },
    stand: { added: { [-2]: { ...bank, id: -2, houseId: -1 } }, removed: {}, updated: { 1: { houseId: [1, -1] } } },
  };
  expect(
    settle(
      drawn,
      new Map([
        [-1, 7],
        [-2, 8],
      ]),
      RULES,
    ),
  ).toEqual({
    house: { added: { 7: { id: 7, name: "New" } }, removed: {}, updated: {} },
    stand: { added: { 8: { ...bank, id: 8, houseId: 7 } }, removed: {}, updated: { 1: { houseId: [1, 7] } } },
  });
});

test("a garden that is not as the changes found it refuses them, by entity, id and field", () => {
  const changes = update("stand", 1, { pitchM: [0.3, 0.2] });
  expect(() => apply(live, changes)).toThrow("apply: stand 1 has another pitchM than the one that is to be changed");
  expect(() => apply(live, update("stand", 9, { pitchM: [0.3, 0.2] }))).toThrow("apply: stand 9 is not there");
  expect(() => apply(live, between({ ...live, stand: {} }, live))).toThrow("apply: stand 1 is there already");
  expect(() => apply({ ...live, stand: {} }, reverse(between({ ...live, stand: {} }, live)))).toThrow(
    "stand 1 is not the row",
  );
  // Tables that are not touched stay the same objects.
  expect(apply(live, update("house", 1, { name: ["Net house", "Net"] })).stand).toBe(live.stand);
});
