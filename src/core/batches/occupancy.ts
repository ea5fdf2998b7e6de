import type { Day } from "../units/day";
import type { Stay } from "./timeline";
import type { PlanPool } from "./types";

export interface PoolOccupancy {
  readonly poolId: number;
  readonly sites: number;
  /** Plants on each day of the window. */
  readonly plants: Int32Array;
  /** Sites blocked for cleaning on each day. */
  readonly blocked: Int32Array;
  readonly peakUsed: number;
  readonly leastFree: number;
  readonly daysOver: number;
  readonly firstOver: { readonly day: Day; readonly sites: number } | null;
}

/**
 * Plants in each pool on each day of [from, to). Stays are half-open; after a stay its sites are blocked for the
 * pool's cleaning days. Used = plants + blocked, compared with the sites.
 *
 * @source difference sums; tests/reference/batches/occupancy.json
 */
export function occupancy(
  pools: readonly Pick<PlanPool, "id" | "sites" | "cleaningDays">[],
  stays: Iterable<Pick<Stay, "poolId" | "plants" | "from" | "to">>,
  from: Day,
  to: Day,
): PoolOccupancy[] {
  const days = to - from;
  const byPool = new Map(
    pools.map((pool) => [pool.id, { pool, plants: new Int32Array(days + 1), blocked: new Int32Array(days + 1) }]),
  );
  for (const stay of stays) {
    const entry = byPool.get(stay.poolId);
    if (!entry || stay.to <= stay.from) continue;
    addRun(entry.plants, stay.from - from, stay.to - from, stay.plants);
    addRun(entry.blocked, stay.to - from, stay.to + entry.pool.cleaningDays - from, stay.plants);
  }
  return [...byPool.values()].map(({ pool, plants, blocked }) =>
    summarise(pool, running(plants), running(blocked), from),
  );
}

function addRun(changes: Int32Array, start: number, end: number, amount: number) {
  const last = changes.length - 1;
  const [a, b] = [Math.min(last, Math.max(0, start)), Math.min(last, Math.max(0, end))];
  changes[a]! += amount;
  changes[b]! -= amount;
}

function running(changes: Int32Array): Int32Array {
  const totals = new Int32Array(changes.length - 1);
  let sum = 0;
  for (let i = 0; i < totals.length; i++) totals[i] = sum += changes[i]!;
  return totals;
}

function summarise(
  pool: Pick<PlanPool, "id" | "sites">,
  plants: Int32Array,
  blocked: Int32Array,
  from: Day,
): PoolOccupancy {
  let peakUsed = 0;
  let daysOver = 0;
  let firstOver: PoolOccupancy["firstOver"] = null;
  for (let i = 0; i < plants.length; i++) {
    const used = plants[i]! + blocked[i]!;
    peakUsed = Math.max(peakUsed, used);
    if (used > pool.sites) {
      daysOver += 1;
      firstOver ??= { day: from + i, sites: used - pool.sites };
    }
  }
  return {
    poolId: pool.id,
    sites: pool.sites,
    plants,
    blocked,
    peakUsed,
    leastFree: Math.max(0, pool.sites - peakUsed),
    daysOver,
    firstOver,
  };
}
