import { requireFigures } from "../units/range";

/** Still water that a float valve keeps up: roll-out tanks, wicking beds, rafts without a pump. */
export interface StillTank {
  readonly needLpd: number;
  readonly openWaterM2: number;
  readonly evaporationMmPerDay: number;
  readonly waterAreaM2: number;
  readonly depthM: number;
  /** Shallower than this the roots or the wick run dry. */
  readonly leastDepthM: number;
  readonly floatRatedLph: number;
  readonly floatRatedHeadM: number;
  readonly headAtFloatM: number;
  /** Of a day's draw, in its thirstiest hour. */
  readonly peakHourShare: number;
}

export interface StillTankAnswer {
  readonly dailyDrawL: number;
  readonly aboveLeastL: number;
  /** Without supply; null: nothing is drawn. */
  readonly daysInHand: number | null;
  readonly floatLph: number;
  readonly peakHourL: number;
  readonly floatKeepsUp: boolean;
}

/** The thirstiest hour of a sunny day. @source domain rule, to be measured and changed */
export const PEAK_HOUR_SHARE = 0.13;

/**
 * What still water with a float valve draws in a day, how long it stands without supply, and whether the float keeps up in
 * the thirstiest hour. 1 mm on 1 m² is 1 L.
 *
 * @throws RangeError when a figure is outside its range
 * @source mass balance; a float as an orifice, flow = rated flow × √(head ÷ rated head); tests/reference/water/series.json, "stillTank"
 */
export function stillTank(tank: StillTank): StillTankAnswer {
  requireFigures("stillTank", tank, {
    needLpd: [0, 1_000_000],
    openWaterM2: [0, 100_000],
    evaporationMmPerDay: [0, 30],
    waterAreaM2: [0.001, 100_000],
    depthM: [0, 10],
    leastDepthM: [0, 10],
    floatRatedLph: [0, 1_000_000],
    floatRatedHeadM: [0.01, 200],
    headAtFloatM: [0, 200],
    peakHourShare: [1 / 24, 1],
  });
  const dailyDrawL = tank.needLpd + tank.openWaterM2 * tank.evaporationMmPerDay;
  const aboveLeastL = Math.max(0, tank.depthM - tank.leastDepthM) * tank.waterAreaM2 * 1000;
  const floatLph = tank.floatRatedLph * Math.sqrt(tank.headAtFloatM / tank.floatRatedHeadM);
  const peakHourL = dailyDrawL * tank.peakHourShare;
  return {
    dailyDrawL,
    aboveLeastL,
    daysInHand: dailyDrawL > 0 ? aboveLeastL / dailyDrawL : null,
    floatLph,
    peakHourL,
    floatKeepsUp: floatLph >= peakHourL - 1e-9,
  };
}
