"use server";
import { between, type Row, type Tables } from "@/core/garden/changes";
import { NEW_ID, newRow } from "@/core/garden/edit";
import { LOOP } from "@/core/garden/entities/water";
import { freeName } from "@/core/garden/setup/setUp";
import { greatestFillL } from "@/core/garden/tank";
import { NotFoundError } from "../db/pool";
import { planCommand } from "../garden/planCommand";
import { keepLoopSchema, type LoopChange } from "./keepLoopSchema";

/** What a tank holds that nobody told the size of. */
const USUAL_TANK_L = 100;

/** Gives a loop the timer, tank or pump of an answer; without a loop it makes one. */
export const keepLoop = planCommand("plan", keepLoopSchema, ({ loopId, ...change }, tables) => {
  const row = loopId === null ? fresh(tables, change) : tables.loop?.[loopId];
  if (!row) throw new NotFoundError(null);
  const id = loopId ?? NEW_ID;
  const tankL = change.tankL ?? Number(row.tankL);
  const next: Row = {
    ...row,
    ...(change as unknown as Row),
    tankL,
    normalFillL: Math.min(Number(row.normalFillL), greatestFillL(tankL, 0)),
  };
  return {
    changes: between({ loop: loopId === null ? {} : { [id]: row } }, { loop: { [id]: next } }),
    value: (ids) => loopId ?? ids.get(NEW_ID)!,
  };
});

function fresh(tables: Tables, { tankL = USUAL_TANK_L }: LoopChange): Row {
  const names = new Set(Object.values(tables.loop ?? {}).map(({ name }) => String(name)));
  return newRow(tables, LOOP, NEW_ID, {
    name: freeName("Tank", names),
    kind: "recirculating",
    tankL,
    normalFillL: Math.max(1, Math.floor(greatestFillL(tankL, 0))),
    feeding: "dry",
    timer: { kind: "continuous" },
    pump: null,
  });
}
