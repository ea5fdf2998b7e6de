import type { Garden } from "./garden";
import type { Worked } from "./worked";
import type { Day } from "../units/day";
import { cropMarks, type CropMark } from "./cropMarks";
import { memo } from "./memo";
import type { PlacedStay } from "../batches/places/areaPlaces";
import type { Densities } from "../place/density";
import { houseClashes, narrowWays, type HouseClash, type NarrowWay } from "../place/houseChecks";
import type { StandWater } from "../place/kinds/model";
import { headspaceWarning, standChecks } from "../place/standChecks";
import { standCounts, type StandCounts } from "../place/standCounts";
import { standDensities } from "../place/standDensities";
import { drainBackL, loopTankRoom, standWater, type TankRoom } from "../place/standWater";
import type { House } from "./garden";
import type { Stand } from "./garden";

/** Plants of one batch on a run of a stand's sites, [start, end), counted along its lines. */
export interface GrowingRun {
  readonly start: number;
  readonly end: number;
  readonly batchId: number;
  readonly stage: number;
  readonly variety: string;
  readonly mark: CropMark;
  readonly sownOn: number;
  readonly dayOfStage: number;
  readonly daysOfStage: number;
}

export interface StandView {
  readonly stand: Stand;
  readonly growingAreaName: string;
  readonly loopName: string | null;
  readonly counts: StandCounts;
  readonly densities: Densities;
  readonly water: StandWater;
  /** Of the loop's tank, when it is a stand that gives water back. */
  readonly tank: LoopTank | null;
  readonly planted: number;
  readonly growing: readonly GrowingRun[];
  /** What is ready elsewhere, or soon, to come into its growing area. */
  readonly waiting: readonly WaitingPlants[];
}

/** Plants that move on within the next days. */
export interface WaitingPlants {
  readonly batchId: number;
  /** The stage that they move on to. */
  readonly stage: number;
  readonly variety: string;
  readonly plants: number;
  readonly from: Day;
  /** The growing area in which they stand until then. */
  readonly in: string;
}

export interface HouseView {
  readonly house: House;
  readonly stands: readonly StandView[];
  readonly clashes: readonly HouseClash[];
  readonly narrow: readonly NarrowWay[];
}

/** The tank that a stand gives its water back to. */
export type LoopTank = TankRoom & { readonly loopName: string };

/**
 * Houses with their stands counted, what grows on every line today, and what is wrong or doubtful about their places; kept
 * while what they are made from is the same.
 */
export function houseViews(season: Worked): readonly HouseView[] {
  const { plan, placed, growingAreaStands, garden } = season;
  const rows = [garden.houses, garden.stands, garden.growingAreas, garden.loops, garden.varieties] as const;
  const from = [plan, placed, growingAreaStands, ...rows, garden.latitudeDeg] as const;
  return memo("houseViews", from, () => freshViews(season));
}

function freshViews(season: Worked): readonly HouseView[] {
  const { garden } = season;
  const today = growingToday(season);
  return garden.houses.map((house) => {
    const own = garden.stands.filter((stand) => stand.houseId === house.id);
    return {
      house,
      stands: own.map((stand) => standView(stand, house, garden.latitudeDeg, aroundOf(stand, season, today))),
      clashes: houseClashes(house, own),
      narrow: narrowWays(own),
    };
  });
}

/** What is around a stand, and what grows on it. */
interface Around {
  readonly growingAreaName: string;
  readonly loopName: string | null;
  readonly rootCrops: readonly string[];
  readonly tank: LoopTank | null;
  readonly growing: readonly GrowingRun[];
  readonly waiting: readonly WaitingPlants[];
}

function aroundOf(stand: Stand, season: Worked, today: Today): Around {
  const { growingAreas, loops, stands, varieties } = season.garden;
  const isHere = ({ growingAreaId }: { readonly growingAreaId: number }) => growingAreaId === stand.growingAreaId;
  return {
    growingAreaName: growingAreas.find(({ id }) => id === stand.growingAreaId)?.name ?? "",
    loopName: loops.find(({ id }) => id === stand.loopId)?.name ?? null,
    rootCrops: varieties.filter(({ kind, stages }) => kind === "root" && stages.some(isHere)).map(({ name }) => name),
    tank: tankOf(stand, loops, stands),
    growing: growingOn(stand, season, today.get(stand.growingAreaId) ?? []),
    waiting: waitingFor(stand.growingAreaId, season),
  };
}

/** Plants are offered so long before they are to move, and as many batches at the most. */
const WAITING_DAYS = 7;
const MOST_WAITING = 4;

function waitingFor(growingAreaId: number, { plan, garden }: Worked): WaitingPlants[] {
  const { today } = plan;
  const found = plan.batches.flatMap(({ batch, variety, stays }): WaitingPlants[] => {
    const next = stays.find((stay, at) => at > 0 && !stay.begun && stays[at - 1]!.begun);
    if (!next || batch.clearedDay !== null || next.growingAreaId !== growingAreaId) return [];
    if (next.from > today + WAITING_DAYS || next.to <= today) return [];
    const before = stays[next.stage - 1]!.growingAreaId;
    return [
      {
        ...{ batchId: batch.id, stage: next.stage, variety: variety.name, plants: next.plants, from: next.from },
        in: garden.growingAreas.find(({ id }) => id === before)?.name ?? "",
      },
    ];
  });
  return found.sort((a, b) => a.from - b.from).slice(0, MOST_WAITING);
}

function standView(stand: Stand, house: House, latitudeDeg: number, around: Around): StandView {
  const { tank, growing } = around;
  const counts = standCounts(stand.spec);
  const more = standChecks(stand.spec, { latitudeDeg, rootCrops: around.rootCrops });
  const warnings = [...counts.warnings, ...more.warnings, ...(tank ? headspaceWarning(tank) : [])];
  return {
    stand,
    growingAreaName: around.growingAreaName,
    loopName: around.loopName,
    counts: { ...counts, warnings, facts: [...counts.facts, ...more.facts] },
    densities: standDensities(stand, house),
    water: standWater(stand.spec),
    tank,
    planted: growing.reduce((sum, run) => sum + run.end - run.start, 0),
    ...{ growing, waiting: around.waiting },
  };
}

function tankOf({ loopId, spec }: Stand, loops: Garden["loops"], stands: readonly Stand[]): LoopTank | null {
  const loop = loops.find(({ id }) => id === loopId);
  if (!loop || loop.kind !== "recirculating" || drainBackL(spec) === 0) return null;
  const own = stands.filter((stand) => stand.loopId === loop.id);
  return {
    loopName: loop.name,
    ...loopTankRoom(
      loop,
      own.map((stand) => stand.spec),
    ),
  };
}

/** What grows in a growing area today, on runs of all its sites. */
type Today = ReadonlyMap<number, readonly GrowingRun[]>;

function growingToday({ placed, plan, garden }: Worked): Today {
  const marks = cropMarks(garden.varieties);
  const batches = new Map(plan.batches.map((batch) => [batch.batch.id, batch]));
  const runsOf = ({ stay, runs }: PlacedStay): GrowingRun[] => {
    if (stay.from > plan.today || plan.today >= stay.to) return [];
    const { variety, stays } = batches.get(stay.batchId)!;
    const common = {
      ...{ batchId: stay.batchId, stage: stay.stage },
      variety: variety.name,
      mark: marks.get(variety.id)!,
      sownOn: stays[0]!.from,
      dayOfStage: plan.today - stay.from,
      daysOfStage: Math.max(1, stay.plannedEnd - stay.from),
    };
    return runs.map(({ start, end }) => ({ start, end, ...common }));
  };
  return new Map([...placed].map(([growingAreaId, stays]) => [growingAreaId, stays.flatMap(runsOf)]));
}

/** Today's runs of a growing area, cut out to this stand's part of the growing area's sites. */
function growingOn(stand: Stand, { growingAreaStands }: Worked, today: readonly GrowingRun[]): GrowingRun[] {
  const stands = growingAreaStands.get(stand.growingAreaId) ?? [];
  const before = stands.slice(
    0,
    stands.findIndex((candidate) => candidate.id === stand.id),
  );
  const offset = before.reduce((sum, candidate) => sum + standCounts(candidate.spec).sites, 0);
  const { sites } = standCounts(stand.spec);
  return today.flatMap((run) => {
    const [start, end] = [Math.max(0, run.start - offset), Math.min(sites, run.end - offset)];
    return end > start ? [{ ...run, start, end }] : [];
  });
}
