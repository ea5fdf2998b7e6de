import { isDeepStrictEqual } from "node:util";
import type { LayoutDocument } from "@/core/place/layout/document";
import type { Day } from "@/core/units/day";
import { workOutSeason, type GardenRows, type Season } from "../batches/season";
import type { RainNormals } from "@/core/water/rainInflow";
import type { House, PoolRow, Stand } from "./queries";

/** A batch that has fewer places in a layout than it has now. It stays in the plan, above capacity. */
export interface Displaced {
  readonly batchId: number;
  readonly variety: string;
  readonly sownOn: Day;
  readonly poolName: string;
  readonly from: Day;
  readonly plants: number;
  readonly over: number;
}

export interface Adoption {
  readonly added: readonly string[];
  readonly changed: readonly string[];
  readonly removed: readonly string[];
  readonly addedHouses: readonly string[];
  readonly changedHouses: readonly string[];
  readonly removedHouses: readonly string[];
  readonly newPools: readonly string[];
  readonly displaced: readonly Displaced[];
}

/** The garden's rows as a layout would have them: the same houses, pools and stands by name, new ones with ids below 0. */
export function adoptedRows(rows: GardenRows, layout: LayoutDocument): GardenRows {
  let fresh = 0;
  const houses = layout.houses.map((house, index): House => {
    const old = rows.houses.find(({ name }) => name === house.name);
    return { ...house, id: old?.id ?? --fresh, version: old?.version ?? 1, position: index + 1 };
  });
  const newPools = layout.pools.filter((pool) => !rows.pools.some(({ name }) => name === pool.name));
  // Varieties spend their stages in pools: none goes, whatever a layout leaves out.
  const pools: PoolRow[] = [...rows.pools, ...newPools.map((pool, index) => ({ ...pool, id: --fresh, version: 1, position: rows.pools.length + index + 1 }))]; // prettier-ignore
  const stands = layout.stands.map((stand, index): Stand => {
    const house = houses.find(({ name }) => name === stand.house)!;
    const old = rows.stands.find(({ name, houseId }) => name === stand.name && houseId === house.id);
    return {
      id: old?.id ?? --fresh, version: old?.version ?? 1, position: index + 1, name: stand.name, houseId: house.id,
      poolId: pools.find(({ name }) => name === stand.pool)!.id, loopId: rows.loops.find(({ name }) => name === stand.loop)?.id ?? null,
      xM: stand.xM, yM: stand.yM, turned: stand.turned, spec: stand.spec,
    }; // prettier-ignore
  });
  return { ...rows, houses, pools, stands };
}

/** What changes when a layout takes the place of the garden as it stands, and which batches then have too few places. */
export function adoptionOf(season: Season, layout: LayoutDocument, rain: RainNormals): Adoption {
  const { rows } = season;
  const next = adoptedRows(rows, layout);
  const houseName = (house: number) => next.houses.find(({ id }) => id === house)?.name ?? rows.houses.find(({ id }) => id === house)?.name ?? ""; // prettier-ignore
  const label = (stand: Stand) => `${stand.name}, ${houseName(stand.houseId)}`;
  const old = new Map(rows.stands.map((stand) => [stand.id, stand]));
  const same = <Row extends House | Stand>(a: Row, b: Row) => isDeepStrictEqual({ ...a, position: 0 }, { ...b, position: 0 }); // prettier-ignore
  return {
    added: next.stands.filter(({ id }) => id < 0).map(label),
    changed: next.stands.filter((stand) => old.has(stand.id) && !same(stand, old.get(stand.id)!)).map(label),
    removed: rows.stands.filter(({ id }) => !next.stands.some((stand) => stand.id === id)).map(label),
    addedHouses: next.houses.filter(({ id }) => id < 0).map(({ name }) => name),
    changedHouses: next.houses.filter((house) => rows.houses.some((one) => one.id === house.id && !same(one, house))).map(({ name }) => name), // prettier-ignore
    removedHouses: rows.houses.filter(({ id }) => !next.houses.some((house) => house.id === id)).map(({ name }) => name), // prettier-ignore
    newPools: next.pools.filter(({ id }) => id < 0).map(({ name }) => name),
    displaced: displacedBatches(season, workOutSeason(season.who, next, rain)),
  };
}

/** Stays from today on that lack more places than before. */
function displacedBatches(before: Season, after: Season): Displaced[] {
  const over = new Map([...before.placed.values()].flat().map((one) => [`${one.stay.batchId}/${one.stay.stage}`, one.over])); // prettier-ignore
  return [...after.placed]
    .flatMap(([poolId, stays]) =>
      stays.flatMap(({ stay, over: lacks }): Displaced[] => {
        if (stay.to <= after.plan.today || lacks <= (over.get(`${stay.batchId}/${stay.stage}`) ?? 0)) return [];
        const worked = after.plan.batches.find(({ batch }) => batch.id === stay.batchId)!;
        return [{
          batchId: stay.batchId, variety: worked.variety.name, sownOn: worked.stays[0]!.from,
          poolName: after.rows.pools.find(({ id }) => id === poolId)?.name ?? "", from: stay.from, plants: stay.plants, over: lacks,
        }];
      }),
    )
    .sort((a, b) => a.from - b.from); // prettier-ignore
}
