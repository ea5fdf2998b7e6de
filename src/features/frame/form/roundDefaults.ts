import { set, type FieldValues } from "react-hook-form";
import type { UnitPreferences } from "@/core/units/dimensions";
import { roundIn } from "@/core/units/rounded";
import type { EntityField } from "@/core/garden/entities/field";
import { formFields } from "./entityFields";
import type { FieldSpec } from "./fields";
import { valueAt } from "./versions";

/** An example of a union, round in the garden's own units. */
export function roundExample<Example extends object>(
  field: Extract<EntityField, { readonly type: "union" }>,
  example: Example,
  units: UnitPreferences,
): Example {
  return roundDefaults({ id: null, [field.name]: example }, formFields(field), units)[field.name] as Example;
}

/** What a new row begins with, round in the garden's own units. What is there already stays to the last digit. */
export function roundDefaults(
  defaults: FieldValues,
  fields: readonly FieldSpec[],
  units: UnitPreferences,
): FieldValues {
  if (units.system === "metric" || defaults.id !== null) return defaults;
  const rounded = structuredClone(defaults);
  for (const spec of fields) {
    const value = valueAt(rounded, spec.name) as unknown;
    if (spec.type === "quantity" && typeof value === "number")
      set(rounded, spec.name, roundIn(value, spec.dimension, units, spec.name.startsWith("spec.") ? "down" : "near"));
    if (spec.type === "rows" && Array.isArray(value))
      value.forEach((row: Record<string, unknown>, index) => {
        for (const column of spec.columns)
          if (column.type === "quantity" && typeof row[column.name] === "number")
            set(
              rounded,
              `${spec.name}.${index}.${column.name}`,
              roundIn(row[column.name] as number, column.dimension, units),
            );
      });
  }
  return rounded;
}
