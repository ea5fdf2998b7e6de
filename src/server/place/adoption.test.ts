import { STAND_MODELS } from "@/core/place/kinds";
import type { GardenRows } from "../batches/season";
import { adoptedRows } from "./adoption";
import { layoutRows, liveLayout } from "./layoutViews";
import type { House, Stand } from "./queries";

const house = (id: number, name: string): House => ({ id, version: 1, position: id, name, lengthM: 20, widthM: 10, heightM: 3, cover: "net", shadeShare: 0, xM: 0, yM: 12 * id }); // prettier-ignore
const stand = (id: number, name: string, houseId: number): Stand => ({ id, version: 3, position: id, name, houseId, poolId: 7, loopId: 5, xM: 1, yM: 1, turned: false, spec: STAND_MODELS["channel-bank"].example }); // prettier-ignore
const rows = {
  houses: [house(1, "Tunnel"), house(2, "Net")],
  pools: [{ id: 7, version: 1, position: 1, name: "Leaf", cleaningDays: 2 }],
  loops: [{ id: 5, name: "Main" }],
  stands: [stand(11, "Bank", 1), stand(12, "Bank", 2)],
} as unknown as GardenRows;

test("the garden as a layout and back is the garden, by the names of its things", () => {
  const layout = liveLayout(rows, "Now");
  expect(layout.stands.map(({ house: own, pool, loop }) => [own, pool, loop])).toEqual([["Tunnel", "Leaf", "Main"], ["Net", "Leaf", "Main"]]); // prettier-ignore
  const again = adoptedRows(rows, layout);
  expect(again.stands.map(({ id, houseId, poolId, loopId }) => [id, houseId, poolId, loopId])).toEqual([[11, 1, 7, 5], [12, 2, 7, 5]]); // prettier-ignore
  expect(again.houses.map(({ id }) => id)).toEqual([1, 2]);
});

test("what has a new name is new, what is left out goes, and no pool goes", () => {
  const layout = liveLayout(rows, "Other");
  const [bank] = layout.stands;
  const next = adoptedRows(rows, {
    ...layout,
    houses: [{ ...layout.houses[0]!, name: "New tunnel" }],
    pools: [{ name: "Fruit", cleaningDays: 3 }],
    stands: [{ ...bank!, house: "New tunnel", pool: "Fruit", loop: null }],
  });
  expect(next.houses.map(({ id, name }) => [id < 0, name])).toEqual([[true, "New tunnel"]]);
  expect(next.pools.map(({ name }) => name)).toEqual(["Leaf", "Fruit"]);
  const fruit = next.pools[1]!;
  expect(fruit.id).toBeLessThan(0);
  expect(next.stands).toEqual([expect.objectContaining({ name: "Bank", houseId: next.houses[0]!.id, poolId: fruit.id, loopId: null })]); // prettier-ignore
  const ids = [next.houses[0]!.id, fruit.id, next.stands[0]!.id];
  expect(new Set(ids).size).toBe(3);
});

test("a layout put by is numbered by its places, so that its stands can be worked on", () => {
  const numbered = layoutRows(liveLayout(rows, "Now"), 4, rows.loops);
  expect(numbered.stands.map(({ id, version, houseId, poolId, loopId }) => [id, version, houseId, poolId, loopId])).toEqual([[1, 4, 1, 1, 5], [2, 4, 2, 1, 5]]); // prettier-ignore
});
