import type { StandSpec } from "../place/kinds";
import { standFlow } from "../place/standFlow";
import { standLayout } from "../place/standLayout";
import { towerSites } from "../place/towers";
import { drippedOf, lateralOf } from "../water/dripLine";
import type { Emitter } from "../water/emitter";
import {
  solveLoop,
  type BankFlow,
  type LoopFlow,
  type LoopNetwork,
  type NetworkBank,
} from "../water/network/loopNetwork";
import { mainPipe, viscosityIn, type LoopPump, type MainsPressure } from "../water/loopPump";
import {
  regulationAt,
  regulatorLink,
  squareLink,
  type Regulation,
  type Regulator,
  type SquareLoss,
} from "../water/network/pressure";
import type { PipeRun } from "../water/pipeFriction";
import type { KnownPump } from "../water/pumpCurve";
import type { Loop, Stand } from "./garden";

/** Lines of a stand that one valve opens. */
export interface LoopBank {
  readonly key: string;
  readonly standId: number;
  readonly stand: string;
  /** Of the stand's valves, counted from 1. */
  readonly valve: number;
  readonly valves: number;
  /** Lines that are fed by themselves. */
  readonly lines: number;
  /** The first of them, counted from 0 over the stand. */
  readonly firstLine: number;
  readonly wantedLph: number;
  readonly network: NetworkBank;
}

/** What the pipes need to know of a stand. */
export type PipedStand = Pick<Stand, "id" | "name" | "spec"> & Partial<Pick<Stand, "groundM">>;

/** A bank as people call it: its stand, and its valve where there are several. */
export function bankName({ stand, valve, valves }: LoopBank): string {
  return valves > 1 ? `${stand}, valve ${valve}` : stand;
}

/** A loop as pipes and valves. */
export interface LoopPipes {
  readonly banks: readonly LoopBank[];
  /** Of a loop on the mains. */
  readonly regulator: Regulator | null;
  /** What its filter takes as it is looked at; null where there is none. */
  readonly filter: SquareLoss | null;
  /** At a water level over the floor, with some banks open. */
  readonly networkAt: (waterM: number, isOpen: (key: string) => boolean, pump: KnownPump | null) => LoopNetwork;
  readonly lowWaterM: number;
  readonly highWaterM: number;
}

/** Head at which an open spigot is taken to give the flow that its line wants, where its pump is asked for none. */
export const SPIGOT_HEAD_M = 0.1;
/** A drip line on the ground, and one over buckets. */
const GROUND_M = 0.05;
const NEXT_TO_M = 0.01;

/**
 * The pipes of a loop, as far as its garden tells them: the pump's pipe is the main, every bank leaves at its end, manifolds
 * are as wide as the main with a take-off at each line, open spigots give what their line wants at ten centimetres of head.
 *
 * @param filterIs how its filter is: it has to do until it is cleaned
 * @returns null where nothing gives pressure or there is nothing to water
 * @throws RangeError for a stand or a pump with a figure outside its range
 */
export function loopPipes(
  { pump }: Pick<Loop, "pump">,
  stands: readonly PipedStand[],
  filterIs: "clean" | "due" = "due",
): LoopPipes | null {
  if (!pump) return null;
  // The highest outlet stands as high as the pump is told, the others lower by what their stands tell.
  const own = stands.flatMap((stand) => outletHeightM(stand) ?? []);
  const shiftM = own.length > 0 ? pump.highestOutletM - Math.max(...own) : 0;
  const banks = stands.flatMap((stand) => {
    const heightM = outletHeightM(stand);
    return banksOf(stand, pump, heightM === null ? pump.highestOutletM : heightM + shiftM);
  });
  if (banks.length === 0) return null;
  const regulator = pump.kind === "mains" ? regulatorOf(pump) : null;
  const filter = filterOf(pump, filterIs);
  const lowWaterM = pump.kind === "mains" ? pump.supplyHeadM : pump.lowestWaterM;
  return {
    banks,
    regulator,
    filter,
    lowWaterM,
    highWaterM: pump.kind === "mains" ? lowWaterM : lowWaterM + pump.waterSinksM,
    networkAt: (waterM, isOpen, real) => ({
      surfaceM: waterM,
      pump: real,
      before: [...(regulator ? [regulatorLink(regulator, waterM)] : []), ...(filter ? [squareLink(filter)] : [])],
      main: [mainPipe(pump)],
      banks: banks.map(({ key, network }) => ({ ...network, open: isOpen(key) })),
      bypass: null,
    }),
  };
}

function filterOf(
  { filterCleanM = 0, filterDirtyM = 0, filterAtLph = 0 }: LoopPump,
  is: "clean" | "due",
): SquareLoss | null {
  const lossM = is === "due" ? Math.max(filterCleanM, filterDirtyM) : filterCleanM;
  return filterAtLph > 0 && Math.max(filterCleanM, filterDirtyM) > 0 ? { lossM, atLph: filterAtLph } : null;
}

function regulatorOf(mains: MainsPressure): Regulator {
  return {
    ...{ lossM: mains.regulatorLossM, atLph: mains.regulatorGreatestLph, setHeadM: mains.setHeadM },
    ...{ leastLph: mains.regulatorLeastLph, greatestLph: mains.regulatorGreatestLph },
  };
}

function banksOf({ id, name, spec }: PipedStand, pump: LoopPump, elevationM: number): LoopBank[] {
  const { manifoldBoreMm = 0, bankValveK = 0, headWantedM } = pump;
  const boreMm = manifoldBoreMm > 0 ? manifoldBoreMm : pump.boreMm;
  const flow = standFlow(spec);
  if (flow.lineFlowLph <= 0 || flow.feeds === 0) return [];
  const perValve = Math.max(1, Math.ceil(flow.linesPerValve / flow.linesPerRun));
  const valves = Math.ceil(flow.feeds / perValve);
  const dripped = drippedOf(spec);
  const lateral = dripped && lateralOf(dripped);
  if (dripped && !lateral) return [];
  const lateralsPerLine = spec.kind === "drip-beds" ? spec.lateralsPerBed : 1;
  const pitchM = linePitchM(spec) * flow.linesPerRun;
  const water = { kinematicViscosityM2PerS: viscosityIn(pump) };
  const tube = thinTube(spec);
  return Array.from({ length: valves }, (_, valve) => {
    const lines = Math.min(perValve, flow.feeds - valve * perValve);
    return {
      key: `${id}:${valve + 1}`,
      standId: id,
      stand: name,
      valve: valve + 1,
      valves,
      lines,
      firstLine: valve * perValve,
      wantedLph: lines * flow.lineFlowLph,
      network: {
        atMain: 0,
        open: true,
        elevationM,
        connection: { lengthM: NEXT_TO_M, boreMm, fittingsK: bankValveK, ...water },
        manifold: {
          pipe: { boreMm, ...water },
          firstOfftakeM: NEXT_TO_M,
          offtakeSpacingM: pitchM / lateralsPerLine,
          offtakes: lines * lateralsPerLine,
        },
        lateral: lateral && { ...lateral, pipe: { ...lateral.pipe, ...water } },
        outlet: lateral ? lateral.emitter : tube ? { ...tube, ...water } : spigot(flow.lineFlowLph, headWantedM),
      },
    };
  });
}

const spigot = (lineFlowLph: number, headWantedM: number): Emitter => ({
  nominalFlowLph: lineFlowLph,
  nominalHeadM: headWantedM > 0 ? headWantedM : SPIGOT_HEAD_M,
  exponent: 0.5,
  leastHeadM: null,
});

/** Where water goes into a tube and leaves it. @source usual, 0.5 and 1 */
const TUBE_ENDS_K = 1.5;

/** What feeds a tower, where it is a thin tube. */
const thinTube = (spec: StandSpec): PipeRun | null =>
  spec.kind === "towers" && spec.microBoreMm > 0
    ? { boreMm: spec.microBoreMm, lengthM: spec.microLengthM, fittingsK: TUBE_ENDS_K }
    : null;

/** From one line to the next. */
function linePitchM(spec: StandSpec): number {
  const { lines, widthM } = standLayout(spec);
  return lines.length > 1 ? (widthM - lines[0]!.widthM) / (lines.length - 1) : 0;
}

/** How high over the floor of the tank the water leaves; null where the stand does not tell. */
function outletHeightM({ spec, groundM = 0 }: PipedStand): number | null {
  switch (spec.kind) {
    case "channel-bank":
      return groundM + spec.outletHeightM + (spec.fallOneIn > 0 ? spec.lineLengthM / spec.fallOneIn : 0);
    case "towers":
      return groundM + towerSites({ ...spec, towers: spec.rows * spec.towersPerRow }).heightM;
    case "drip-beds":
      return groundM + GROUND_M;
    default:
      return groundM === 0 ? null : groundM + GROUND_M;
  }
}

export interface BankAnswer {
  readonly bank: LoopBank;
  readonly flow: BankFlow;
  /** Flow ÷ wanted; null while it is closed. */
  readonly share: number | null;
}

export interface LoopAnswer {
  readonly flow: LoopFlow;
  /** Of a loop on the mains. */
  readonly regulation: Regulation | null;
  readonly banks: readonly BankAnswer[];
}

/**
 * What each bank gets at a water level with the banks that are open. Where so little or so much flows that the regulator of
 * the mains does not hold, the loop gets what the mains have less what the regulator takes by itself.
 *
 * @param pump null where something else gives the pressure
 * @source solveLoop
 */
export function solveBanks(
  pipes: LoopPipes,
  waterM: number,
  isOpen: (key: string) => boolean,
  pump: KnownPump | null,
): LoopAnswer {
  const network = pipes.networkAt(waterM, isOpen, pump);
  const regulated = solveLoop(network);
  const { regulator } = pipes;
  const regulation = regulator && regulationAt(regulator, waterM, regulated.flowLph);
  const holds = regulation === null || regulation === "regulates" || regulation === "too-little-head";
  const losses = [regulator, pipes.filter].flatMap((one) => (one ? [squareLink(one)] : []));
  const flow = holds ? regulated : solveLoop({ ...network, before: losses });
  return {
    flow,
    regulation,
    banks: pipes.banks.map((bank, at) => ({
      bank,
      flow: flow.banks[at]!,
      share: isOpen(bank.key) ? flow.banks[at]!.flowLph / bank.wantedLph : null,
    })),
  };
}

/** What the open banks want together. */
export function wantedBy({ banks }: LoopAnswer): number {
  return banks.reduce((sum, { bank, share }) => sum + (share === null ? 0 : bank.wantedLph), 0);
}
