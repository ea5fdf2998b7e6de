import { STOCK_LETTERS } from "../feed/salts";
import type { Day } from "../units/day";
import type { Changes, Tables } from "./changes";
import { NEW_ID, newRow } from "./edit";
import { STOCK_TANK } from "./entities/water";
import type { StockTankRow } from "./garden";

/** A size that two hands can mix, L. */
const USUAL_L = 50;

interface FedLoop {
  readonly id: number | null;
  readonly feeding: "injector" | "stocks" | "dry";
  readonly stocks: number;
}

/**
 * A loop fed from stocks has its tanks from the start, as many as it says. One beyond that number goes when it is empty;
 * one that holds something stays until it has been used up.
 */
export function stockTankChanges(tables: Tables, { id, feeding, stocks }: FedLoop, today: Day): Changes {
  if (feeding === "dry") return {};
  const loopId = id ?? NEW_ID;
  const letters = STOCK_LETTERS.slice(0, stocks);
  const own = (Object.values(tables.stock_tank ?? {}) as unknown as StockTankRow[]).filter(
    (tank) => tank.loopId === loopId,
  );
  const added = letters
    .filter((letter) => !own.some((tank) => tank.letter === letter))
    .map((letter, index) => {
      const tank = { loopId, letter, volumeL: USUAL_L, leftL: 0, readOn: today };
      return newRow(tables, STOCK_TANK, NEW_ID - 1 - index, tank);
    });
  const spare = own.filter(({ letter, leftL }) => !letters.includes(letter) && leftL === 0);
  if (added.length === 0 && spare.length === 0) return {};
  return {
    stock_tank: {
      added: Object.fromEntries(added.map((row) => [Number(row.id), row])),
      removed: Object.fromEntries(spare.map(({ id: tankId }) => [tankId, tables.stock_tank![tankId]!])),
      updated: {},
    },
  };
}
