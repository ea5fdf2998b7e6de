import { between, type Changes, type Row, type Tables } from "../src/core/garden/changes";
import { newRow } from "../src/core/garden/edit";
import { STAND } from "../src/core/garden/entities/place";
import type { House, Loop, Stand } from "../src/core/garden/garden";
import { rowsOf } from "../src/core/garden/part";
import { clashOf } from "../src/core/place/houseChecks";
import type { Db } from "../src/server/db/pool";
import { saveRow } from "../src/server/db/save";
import { settledIds } from "../src/server/garden/change";
import { tablesOf } from "../src/server/garden/tables";
import { storeRows } from "../src/server/garden/whatIf/store";

/** Two things that the people of the demo garden think about. */
export async function addWhatIfs(db: Db, gardenId: number): Promise<void> {
  const tables = await tablesOf(db, gardenId);
  await add(db, gardenId, "Stronger pump, higher bank", "Raise the leaf bank to stand upright while picking.", [
    tables,
    strongerPump(tables),
  ]);
  await add(db, gardenId, "Second shoots rack, no quay stall", "More shoots for the school kitchen, one order less.", [
    tables,
    moreShoots(tables),
  ]);
}

async function add(
  db: Db,
  gardenId: number,
  name: string,
  purpose: string,
  [before, after]: readonly [Tables, Tables],
) {
  const asked: Changes = between(before, after);
  const { changes } = await settledIds(db, asked);
  const id = await saveRow(db, "change_set", gardenId, null, { name, purpose });
  await storeRows(db, gardenId, id, rowsOf(changes), changes);
}

const rowsOfTable = <One>(tables: Tables, table: string) => Object.values(tables[table]!) as unknown as One[];
const withRow = (tables: Tables, table: string, row: object): Tables => ({
  ...tables,
  [table]: { ...tables[table], [(row as { id: number }).id]: row as Row },
});

function strongerPump(tables: Tables): Tables {
  const leaf = rowsOfTable<Loop>(tables, "loop").find(({ name }) => name === "Leaf")!;
  const points = [
    { flowLph: 0, headM: 7 },
    { flowLph: 5000, headM: 4 },
    { flowLph: 8500, headM: 1.5 },
  ];
  return withRow(tables, "loop", { ...leaf, pump: { ...leaf.pump!, points, highestOutletM: 1.5 } });
}

function moreShoots(tables: Tables): Tables {
  const stands = rowsOfTable<Stand>(tables, "stand");
  const rack = stands.find(({ name }) => name === "Shoots rack")!;
  const house = rowsOfTable<House>(tables, "house").find(({ id }) => id === rack.houseId)!;
  const others = stands.filter(({ houseId }) => houseId === rack.houseId);
  const spots = Array.from({ length: 40 }, (_, index) => ({ xM: rack.xM, yM: rack.yM + 1 + index / 10 }));
  const spot = spots.find((one) => !clashOf(house, { ...rack, ...one, id: -1 }, others))!;
  const { id: _id, ...copy } = rack;
  const second = newRow(tables, STAND, -1, { ...copy, ...spot, name: "Shoots rack 2" } as unknown as Row);
  const stall = Object.values(tables.customer!).find(({ name }) => String(name).includes("stall"));
  const orders = Object.values(tables.order_line!).filter(({ customerId }) => customerId !== stall?.id);
  return {
    ...withRow(tables, "stand", second),
    order_line: Object.fromEntries(orders.map((order) => [Number(order.id), order])),
  };
}
