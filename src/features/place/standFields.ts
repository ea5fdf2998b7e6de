import { STAND_KINDS, STAND_MODELS, type StandSpec } from "@/core/place/kinds";
import { formFields } from "@/features/frame/form/entityFields";
import type { FieldSpec } from "@/features/frame/form/fields";

interface Values {
  readonly spec: StandSpec;
}

/** What decides how many plants stand there: it is asked first, the rest is folded with what it is taken as. */
const ASKED = new Set([
  ...["lines", "lineLengthM", "pitchM", "bedWidthM", "rows", "ponds", "pondLengthM", "pondWidthM"],
  ...["bucketsPerLine", "bucketSpacingM", "bucketVolumeL", "plantsPerBucket", "towersPerRow", "tiers", "plantsPerTier"],
  ...["racks", "shelvesPerRack", "shelfLengthM", "cellsPerTray", "use"],
]);
const REST = "Everything else";

/** The fields of all kinds of stands, made from their measures; each shows for its own kind. */
export const MEASURE_FIELDS: readonly FieldSpec[] = STAND_KINDS.flatMap((kind) =>
  STAND_MODELS[kind].measures.flatMap((measure) =>
    formFields(measure, "spec.").map((field) => ({
      ...field,
      ...(!ASKED.has(measure.name) && { fold: REST }),
      when: (values: Values) => values.spec.kind === kind,
    })),
  ),
);
