import type { StatedDelivery } from "../batches/deliveryStates";
import type { PlacedStay } from "../batches/places/areaPlaces";
import type { Plan } from "../batches/plan";
import type { SaltUse, Shortage } from "../batches/shortages";
import type { PlanInput } from "../batches/types";
import type { RoundItem } from "../round/types";
import type { Day } from "../units/day";
import type { SupplyHorizon } from "../water/supply";
import type { Facts } from "./facts";
import type { Garden, Stand } from "./garden";
import type { LoopFeed } from "./fed";

/** A garden worked out: its parts are made when they are asked for. */
export interface Worked {
  readonly garden: Garden;
  readonly facts: Facts;
  readonly today: Day;
  readonly input: PlanInput;
  readonly plan: Plan;
  /** Stands of each growing area, by its id. */
  readonly growingAreaStands: ReadonlyMap<number, readonly Stand[]>;
  /** Stays of each growing area on its sites, by its id. */
  readonly placed: ReadonlyMap<number, readonly PlacedStay[]>;
  /** What each loop is fed, by its id. */
  readonly feeds: ReadonlyMap<number, LoopFeed>;
  readonly supply: SupplyHorizon;
  readonly saltUses: readonly SaltUse[];
  readonly shortages: readonly Shortage[];
  readonly deliveries: readonly StatedDelivery[];
  readonly round: readonly RoundItem[];
}
