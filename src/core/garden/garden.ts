import type { PlanBatch, PlanOrder, PlanStage } from "../batches/types";
import type { HarvestUnit } from "../growth/harvestUnit";
import type { RainNormals } from "../water/rainInflow";
import type { BATCH, BATCH_PLACE, CLOSED_DAY, CUSTOMER, ORDER, SEASON } from "./entities/batches";
import type { METER, RECIPE, RECIPE_SALT, SALT, SALT_LOT } from "./entities/feed";
import type { FieldsOf, RowOf } from "./entities/field";
import type { HARVEST_UNIT, SEED_LOT, VARIETY, VARIETY_STAGE, VARIETY_STEP } from "./entities/growth";
import type { CLIMATE, GROWING_AREA, HOUSE, STAND } from "./entities/place";
import type { LOOP, SOURCE, STOCK_TANK, STORE } from "./entities/water";

export type ClimateRow = RowOf<typeof CLIMATE>;
export type House = RowOf<typeof HOUSE>;
export type Stand = RowOf<typeof STAND>;
export type GrowingAreaRow = RowOf<typeof GROWING_AREA>;
/** A loop: its tank, what it is fed, and what moves its water. */
export type Loop = RowOf<typeof LOOP>;
export type Source = RowOf<typeof SOURCE>;
export type Store = RowOf<typeof STORE>;
export type SaltLot = RowOf<typeof SALT_LOT>;
export type SaltRow = Omit<RowOf<typeof SALT>, "solubilityGPerL"> & {
  /** Newest first. */
  readonly lots: readonly SaltLot[];
  readonly solubilityGPerL: readonly [number, number, number, number] | null;
};
export type RecipeSalt = Pick<FieldsOf<typeof RECIPE_SALT>, "saltId" | "stock" | "gPer1000L"> & {
  readonly id?: number;
};
export type Recipe = RowOf<typeof RECIPE> & { readonly salts: readonly RecipeSalt[] };
export type MeterRow = RowOf<typeof METER>;
export type StockTankRow = RowOf<typeof STOCK_TANK>;
export type HarvestUnitRow = RowOf<typeof HARVEST_UNIT>;
export type Stage = PlanStage & Omit<RowOf<typeof VARIETY_STAGE>, "id" | "varietyId" | "position" | "daysByMonth">;
export type SeedLot = RowOf<typeof SEED_LOT>;
export type VarietyStep = RowOf<typeof VARIETY_STEP>;
/** A variety with its stages and steps in order, and its seed, the oldest lot first. */
export type Variety = RowOf<typeof VARIETY> & {
  readonly unit: HarvestUnit;
  readonly stages: readonly Stage[];
  readonly lots: readonly SeedLot[];
  readonly steps: readonly VarietyStep[];
};
export type BatchRow = RowOf<typeof BATCH> & PlanBatch;
export type OrderRow = RowOf<typeof ORDER> & PlanOrder;
/** Sites that are kept for a stage of a batch. */
export type BatchPlace = RowOf<typeof BATCH_PLACE>;
/** By what a season is solved. */
export type SeasonSettings = RowOf<typeof SEASON>;
export type ClosedDay = RowOf<typeof CLOSED_DAY>;
/** Who orders. */
export type Customer = RowOf<typeof CUSTOMER>;

/** The rows that the plan of a garden is made of; log, readings, people and history are not among them. */
export interface Garden {
  readonly latitudeDeg: number;
  /** None where nothing of it was told. */
  readonly climate: ClimateRow | null;
  readonly rain: RainNormals;
  readonly houses: readonly House[];
  readonly stands: readonly Stand[];
  readonly growingAreas: readonly GrowingAreaRow[];
  readonly loops: readonly Loop[];
  readonly sources: readonly Source[];
  readonly stores: readonly Store[];
  readonly salts: readonly SaltRow[];
  readonly recipes: readonly Recipe[];
  readonly meters: readonly MeterRow[];
  readonly stockTanks: readonly StockTankRow[];
  readonly harvestUnits: readonly HarvestUnitRow[];
  readonly varieties: readonly Variety[];
  readonly batches: readonly BatchRow[];
  readonly places: readonly BatchPlace[];
  /** None where nothing of it was told: then the usual figures are taken. */
  readonly season: SeasonSettings | null;
  readonly closedDays: readonly ClosedDay[];
  readonly orders: readonly OrderRow[];
  readonly customers: readonly Customer[];
}
