"use client";
import { useState, type ReactNode } from "react";
import { useFormContext, useWatch, type FieldValues } from "react-hook-form";
import { quantityText } from "@/core/units/format";
import type { UnitPreferences } from "@/core/units/dimensions";
import { inText } from "@/core/units/rounded";
import { useUnits } from "@/ui/units";
import type { FieldSpec } from "./fields";
import { valueAt } from "./versions";

interface FoldProps {
  readonly name: string;
  /** What is in it: while it is folded, their values are told. */
  readonly fields: readonly FieldSpec[];
  /** Told in place of their values. */
  readonly taken?: ReactNode;
  readonly children: ReactNode;
}

/** Opened by a press, or by what is wrong in it: then it stays open under the hand that mends it. */
export function Fold({ name, fields, taken, children }: FoldProps) {
  const { control, formState, getFieldState } = useFormContext();
  const values = useWatch({ control }) as FieldValues;
  const units = useUnits();
  const [isOpen, setOpen] = useState(false);
  const isWrong = fields.some((spec) => getFieldState(spec.name, formState).error);
  if (isWrong && !isOpen) setOpen(true);
  if (fields.length > 0 && !fields.some((spec) => spec.when?.(values) ?? true)) return null;
  return (
    <details
      open={isOpen}
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
      className="col-span-full border-t border-rule pt-2"
    >
      <summary className="min-h-11 cursor-pointer">
        <span className="sign text-xl">{name}</span>
        {!isOpen && <Taken words={taken ?? valuesOf(fields, values, units)} />}
      </summary>
      <div className="grid grid-cols-1 gap-x-4 gap-y-3 sm:grid-cols-2">{children}</div>
    </details>
  );
}

/** What the folded fields are taken as, so that no figure is hidden. */
function Taken({ words }: { readonly words: ReactNode }) {
  return (
    words !== "" && (
      <span className="block text-sm text-soft">
        taken as: {words}: <span className="underline">change</span>
      </span>
    )
  );
}

const valuesOf = (fields: readonly FieldSpec[], values: FieldValues, units: UnitPreferences) =>
  fields
    .filter((spec) => spec.when?.(values) ?? true)
    .flatMap((spec) => takenAs(spec, valueAt(values, spec.name), units) ?? [])
    .join("; ");

function takenAs(spec: FieldSpec, value: unknown, units: UnitPreferences): string | undefined {
  const label = lowerFirst(inText(spec.label, units));
  if (spec.type === "quantity" && typeof value === "number")
    return `${label} ${quantityText(value, spec.dimension, units)}`;
  if (spec.type === "switch" && value === true) return label;
  // A choice of none says nothing.
  if (spec.type === "choice" && value !== null)
    return spec.options
      .filter((option) => option.value === value)
      .map((option) => `${label}: ${option.label}`)
      .at(0);
  return undefined;
}

/** The first letter small, unless the word is an abbreviation: "EC", "pH". */
const lowerFirst = (label: string) =>
  /^\p{Lu}(?!\p{Lu})/u.test(label) ? `${label[0]!.toLowerCase()}${label.slice(1)}` : label;
