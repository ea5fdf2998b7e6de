import { joiResolver } from "@hookform/resolvers/joi";
import type Joi from "joi";
import { set, type FieldErrors, type FieldValues, type Resolver } from "react-hook-form";
import { fromBase, preferredUnit, type UnitPreferences } from "@/core/units/dimensions";
import { quantityText } from "@/core/units/format";
import { STRICT } from "@/server/session/validation";
import { quantityProblem } from "@/ui/QuantityInput";
import type { FieldSpec } from "./fields";
import { valueAt } from "./versions";

type QuantitySpec = Extract<FieldSpec, { readonly type: "quantity" }>;

/**
 * Checks a form with the schema that the server checks with. Text that is no quantity keeps the reader's own message, which
 * is nearer to what was typed; a range that was missed is given in the units in which it was typed. What is hidden cannot be
 * corrected: where it is wrong, the values that the form was opened with are sent in its place.
 */
export function resolverOf(
  schema: Joi.ObjectSchema,
  fields: readonly FieldSpec[],
  units: UnitPreferences,
  defaults: FieldValues,
  parts: Readonly<Record<string, readonly FieldSpec[]>> = {},
): Resolver {
  return async (typed, context, options) => {
    const check = async (values: FieldValues) => {
      const { errors } = await joiResolver(
        inUnits(schema, quantitiesOf([...fields, ...partFields(parts, values)], values), units),
        STRICT,
        {
          mode: "sync",
        },
      )(values, context, options as never);
      return errors as Record<string, { readonly message?: string }>;
    };
    const hidden = hiddenNames(fields, typed);
    const first = await check(typed);
    const isHiddenWrong = hidden.some((name) => valueAt(first, name) !== undefined);
    const values = isHiddenWrong ? withDefaults(typed, hidden, defaults) : typed;
    const { "": whole, ...own } = isHiddenWrong ? await check(values) : first;
    // What concerns the form as a whole has no field to be shown beside.
    const ofWhole = whole && { root: { server: { type: "joi", message: whole.message } } };
    // Sent as typed: the server reads days and numbers itself.
    if (!whole && Object.keys(own).length === 0) return { values, errors: {} };
    return { values: {}, errors: { ...own, ...ofWhole } as FieldErrors };
  };
}

function inUnits(
  schema: Joi.ObjectSchema,
  quantities: ReadonlyMap<string, QuantitySpec>,
  units: UnitPreferences,
): Joi.ObjectSchema {
  return schema.error((errors) => {
    for (const error of errors) {
      const spec = quantities.get(error.path.join("."));
      const message = spec && messageOf(spec, error, units);
      if (message) (error as { message?: string }).message = message;
    }
    return errors;
  });
}

/** The fields of the rows that are there, by their paths. */
function partFields(parts: Readonly<Record<string, readonly FieldSpec[]>>, values: FieldValues): FieldSpec[] {
  return Object.entries(parts).flatMap(([list, specs]) =>
    ((values[list] ?? []) as readonly unknown[]).flatMap((_, at) =>
      specs.map(({ when: _when, ...spec }) => ({ ...spec, name: `${list}.${at}.${spec.name}` })),
    ),
  );
}

const isShown = (spec: FieldSpec, values: FieldValues) => !spec.when || spec.when(values);

/** Values that are there and that no field shows now. */
function hiddenNames(fields: readonly FieldSpec[], values: FieldValues): string[] {
  const shown = new Set(fields.filter((spec) => isShown(spec, values)).map(({ name }) => name));
  return fields.map(({ name }) => name).filter((name) => !shown.has(name) && valueAt(values, name) !== undefined);
}

function withDefaults(values: FieldValues, names: readonly string[], defaults: FieldValues): FieldValues {
  const mended = structuredClone(values);
  for (const name of names) if (valueAt(defaults, name) !== undefined) set(mended, name, valueAt(defaults, name));
  return mended;
}

/** The quantities that are shown, by their path. */
function quantitiesOf(fields: readonly FieldSpec[], values: FieldValues): ReadonlyMap<string, QuantitySpec> {
  const shown = fields.filter((spec) => isShown(spec, values)).flatMap((spec) => rowsOf(spec, values));
  return new Map(shown.flatMap((spec) => (spec.type === "quantity" ? [[spec.name, spec] as const] : [])));
}

/** The fields of a list, row by row. */
function rowsOf(spec: FieldSpec, values: FieldValues): FieldSpec[] {
  if (spec.type !== "rows") return [spec];
  const rows = valueAt(values, spec.name) as readonly unknown[] | undefined;
  return (rows ?? []).flatMap((_, index) =>
    spec.columns.map((column) => ({ ...column, name: `${spec.name}.${index}.${column.name}` })),
  );
}

function messageOf(spec: QuantitySpec, error: Joi.ErrorReport, units: UnitPreferences): string | undefined {
  const { value, limit } = error.local as { value?: unknown; limit?: unknown };
  if (typeof value === "string") return quantityProblem(value, spec.label, spec.dimension, units);
  const isOfOther = error.code === "number.most" || error.code === "number.least";
  const isRange = error.code === "number.min" || error.code === "number.max" || isOfOther;
  if (!isRange || typeof value !== "number" || fromBase(1, preferredUnit(spec.dimension, units)) === 1)
    return undefined;
  const text = (quantity: number) => quantityText(quantity, spec.dimension, units);
  // A limit that is another measure is given in the schema's own words, behind the value.
  if (isOfOther || typeof limit !== "number") return error.toString().replace(/ is [^;]+;/u, ` is ${text(value)};`);
  return `${spec.label} is ${text(value)}; it must be at ${error.code === "number.min" ? "least" : "most"} ${text(limit)}`;
}
