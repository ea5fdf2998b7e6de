import type { Day } from "../units/day";
import type { Worked } from "./worked";
import type { StockLetter } from "../feed/salts";
import type { DoseSlip } from "../feed/slip";
import { seedOfBatchG } from "../growth/seedNeed";
import { feedAmounts } from "../round/tankItems";
import { plannedFigure } from "../round/log";
import type { RoundItem, RoundTask } from "../round/types";
import type { BatchPlace, Garden, Loop } from "./garden";
import { placeRows } from "./keepPlaces";
import { lotInUse } from "./seed";

type MixTask = Extract<RoundTask, { readonly kind: "mix" }>;

export interface SeedlingCount {
  readonly of: number;
  readonly up: number;
  readonly on: Day;
}

/** What doing an item changes besides the log. Kept with the log entry, so that undo undoes exactly this. */
export type Effect =
  | {
      readonly kind: "stage";
      readonly batchId: number;
      readonly position: number;
      readonly day: Day;
      readonly plants: number;
    }
  /** Sites on which a stage was begun, where none were kept for it. */
  | {
      readonly kind: "place";
      readonly batchId: number;
      readonly stage: number;
      readonly from: Day;
      readonly to: Day;
      readonly sites: readonly Pick<BatchPlace, "standId" | "line" | "firstSite" | "sites">[];
    }
  | { readonly kind: "stock"; readonly loopId: number; readonly letter: StockLetter; readonly changeL: number }
  /** A stock that was mixed: what is in it now, and what was known of it before. */
  | {
      readonly kind: "stock-level";
      readonly loopId: number;
      readonly letter: StockLetter;
      readonly leftL: number;
      readonly day: Day;
      readonly beforeL: number;
      readonly beforeDay: Day;
    }
  | { readonly kind: "salt"; readonly saltId: number; readonly changeG: number }
  | { readonly kind: "seed"; readonly lotId: number; readonly changeG: number }
  /** Seedlings counted on a batch, and what was counted before. */
  | {
      readonly kind: "germination";
      readonly batchId: number;
      readonly counted: SeedlingCount;
      readonly before: SeedlingCount | null;
    }
  /** The day on which a stage was found complete; it was not told before. */
  | { readonly kind: "ready"; readonly batchId: number; readonly position: number; readonly day: Day }
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
 * @param readyOn of what is moved or picked: the day on which it was found ready, where somebody looked
 */
export function effectsOf(
  { task }: RoundItem,
  season: Worked,
  actual: number | null,
  readyOn: Day | null = null,
): Effect[] {
  const { today } = season.plan;
  switch (task.kind) {
    case "sow":
      return [
        begun(task.batchId, 0, today, actual ?? task.cells),
        ...placeEffects(season, task.batchId, 0),
        ...seedEffects(season, task, actual ?? task.cells),
      ];
    case "move":
      return [
        ...readyEffects(season, task.batchId, task.stage - 1, readyOn),
        begun(task.batchId, task.stage, today, actual ?? task.plants),
        ...placeEffects(season, task.batchId, task.stage),
      ];
    case "wash":
      return task.clears ? [{ kind: "cleared", batchId: task.batchId, day: today }] : [];
    case "mix":
      return mixEffects(season, task, actual ?? plannedFigure(task));
    case "top-up":
    case "change-solution":
      return topUpEffects(season, task.loopId, actual ?? task.litres);
    case "pick":
      return readyEffects(season, task.batchId, lastStage(season, task.batchId), readyOn);
    case "count-seedlings":
    case "step":
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

/** Plants that are put down stay where the plan has them: no later plan moves them. */
function placeEffects(season: Worked, batchId: number, stage: number): Effect[] {
  for (const placed of season.placed.values())
    for (const { stay, runs, over, kept } of placed) {
      if (stay.batchId !== batchId || stay.stage !== stage || over > 0 || kept !== null) continue;
      const rows = placeRows(season, { batchId, stage }, runs);
      if (rows.length === 0) return [];
      const { to } = rows[0]!;
      const sites = rows.map(({ standId, line, firstSite, sites: count }) => ({
        standId,
        line,
        firstSite,
        sites: count,
      }));
      return [{ kind: "place", batchId, stage, from: season.today, to, sites }];
    }
  return [];
}

/** The seed that is sown leaves the lot in use. */
function seedEffects({ garden }: Worked, task: Extract<RoundTask, { readonly kind: "sow" }>, cells: number): Effect[] {
  const variety = varietyOf(garden, task.batchId);
  const lot = variety && lotInUse(variety.lots);
  if (!variety || !lot) return [];
  return [{ kind: "seed", lotId: lot.id, changeG: -seedOfBatchG(variety, cells) }];
}

/** A stage is found ready once, from the day it began on. */
function readyEffects({ garden, today }: Worked, batchId: number, position: number, day: Day | null): Effect[] {
  const stay = garden.batches.find(({ id }) => id === batchId)?.begun.find((one) => one.position === position);
  if (day === null || !stay || stay.readyOn != null || day < stay.day || day > today) return [];
  return [{ kind: "ready", batchId, position, day }];
}

function varietyOf({ batches, varieties }: Garden, batchId: number) {
  const varietyId = batches.find(({ id }) => id === batchId)?.varietyId;
  return varieties.find(({ id }) => id === varietyId) ?? null;
}

function lastStage({ garden }: Worked, batchId: number): number {
  return (varietyOf(garden, batchId)?.stages.length ?? 1) - 1;
}

/** What following a slip takes off the stocks or the shelf. */
export function slipEffects(slip: DoseSlip, loop: Loop): Effect[] {
  return slip.steps.flatMap((step): Effect[] => {
    if (step.do === "stock") return [{ kind: "stock", loopId: loop.id, letter: step.letter, changeL: -step.litres }];
    if (step.do === "salt") return [{ kind: "salt", saltId: step.saltId, changeG: -step.grams }];
    return [];
  });
}

/** Fresh stock on what was left: its salts leave the shelf, and what is in the tank is known from today on. */
function mixEffects({ garden, feeds, today }: Worked, { loopId, letter }: MixTask, madeL: number): Effect[] {
  const stock = feeds.get(loopId)?.sheet.stocks.find((sheet) => sheet.tank.letter === letter);
  const row = garden.stockTanks.find((tank) => tank.loopId === loopId && tank.letter === letter);
  if (!stock || !row) return [];
  const { volumeL, leftL } = stock.tank;
  return [
    {
      ...{ kind: "stock-level", loopId, letter, leftL: Math.min(volumeL, leftL + madeL), day: today },
      ...{ beforeL: row.leftL, beforeDay: row.readOn },
    },
    ...stock.salts.map((salt): Effect => ({ kind: "salt", saltId: salt.id, changeG: (-salt.tankG * madeL) / volumeL })),
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
