import { STAND_KINDS, STAND_MODELS, type StandKind, type StandSpec } from "@/core/place/kinds";
import type { Measure } from "@/core/place/kinds/model";
import type { FieldSpec } from "@/ui/form/fields";

interface Values {
  readonly spec: StandSpec;
}

/** The fields of all kinds of stands, made from their measures; each shows for its own kind. */
export const MEASURE_FIELDS: readonly FieldSpec[] = STAND_KINDS.flatMap((kind) =>
  STAND_MODELS[kind].measures.flatMap((measure) => fieldOf(kind, measure)),
);

function fieldOf(kind: StandKind, measure: Measure): FieldSpec[] {
  const common = {
    name: `spec.${measure.name}`,
    label: measure.label,
    hint: measure.hint,
    when: (values: Values) => values.spec.kind === kind,
  };
  if (measure.type === "number") return [{ ...common, type: "quantity", dimension: measure.dimension }];
  if (measure.type === "choice")
    return [{ ...common, type: "choice", options: measure.options.map((value) => ({ value, label: value })) }];
  return [
    {
      ...common,
      type: "rows",
      most: measure.most,
      addWords: measure.addWords,
      fresh: measure.fresh,
      columns: measure.columns.map((column) =>
        column.type === "text"
          ? { name: column.name, label: column.label, type: "text" as const }
          : { name: column.name, label: column.label, type: "quantity" as const, dimension: column.dimension },
      ),
    },
  ];
}
