import type { DoseSlip } from "@/core/feed/doseSlip";
import { feedAmounts } from "@/core/round/roundItems";
import type { RoundItem } from "@/core/round/types";
import type { Season } from "../batches/season";
import type { Loop } from "../water/queries";
import type { Effect } from "./effects";

/**
 * What doing an item changes.
 * @param actual what was really done where it differs from the plan (cells, plants, litres)
 */
export function effectsOf(item: RoundItem, season: Season, actual: number | null): Effect[] {
  const { batchId, stage, loopId, stock, plants } = item.refs;
  const { today } = season.plan;
  switch (item.kind) {
    case "sow":
    case "move":
      return [
        {
          kind: "stage",
          batchId: batchId!,
          position: stage!,
          day: today,
          plants: Math.round(actual ?? plants!),
        },
      ];
    case "wash": {
      const batch = season.plan.batches.find((candidate) => candidate.batch.id === batchId);
      const isLast = batch && stage === batch.stays.length - 1;
      return isLast ? [{ kind: "cleared", batchId: batchId!, day: today }] : [];
    }
    case "mix":
      return mixEffects(season, loopId!, stock!);
    case "top-up":
      return topUpEffects(season, loopId!, actual ?? item.figure!.value);
    case "pick":
    case "order":
    case "reading":
    case "store":
      return [];
  }
}

/** What following a slip takes off the stocks or the shelf. */
export function slipEffects(slip: DoseSlip, loop: Loop, season: Season): Effect[] {
  return slip.steps.flatMap((step): Effect[] => {
    if (step.do === "stock") return [{ kind: "stock", loopId: loop.id, letter: step.letter, changeL: -step.litres }];
    if (step.do === "salt") return saltEffect(season, step.name, -step.grams);
    return [];
  });
}

/** A fresh stock: the tank is full again, its salts leave the shelf. */
function mixEffects(season: Season, loopId: number, letter: "A" | "B"): Effect[] {
  const stock = season.feeds.get(loopId)?.sheet.stocks.find((sheet) => sheet.tank.letter === letter);
  if (!stock) return [];
  return [
    { kind: "stock", loopId, letter, changeL: stock.tank.volumeL },
    ...stock.salts.map((salt): Effect => ({ kind: "salt", saltId: salt.id, changeG: -salt.tankG })),
  ];
}

function topUpEffects(season: Season, loopId: number, litres: number): Effect[] {
  const loop = season.rows.loops.find((candidate) => candidate.id === loopId);
  const feed = season.feeds.get(loopId);
  if (!loop || !feed) return [];
  const amounts = feedAmounts(
    { feeding: loop.feeding, feed: feed.sheet, saltNames: feed.salts.map((salt) => salt.name) },
    litres,
  );
  return amounts.flatMap((amount): Effect[] =>
    loop.feeding === "dry"
      ? saltEffect(season, amount.name, -amount.value)
      : [{ kind: "stock", loopId, letter: amount.name === "stock A" ? "A" : "B", changeL: -amount.value }],
  );
}

function saltEffect(season: Season, name: string, changeG: number): Effect[] {
  const salt = season.rows.salts.find((candidate) => candidate.name === name);
  return salt ? [{ kind: "salt", saltId: salt.id, changeG }] : [];
}
