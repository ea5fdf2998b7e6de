"use server";
import type { Changes, Tables } from "@/core/garden/changes";
import { NO_FACTS } from "@/core/garden/facts";
import { gardenOf } from "@/core/garden/gardenOf";
import {
  keepWhereTheyStand,
  letGo,
  putAt,
  swapPlaces,
  type PlaceRefusal,
  type StageOf,
} from "@/core/garden/keepPlaces";
import { joinBatches as joined, splitBatch as split, type SplitRefusal } from "@/core/garden/splitBatch";
import type { Worked } from "@/core/garden/worked";
import { workOut } from "@/core/garden/workOut";
import { planCommand } from "../garden/planCommand";
import { RefusedError } from "../session/refusal";
import type { Session } from "../session/session";
import {
  joinBatchesSchema,
  pinBatchesSchema,
  putBatchSchema,
  splitBatchSchema,
  stagesSchema,
  swapBatchesSchema,
} from "./schema";

const workedOut = (tables: Tables, { latitudeDeg, today }: Session): Worked =>
  workOut(gardenOf(tables, { latitudeDeg }), NO_FACTS, today);

/** Puts a stage of a batch on other sites, and keeps it there. */
export const putBatch = planCommand("plan", putBatchSchema, ({ batchId, stage, ...spot }, tables, who) => {
  const worked = workedOut(tables, who);
  return done(changesOf(worked, putAt(worked, { batchId, stage }, spot)));
});

/** Lets two batches change places. */
export const swapBatches = planCommand("plan", swapBatchesSchema, ({ one, other }, tables, who) => {
  const worked = workedOut(tables, who);
  return done(changesOf(worked, swapPlaces(worked, one, other)));
});

/** Keeps stages of batches where they were worked out to stand. */
export const keepPlaces = planCommand("plan", stagesSchema, ({ stages }, tables, who) => {
  requireBatches(tables, stages);
  return done(keepWhereTheyStand(workedOut(tables, who), stages, "plan"));
});

/** Lets places be worked out again. */
export const letPlacesGo = planCommand("plan", stagesSchema, ({ stages }, tables, who) => {
  requireBatches(tables, stages);
  return done(letGo(workedOut(tables, who), stages));
});

/** Pins batches, so that no solved plan moves or drops them; or lets them go. */
export const pinBatches = planCommand("plan", pinBatchesSchema, ({ ids, pinned }, tables) => {
  const rows = ids.map((id) => tables.batch?.[id]);
  if (rows.some((row) => !row)) throw new RefusedError({ room: "batches", kind: "batch-gone" });
  const updated = Object.fromEntries(
    rows.flatMap((row) => (row!.pinned === pinned ? [] : [[Number(row!.id), { pinned: [!pinned, pinned] as const }]])),
  );
  return done({ batch: { added: {}, removed: {}, updated } });
});

/** Takes plants of a batch off into one of its own. */
export const splitBatch = planCommand("plan", splitBatchSchema, ({ id, plants }, tables) =>
  done(orRefused(split(tables, id, plants))),
);

/** Puts two batches that are not sown yet into one. */
export const joinBatches = planCommand("plan", joinBatchesSchema, ({ into, from }, tables) =>
  done(orRefused(joined(tables, into, from))),
);

function requireBatches(tables: Tables, stages: readonly StageOf[]): void {
  if (stages.some(({ batchId }) => !tables.batch?.[batchId]))
    throw new RefusedError({ room: "batches", kind: "batch-gone" });
}

const done = (changes: Changes) => ({ changes, value: () => undefined });

const isRefusal = <Refusal extends { readonly kind: string }>(found: Changes | Refusal): found is Refusal =>
  typeof found.kind === "string";

function orRefused(found: Changes | SplitRefusal): Changes {
  if (isRefusal(found)) throw new RefusedError({ room: "batches", ...found });
  return found;
}

function changesOf({ plan }: Worked, found: Changes | PlaceRefusal): Changes {
  if (!isRefusal(found)) return found;
  switch (found.kind) {
    case "taken": {
      const by = plan.batches.find(({ batch }) => batch.id === found.by.batchId)!;
      throw new RefusedError({
        ...{ room: "batches", kind: "taken", variety: by.variety.name, sowDay: by.batch.sowDay },
      });
    }
    case "too-few-sites":
      throw new RefusedError({ room: "batches", ...found });
    default:
      throw new RefusedError({ room: "batches", kind: found.kind });
  }
}
