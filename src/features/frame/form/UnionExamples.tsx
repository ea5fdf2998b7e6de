"use client";
import { useEffect, useRef } from "react";
import { useFormContext, useWatch } from "react-hook-form";

interface UnionExamplesProps {
  readonly name: string;
  readonly examples: Readonly<Record<string, { readonly kind: string }>>;
}

/** Another kind brings its own example figures; what both kinds have stays as it was typed. */
export function UnionExamples({ name, examples }: UnionExamplesProps) {
  const { control, getValues, setValue } = useFormContext();
  const kind = useWatch({ control, name: `${name}.kind` }) as string;
  const last = useRef(kind);
  useEffect(() => {
    if (kind === last.current) return;
    last.current = kind;
    const typed = getValues(name) as Record<string, unknown>;
    const example = examples[kind] as Record<string, unknown>;
    setValue(name, Object.fromEntries(Object.keys(example).map((key) => [key, typed[key] ?? example[key]])));
  }, [name, examples, kind, getValues, setValue]);
  return null;
}
