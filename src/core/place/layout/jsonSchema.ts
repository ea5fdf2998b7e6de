import { STAND_KINDS, STAND_MODELS, type StandKind } from "../kinds";
import type { ListMeasure, Measure, NumberMeasure } from "../kinds/model";
import { LAYOUT_FORMAT, LAYOUT_VERSION } from "./document";

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
  return { type: isWhole ? "integer" : "number", minimum: least, maximum: greatest, description: hint ? `${label}; ${hint}` : label }; // prettier-ignore
}

function listSchema({ label, hint, most, columns }: ListMeasure): Schema {
  const row = Object.fromEntries(columns.map((column) => [column.name, column.type === "text" ? { ...text, description: column.label } : numberSchema(column)])); // prettier-ignore
  return { type: "array", maxItems: most, items: whole(row), description: hint ? `${label}; ${hint}` : label };
}

function measureSchema(measure: Measure): Schema {
  if (measure.type === "number") return numberSchema(measure);
  return measure.type === "list" ? listSchema(measure) : { enum: measure.options, description: measure.label };
}

function specSchema(kind: StandKind): Schema {
  const { words, measures } = STAND_MODELS[kind];
  return whole(
    { kind: { const: kind }, ...Object.fromEntries(measures.map((measure) => [measure.name, measureSchema(measure)])) },
    `${words.name}. ${words.about}`,
  );
}

/** The JSON schema (draft 2020-12) of a layout file, made from the measures that forms and checks are made from. */
export function layoutJsonSchema(): Schema {
  return {
    $schema: "https://json-schema.org/draft/2020-12/schema",
    title: "A garden's layout",
    description:
      "Houses, pools and stands by their names. Lengths in metres, x to the right and y down; a unit stands in the name of a measure where it is another. A turned stand has its lines along y.",
    ...whole({
      format: { const: LAYOUT_FORMAT },
      version: { const: LAYOUT_VERSION },
      name: text,
      houses: {
        type: "array",
        items: whole({
          name: text,
          lengthM: metres(0.5, 500),
          widthM: metres(0.5, 500),
          heightM: metres(0.3, 30),
          cover: { enum: ["net", "film", "glass", "polycarbonate", "open"] },
          shadeShare: metres(0, 1),
          xM: metres(0, 10_000),
          yM: metres(0, 10_000),
        }),
      },
      pools: { type: "array", items: whole({ name: text, cleaningDays: { type: "integer", minimum: 0, maximum: 60 } }) },
      stands: {
        type: "array",
        items: whole({
          name: text,
          house: { ...text, description: "name of one of the houses" },
          pool: { ...text, description: "name of one of the pools" },
          loop: { anyOf: [text, { type: "null" }], description: "name of a loop of the garden; null is watered by hand" },
          xM: metres(0, 500),
          yM: metres(0, 500),
          turned: { type: "boolean" },
          spec: { oneOf: STAND_KINDS.map((kind) => ({ $ref: `#/$defs/${kind}` })) },
        }),
      },
    }),
    $defs: Object.fromEntries(STAND_KINDS.map((kind) => [kind, specSchema(kind)])),
  }; // prettier-ignore
}
