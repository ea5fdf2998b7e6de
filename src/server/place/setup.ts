"use server";
import { setUp } from "@/core/garden/setup/setUp";
import { NotFoundError } from "../db/pool";
import { planCommand } from "../garden/planCommand";
import { RefusedError } from "../session/refusal";
import { setupSchema } from "./setupSchema";

/** Makes what somebody has got: a place, growing areas, stands, a tank with its pump and timer; all of it, or nothing. */
export const makeSetup = planCommand("plan", setupSchema, (setup, tables) => {
  if ("houseId" in setup.place && !tables.house?.[setup.place.houseId]) throw new NotFoundError(null);
  const { changes, noRoom } = setUp(tables, setup);
  if (noRoom.length > 0) throw new RefusedError({ room: "place", kind: "no-room", stands: noRoom });
  const [newHouse] = Object.keys(changes.house?.added ?? {}).map(Number);
  return {
    changes,
    value: (ids) => ({
      houseId: newHouse === undefined ? ("houseId" in setup.place ? setup.place.houseId : 0) : ids.get(newHouse)!,
    }),
  };
});
