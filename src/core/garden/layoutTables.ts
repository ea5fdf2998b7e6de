import type { LayoutArea, LayoutDocument, LayoutHouse } from "../place/layout/document";
import { LAYOUT_FORMAT, LAYOUT_VERSION } from "../place/layout/document";
import type { Row, Table, Tables } from "./changes";
import { newRow } from "./edit";
import type { Entity } from "./entities/field";
import { GROWING_AREA, HOUSE, STAND } from "./entities/place";
import type { Garden } from "./garden";

/** The fields of a row that its entity describes. */
const described = ({ fields }: Entity, row: object): Row =>
  Object.fromEntries(fields.map(({ name }) => [name, (row as Row)[name] ?? null]));

/** The places of a garden as a layout file has them, by their names. */
export function liveLayout(rows: Garden, name: string): LayoutDocument {
  const nameOf = (list: readonly { readonly id: number; readonly name: string }[], id: number | null) =>
    list.find((row) => row.id === id)?.name ?? null;
  return {
    format: LAYOUT_FORMAT,
    version: LAYOUT_VERSION,
    name,
    houses: rows.houses.map((house) => described(HOUSE, house) as unknown as LayoutHouse),
    growingAreas: rows.growingAreas.map((area) => described(GROWING_AREA, area) as unknown as LayoutArea),
    stands: rows.stands.map((stand) => ({
      name: stand.name,
      house: nameOf(rows.houses, stand.houseId)!,
      growingArea: nameOf(rows.growingAreas, stand.growingAreaId)!,
      loop: nameOf(rows.loops, stand.loopId),
      xM: stand.xM,
      yM: stand.yM,
      turned: stand.turned,
      groundM: stand.groundM,
      spec: stand.spec,
    })),
  };
}

/**
 * The plan as a layout file would have it: the same houses, growing areas and stands by name, new ones with ids below 0.
 * No growing area goes: varieties spend their stages there, whatever a file leaves out.
 */
export function tablesWithLayout(tables: Tables, layout: LayoutDocument): Tables {
  const fresh = { last: 0 };
  const houses = named(tables.house ?? {}, layout.houses as unknown as readonly Row[], HOUSE, tables, fresh);
  const areas = {
    ...tables.growing_area,
    ...named(tables.growing_area ?? {}, layout.growingAreas as unknown as readonly Row[], GROWING_AREA, tables, fresh),
  };
  const idOf = (table: Table, name: string | null) => Object.values(table).find((row) => row.name === name)?.id ?? null;
  const stands = layout.stands.map(({ house, growingArea, loop, ...own }): Row => {
    const row = {
      ...own,
      spec: own.spec as unknown as Row,
      houseId: idOf(houses, house),
      growingAreaId: idOf(areas, growingArea),
      loopId: loop === null ? null : idOf(tables.loop ?? {}, loop),
    };
    const old = Object.values(tables.stand ?? {}).find(
      ({ name, houseId }) => name === row.name && houseId === row.houseId,
    );
    return { ...(old ?? newRow(tables, STAND, --fresh.last, row)), ...row };
  });
  return { ...tables, house: houses, growing_area: areas, stand: byId(stands) };
}

const byId = (rows: readonly Row[]): Table => Object.fromEntries(rows.map((row) => [Number(row.id), row]));

/** Rows of a file: those that the garden has by the same name, with what the file says; else new ones. */
function named(old: Table, rows: readonly Row[], entity: Entity, tables: Tables, fresh: { last: number }): Table {
  const found = rows.map((row): Row => {
    const own = Object.values(old).find(({ name }) => name === row.name);
    return { ...(own ?? newRow(tables, entity, --fresh.last, row)), ...row };
  });
  return byId(found);
}
