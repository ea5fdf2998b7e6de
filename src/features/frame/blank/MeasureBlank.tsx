"use client";
import { QuantityBlank } from "@/ui/blank/Blank";
import type { Blanks } from "./useBlanks";

/** The blank of one of the measures of a sentence. */
export function MeasureBlank({
  blanks,
  name,
  placeholder,
}: {
  readonly blanks: Blanks;
  readonly name: string;
  readonly placeholder?: string;
}) {
  const measure = blanks.measures.find((one) => one.name === name)!;
  const text = blanks.texts[name] ?? "";
  return (
    <QuantityBlank
      name={name}
      label={measure.label}
      dimension={measure.dimension}
      value={text}
      written={text}
      placeholder={placeholder}
      onValue={(_, written) => blanks.type(name, written)}
      onBlur={() => blanks.leave(name)}
    />
  );
}
