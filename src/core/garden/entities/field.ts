import type { Right } from "../../people/rights";
import type { ChoiceMeasure, Measure, NumberMeasure, NumbersMeasure } from "../../place/kinds/model";
import type { Dimension } from "../../units/dimensions";
import type { Day } from "../../units/day";
import type { Json } from "../changes";

interface Common {
  /** Name in the row, its unit included: `lengthM`. */
  readonly name: string;
  readonly label: string;
  readonly hint?: string;
  /** Of the table, where it is not the name in snake case. */
  readonly column?: string;
  /** What a row has that says nothing of the field: the column's default, and that of files and sets of before. */
  readonly initial?: Json;
  readonly nullable?: true;
}
type More = Pick<Common, "column" | "initial" | "nullable">;

/** A field of an entity. Stored is the value in SI, a code or an id; the label is what people call it. */
export type EntityField =
  | (NumberMeasure & More)
  | (NumbersMeasure & More)
  | (ChoiceMeasure & More)
  /** Any of a few codes. */
  | (Common & {
      readonly type: "choices";
      readonly options: readonly string[];
      readonly labels?: Readonly<Record<string, string>>;
    })
  | (Common & { readonly type: "text"; readonly most?: number })
  /** May be empty. */
  | (Common & { readonly type: "note"; readonly most?: number })
  | (Common & { readonly type: "switch" })
  | (Common & { readonly type: "day" })
  /** A row of another entity. A part goes with the row that it is a part of. */
  | (Common & { readonly type: "reference"; readonly to: string; readonly isPart?: true })
  | (Common & {
      readonly type: "amounts";
      readonly of: readonly string[];
      readonly dimension: Dimension;
      readonly greatest: number;
    })
  /** An object of one of several kinds, each with measures of its own, kept as JSON. */
  | (Common & {
      readonly type: "union";
      readonly kinds: Readonly<Record<string, readonly Measure[]>>;
      readonly labels?: Readonly<Record<string, string>>;
    });

/** What the rows of a table are, described once: checks, columns, forms, history and files are made from it. */
export interface Entity {
  readonly table: string;
  readonly label: string;
  readonly fields: readonly EntityField[];
  /** Who may change it. */
  readonly right: Right;
  /** Rows have an order of their own, kept as `position`; a new one comes last. */
  readonly placed?: true;
  /** Rows go with any row that they are parts of, without anybody being asked. */
  readonly follows?: true;
  /** Fields that together are different for each row. */
  readonly unique?: readonly string[];
  /** Rules that join two fields: the later day, the larger volume. */
  readonly order?: readonly { readonly least: string; readonly greatest: string; readonly words: string }[];
}

/** The value of a field, by its description. */
type ValueOf<Field> = Field extends { readonly nullable: true } ? ValueIn<Field> | null : ValueIn<Field>;
type ValueIn<Field> = Field extends { readonly type: "number" | "reference" }
  ? number
  : Field extends { readonly type: "numbers" }
    ? readonly number[]
    : Field extends { readonly type: "choice"; readonly options: readonly (infer Option)[] }
      ? Option
      : Field extends { readonly type: "choices"; readonly options: readonly (infer Option)[] }
        ? readonly Option[]
        : Field extends { readonly type: "text" | "note" }
          ? string
          : Field extends { readonly type: "switch" }
            ? boolean
            : Field extends { readonly type: "day" }
              ? Day
              : Field extends { readonly type: "amounts"; readonly of: readonly (infer Part extends string)[] }
                ? Readonly<Partial<Record<Part, number>>>
                : Field extends { readonly shape?: infer Shape }
                  ? Exclude<Shape, undefined>
                  : unknown;

/** The fields of a row, from its entity. */
export type FieldsOf<One extends Entity> = {
  readonly [Field in One["fields"][number] as Field["name"]]: ValueOf<Field>;
};

/** What was typed for a quantity, beside the value that it came to: shown again while the value stands. */
export type Typed = Readonly<Record<string, readonly [text: string, value: number]>>;

/** A row of an entity. */
export type RowOf<One extends Entity> = FieldsOf<One> & {
  readonly id: number;
  readonly typed?: Typed;
} & (One extends { readonly placed: true } ? { readonly position: number } : unknown);

/** Keeps the names and kinds of the fields, so that the type of a row can be made from them. */
export const entity = <const One extends Entity>(one: One): One => one;

export const textField = <
  const Name extends string,
  const Extra extends Partial<Extract<EntityField, { type: "text" }>>,
>(
  name: Name,
  label: string,
  more?: Extra,
) => ({ ...(more as Extra), type: "text", name, label }) as const;

export const numberField = <
  const Name extends string,
  const Extra extends Partial<Extract<EntityField, { type: "number" }>>,
>(
  name: Name,
  label: string,
  dimension: Dimension,
  least: number,
  greatest: number,
  more?: Extra,
) => ({ ...(more as Extra), type: "number", name, label, dimension, least, greatest }) as const;

export const choiceField = <
  const Name extends string,
  const Options extends readonly string[],
  const Extra extends More,
>(
  name: Name,
  label: string,
  options: Options,
  labels?: Readonly<Record<string, string>>,
  more?: Extra,
) => ({ ...(more as Extra), type: "choice", name, label, options, ...(labels && { labels }) }) as const;

/** An object of several kinds, with the type that it has in code. */
export const unionField =
  <Shape>() =>
  <const Field extends Omit<Extract<EntityField, { type: "union" }>, "type">>(field: Field) =>
    ({ ...field, type: "union" }) as Field & { readonly type: "union"; readonly shape?: Shape };

/** The column of a field: "roofAreaM2" → "roof_area_m2". */
export function columnOf({ name, column }: Pick<Common, "name" | "column">): string {
  return column ?? name.replaceAll(/([a-z0-9])([A-Z])/gu, "$1_$2").toLowerCase();
}

/** A field of an entity by its name. */
export function fieldOf({ table, fields }: Entity, name: string): EntityField {
  const found = fields.find((field) => field.name === name);
  if (!found) throw new RangeError(`fieldOf: "${name}" is no field of ${table}`);
  return found;
}
