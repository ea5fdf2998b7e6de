import type { LayoutDocument } from "@/core/place/layout/document";
import { LAYOUT_FORMAT, LAYOUT_VERSION } from "@/core/place/layout/document";
import type { GardenRows, Season } from "../batches/season";
import { houseView, type HouseView, type PlaceRows } from "./view";

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
export function layoutRows(layout: LayoutDocument, version: number, loops: GardenRows["loops"]): PlaceRows {
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

/** The houses of a layout put by, counted and checked as real ones are; nothing grows there. */
export function layoutHouseViews(place: PlaceRows, season: Season): HouseView[] {
  return place.houses.map((house) => houseView(house, place, season, () => []));
}
