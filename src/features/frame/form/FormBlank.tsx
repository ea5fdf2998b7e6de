"use client";
import { Controller, useFormContext } from "react-hook-form";
import type { Day } from "@/core/units/day";
import { ChoiceBlank, DayBlank, QuantityBlank, TextBlank } from "@/ui/blank/Blank";
import type { QuantityValue } from "@/ui/QuantityInput";
import type { FieldSpec } from "./fields";
import { useTyped } from "./useTyped";

/** A field of a form as a blank of its sentence. */
export function FormBlank({ spec }: { readonly spec: FieldSpec }) {
  const { control } = useFormContext();
  const { name, label } = spec;
  return (
    <Controller
      name={name}
      control={control}
      render={({ field: { value, onChange, onBlur } }) => {
        switch (spec.type) {
          case "quantity":
            return <TypedBlank spec={spec} field={{ value: value as QuantityValue, onChange, onBlur }} />;
          case "choice":
            return (
              <ChoiceBlank
                name={name}
                label={label}
                value={value as string | number}
                options={spec.options.filter(
                  (option): option is { value: string | number; label: string } => option.value !== null,
                )}
                onValue={onChange}
              />
            );
          case "day":
            return <DayBlank name={name} label={label} value={value as Day | null} onValue={onChange} />;
          default:
            return <TextBlank name={name} label={label} value={(value as string) ?? ""} onValue={onChange} />;
        }
      }}
    />
  );
}

interface TypedBlankProps {
  readonly spec: Extract<FieldSpec, { readonly type: "quantity" }>;
  readonly field: {
    readonly value: QuantityValue;
    readonly onChange: (value: QuantityValue) => void;
    readonly onBlur: () => void;
  };
}

function TypedBlank({ spec, field }: TypedBlankProps) {
  const { name, label, dimension } = spec;
  const { written, keep } = useTyped(spec, field.value, field.onChange);
  return (
    <QuantityBlank
      name={name}
      label={label}
      dimension={dimension}
      value={field.value}
      written={written}
      onValue={keep}
      onBlur={field.onBlur}
    />
  );
}
