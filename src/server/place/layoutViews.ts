import { densities } from "@/core/place/density";
import { houseClashes, narrowWays } from "@/core/place/houseChecks";
import type { LayoutDocument } from "@/core/place/layout/document";
import { LAYOUT_FORMAT, LAYOUT_VERSION } from "@/core/place/layout/document";
import { standGroundM2 } from "@/core/place/layout/compare";
import { standChecks } from "@/core/place/standChecks";
import { standCounts } from "@/core/place/standCounts";
import { standWater } from "@/core/place/standWater";
import { inUnits } from "@/core/units/told";
import type { GardenRows, Season } from "../batches/season";
import type { House, PoolRow, Stand } from "./queries";
import type { HouseView } from "./view";

/** The garden as it stands, as a layout. */
export function liveLayout(rows: GardenRows, name: string): LayoutDocument {
  const nameOf = (list: readonly { readonly id: number; readonly name: string }[], id: number | null) => list.find((row) => row.id === id)?.name ?? null; // prettier-ignore
  return {
    format: LAYOUT_FORMAT,
    version: LAYOUT_VERSION,
    name,
    houses: rows.houses.map(({ name: house, lengthM, widthM, heightM, cover, shadeShare, xM, yM }) => ({ name: house, lengthM, widthM, heightM, cover, shadeShare, xM, yM })),
    pools: rows.pools.map(({ name: pool, cleaningDays }) => ({ name: pool, cleaningDays })),
    stands: rows.stands.map((stand) => ({
      name: stand.name, house: nameOf(rows.houses, stand.houseId)!, pool: nameOf(rows.pools, stand.poolId)!, loop: nameOf(rows.loops, stand.loopId),
      xM: stand.xM, yM: stand.yM, turned: stand.turned, spec: stand.spec,
    })),
  }; // prettier-ignore
}

/** The rows of a layout put by, numbered by their place in it from 1 on: to be looked at and edited as real ones are. */
export interface LayoutRows {
  readonly houses: readonly House[];
  readonly pools: readonly PoolRow[];
  readonly stands: readonly Stand[];
}

export function layoutRows(layout: LayoutDocument, version: number, loops: GardenRows["loops"]): LayoutRows {
  const placeOf = (list: readonly { readonly name: string }[], name: string) => list.findIndex((row) => row.name === name) + 1; // prettier-ignore
  return {
    houses: layout.houses.map((house, index) => ({ ...house, id: index + 1, version, position: index + 1 })),
    pools: layout.pools.map((pool, index) => ({ ...pool, id: index + 1, version, position: index + 1 })),
    stands: layout.stands.map((stand, index) => ({
      id: index + 1, version, position: index + 1, name: stand.name, houseId: placeOf(layout.houses, stand.house), poolId: placeOf(layout.pools, stand.pool),
      loopId: loops.find(({ name }) => name === stand.loop)?.id ?? null, xM: stand.xM, yM: stand.yM, turned: stand.turned, spec: stand.spec,
    })),
  }; // prettier-ignore
}

/** The houses of a layout put by, counted; nothing grows there. */
export function layoutHouseViews(rows: LayoutRows, { who, rows: garden }: Season): HouseView[] {
  return rows.houses.map((house) => {
    const own = rows.stands.filter((stand) => stand.houseId === house.id);
    return {
      house,
      clashes: inUnits(houseClashes(house, own).map(({ message }) => message), who.units),
      narrow: inUnits(narrowWays(own), who.units),
      stands: own.map((stand) => {
        const counts = standCounts(stand.spec);
        const more = standChecks(stand.spec, { latitudeDeg: who.latitudeDeg, rootCrops: [] });
        return {
          stand,
          poolName: rows.pools.find(({ id }) => id === stand.poolId)?.name ?? "",
          loopName: garden.loops.find(({ id }) => id === stand.loopId)?.name ?? null,
          counts: inUnits({ ...counts, warnings: [...counts.warnings, ...more.warnings], facts: [...counts.facts, ...more.facts] }, who.units),
          densities: densities(counts.sites, Math.max(1e-9, counts.lines * counts.lineAreaM2), Math.max(1e-9, standGroundM2(stand)), house.lengthM * house.widthM),
          water: standWater(stand.spec),
          headspace: null,
          planted: 0,
          growing: [],
        };
      }),
    };
  }); // prettier-ignore
}
