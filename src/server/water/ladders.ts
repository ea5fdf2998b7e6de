import { ladder, type Ladder } from "@/core/water/ladder";
import type { PumpSystem } from "@/core/water/pumpDuty";
import { loopTankRoom, type TankRoom } from "@/core/place/standWater";
import { standFlow } from "@/core/place/standFlow";
import type { Season } from "../batches/season";
import { sourceLimitLpd } from "../batches/season";
import type { Loop } from "./queries";
import type { PumpInput } from "./schema";
import { inUnits } from "@/core/units/told";

/** Freeboard kept under the rim of a tank, as a share of its volume. */
const FREEBOARD_SHARE = 0.03;

export function pumpSystem(pump: PumpInput): PumpSystem {
  return {
    points: pump.points,
    staticLiftM: pump.highestOutletM - pump.lowestWaterM,
    headWantedM: pump.headWantedM,
    pipe: { lengthM: pump.pipeLengthM, boreMm: pump.boreMm, fittingsK: pump.fittingsK },
  };
}

/** The rung ladder of a loop today. */
export function loopLadder(season: Season, loop: Loop): Ladder {
  const { plan, rows } = season;
  const offset = plan.today - plan.from;
  const standsOf = rows.stands.filter((stand) => stand.loopId === loop.id);
  const growing = plantsByPool(season);
  const worked = ladder({
    kind: loop.kind,
    drainShare: loop.drainShare,
    pump: loop.pump && pumpSystem(loop.pump),
    timer: loop.timer,
    turns: loop.turns,
    stands: standsOf.map((stand) => {
      const pool = season.input.pools.find((candidate) => candidate.id === stand.poolId)!;
      const flow = standFlow(stand.spec);
      // A pool on several stands: plants are taken as spread over them in proportion to their sites.
      const share = pool.sites > 0 ? (flow.lines * flow.sitesPerLine) / pool.sites : 0;
      const there = growing.get(stand.poolId) ?? { plants: 0, needLpd: 0 };
      return {
        name: stand.name,
        ...flow,
        plants: Math.round(there.plants * share),
        needLpd: there.needLpd * share,
      };
    }),
    injector:
      loop.feeding === "injector" && loop.injectorLeastLph !== null
        ? { leastLph: loop.injectorLeastLph, greatestLph: loop.injectorGreatestLph! }
        : null,
    garden: {
      needLpd: plan.needL[offset] ?? 0,
      sourcesLpd: rows.sources.reduce((sum, source) => sum + sourceLimitLpd(source), 0),
      storedL: rows.stores.reduce((sum, store) => sum + store.storedL, 0),
      capacityL: rows.stores.reduce((sum, store) => sum + store.capacityL, 0),
    },
  });
  return inUnits(worked, season.who.units);
}

export interface TankLimits extends Pick<TankRoom, "drainBackL" | "pipeL"> {
  readonly greatestL: number;
}

/** Room that a tank must keep: what runs back when the pump stops, and freeboard. */
export function tankLimits(season: Season, loop: Loop): TankLimits {
  const own = season.rows.stands.filter((stand) => stand.loopId === loop.id);
  const { drainBackL, pipeL } = loopTankRoom(loop, own.map(({ spec }) => spec)); // prettier-ignore
  return { drainBackL, pipeL, greatestL: Math.max(0, loop.tankL * (1 - FREEBOARD_SHARE) - drainBackL) };
}

function plantsByPool({ plan }: Season): Map<number, { plants: number; needLpd: number }> {
  const byPool = new Map<number, { plants: number; needLpd: number }>();
  for (const batch of plan.batches)
    for (const stay of batch.stays) {
      if (stay.from > plan.today || stay.to <= plan.today) continue;
      const sum = byPool.get(stay.poolId) ?? { plants: 0, needLpd: 0 };
      byPool.set(stay.poolId, {
        plants: sum.plants + stay.plants,
        needLpd: sum.needLpd + stay.plants * batch.variety.stages[stay.stage]!.needLpd,
      });
    }
  return byPool;
}
