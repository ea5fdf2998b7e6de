"use client";
import { useFormContext, useWatch } from "react-hook-form";
import { PumpSizes } from "@/features/frame/blank/PumpSizes";
import { Field } from "@/ui/Field";
import { useUnits } from "@/ui/units";

/** Fills in the figures of a label where there is no label yet. */
export function CommonPumpField() {
  const units = useUnits();
  const { control, setValue } = useFormContext();
  const kind = useWatch({ control, name: "pump.kind" }) as unknown;
  if (kind !== "label") return null;
  return (
    <Field label="No label at hand" hint="common sizes, ± 30 %: plan with one until yours is there">
      {(aria) => (
        <PumpSizes
          {...aria}
          units={units}
          onPick={({ flowAtNoLiftLph, greatestLiftM }) => {
            setValue("pump.flowAtNoLiftLph", flowAtNoLiftLph, { shouldDirty: true, shouldValidate: true });
            setValue("pump.greatestLiftM", greatestLiftM, { shouldDirty: true, shouldValidate: true });
          }}
        />
      )}
    </Field>
  );
}
