import { apply, rebase, type Row, type Tables } from "./changes";
import { NEW_ID, newRow, removedRows, savedRow, type Sent } from "./edit";
import { RULES } from "./entities";
import { RECIPE, RECIPE_SALT } from "./entities/feed";
import { HOUSE } from "./entities/place";
import { stockTankChanges } from "./stockTanks";

const house: Row = {
  id: 3,
  position: 1,
  name: "Net house",
  lengthM: 12,
  widthM: 6,
  heightM: 3,
  cover: "net",
  shadeShare: 0.3,
  xM: 0,
  yM: 0,
  typed: { lengthM: ["40 ft", 12.192] },
};
const { id: _id, position: _position, typed: _typed, ...fields } = house;
const live: Tables = {
  house: { 3: house },
  salt: { 1: { id: 1, name: "a" }, 2: { id: 2, name: "b" }, 4: { id: 4, name: "c" } },
  recipe: { 5: { id: 5, name: "Leaf", ecMsPerCm: 1.5, typed: {} } },
  recipe_salt: {
    8: { id: 8, recipeId: 5, saltId: 1, stock: "A", typed: {} },
    9: { id: 9, recipeId: 5, saltId: 2, stock: "B", typed: {} },
  },
};
const sent = (row: object): Sent => ({ id: 3, opened: fields, ...fields, ...row }) as Sent;

test("a form changes the fields that are not as they were when it was opened, and no others", () => {
  const others = { ...live, house: { 3: { ...house, heightM: 4 } } };
  expect(savedRow(others, HOUSE, sent({ widthM: 8 })).house!.updated).toEqual({
    3: { widthM: [6, 8], typed: [house.typed, {}] },
  });
  expect(savedRow({ ...live, house: { 3: { ...house, typed: {} } } }, HOUSE, sent({}))).toEqual({});
});

test("what was typed for a quantity is kept while its value stands, whoever changes another field", () => {
  const typed = { lengthM: ["50 ft", 15.24], widthM: ["20 ft", 6.096] };
  const changes = savedRow(live, HOUSE, sent({ lengthM: 15.24, typed }));
  const next = apply(live, changes);
  expect(next.house![3]).toMatchObject({ lengthM: 15.24, typed: { lengthM: ["50 ft", 15.24] } });
  const later = savedRow(next, HOUSE, sent({ widthM: 7, typed: {} }));
  expect(rebase(later, next, RULES).conflicts).toEqual([]);
  expect(apply(next, later).house![3]).toMatchObject({ widthM: 7, typed: { lengthM: ["50 ft", 15.24] } });
});

test("a new row has all that its entity describes, and stands behind the others", () => {
  const made = savedRow(live, HOUSE, { id: null, opened: null, name: "Tunnel", lengthM: 8, widthM: 4 } as Sent);
  expect(made.house!.added[NEW_ID]).toMatchObject({
    id: NEW_ID,
    name: "Tunnel",
    position: 2,
    shadeShare: 0,
    cover: null,
  });
});

test("parts of a form are known by what tells them apart: one changed, one taken out, one put in", () => {
  const salts = [
    { id: 8, saltId: 1, stock: "A" },
    { id: 9, saltId: 2, stock: "B" },
  ];
  const recipe = { name: "Leaf", ecMsPerCm: 1.5 };
  const next = [
    { saltId: 1, stock: "B" },
    { saltId: 4, stock: "A" },
  ];
  const changes = savedRow(
    live,
    RECIPE,
    { id: 5, opened: { ...recipe, salts }, ...recipe, salts: next } as unknown as Sent,
    [{ entity: RECIPE_SALT, as: "salts" }],
  );
  const { added, removed, updated } = changes.recipe_salt!;
  expect(updated).toEqual({ 8: { stock: ["A", "B"] } });
  expect(Object.keys(removed)).toEqual(["9"]);
  expect(Object.values(added)).toEqual([expect.objectContaining({ recipeId: 5, saltId: 4, stock: "A" })]);
  expect(rebase(changes, live, RULES).conflicts).toEqual([]);
});

test("opened parts that are none are taken for nothing: each salt that is sent is a new one", () => {
  for (const salts of ["0x10", null, [1, "x"], { 0: {} }] as never[]) {
    const sentRecipe = { id: 5, opened: { name: "Leaf", salts }, name: "Leaf", salts: [{ saltId: 1, stock: "B" }] };
    const changes = savedRow(live, RECIPE, sentRecipe as unknown as Sent, [{ entity: RECIPE_SALT, as: "salts" }]);
    expect(Object.values(changes.recipe_salt!.added)).toMatchObject([{ saltId: 1, stock: "B" }]);
  }
});

test("what is deleted takes its parts along", () => {
  const gone = removedRows(live, RECIPE, [5]);
  expect(Object.keys(gone.recipe!.removed)).toEqual(["5"]);
  expect(Object.keys(gone.recipe_salt!.removed)).toEqual(["8", "9"]);
});

test("a loop has as many stock tanks as it says; one too many goes when it is empty", () => {
  const tank = (id: number, letter: string, leftL: number) => ({
    id,
    loopId: 2,
    letter,
    volumeL: 50,
    leftL,
    readOn: 0,
  });
  const tables: Tables = { stock_tank: { 1: tank(1, "A", 20), 2: tank(2, "B", 20), 3: tank(3, "C", 0) } };
  const asked = (stocks: number) => stockTankChanges(tables, { id: 2, feeding: "stocks", stocks }, 100);
  expect(asked(3)).toEqual({});
  expect(Object.keys(asked(2).stock_tank!.removed)).toEqual(["3"]);
  expect(Object.keys(asked(1).stock_tank!.removed)).toEqual(["3"]);
  const fresh = stockTankChanges({}, { id: null, feeding: "injector", stocks: 2 }, 100).stock_tank!.added;
  expect(Object.values(fresh).map(({ loopId, letter, leftL }) => [loopId, letter, leftL])).toEqual([
    [NEW_ID, "A", 0],
    [NEW_ID, "B", 0],
  ]);
  expect(stockTankChanges(tables, { id: 2, feeding: "dry", stocks: 2 }, 100)).toEqual({});
});

test("a row of before has the initial value of a field that came later", () => {
  expect(newRow({}, HOUSE, 1, { name: "Old" })).toMatchObject({ shadeShare: 0, xM: 0 });
});
