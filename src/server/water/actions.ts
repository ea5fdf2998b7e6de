"use server";
import type { Changes } from "@/core/garden/changes";
import { stockTankChanges } from "@/core/garden/stockTanks";
import { LOOP, SOURCE, STORE } from "@/core/garden/entities/water";
import { NotFoundError } from "../db/pool";
import { askFor } from "../jobs/job";
import { wakeRunner } from "../jobs/wake";
import { isForKeepers } from "@/core/feed/phDose";
import { requireRight } from "../session/rights";
import { command } from "../session/command";
import { planCommand, saveCommand } from "../garden/planCommand";
import {
  needFactorSchema,
  nothingSchema,
  loopSchema,
  sourceSchema,
  storeSchema,
  turnsSchema,
  type LoopInput,
} from "./schema";

/** What a loop of its kind has no use for is not kept. */
function withoutUnused(loop: LoopInput): LoopInput {
  const injects = loop.feeding === "injector";
  return {
    ...loop,
    drainShare: loop.kind === "recirculating" ? 0 : loop.drainShare,
    injectorLeastLph: injects ? loop.injectorLeastLph : null,
    injectorGreatestLph: injects ? loop.injectorGreatestLph : null,
    injectorLeastR: injects ? loop.injectorLeastR : null,
    injectorGreatestR: injects ? loop.injectorGreatestR : null,
    injectorLeastHeadM: injects ? loop.injectorLeastHeadM : null,
    injectorGreatestHeadM: injects ? loop.injectorGreatestHeadM : null,
    injectorStrokeL: injects ? loop.injectorStrokeL : null,
  };
}

export const saveLoop = saveCommand(LOOP, loopSchema, {
  prepare: withoutUnused,
  more: (loop, tables, who) => {
    const { acid, acidPercent } = loop;
    const before = loop.id === null ? undefined : tables.loop?.[loop.id];
    const isSame = before?.acid === acid && before.acidPercent === acidPercent;
    if (acidPercent !== null && isForKeepers(acid, acidPercent) && !isSame) requireRight(who, "keep");
    return stockTankChanges(tables, loop, who.today);
  },
});

export const setTurns = planCommand("plan", turnsSchema, ({ id, from, turns }, tables) => {
  if (!tables.loop?.[id]) throw new NotFoundError(null);
  const changes: Changes = {
    loop: { added: {}, removed: {}, updated: from === turns ? {} : { [id]: { turns: [from, turns] } } },
  };
  return { changes, value: () => id };
});

/** Takes over what the log has taught of a loop's need. */
export const setNeedFactor = planCommand("plan", needFactorSchema, ({ id, from, factor }, tables) => {
  if (!tables.loop?.[id]) throw new NotFoundError(null);
  const changes: Changes = {
    loop: { added: {}, removed: {}, updated: from === factor ? {} : { [id]: { needFactor: [from, factor] } } },
  };
  return { changes, value: () => id };
});

/** Begins once the answer is on its way: what was asked for must have been kept by then. */
const SOON_MS = 30;

/** Carries the store through simulated years of weather, as heavy work. @returns the job's id */
export const askStoreYears = command("plan", nothingSchema, async (db, _nothing, who) => {
  const job = await askFor(db, who, "store-years", { day: who.today });
  setTimeout(wakeRunner, SOON_MS);
  return job;
});

export const saveSource = saveCommand(SOURCE, sourceSchema);
export const saveStore = saveCommand(STORE, storeSchema);
