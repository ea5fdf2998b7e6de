"use client";
import { Controller } from "react-hook-form";
import { SOLUBILITY_AT_C } from "@/core/feed/stocks";
import { quantityText } from "@/core/units/format";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";

/** How much dissolves at four temperatures; all empty where it is not known. */
export function SolubilityFields() {
  const units = useUnits();
  return (
    <Controller
      name="solubilityGPerL"
      render={({ field, fieldState }) => {
        const values = (field.value ?? SOLUBILITY_AT_C.map(() => null)) as readonly QuantityValue[];
        return (
          <fieldset className="border-t border-rule pt-2">
            <legend className="sign text-xl">Dissolves, g of it in a litre of finished stock</legend>
            <div className="grid grid-cols-4 gap-2">
              {SOLUBILITY_AT_C.map((celsius, at) => (
                <label key={celsius} className="text-sm font-bold">
                  at {quantityText(celsius, "temperature", units)}
                  <QuantityInput
                    dimension="ratio"
                    placeholder="–"
                    value={values[at] ?? null}
                    onBlur={field.onBlur}
                    onValue={(value) => {
                      const next = values.map((one, index) => (index === at ? value : one));
                      field.onChange(next.every((one) => one === null) ? null : next);
                    }}
                  />
                </label>
              ))}
            </div>
            <p className={fieldState.error ? "mt-1 text-sm font-bold text-alarm" : "mt-1 text-sm text-soft"}>
              {fieldState.error
                ? "Fill in all four, or none: without them nobody can say whether it dissolves."
                : "Grams in a litre of finished stock, never in a litre of water added: for crystals with water in them that is far more."}
            </p>
          </fieldset>
        );
      }}
    />
  );
}
