import { requireEach, requireFigures, requireWhole } from "../units/range";

/** A tank over a day: what is drawn from it in each hour, and what may fill it. */
export interface Refill {
  /** Twenty-four, from midnight. */
  readonly drawnL: readonly number[];
  readonly tankL: number;
  readonly flowLph: number;
  /** So many hours a day at most. */
  readonly hoursPerDay: number;
}

export interface RefillAnswer {
  /** The least that stands in the tank at the end of an hour, from a day that began full; what is missing counts under 0. */
  readonly lowestL: number;
  /** The hour in which that is. */
  readonly lowestHour: number;
  readonly hoursUsed: number;
  /** At the end of the day as much is in it as at its begin: it can go on so. */
  readonly isFullAgain: boolean;
}

const HOURS = 24;
const NOTHING_L = 1e-6;

/**
 * Whether a source can refill in time what is drawn, hour by hour: it fills whenever the tank is not full, as long as its hours
 * of the day last.
 *
 * @throws RangeError when a figure is outside its range
 * @source water balance by the hour
 */
export function refillDay({ drawnL, tankL, flowLph, hoursPerDay }: Refill): RefillAnswer {
  requireWhole("refillDay", "hours of drawnL", drawnL.length, HOURS, HOURS);
  requireEach("refillDay", "drawnL", drawnL, 0);
  requireFigures(
    "refillDay",
    { tankL, flowLph, hoursPerDay },
    { tankL: [0, 1e9], flowLph: [0, 1e9], hoursPerDay: [0, 24] },
  );
  let [inTankL, hoursLeft, lowestL, lowestHour] = [tankL, hoursPerDay, tankL, 0];
  drawnL.forEach((litres, hour) => {
    const wantedL = tankL - (inTankL - litres);
    const filledL = Math.min(wantedL, flowLph * Math.min(1, hoursLeft));
    if (flowLph > 0) hoursLeft -= filledL / flowLph;
    inTankL += filledL - litres;
    if (inTankL >= lowestL - NOTHING_L) return;
    [lowestL, lowestHour] = [inTankL, hour];
  });
  return { lowestL, lowestHour, hoursUsed: hoursPerDay - hoursLeft, isFullAgain: inTankL >= tankL - NOTHING_L };
}

/**
 * What plants drink in each hour of a day, as shares of it: as the sun rises and sets, nothing at night.
 * @param riseMin, setMin minutes of the day; the same where the sun does not rise: then evenly
 * @source half a sine from sunrise to sunset
 */
export function sharesByHour(riseMin: number, setMin: number): number[] {
  requireFigures("sharesByHour", { riseMin, setMin }, { riseMin: [0, 1440], setMin: [0, 1440] });
  if (setMin <= riseMin) return new Array<number>(HOURS).fill(1 / HOURS);
  const before = (minute: number) => {
    const share = Math.min(1, Math.max(0, (minute - riseMin) / (setMin - riseMin)));
    return (1 - Math.cos(Math.PI * share)) / 2;
  };
  return Array.from({ length: HOURS }, (_, hour) => before((hour + 1) * 60) - before(hour * 60));
}
