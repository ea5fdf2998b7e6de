"use server";
import { NEW_ID, newRow } from "@/core/garden/edit";
import type { Row } from "@/core/garden/changes";
import { GROWING_AREA, HOUSE, STAND } from "@/core/garden/entities/place";
import { planCommand, removeCommand, saveCommand } from "../garden/planCommand";
import { addStandsSchema, growingAreaSchema, houseSchema, removeSchema, standSchema } from "./schema";

export const saveHouse = saveCommand(HOUSE, houseSchema);
export const saveStand = saveCommand(STAND, standSchema);
export const saveGrowingArea = saveCommand(GROWING_AREA, growingAreaSchema);

/** Several stands at once, as when a house is filled: all of them, or none. */
export const addStands = planCommand("plan", addStandsSchema, ({ stands }, tables) => {
  const ids = stands.map((_, index) => NEW_ID - index);
  const last = Number(newRow(tables, STAND, NEW_ID, {}).position);
  const added = stands.map((stand, index) => [
    ids[index],
    { ...newRow(tables, STAND, ids[index]!, stand as unknown as Row), position: last + index },
  ]);
  return {
    changes: { stand: { added: Object.fromEntries(added), removed: {}, updated: {} } },
    value: (real) => ids.map((id) => real.get(id)!),
  };
});

export const removeHouse = removeCommand(HOUSE, removeSchema);
export const removeStand = removeCommand(STAND, removeSchema);
export const removeGrowingArea = removeCommand(GROWING_AREA, removeSchema);
