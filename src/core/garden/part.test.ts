import { apply, between, type Row, type Tables } from "./changes";
import { STAND_MODELS } from "../place/kinds";
import type { LayoutDocument } from "../place/layout/document";
import { newRow } from "./edit";
import { HOUSE } from "./entities/place";
import { newFaults } from "./faults";
import { liveLayout, tablesWithLayout } from "./layoutTables";
import { gardenOf } from "./gardenOf";
import { withNeeded } from "./part";

const house = (id: number, name: string): Row => ({
  ...newRow({}, HOUSE, id, { name, lengthM: 20, widthM: 10, heightM: 3, cover: "net", yM: 12 * id }),
  position: id,
});
const stand = (id: number, name: string, houseId: number, more: object = {}): Row => ({
  id,
  position: id,
  name,
  houseId,
  growingAreaId: 7,
  loopId: 5,
  xM: 1,
  yM: 1,
  turned: false,
  spec: { ...STAND_MODELS["channel-bank"].example } as unknown as Row,
  typed: {},
  ...more,
});
const tables: Tables = {
  house: { 1: house(1, "Tunnel"), 2: house(2, "Net") },
  growing_area: { 7: { id: 7, position: 1, name: "Leaf", cleaningDays: 2, typed: {} } },
  loop: { 5: { id: 5, position: 1, name: "Main" } },
  stand: { 11: stand(11, "Bank", 1), 12: stand(12, "Bank", 2) },
};
const site = { latitudeDeg: 0 };
const layout = (): LayoutDocument => liveLayout(gardenOf(tables, site), "Now");

test("the garden as a layout and back is the garden, by the names of its things", () => {
  expect(between(tables, tablesWithLayout(tables, layout()))).toEqual({});
});

test("of a layout, what has a new name is new, what is left out goes, and no growing area goes", () => {
  const now = layout();
  const next = tablesWithLayout(tables, {
    ...now,
    houses: [{ ...now.houses[0]!, name: "New tunnel" }],
    growingAreas: [{ name: "Fruit", cleaningDays: 3 }],
    stands: [{ ...now.stands[0]!, house: "New tunnel", growingArea: "Fruit", loop: null }],
  });
  const { house: houses, growing_area: areas, stand: stands } = between(tables, next);
  expect([Object.keys(houses!.removed), Object.values(houses!.added).map(({ name }) => name)]).toEqual([
    ["1", "2"],
    ["New tunnel"],
  ]);
  expect([Object.keys(areas!.removed), Object.values(areas!.added).map(({ name }) => name)]).toEqual([[], ["Fruit"]]);
  const [added] = Object.values(stands!.added);
  expect(added).toMatchObject({ houseId: Number(Object.keys(houses!.added)[0]), loopId: null });
  expect(Number(added!.growingAreaId)).toBeLessThan(0);
});

test("a part of a what-if takes along what it needs: the new house of a stand, the stands of a house that goes", () => {
  const shed = house(-1, "Shed");
  const more = {
    ...tables,
    house: { 2: tables.house![2]!, [-1]: shed },
    stand: { 12: { ...tables.stand![12]!, xM: 3 }, [-2]: stand(-2, "Bench", -1) },
  };
  const changes = between(tables, more);
  const bench = withNeeded(changes, [{ entity: "stand", id: -2 }]);
  expect([Object.keys(bench.house!.added), Object.keys(bench.stand!.updated)]).toEqual([["-1"], []]);
  const gone = withNeeded(changes, [{ entity: "house", id: 1 }]);
  expect([Object.keys(gone.house!.removed), Object.keys(gone.stand!.removed)]).toEqual([["1"], ["11"]]);
  expect(withNeeded(changes, [{ entity: "stand", id: 99 }])).toEqual({});
});

test("only what becomes wrong refuses: an old overlap lets others be moved, a new one does not", () => {
  const old = { ...tables, stand: { ...tables.stand, 13: stand(13, "Over it", 1) } };
  const moved = { ...old, stand: { ...old.stand, 13: stand(13, "Over it", 1, { xM: 1.1 }) } };
  expect(newFaults(old, moved, between(old, moved))).toEqual([]);
  const outside = apply(old, between(old, { ...old, stand: { ...old.stand, 12: stand(12, "Bank", 2, { xM: 19 }) } }));
  expect(newFaults(old, outside, between(old, outside))).toMatchObject([{ kind: "clash", clash: { kind: "outside" } }]);
  const small: Tables = { ...old, house: { ...tables.house, 2: { ...house(2, "Net"), lengthM: 2 } } };
  expect(newFaults(old, small, between(old, small))).toMatchObject([{ kind: "clash", house: 2 }]);
  const none = { ...STAND_MODELS["channel-bank"].example, endMarginM: 40 } as unknown as Row;
  const empty = { ...old, stand: { ...old.stand, 12: stand(12, "Bank", 2, { spec: none }) } };
  expect(newFaults(old, empty, between(old, empty)).map(({ kind }) => kind)).toContain("no-plant-fits");
});

test("calcium and sulfate put into one stock are a fault of the recipe", () => {
  const salts: Tables = {
    salt: {
      1: { id: 1, name: "calcium nitrate", percent: { Ca: 19 } },
      2: { id: 2, name: "magnesium sulfate", percent: { S: 13 } },
    },
    recipe: { 5: { id: 5, name: "Leaf" } },
    recipe_salt: { 8: { id: 8, recipeId: 5, saltId: 1, stock: "A" }, 9: { id: 9, recipeId: 5, saltId: 2, stock: "B" } },
  };
  const mixed = { ...salts, recipe_salt: { ...salts.recipe_salt, 9: { id: 9, recipeId: 5, saltId: 2, stock: "A" } } };
  expect(newFaults(salts, mixed, between(salts, mixed))).toMatchObject([{ kind: "stock-conflict", letter: "A" }]);
  const alone = { ...salts, recipe_salt: { ...salts.recipe_salt, 9: { id: 9, recipeId: 5, saltId: 2, stock: "C" } } };
  expect(newFaults(salts, alone, between(salts, alone))).toEqual([]);
});
