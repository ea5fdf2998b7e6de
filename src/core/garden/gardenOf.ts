import type { RainNormals } from "../water/rainInflow";
import type { Row, Table, Tables } from "./changes";
import type {
  BatchPlace,
  BatchRow,
  ClimateRow,
  ClosedDay,
  Customer,
  Garden,
  GrowingAreaRow,
  HarvestUnitRow,
  House,
  Loop,
  MeterRow,
  OrderRow,
  Recipe,
  RecipeSalt,
  SaltLot,
  SaltRow,
  SeasonSettings,
  SeedLot,
  Source,
  Stage,
  Stand,
  StockTankRow,
  Store,
  Variety,
  VarietyStep,
} from "./garden";
import { memo } from "./memo";

/** Where a garden lies: what its sun hangs on. */
export type Site = Pick<Garden, "latitudeDeg">;

const NONE: Table = {};

/**
 * A garden from its tables: rows in their order, parts with what they are parts of. Lists whose tables are the same
 * objects stay the same objects, so that what was worked out from them is kept.
 */
export function gardenOf(tables: Tables, site: Site): Garden {
  const of = (entity: string): Table => tables[entity] ?? NONE;
  const list = <One>(entity: string, ...by: readonly (keyof One & string)[]): readonly One[] =>
    memo(`rows ${entity}`, [of(entity)], () => sorted(Object.values(of(entity)) as unknown as One[], by));
  const harvestUnits = list<HarvestUnitRow>("harvest_unit", "name");
  const customers = list<Customer>("customer", "name");
  const climate = list<ClimateRow>("climate", "id")[0] ?? null;
  return {
    ...site,
    climate,
    rain: memo("rain", [of("climate")], () => rainOf(climate)),
    houses: list<House>("house", "position", "id"),
    stands: list<Stand>("stand", "houseId", "position", "id"),
    growingAreas: list<GrowingAreaRow>("growing_area", "position", "id"),
    loops: list<Loop>("loop", "position", "id"),
    sources: list<Source>("source", "priority", "id"),
    stores: list<Store>("store", "id"),
    salts: memo("salts", [of("salt"), of("salt_lot")], () => salts(of("salt"), of("salt_lot"))),
    recipes: memo("recipes", [of("recipe"), of("recipe_salt")], () => recipes(of("recipe"), of("recipe_salt"))),
    meters: list<MeterRow>("meter", "name"),
    stockTanks: list<StockTankRow>("stock_tank", "loopId", "letter"),
    harvestUnits,
    varieties: memo(
      "varieties",
      [of("variety"), of("variety_stage"), of("seed_lot"), of("variety_step"), harvestUnits],
      () =>
        varieties(
          of("variety"),
          { stages: of("variety_stage"), lots: of("seed_lot"), steps: of("variety_step") },
          harvestUnits,
        ),
    ),
    batches: memo("batches", [of("batch"), of("batch_stage")], () => batches(of("batch"), of("batch_stage"))),
    places: list<BatchPlace>("batch_place", "batchId", "stage", "standId", "line", "id"),
    season: list<SeasonSettings>("season", "id")[0] ?? null,
    closedDays: list<ClosedDay>("closed_day", "day", "kind"),
    orders: memo("orders", [of("order_line"), customers], () => orders(of("order_line"), customers)),
    customers,
  };
}

const NONE_BY_MONTH: readonly number[] = new Array<number>(12).fill(0);

/** Rain that was not told is counted as none. */
function rainOf(climate: ClimateRow | null): RainNormals {
  return {
    rainMmByMonth: climate?.rainMmByMonth ?? NONE_BY_MONTH,
    wetDaysByMonth: climate?.wetDaysByMonth ?? NONE_BY_MONTH,
  };
}

/** Rows by one field after the other; texts as people sort them. */
function sorted<One>(rows: One[], by: readonly (keyof One & string)[]): One[] {
  return rows.sort((a, b) => {
    for (const field of by) {
      const [one, other] = [a[field] as number | string, b[field] as number | string];
      const order = typeof one === "string" ? one.localeCompare(String(other), "en") : one - Number(other);
      if (order !== 0) return order;
    }
    return 0;
  });
}

/** Parts by the row that they are parts of. */
function byWhole(parts: Table, field: string): ReadonlyMap<number, Row[]> {
  const found = new Map<number, Row[]>();
  for (const part of Object.values(parts)) {
    const own = found.get(part[field] as number);
    if (own) own.push(part);
    else found.set(part[field] as number, [part]);
  }
  return found;
}

function recipes(table: Table, parts: Table): Recipe[] {
  const salts = byWhole(parts, "recipeId");
  const rows = Object.values(table) as unknown as Recipe[];
  return sorted(rows, ["id"]).map((recipe) => ({
    ...recipe,
    salts: sorted((salts.get(recipe.id) ?? []) as unknown as RecipeSalt[], ["stock", "saltId"]),
  }));
}

function salts(table: Table, parts: Table): SaltRow[] {
  const lots = byWhole(parts, "saltId");
  const rows = Object.values(table) as unknown as SaltRow[];
  return sorted(rows, ["name"]).map((salt) => ({
    ...salt,
    lots: sorted((lots.get(salt.id) ?? []) as unknown as SaltLot[], ["receivedOn", "id"]).toReversed(),
  }));
}

function varieties(
  table: Table,
  parts: { readonly stages: Table; readonly lots: Table; readonly steps: Table },
  units: readonly HarvestUnitRow[],
): Variety[] {
  const lots = byWhole(parts.lots, "varietyId");
  const steps = byWhole(parts.steps, "varietyId");
  const stages = byWhole(parts.stages, "varietyId");
  const rows = Object.values(table) as unknown as Variety[];
  return sorted(rows, ["name"]).map((variety) => ({
    ...variety,
    unit: units.find(({ id }) => id === variety.unitId)!,
    stages: sorted((stages.get(variety.id) ?? []) as unknown as (Stage & { readonly position: number })[], [
      "position",
    ]),
    steps: sorted((steps.get(variety.id) ?? []) as unknown as VarietyStep[], ["position"]),
    lots: sorted((lots.get(variety.id) ?? []) as unknown as SeedLot[], ["receivedOn", "id"]),
  }));
}

function batches(table: Table, parts: Table): BatchRow[] {
  const stages = byWhole(parts, "batchId");
  const rows = Object.values(table) as unknown as BatchRow[];
  return sorted(rows, ["sowDay", "id"]).map((batch) => ({
    ...batch,
    begun: sorted(
      (stages.get(batch.id) ?? []) as unknown as (BatchRow["begun"][number] & { readonly logId?: number | null })[],
      ["position"],
    ).map(({ position, day, plants, countedOf, countedUp, countedOn, readyOn, logId }) => ({
      ...{ position, day, plants },
      ...(countedOf != null && { countedOf, countedUp, countedOn }),
      ...(readyOn != null && { readyOn }),
      ...(logId == null && { asItStood: true }),
    })),
  }));
}

function orders(table: Table, customers: readonly Customer[]): OrderRow[] {
  const names = new Map(customers.map(({ id, name }) => [id, name]));
  const rows = (Object.values(table) as unknown as OrderRow[]).map((order) => ({
    ...order,
    customerName: names.get(order.customerId) ?? "",
  }));
  return sorted(rows, ["customerName", "weekday", "id"]);
}
