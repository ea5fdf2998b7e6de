import { densities, type Densities } from "@/core/place/density";
import { houseClashes, narrowWays } from "@/core/place/houseChecks";
import type { StandWater } from "@/core/place/kinds/model";
import { standGroundM2 } from "@/core/place/layout/compare";
import { headspaceWarning, standChecks, type TankHeadspace } from "@/core/place/standChecks";
import { standCounts, type StandCounts } from "@/core/place/standCounts";
import { drainBackL, standWater } from "@/core/place/standWater";
import { inUnits } from "@/core/units/told";
import type { Season } from "../batches/season";
import type { Session } from "../session/session";
import type { House, Stand } from "./queries";

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
  readonly headspace: TankHeadspace | null;
  readonly planted: number;
  readonly growing: readonly GrowingRun[];
}

export interface HouseView {
  readonly house: House;
  readonly stands: readonly StandView[];
  readonly clashes: readonly string[];
  readonly narrow: readonly string[];
}

/** Houses with their stands counted, and what grows on every line today. */
export function houseViews(season: Season): HouseView[] {
  const { rows, who } = season;
  return rows.houses.map((house) =>
    houseView(house, rows.stands, who, (stand) => ({
      poolName: rows.pools.find((pool) => pool.id === stand.poolId)?.name ?? "",
      loopName: rows.loops.find((loop) => loop.id === stand.loopId)?.name ?? null,
      rootCrops: rootCropsIn(stand.poolId, season),
      headspace: headspaceOf(stand, rows),
      growing: growingOn(stand, season),
    })),
  );
}

/** What is round a stand, and what stands on it. */
export interface Around {
  readonly poolName: string;
  readonly loopName: string | null;
  readonly rootCrops: readonly string[];
  readonly headspace: TankHeadspace | null;
  readonly growing: readonly GrowingRun[];
}

/** A house with its stands counted, and what is wrong or doubtful about how they stand. */
export function houseView(house: House, stands: readonly Stand[], who: Session, around: (stand: Stand) => Around): HouseView {
  const own = stands.filter((stand) => stand.houseId === house.id);
  return {
    house,
    stands: own.map((stand) => standView(stand, house, who, around(stand))),
    clashes: inUnits(houseClashes(house, own).map(({ message }) => message), who.units),
    narrow: inUnits(narrowWays(own), who.units),
  };
} // prettier-ignore

function standView(stand: Stand, house: House, who: Session, around: Around): StandView {
  const { headspace, growing } = around;
  const counts = standCounts(stand.spec);
  const more = standChecks(stand.spec, { latitudeDeg: who.latitudeDeg, rootCrops: around.rootCrops });
  const warnings = [...counts.warnings, ...more.warnings, ...(headspace ? headspaceWarning(headspace) : [])];
  return {
    stand,
    poolName: around.poolName,
    loopName: around.loopName,
    counts: inUnits({ ...counts, warnings, facts: [...counts.facts, ...more.facts] }, who.units),
    densities: densities(
      counts.sites,
      Math.max(1e-9, counts.lines * counts.lineAreaM2),
      Math.max(1e-9, standGroundM2(stand)),
      house.lengthM * house.widthM,
    ),
    water: standWater(stand.spec),
    headspace,
    planted: growing.reduce((sum, run) => sum + run.end - run.start, 0),
    growing,
  };
}

function rootCropsIn(poolId: number, { rows }: Season): string[] {
  return rows.varieties
    .filter(({ kind, stages }) => kind === "root" && stages.some((stage) => stage.poolId === poolId))
    .map(({ name }) => name);
}

function headspaceOf({ loopId, spec }: Stand, { loops, stands }: Season["rows"]): TankHeadspace | null {
  const loop = loops.find(({ id }) => id === loopId);
  if (!loop || loop.kind !== "recirculating" || drainBackL(spec) === 0) return null;
  return {
    loopName: loop.name,
    headspaceL: loop.tankL - loop.workingL,
    drainBackL: stands.filter((one) => one.loopId === loop.id).reduce((sum, one) => sum + drainBackL(one.spec), 0),
  };
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
