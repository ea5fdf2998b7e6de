import { sunriseAndSunset } from "../place/climate/sun";
import { lightWindows, type LightWindow } from "../water/lightWindows";
import type { Daylight } from "../water/timer";
import { dayOfYear } from "../units/day";
import type { Loop } from "./garden";
import type { Worked } from "./worked";

/** When it is light where a loop waters, today. */
export interface LoopLight {
  readonly daylight: Daylight;
  /** Of all its houses together; none where no sun gets in and no lamps are told. */
  readonly windows: readonly LightWindow[];
}

/** When it is light in the houses of a loop today: by the sun, and by lamps as they are told. */
export function loopLight({ garden, today }: Worked, loop: Loop): LoopLight {
  const daylight = sunriseAndSunset(garden.latitudeDeg, dayOfYear(today));
  const own = new Set(garden.stands.filter(({ loopId }) => loopId === loop.id).map(({ houseId }) => houseId));
  const houses = garden.houses.filter(({ id }) => own.has(id));
  return {
    daylight,
    windows: houses.flatMap((house) => lightWindows({ ...house, isSolid: house.cover === "solid" }, daylight)),
  };
}
