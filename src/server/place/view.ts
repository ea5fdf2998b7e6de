import type { Densities } from "@/core/place/density";
import { houseClashes, narrowWays } from "@/core/place/houseChecks";
import type { StandWater } from "@/core/place/kinds/model";
import { headspaceWarning, standChecks } from "@/core/place/standChecks";
import { standCounts, type StandCounts } from "@/core/place/standCounts";
import { standDensities } from "@/core/place/standDensities";
import { drainBackL, loopTankRoom, standWater, type TankRoom } from "@/core/place/standWater";
import { inUnits } from "@/core/units/told";
import type { Season } from "../batches/season";
import type { Session } from "../session/session";
import type { House, PoolRow, Stand } from "./queries";

/** Plants of one batch on a run of a stand's sites, [start, end), counted along its lines. */
export interface GrowingRun {
  readonly start: number;
  readonly end: number;
  readonly batchId: number;
  readonly variety: string;
  /** Place of the variety in the garden's list; sets its tone. */
  readonly tone: number;
  readonly sownOn: number;
  readonly dayOfStage: number;
  readonly daysOfStage: number;
}

export interface StandView {
  readonly stand: Stand;
  readonly poolName: string;
  readonly loopName: string | null;
  readonly counts: StandCounts;
  readonly densities: Densities;
  readonly water: StandWater;
  /** Of the loop's tank, when it is a stand that gives water back. */
  readonly tank: LoopTank | null;
  readonly planted: number;
  readonly growing: readonly GrowingRun[];
}

export interface HouseView {
  readonly house: House;
  readonly stands: readonly StandView[];
  readonly clashes: readonly string[];
  readonly narrow: readonly string[];
}

/** The tank that a stand gives its water back to. */
export type LoopTank = TankRoom & { readonly loopName: string };

/** Houses with their stands counted, and what grows on every line today. */
export function houseViews(season: Season): HouseView[] {
  return season.rows.houses.map((house) => houseView(house, season.rows, season, (stand) => growingOn(stand, season)));
}

/** Houses, pools and stands, of the garden or of a layout put by. */
export interface PlaceRows {
  readonly houses: readonly House[];
  readonly pools: readonly PoolRow[];
  readonly stands: readonly Stand[];
}

/** A house with its stands counted, and what is wrong or doubtful about how they stand. */
export function houseView(house: House, place: PlaceRows, { rows, who }: Season, growingOf: (stand: Stand) => readonly GrowingRun[]): HouseView {
  const own = place.stands.filter((stand) => stand.houseId === house.id);
  return {
    house,
    stands: own.map((stand) => {
      const poolName = place.pools.find((pool) => pool.id === stand.poolId)?.name ?? "";
      return standView(stand, house, who, {
        poolName,
        loopName: rows.loops.find((loop) => loop.id === stand.loopId)?.name ?? null,
        rootCrops: rootCropsIn(poolName, rows),
        tank: tankOf(stand, rows.loops, place.stands),
        growing: growingOf(stand),
      });
    }),
    clashes: inUnits(houseClashes(house, own).map(({ message }) => message), who.units),
    narrow: inUnits(narrowWays(own), who.units),
  };
} // prettier-ignore

/** What is round a stand, and what stands on it. */
interface Around {
  readonly poolName: string;
  readonly loopName: string | null;
  readonly rootCrops: readonly string[];
  readonly tank: LoopTank | null;
  readonly growing: readonly GrowingRun[];
}

function standView(stand: Stand, house: House, who: Session, around: Around): StandView {
  const { tank, growing } = around;
  const counts = standCounts(stand.spec);
  const more = standChecks(stand.spec, { latitudeDeg: who.latitudeDeg, rootCrops: around.rootCrops });
  const warnings = [...counts.warnings, ...more.warnings, ...(tank ? headspaceWarning(tank) : [])];
  return {
    stand,
    poolName: around.poolName,
    loopName: around.loopName,
    counts: inUnits({ ...counts, warnings, facts: [...counts.facts, ...more.facts] }, who.units),
    densities: standDensities(stand, house),
    water: standWater(stand.spec),
    tank,
    planted: growing.reduce((sum, run) => sum + run.end - run.start, 0),
    growing,
  };
}

/** Root crops that spend a stage in a pool of this name. */
function rootCropsIn(poolName: string, { pools, varieties }: Season["rows"]): string[] {
  const pool = pools.find(({ name }) => name === poolName);
  return varieties
    .filter(({ kind, stages }) => kind === "root" && stages.some((stage) => stage.poolId === pool?.id))
    .map(({ name }) => name);
}

function tankOf({ loopId, spec }: Stand, loops: Season["rows"]["loops"], stands: readonly Stand[]): LoopTank | null {
  const loop = loops.find(({ id }) => id === loopId);
  if (!loop || loop.kind !== "recirculating" || drainBackL(spec) === 0) return null;
  const own = stands.filter((stand) => stand.loopId === loop.id);
  return { loopName: loop.name, ...loopTankRoom(loop, own.map((stand) => stand.spec)) }; // prettier-ignore
}

/** Today's runs of a pool, cut out to this stand's part of the pool's sites. */
function growingOn(stand: Stand, { placed, poolStands, plan, rows }: Season): GrowingRun[] {
  const stands = poolStands.get(stand.poolId) ?? [];
  const before = stands.slice(
    0,
    stands.findIndex((candidate) => candidate.id === stand.id),
  );
  const offset = before.reduce((sum, candidate) => sum + standCounts(candidate.spec).sites, 0);
  const sites = standCounts(stand.spec).sites;
  const today = (placed.get(stand.poolId) ?? []).filter(({ stay }) => stay.from <= plan.today && plan.today < stay.to);
  return today.flatMap(({ stay, runs }) => {
    const batch = plan.batches.find((candidate) => candidate.batch.id === stay.batchId)!;
    const common = {
      batchId: stay.batchId,
      variety: batch.variety.name,
      tone: rows.varieties.findIndex((variety) => variety.id === batch.variety.id),
      sownOn: batch.stays[0]!.from,
      dayOfStage: plan.today - stay.from,
      daysOfStage: Math.max(1, batch.plannedEnds[stay.stage]! - stay.from),
    };
    return runs.flatMap((run) => {
      const [start, end] = [Math.max(0, run.start - offset), Math.min(sites, run.end - offset)];
      return end > start ? [{ start, end, ...common }] : [];
    });
  });
}
