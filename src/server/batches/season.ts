import { cache } from "react";
import { placeStays, type PlacedStay } from "@/core/batches/lanes";
import { workOutPlan, type Plan } from "@/core/batches/plan";
import { saltUse, shortages, type SaltUse, type Shortage } from "@/core/batches/shortages";
import type { PlanInput, PlanPool } from "@/core/batches/types";
import { poolSitesPerLine, type PoolStand } from "@/core/place/lineWords";
import { standCounts } from "@/core/place/standCounts";
import { supplyHorizon, type SupplyHorizon } from "@/core/water/supply";
import { readAll, type Db } from "../db/pool";
import { recipes, salts, stockTanks, type Recipe, type SaltRow, type StockTankRow } from "../feed/queries";
import { loopFeed, type LoopFeed } from "../feed/loopFeed";
import { varieties, type Variety } from "../growth/queries";
import { houses, pools, stands, type House, type PoolRow, type Stand } from "../place/queries";
import { keptAt } from "../session/kept";
import { read } from "../session/read";
import { pageSession, type Session } from "../session/session";
import { loops, rainNormals, sources, stores, type Loop, type Source, type Store } from "../water/queries";
import { batches, gardenRevision, orders, outlets, type BatchRow, type OrderRow } from "./queries";
import { inUnits } from "@/core/units/told";
import type { UnitPreferences } from "@/core/units/dimensions";

/** How far the plan looks back and ahead. */
const DAYS_BACK = 84;
const DAYS_AHEAD = 426;
/** The need of a loop is taken over so many days from today: one hot or empty day does not decide over a stock. */
const NEED_DAYS = 7;

/** The rows of a garden from which everything else is worked out. */
export interface GardenRows {
  readonly houses: readonly House[];
  readonly stands: readonly Stand[];
  readonly pools: readonly PoolRow[];
  readonly loops: readonly Loop[];
  readonly sources: readonly Source[];
  readonly stores: readonly Store[];
  readonly salts: readonly SaltRow[];
  readonly recipes: readonly Recipe[];
  readonly stockTanks: readonly StockTankRow[];
  readonly varieties: readonly Variety[];
  readonly batches: readonly BatchRow[];
  readonly orders: readonly OrderRow[];
  readonly outlets: readonly { readonly id: number; readonly name: string }[];
}

/** A garden's season, worked out: what every station shows its part of. */
export interface Season {
  readonly who: Session;
  readonly rows: GardenRows;
  readonly input: PlanInput;
  readonly plan: Plan;
  readonly poolStands: ReadonlyMap<number, readonly PoolStand[]>;
  readonly placed: ReadonlyMap<number, readonly PlacedStay[]>;
  readonly feeds: ReadonlyMap<number, LoopFeed>;
  readonly supply: SupplyHorizon;
  readonly saltUses: readonly SaltUse[];
  readonly shortages: readonly Shortage[];
}

/**
 * The season of this request's garden. It is worked out anew after a change of the garden and on a new day, and kept in
 * between: all pages of all people who only look share it.
 */
export const season = cache(async (): Promise<Season> => keptSeason(await pageSession(), read));

/** The same for a route, in a transaction that only reads: one that writes may yet be taken back. */
export function seasonToRead(db: Db, who: Session): Promise<Season> {
  return keptSeason(who, (work) => work(db, who));
}

async function keptSeason(
  who: Session,
  reading: (work: (db: Db, who: Session) => Promise<Season>) => Promise<Season>,
): Promise<Season> {
  const { base, revision } = who.moved;
  const found = await keptAt(`${who.gardenId} season`, `${base} ${revision} ${who.today}`, () => reading(freshSeason));
  return { ...found, who };
}

/** The season as a command finds it, before it writes: its own transaction may see more than the request began with. */
export async function seasonFor(db: Db, who: Session): Promise<Season> {
  if ((await gardenRevision(db, who.gardenId)) === who.moved.revision) return seasonToRead(db, who);
  return freshSeason(db, who);
}

async function freshSeason(db: Db, who: Session): Promise<Season> {
  return workOutSeason(who, await gardenRows(db, who.gardenId), await rainNormals(db, who.gardenId));
}

export function gardenRows(on: Db, gardenId: number): Promise<GardenRows> {
  return readAll(on, {
    houses: (db) => houses(db, gardenId),
    stands: (db) => stands(db, gardenId),
    pools: (db) => pools(db, gardenId),
    loops: (db) => loops(db, gardenId),
    sources: (db) => sources(db, gardenId),
    stores: (db) => stores(db, gardenId),
    salts: (db) => salts(db, gardenId),
    recipes: (db) => recipes(db, gardenId),
    stockTanks: (db) => stockTanks(db, gardenId),
    varieties: (db) => varieties(db, gardenId),
    batches: (db) => batches(db, gardenId),
    orders: (db) => orders(db, gardenId),
    outlets: (db) => outlets(db, gardenId),
  });
}

/** From rows to plan, places, feeds, supply and shortages. Pure but for the rows it is given. */
export function workOutSeason(who: Session, rows: GardenRows, rain: Awaited<ReturnType<typeof rainNormals>>): Season {
  const poolStands = new Map(
    rows.pools.map((pool) => [pool.id, rows.stands.filter((stand) => stand.poolId === pool.id)]),
  );
  const input: PlanInput = {
    today: who.today,
    from: who.today - DAYS_BACK,
    to: who.today + DAYS_AHEAD,
    pools: rows.pools.map((pool) => planPool(pool, poolStands.get(pool.id) ?? [])),
    varieties: rows.varieties,
    batches: rows.batches,
    orders: rows.orders,
    drainShareByLoop: Object.fromEntries(rows.loops.map((loop) => [loop.id, loop.drainShare])),
  };
  const plan = workOutPlan(input);
  const staysByPool = new Map(input.pools.map((pool) => [pool.id, [] as Plan["batches"][number]["stays"][number][]]));
  for (const batch of plan.batches) for (const stay of batch.stays) staysByPool.get(stay.poolId)?.push(stay);
  const placed = new Map(input.pools.map((pool) => [pool.id, placeStays(pool, staysByPool.get(pool.id)!)]));
  const feeds = loopFeeds(rows, plan, who.units);
  const supply = waterSupply(rows, plan, rain);
  const saltUses = saltUse(plan, saltStores(rows, feeds));
  return {
    who,
    rows,
    input,
    plan,
    poolStands,
    placed,
    feeds,
    supply,
    saltUses,
    shortages: shortages(plan, input.pools, supply, saltUses),
  };
}

/** Litres a day that a loop wants, the mean of the days from today. */
export function loopNeedLpd(plan: Plan, loopId: number | "hand"): number {
  const need = plan.needLByLoop.get(loopId);
  if (!need) return 0;
  const ahead = need.subarray(plan.today - plan.from, plan.today - plan.from + NEED_DAYS);
  return ahead.reduce((sum, litres) => sum + litres, 0) / Math.max(1, ahead.length);
}

/** Litres a day that a source without a store can give. */
export function sourceLimitLpd(source: Pick<Source, "kind" | "flowLph" | "hoursPerDay" | "allowanceLpd">): number {
  return source.kind === "well"
    ? source.flowLph * source.hoursPerDay
    : source.kind === "rain"
      ? 0
      : source.allowanceLpd;
}

function planPool(pool: PoolRow, own: readonly Stand[]): PlanPool {
  const sitesPerLine = poolSitesPerLine(own);
  const sites = sitesPerLine.reduce((sum, count) => sum + count, 0);
  const byLoop = new Map<number | null, number>();
  for (const stand of own) byLoop.set(stand.loopId, (byLoop.get(stand.loopId) ?? 0) + standCounts(stand.spec).sites);
  const loopShares = [...byLoop].map(([loopId, count]) => ({ loopId, share: sites > 0 ? count / sites : 0 }));
  return {
    id: pool.id,
    name: pool.name,
    sites,
    cleaningDays: pool.cleaningDays,
    sitesPerLine,
    loops: loopShares,
  };
}

function loopFeeds(rows: GardenRows, plan: Plan, units: UnitPreferences): Map<number, LoopFeed> {
  const feeds = new Map<number, LoopFeed>();
  for (const loop of rows.loops) {
    const feed = loopFeed(
      loop,
      rows.recipes,
      rows.salts,
      rows.sources,
      rows.stockTanks,
      loopNeedLpd(plan, loop.id),
      plan.today,
    );
    if (feed) feeds.set(loop.id, inUnits(feed, units));
  }
  return feeds;
}

function waterSupply(rows: GardenRows, plan: Plan, rain: Parameters<typeof supplyHorizon>[4]): SupplyHorizon {
  const store = rows.stores.reduce(
    (sum, one) => ({ capacityL: sum.capacityL + one.capacityL, storedL: sum.storedL + one.storedL }),
    { capacityL: 0, storedL: 0 },
  );
  const need = [...plan.needL.subarray(plan.today - plan.from)];
  const limits = rows.sources.map((source) => ({ ...source, limitLpd: sourceLimitLpd(source) }));
  return supplyHorizon(plan.today, need, limits, store, rain);
}

/** What is on the shelf and, dissolved, in the stock tanks. */
function saltStores(rows: GardenRows, feeds: ReadonlyMap<number, LoopFeed>) {
  return rows.salts.map((salt) => {
    const gPerLByLoop = new Map<number, number>();
    let inStocksG = 0;
    for (const [loopId, feed] of feeds) {
      const index = feed.salts.findIndex((candidate) => candidate.id === salt.id);
      const gPerL = (feed.sheet.gPer1000L[index] ?? 0) / 1000;
      if (gPerL <= 0) continue;
      gPerLByLoop.set(loopId, gPerL);
      const stock = feed.sheet.stocks.find((sheet) => sheet.tank.letter === feed.salts[index]!.stock);
      inStocksG += (stock?.tank.leftL ?? 0) * gPerL * feed.sheet.factor;
    }
    return { id: salt.id, name: salt.name, onHandG: salt.onHandG + inStocksG, gPerLByLoop };
  });
}
