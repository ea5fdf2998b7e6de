"use server";
import { seasonFor } from "../garden/season";
import { command } from "../session/command";
import { RefusedError } from "../session/refusal";
import { carryOut } from "./effects";
import { seedlingsSchema } from "./schema";
import { roundOf } from "./today";
import { writeEntry } from "./writeEntry";

/** Enters how many seedlings of a batch are up. Later sowings of the variety are worked out with it. */
export const countSeedlings = command("log", seedlingsSchema, async (db, { batchId, of, up }, who) => {
  const season = await seasonFor(db, who);
  const worked = season.plan.batches.find(({ batch }) => batch.id === batchId);
  const first = worked?.batch.begun.find(({ position }) => position === 0);
  if (!worked || !first) throw new RefusedError({ room: "round", kind: "batch-gone" });
  const seeds = first.plants * worked.variety.seedsPerCell;
  if (of > seeds) throw new RefusedError({ room: "round", kind: "over-sown", of, seeds }, "of");
  if (up > of) throw new RefusedError({ room: "round", kind: "over-counted", up, of }, "up");
  const { items } = await roundOf(db, season);
  const asked = items.find(({ task }) => task.kind === "count-seedlings" && task.batchId === batchId);
  const area = season.garden.growingAreas.find(({ id }) => id === worked.stays[0]!.growingAreaId);
  const entryId = await writeEntry(db, who, {
    kind: "germination",
    what: {
      ...{ kind: "germination", variety: worked.variety.name, growingArea: area?.name ?? "", sownOn: first.day },
      ...{ of, up },
    },
    itemKey: asked?.key ?? null,
    batchId,
    note: "",
  });
  const before =
    first.countedOf == null
      ? null
      : { of: first.countedOf, up: first.countedUp ?? 0, on: first.countedOn ?? first.day };
  const counted = { of, up, on: who.today };
  await carryOut(db, who, entryId, [{ kind: "germination", batchId, counted, before }]);
  return entryId;
});
