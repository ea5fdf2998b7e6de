import Joi from "joi";
import type { Entity, EntityField } from "@/core/garden/entities/field";
import type { ListMeasure, Measure, NumberMeasure, NumbersMeasure } from "@/core/place/kinds/model";
import { DIMENSIONS, type Dimension } from "@/core/units/dimensions";
import { figures, choice, day, measure, note, maybeRowId, rowId, text, whole } from "../session/validation";

const WITHOUT_UNIT = new Set(["count", "ratio", "share"]);
const unitOf = (dimension: Dimension) => (WITHOUT_UNIT.has(dimension) ? "" : DIMENSIONS[dimension][0]!.symbol);

function numberSchema(field: NumberMeasure): Joi.NumberSchema {
  const { label, dimension, least, greatest, atMost, atLeast } = field;
  const unit = unitOf(dimension);
  const said = (words: string) => `${label} is {#value}${unit && ` ${unit}`}; ${words}`;
  const schema = field.whole ? whole(label, least, greatest, unit) : measure(label, least, greatest, unit);
  if (!atMost && !atLeast) return schema;
  // A limit that is another measure comes on top of the range; where the other one is wrong itself, it says so.
  return schema
    .messages({ "number.most": atMost ? said(atMost.words) : "", "number.least": atLeast ? said(atLeast.words) : "" })
    .custom((value: number, helpers) => {
      const others = helpers.state.ancestors[0] as Readonly<Record<string, unknown>>;
      const most = atMost && others[atMost.measure];
      if (typeof most === "number" && value > most * atMost!.times + 1e-9) return helpers.error("number.most");
      const lowest = atLeast && others[atLeast.measure];
      if (typeof lowest === "number" && value < lowest + (atLeast!.plus ?? 0) - 1e-9)
        return helpers.error("number.least");
      return value;
    });
}

function numbersSchema({ label, dimension, least, greatest, fewest, most }: NumbersMeasure): Joi.ArraySchema {
  return Joi.array()
    .items(measure(label, least, greatest, unitOf(dimension)).optional())
    .min(fewest)
    .max(most)
    .required()
    .label(label)
    .messages({
      "array.min": `${label}: ${fewest === 1 ? "write at least one" : `write all ${fewest}`}`,
      "array.max": `${label} has more than ${most} numbers`,
    });
}

function listSchema({ label, least = 0, most, columns, rising }: ListMeasure): Joi.ArraySchema {
  const row = Joi.object(
    Object.fromEntries(
      columns.map((column) => [column.name, column.type === "text" ? text(column.label) : numberSchema(column)]),
    ),
  );
  return Joi.array()
    .items(row)
    .max(most)
    .min(least)
    .required()
    .label(label)
    .custom((rows: readonly Record<string, number>[], helpers) => {
      // What is no number has its own message.
      if (rising === undefined || !rows.every((one) => Number.isFinite(one?.[rising]))) return rows;
      const at = rows.findIndex((one, index) => index > 0 && !(one[rising]! > rows[index - 1]![rising]!));
      const column = columns.find(({ name }) => name === rising)!;
      return at < 0
        ? rows
        : helpers.message({
            custom: `${label}: ${column.label.toLowerCase()} ${at + 1} is ${rows[at]![rising]!}; it must rise from row to row`,
          });
    })
    .messages({
      "array.max": `${label} has more than ${most} rows`,
      "array.min": `${label} needs at least ${least} rows`,
    });
}

/** The check of a field, from its description. */
export function schemaOf(field: Measure | EntityField): Joi.Schema {
  const schema = valueSchema(field);
  return "nullable" in field && field.nullable ? schema.allow(null) : schema;
}

function valueSchema(field: Measure | EntityField): Joi.Schema {
  switch (field.type) {
    case "number":
      return numberSchema(field);
    case "choice":
      return choice(field.label, ...field.options);
    case "numbers":
      return numbersSchema(field);
    case "choices":
      return Joi.array()
        .items(Joi.valid(...field.options))
        .unique()
        .required()
        .label(field.label)
        .messages({ "any.only": `${field.label} must be of ${field.options.join(", ")}` });
    case "list":
      return listSchema(field);
    case "text":
      return text(field.label, field.most);
    case "note":
      return note(field.label, field.most);
    case "switch":
      return Joi.boolean().required().label(field.label);
    case "day":
      return day(field.label);
    case "reference":
      return rowId(field.label);
    case "amounts":
      return figures(
        Object.fromEntries(
          field.of.map((name) => [
            name,
            measure(`${name} under “${field.label}”`, 0, field.greatest, unitOf(field.dimension)).optional(),
          ]),
        ),
        field.label,
      );
    case "union":
      return unionSchema(field);
  }
}

/** Only the measures of the kind that was sent are reported. */
function unionSchema({ label, kinds }: Extract<EntityField, { type: "union" }>): Joi.Schema {
  return Joi.alternatives()
    .conditional(".kind", {
      switch: Object.entries(kinds).map(([kind, measures]) => ({
        is: kind,
        then: Joi.object({
          kind: Joi.valid(kind).required(),
          ...Object.fromEntries(measures.map((one) => [one.name, measureSchema(one)])),
        }),
      })),
    })
    .required()
    .messages({ "alternatives.any": `${label} is not known`, "alternatives.all": `${label} is not known` });
}

/** What came later than the first files and sets has a value for those. */
function measureSchema(one: Measure): Joi.Schema {
  const schema = schemaOf(one);
  return "initial" in one && one.initial !== undefined ? schema.optional().default(one.initial) : schema;
}

/** The checks of all fields of an entity, by their names. */
export function partsOf({ fields }: Entity): Record<string, Joi.Schema> {
  return Object.fromEntries(fields.map((field) => [field.name, schemaOf(field)]));
}

const MOST_TYPED = 40;
const MOST_DEPTH = 6;

/** Texts that people typed for quantities, with what they came to, by the path of the field. */
const typed = Joi.object()
  .pattern(Joi.string().max(80), Joi.array().ordered(Joi.string().max(MOST_TYPED), Joi.number()).length(2))
  .custom((texts: unknown, helpers) => (isJson(texts) ? texts : helpers.error("object.base")))
  .label("What was typed")
  .default({});

/** Plain data: what else could be sent is compared with nothing. */
function isJson(value: unknown, depth = 0): boolean {
  if (value === null || typeof value === "boolean" || typeof value === "string") return true;
  if (typeof value === "number") return Number.isFinite(value);
  if (typeof value !== "object" || depth > MOST_DEPTH) return false;
  if (Array.isArray(value)) return value.every((part) => isJson(part, depth + 1));
  const isPlain = Object.getPrototypeOf(value) === Object.prototype || Object.getPrototypeOf(value) === null;
  return isPlain && Object.values(value).every((part) => isJson(part, depth + 1));
}

/** What every form of a row sends beside its fields: which row, and its fields as they stood when the form was opened. */
const opening = (label: string) => ({
  id: maybeRowId(label),
  opened: Joi.when("id", {
    is: null,
    then: Joi.valid(null).default(null),
    otherwise: Joi.object()
      .unknown()
      .required()
      .custom((opened: unknown, helpers) => (isJson(opened) ? opened : helpers.error("any.required")))
      .messages({ "any.required": `${label}: say what it was when the form was opened` }),
  }),
  typed,
});

/** What a form sends to save a row of an entity. */
export function entitySchema<Input extends object>(entity: Entity): Joi.ObjectSchema<Input> {
  return inOrder(entity, Joi.object({ ...opening(entity.label), ...partsOf(entity) }));
}

/** A whole row of an entity, whatever else is in it. */
export function rowSchema(entity: Entity): Joi.ObjectSchema {
  return inOrder(entity, Joi.object(partsOf(entity)).unknown());
}

/** With the rules that join two fields. */
function inOrder<Input>({ order = [] }: Entity, schema: Joi.ObjectSchema): Joi.ObjectSchema<Input> {
  return order.reduce<Joi.ObjectSchema>(
    (all, { least, greatest, words }) =>
      all.custom((row: Readonly<Record<string, number | readonly number[] | null | undefined>>, helpers) => {
        // One figure, or one for each month.
        const [lows, highs] = [[row[least] ?? []].flat(), [row[greatest] ?? []].flat()];
        const isTurned = lows.some((low, at) => highs[at] !== undefined && highs[at]! < low);
        return isTurned ? helpers.message({ custom: words }) : row;
      }),
    schema,
  ) as Joi.ObjectSchema<Input>;
}
