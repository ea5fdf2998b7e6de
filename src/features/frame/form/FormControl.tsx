"use client";
import { useFormContext, useWatch } from "react-hook-form";
import { inText } from "@/core/units/rounded";
import { useUnits } from "@/ui/units";
import { AmountFields } from "./AmountFields";
import { FieldControl } from "./FieldControl";
import type { FieldSpec } from "./fields";
import { RowsControl } from "./RowsControl";

const WIDE: readonly FieldSpec["type"][] = ["note", "months", "weekdays", "rows", "choices", "amounts"];

/** One field of a form, with its error beside it. */
export function FormControl({ spec: given }: { spec: FieldSpec }) {
  const { control, getFieldState, formState } = useFormContext();
  const spec = useInUnits(given);
  const values = useWatch({ control });
  if (spec.when && !spec.when(values)) return null;
  const parts = () => {
    if (spec.type === "rows")
      return <RowsControl spec={spec} error={ownMessage(getFieldState(spec.name, formState).error)} />;
    if (spec.type === "amounts") return <AmountFields name={spec.name} legend={spec.label} keys={spec.keys} />;
    return <FieldControl spec={spec} />;
  };
  return <div className={spec.wide || WIDE.includes(spec.type) ? "col-span-full" : ""}>{parts()}</div>;
}

/** Label and hint with their quantities in the garden's units. */
function useInUnits(spec: FieldSpec): FieldSpec {
  const units = useUnits();
  const { label, hint } = spec;
  return { ...spec, label: inText(label, units), hint: typeof hint === "string" ? inText(hint, units) : hint };
}

/** What is wrong with a list as a whole; its rows say for themselves what is wrong with them. */
function ownMessage(error: unknown): string | undefined {
  const { message, root } = (error ?? {}) as { message?: string; root?: { message?: string } };
  return message ?? root?.message;
}
