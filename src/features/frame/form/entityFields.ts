import type { Entity, EntityField } from "@/core/garden/entities/field";
import type { Measure } from "@/core/place/kinds/model";
import type { FieldSpec } from "./fields";

type Labels = Readonly<Record<string, string>>;
type Shown = Partial<Pick<FieldSpec, "when" | "wide" | "fold">>;

/** A field of a form from its description; none for what a form shows in a way of its own. */
export function formFields(field: Measure | EntityField, prefix = ""): FieldSpec[] {
  const common = { name: `${prefix}${field.name}`, label: field.label, hint: field.hint };
  switch (field.type) {
    case "number":
      return [{ ...common, type: "quantity", dimension: field.dimension }];
    case "choice":
      return [{ ...common, type: "choice", options: optionsOf(field) }];
    case "list":
      return [
        {
          ...common,
          type: "rows",
          most: field.most,
          addWords: field.addWords,
          fresh: field.fresh,
          columns: field.columns.map((column) =>
            column.type === "text"
              ? { name: column.name, label: column.label, type: "text" as const }
              : { name: column.name, label: column.label, type: "quantity" as const, dimension: column.dimension },
          ),
        },
      ];
    case "note":
      // What is no longer than a line is written on one.
      return [{ ...common, type: (field.most ?? LINE + 1) > LINE ? "note" : "text" }];
    case "text":
    case "switch":
    case "day":
      return [{ ...common, type: field.type }];
    case "choices":
      return [{ ...common, type: "choices", options: optionsOf(field) }];
    case "numbers":
      return field.fewest === 12 && field.most === 12
        ? [{ ...common, type: "months", dimension: field.dimension }]
        : [];
    case "reference":
    case "amounts":
      return [];
    case "union":
      return unionFields(field, prefix);
  }
}

/** Characters that a line of a form takes. */
const LINE = 100;

const optionsOf = ({ options, ...field }: { readonly options: readonly string[]; readonly labels?: Labels }) =>
  options.map((value) => ({ value, label: field.labels?.[value] ?? value }));

/** The choice of a kind, and its measures; what every kind is measured by comes last. */
function unionFields(
  { name, label, kinds, labels }: Extract<EntityField, { type: "union" }>,
  prefix: string,
): FieldSpec[] {
  const own = `${prefix}${name}.`;
  const all = Object.entries(kinds);
  const measures = [...new Map(all.flatMap(([, list]) => list.map((one) => [one.name, one] as const))).values()];
  const kindsOf = (measure: Measure) => all.filter(([, list]) => list.includes(measure)).map(([kind]) => kind);
  const isShared = (measure: Measure) => kindsOf(measure).length === all.length;
  return [
    {
      name: `${own}kind`,
      label,
      type: "choice",
      options: all.map(([kind]) => ({ value: kind, label: labels?.[kind] ?? kind })),
    },
    ...[...measures.filter((one) => !isShared(one)), ...measures.filter(isShared)].flatMap((measure) =>
      formFields(measure, own).map((one) => ({
        ...one,
        when: (values: Readonly<Record<string, { readonly kind: string }>>) =>
          kindsOf(measure).includes(values[name]!.kind),
      })),
    ),
  ];
}

/** The fields of a form for an entity, in the order of its description. @param shown when and how wide, by their names */
export function fieldsOf({ fields }: Entity, shown: Readonly<Record<string, Shown>> = {}): FieldSpec[] {
  return fields.flatMap((field) => formFields(field).map((one) => ({ ...one, ...shown[field.name] })));
}
