"use client";
import { useFormContext, useWatch } from "react-hook-form";
import type { Typed } from "@/core/garden/entities/field";
import type { Dimension } from "@/core/units/dimensions";
import { editText } from "@/core/units/format";
import type { QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";

const PLAIN_NUMBER = /^[\s\d.,+-]*$/u;

interface TypedText {
  /** What somebody wrote for the value that stands. */
  readonly written: string | undefined;
  /** The same in the garden's units, where it was written in others. */
  readonly inUnits: string | null;
  readonly keep: (next: QuantityValue, written: string) => void;
}

/** The text that was typed for a quantity of a form ("1/2 in"), kept beside its value and shown while the value stands. */
export function useTyped(
  { name, dimension }: { readonly name: string; readonly dimension: Dimension },
  value: QuantityValue,
  onChange: (value: QuantityValue) => void,
): TypedText {
  const { control, getValues, setValue } = useFormContext();
  const units = useUnits();
  const typed = useWatch({ control, name: "typed" }) as Typed | undefined;
  const [text, itsValue] = typed?.[name] ?? [];
  const stands = text !== undefined && itsValue === value;
  const keep = (next: QuantityValue, written: string) => {
    onChange(next);
    const all = getValues("typed") as Typed | undefined;
    if (!all) return;
    const { [name]: _old, ...others } = all;
    const says = written.trim();
    const isOwn = typeof next === "number" && !PLAIN_NUMBER.test(says) && says !== editText(next, dimension, units);
    setValue("typed", isOwn ? { ...others, [name]: [says, next] } : others, { shouldDirty: true });
  };
  return {
    written: stands ? text : undefined,
    inUnits: stands && typeof value === "number" ? `= ${editText(value, dimension, units)}` : null,
    keep,
  };
}
