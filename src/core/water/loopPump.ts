import { fittingsK } from "./pipeSizes";
import type { PipeRun } from "./pipeFriction";
import type { PumpSystem } from "./pumpDuty";
import type { KnownPump } from "./pumpCurve";
import { kinematicViscosityM2PerS, USUAL_WATER_C } from "./waterViscosity";

/** What a pipe may be of, by how rough its wall is. */
export const PIPE_WALLS = ["plastic", "hose", "steel", "rusty"] as const;
export type PipeWall = (typeof PIPE_WALLS)[number];
/** @source usual tables of absolute roughness: drawn plastic, rubber hose, galvanised and rusted steel */
const ROUGHNESS_MM: Readonly<Record<PipeWall, number>> = {
  plastic: 0.0015,
  hose: 0.01,
  steel: 0.15,
  rusty: 0.5,
};

/** Where the water of a tank stands, over the floor. */
interface WaterLevels {
  readonly lowestWaterM: number;
  /** From a full tank to its lowest level. */
  readonly waterSinksM: number;
}

/** The pipe that water is pushed through, and where it is pushed to. */
interface PumpPipe {
  readonly highestOutletM: number;
  readonly headWantedM: number;
  readonly pipeLengthM: number;
  readonly boreMm: number;
  readonly elbows: number;
  /** Open full-bore valves. */
  readonly valves: number;
  /** What inlet, outlet, filters and all else take, as a sum of K. */
  readonly fittingsK: number;
  /** What a filter takes at a flow, clean and when it is due; 0 or nothing told: none. */
  readonly filterCleanM?: number;
  readonly filterDirtyM?: number;
  readonly filterAtLph?: number;
  /** Of the pipe along the lines of a bank, inside; 0 or nothing told: as wide as the pump's. */
  readonly manifoldBoreMm?: number;
  /** What the valve of a bank takes, as its K. */
  readonly bankValveK?: number;
  /** What its wall is like; plastic where nothing is told. */
  readonly wall?: PipeWall;
  /** Of the water when it is coldest, °C; 20 where nothing is told. */
  readonly waterC?: number;
  /** Keeps the pipe full while the pump stands; without one its water runs back into the tank. */
  readonly nonReturnValve: boolean;
}

/** What nothing is told of: no filter, manifolds as wide as the pipe to them, valves that take nothing, plastic pipe, water of 20 °C. */
export const PLAIN_PIPE = {
  filterCleanM: 0,
  filterDirtyM: 0,
  filterAtLph: 1000,
  manifoldBoreMm: 0,
  bankValveK: 0,
  wall: "plastic",
  waterC: USUAL_WATER_C,
} as const;

/** The mains behind a regulator. */
export interface MainsPressure {
  readonly kind: "mains";
  readonly supplyHeadM: number;
  readonly setHeadM: number;
  /** Flows between which the regulator holds that. */
  readonly regulatorLeastLph: number;
  readonly regulatorGreatestLph: number;
  /** What it takes by itself at its greatest flow. */
  readonly regulatorLossM: number;
}

/** A pump by its maker's table or its label, with the pipe it pushes through. */
export type RealPump = KnownPump & PumpPipe & WaterLevels;
/** What gives a loop its pressure: a pump, a tank that stands higher, or the mains; with the pipe to the lines. */
export type LoopPump = RealPump | ({ readonly kind: "gravity" } & PumpPipe & WaterLevels) | (MainsPressure & PumpPipe);

/** The pump among what may give pressure; null for a tank on a stand and for the mains. */
export function realPumpOf(pump: LoopPump): RealPump | null {
  return pump.kind === "label" || pump.kind === "table" ? pump : null;
}

/** Of the water that a loop's pump pushes, m²/s. */
export function viscosityIn({ waterC = USUAL_WATER_C }: Pick<LoopPump, "waterC">): number {
  return kinematicViscosityM2PerS(waterC);
}

/** The pipe from what gives the pressure to the banks. */
export function mainPipe(pump: LoopPump): PipeRun {
  return {
    lengthM: pump.pipeLengthM,
    boreMm: pump.boreMm,
    fittingsK: fittingsK(pump.elbows, pump.valves, pump.fittingsK),
    roughnessMm: ROUGHNESS_MM[pump.wall ?? "plastic"],
    kinematicViscosityM2PerS: viscosityIn(pump),
  };
}

/** A loop's pump against its lift and its pipe. */
export function pumpSystem(pump: RealPump): PumpSystem {
  return {
    pump,
    staticLiftM: pump.highestOutletM - pump.lowestWaterM,
    headWantedM: pump.headWantedM,
    pipe: mainPipe(pump),
  };
}
