import type { Rules } from "../changes";
import { BATCH, BATCH_PLACE, BATCH_STAGE, CLOSED_DAY, CUSTOMER, ORDER, SEASON } from "./batches";
import { METER, RECIPE, RECIPE_SALT, SALT, SALT_LOT } from "./feed";
import type { Entity } from "./field";
import { HARVEST_UNIT, SEED_LOT, VARIETY, VARIETY_STAGE, VARIETY_STEP } from "./growth";
import { CLIMATE, GROWING_AREA, HOUSE, STAND } from "./place";
import { LOOP, SOURCE, STOCK_TANK, STORE } from "./water";

/** The entities of a plan, each after those that its rows refer to. */
export const PLAN_ENTITIES = [
  CLIMATE,
  HOUSE,
  GROWING_AREA,
  SOURCE,
  STORE,
  SALT,
  SALT_LOT,
  RECIPE,
  RECIPE_SALT,
  METER,
  LOOP,
  STOCK_TANK,
  STAND,
  HARVEST_UNIT,
  VARIETY,
  VARIETY_STAGE,
  VARIETY_STEP,
  SEED_LOT,
  CUSTOMER,
  ORDER,
  SEASON,
  CLOSED_DAY,
  BATCH,
  BATCH_STAGE,
  BATCH_PLACE,
] as const satisfies readonly Entity[];

/** The same by their table. */
export const ENTITIES: Readonly<Record<string, Entity>> = Object.fromEntries(
  PLAN_ENTITIES.map((entity) => [entity.table, entity]),
);

/** The entity that each field refers to, within a plan. */
const referencesOf = ({ fields }: Entity) =>
  Object.fromEntries(
    fields.flatMap((field) => (field.type === "reference" && ENTITIES[field.to] ? [[field.name, field.to]] : [])),
  );

export const RULES: Rules = {
  references: Object.fromEntries(PLAN_ENTITIES.map((entity) => [entity.table, referencesOf(entity)])),
  names: Object.fromEntries(
    PLAN_ENTITIES.flatMap((entity: Entity) => (entity.unique ? [[entity.table, entity.unique]] : [])),
  ),
  follows: Object.fromEntries(
    PLAN_ENTITIES.flatMap((entity: Entity) => {
      const wholes = entity.fields.filter((field) => field.type === "reference" && field.isPart);
      return entity.follows ? [[entity.table, wholes.map(({ name }) => name)]] : [];
    }),
  ),
};

/** The entities whose rows are parts of rows of another, with the field that says of which. */
export function partEntities(table: string): { readonly entity: Entity; readonly field: string }[] {
  return PLAN_ENTITIES.flatMap((entity: Entity) =>
    entity.fields.flatMap((field) =>
      field.type === "reference" && field.isPart && field.to === table ? [{ entity, field: field.name }] : [],
    ),
  );
}
