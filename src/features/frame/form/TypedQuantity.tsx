"use client";
import type { Ref } from "react";
import type { Dimension } from "@/core/units/dimensions";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { useTyped } from "./useTyped";

interface TypedQuantityProps {
  readonly spec: {
    readonly name: string;
    readonly label: string;
    readonly hint?: React.ReactNode;
    readonly dimension: Dimension;
  };
  readonly error: string | undefined;
  readonly field: {
    readonly value: QuantityValue;
    readonly onChange: (value: QuantityValue) => void;
    readonly onBlur: () => void;
    readonly ref: Ref<HTMLInputElement>;
  };
}

/** A quantity of a form. A form that keeps what was typed ("1/2 in") shows that again while the value stands. */
export function TypedQuantity({ spec, error, field }: TypedQuantityProps) {
  const { written, inUnits, keep } = useTyped(spec, field.value, field.onChange);
  return (
    <Field
      label={spec.label}
      hint={
        inUnits && spec.hint ? (
          <>
            {inUnits}; {spec.hint}
          </>
        ) : (
          (inUnits ?? spec.hint)
        )
      }
      error={error}
    >
      {(aria) => (
        <QuantityInput
          {...aria}
          ref={field.ref}
          dimension={spec.dimension}
          value={field.value}
          written={written}
          onValue={keep}
          onBlur={field.onBlur}
        />
      )}
    </Field>
  );
}
