import type { Day } from "../units/day";
import type { Worked } from "./worked";
import type { StockLetter } from "../feed/salts";
import type { DoseSlip } from "../feed/slip";
import { feedAmounts } from "../round/tankItems";
import type { RoundItem } from "../round/types";
import type { Loop } from "./garden";

/** What doing an item changes besides the log. Kept with the log entry, so that undo undoes exactly this. */
export type Effect =
  | {
      readonly kind: "stage";
      readonly batchId: number;
      readonly position: number;
      readonly day: Day;
      readonly plants: number;
    }
  | { readonly kind: "stock"; readonly loopId: number; readonly letter: StockLetter; readonly changeL: number }
  | { readonly kind: "salt"; readonly saltId: number; readonly changeG: number }
  | { readonly kind: "cleared"; readonly batchId: number; readonly day: Day }
  | {
      readonly kind: "store";
      readonly storeId: number;
      readonly storedL: number;
      readonly day: Day;
      readonly beforeL: number;
      readonly beforeDay: Day;
    };

/**
 * What doing an item changes.
 * @param actual what was really done where it differs from the plan (cells, plants, litres)
 */
export function effectsOf({ task }: RoundItem, season: Worked, actual: number | null): Effect[] {
  const { today } = season.plan;
  switch (task.kind) {
    case "sow":
      return [begun(task.batchId, 0, today, actual ?? task.cells)];
    case "move":
      return [begun(task.batchId, task.stage, today, actual ?? task.plants)];
    case "wash":
      return task.clears ? [{ kind: "cleared", batchId: task.batchId, day: today }] : [];
    case "mix":
      return mixEffects(season, task.loopId, task.letter);
    case "top-up":
    case "change-solution":
      return topUpEffects(season, task.loopId, actual ?? task.litres);
    case "pick":
    case "flush":
    case "order":
    case "reading":
    case "bring-back":
    case "read-again":
    case "store":
    case "calibrate":
      return [];
  }
}

function begun(batchId: number, position: number, day: Day, plants: number): Effect {
  return { kind: "stage", batchId, position, day, plants: Math.round(plants) };
}

/** What following a slip takes off the stocks or the shelf. */
export function slipEffects(slip: DoseSlip, loop: Loop): Effect[] {
  return slip.steps.flatMap((step): Effect[] => {
    if (step.do === "stock") return [{ kind: "stock", loopId: loop.id, letter: step.letter, changeL: -step.litres }];
    if (step.do === "salt") return [{ kind: "salt", saltId: step.saltId, changeG: -step.grams }];
    return [];
  });
}

/** A fresh stock: the tank is full again, its salts leave the shelf. */
function mixEffects(season: Worked, loopId: number, letter: StockLetter): Effect[] {
  const stock = season.feeds.get(loopId)?.sheet.stocks.find((sheet) => sheet.tank.letter === letter);
  if (!stock) return [];
  return [
    { kind: "stock", loopId, letter, changeL: stock.tank.volumeL },
    ...stock.salts.map((salt): Effect => ({ kind: "salt", saltId: salt.id, changeG: -salt.tankG })),
  ];
}

function topUpEffects(season: Worked, loopId: number, litres: number): Effect[] {
  const loop = season.garden.loops.find((candidate) => candidate.id === loopId);
  const feed = season.feeds.get(loopId);
  if (!loop || !feed) return [];
  return feedAmounts({ feeding: loop.feeding, feed: feed.sheet, salts: feed.salts }, litres).map(
    ({ of, value }): Effect =>
      of.kind === "stock"
        ? { kind: "stock", loopId, letter: of.letter, changeL: -value }
        : { kind: "salt", saltId: of.saltId, changeG: -value },
  );
}
