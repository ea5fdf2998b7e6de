"use client";
import { useState, type ReactNode } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { PIPE_SIZES } from "@/core/water/pipeSizes";
import { Field } from "@/ui/Field";
import { useUnits } from "@/ui/units";

const BORE = "pump.boreMm";
const NEAR_MM = 0.05;

/** The pipe of a pump by the size it is sold as, which says its bore; one of another bore is measured. @param bore its field */
export function TradeSize({ bore }: { readonly bore: ReactNode }) {
  const units = useUnits();
  const { control, setValue } = useFormContext();
  const [isMeasured, setMeasured] = useState(false);
  const boreMm = useWatch({ control, name: BORE }) as unknown;
  const size = PIPE_SIZES.find((one) => typeof boreMm === "number" && Math.abs(one.boreMm - boreMm) < NEAR_MM);
  const sizes = PIPE_SIZES.filter((one) => one.system === units.system || one === size);
  return (
    <>
      <Field label="Pipe, as it is sold" hint="which says its bore">
        {(aria) => (
          <select
            {...aria}
            className="input"
            value={isMeasured ? "" : (size?.id ?? "")}
            onChange={(event) => {
              const chosen = PIPE_SIZES.find(({ id }) => id === event.target.value);
              setMeasured(chosen === undefined);
              if (chosen) setValue(BORE, chosen.boreMm, { shouldDirty: true, shouldValidate: true });
            }}
          >
            <option value="">another: measure its bore</option>
            {sizes.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        )}
      </Field>
      {(isMeasured || !size) && bore}
    </>
  );
}
