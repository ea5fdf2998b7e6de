import { STAND_KINDS, STAND_MODELS, type StandKind } from "../../place/kinds";
import type { ListMeasure, Measure, NumberMeasure } from "../../place/kinds/model";
import { LAYOUT_FORMAT, LAYOUT_VERSION } from "../../place/layout/document";
import type { Entity } from "./field";
import { GROWING_AREA, HOUSE } from "./place";

type Schema = Readonly<Record<string, unknown>>;
const text: Schema = { type: "string", minLength: 1, maxLength: 80 };
const metres = (least: number, greatest: number): Schema => ({ type: "number", minimum: least, maximum: greatest });
const whole = (properties: Readonly<Record<string, Schema>>, description?: string): Schema => ({
  type: "object",
  ...(description && { description }),
  properties,
  required: Object.keys(properties),
  additionalProperties: false,
});

function numberSchema({ label, hint, least, greatest, whole: isWhole }: NumberMeasure): Schema {
  return {
    type: isWhole ? "integer" : "number",
    minimum: least,
    maximum: greatest,
    description: hint ? `${label}; ${hint}` : label,
  };
}

function listSchema({ label, hint, most, columns }: ListMeasure): Schema {
  const row = Object.fromEntries(
    columns.map((column) => [
      column.name,
      column.type === "text" ? { ...text, description: column.label } : numberSchema(column),
    ]),
  );
  return { type: "array", maxItems: most, items: whole(row), description: hint ? `${label}; ${hint}` : label };
}

function measureSchema(measure: Measure): Schema {
  switch (measure.type) {
    case "number":
      return numberSchema(measure);
    case "numbers":
      return {
        type: "array",
        minItems: measure.fewest,
        maxItems: measure.most,
        items: metres(measure.least, measure.greatest),
      };
    case "list":
      return listSchema(measure);
    case "choice":
      return { enum: measure.options, description: measure.label };
    case "switch":
      return { type: "boolean", description: measure.label };
  }
}

/** The fields of an entity as a file holds them: by name, without ids. One that begins with a value may be left out. */
function entityOf({ fields }: Entity): Schema {
  const properties = fields.flatMap((field): (readonly [string, Schema])[] => {
    if (field.type === "number" || field.type === "choice") return [[field.name, measureSchema(field)]];
    return field.type === "text" ? [[field.name, text]] : [];
  });
  const optional = new Set(fields.flatMap(({ name, initial }) => (initial === undefined ? [] : [name])));
  return without(whole(Object.fromEntries(properties)), optional);
}

function specSchema(kind: StandKind): Schema {
  const { words, measures } = STAND_MODELS[kind];
  const schema = whole(
    { kind: { const: kind }, ...Object.fromEntries(measures.map((measure) => [measure.name, measureSchema(measure)])) },
    `${words.name}. ${words.about}`,
  );
  return without(schema, new Set(measures.flatMap((one) => ("initial" in one ? [one.name] : []))));
}

/** Some fields may be left out. */
function without(schema: Schema, optional: ReadonlySet<string>): Schema {
  return { ...schema, required: (schema.required as string[]).filter((name) => !optional.has(name)) };
}

/** The JSON schema (draft 2020-12) of a layout file, made from the measures that forms and checks are made from. */
export function layoutJsonSchema(): Schema {
  return {
    $schema: "https://json-schema.org/draft/2020-12/schema",
    title: "A garden's layout",
    description:
      "Houses, growing areas and stands by their names. Lengths in metres, x to the right and y down; the name of a measure tells its unit where it is another. A turned stand has its lines along y.",
    ...whole({
      format: { const: LAYOUT_FORMAT },
      version: { const: LAYOUT_VERSION },
      name: text,
      houses: {
        type: "array",
        items: entityOf(HOUSE),
      },
      growingAreas: {
        type: "array",
        items: entityOf(GROWING_AREA),
      },
      stands: {
        type: "array",
        items: without(
          whole({
            name: text,
            house: { ...text, description: "name of one of the houses" },
            growingArea: { ...text, description: "name of one of the growing areas" },
            loop: {
              anyOf: [text, { type: "null" }],
              description: "name of a loop of the garden; null is watered by hand",
            },
            xM: metres(0, 500),
            yM: metres(0, 500),
            turned: { type: "boolean" },
            groundM: metres(-50, 50),
            spec: { oneOf: STAND_KINDS.map((kind) => ({ $ref: `#/$defs/${kind}` })) },
          }),
          new Set(["groundM"]),
        ),
      },
    }),
    $defs: Object.fromEntries(STAND_KINDS.map((kind) => [kind, specSchema(kind)])),
  };
}
