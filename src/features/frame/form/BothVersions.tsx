"use client";
import { useEffect, useMemo, useRef } from "react";
import { useFormContext, useWatch, type FieldValues } from "react-hook-form";
import { MONTHS, WEEKDAYS, dayInWords } from "@/core/units/day";
import { quantityText } from "@/core/units/format";
import type { UnitPreferences } from "@/core/units/dimensions";
import type { Stale } from "@/server/session/result";
import { useUnits } from "@/ui/units";
import type { FieldSpec } from "./fields";
import { differences } from "./versions";

/**
 * Two versions of one thing, field by field: what was typed here, and what somebody else saved meanwhile. A field that
 * was not touched here takes over theirs by itself.
 */
export function BothVersions({
  stale,
  base,
  theirs,
  fields,
}: {
  stale: Stale;
  base: FieldValues;
  theirs: FieldValues;
  fields: readonly FieldSpec[];
}) {
  const { control, setValue } = useFormContext();
  const mine = useWatch({ control }) as FieldValues;
  const units = useUnits();
  const text = useMemo(() => JSON.stringify(theirs), [theirs]);
  const arrived = useMemo(() => text !== JSON.stringify(base), [text, base]);
  const merged = useRef<string | null>(null);
  const open = arrived ? differences(base, mine, theirs, fields) : [];
  useEffect(() => {
    if (!arrived || merged.current === text) return;
    merged.current = text;
    // The next save builds on theirs.
    for (const name of ["opened", "version"]) if (name in theirs) setValue(name, theirs[name]);
    for (const part of differences(base, mine, theirs, fields))
      if (!part.touched) setValue(part.name, part.theirs, { shouldDirty: true });
  }, [arrived, base, fields, mine, setValue, text, theirs]);
  return (
    <section aria-label="Both versions" className="col-span-full border-2 border-ink bg-sheet p-3">
      <h3 className="text-xl">Both versions</h3>
      {!arrived && <p>Loading what {stale.by} saved …</p>}
      {arrived && open.length === 0 && (
        <p>
          The versions no longer differ: what you changed and what {stale.by} saved fit together. Save when it is right.
        </p>
      )}
      {open.length > 0 && (
        <table className="mt-2 w-full text-left">
          <thead>
            <tr className="border-b border-rule text-sm text-soft">
              <th className="py-1 pr-2">Field</th>
              <th className="py-1 pr-2">Yours</th>
              <th className="py-1">{stale.by}</th>
            </tr>
          </thead>
          <tbody>
            {open.map((part) => (
              <tr key={part.name} className="border-b border-rule align-top">
                <th className="py-2 pr-2 font-bold">{part.label}</th>
                <td className="py-2 pr-2">{wordsFor(part.spec, part.mine, units)}</td>
                <td className="py-2">
                  {wordsFor(part.spec, part.theirs, units)}{" "}
                  <button
                    type="button"
                    className="min-h-8 whitespace-nowrap underline"
                    onClick={() => setValue(part.name, part.theirs, { shouldDirty: true })}
                  >
                    take this
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="mt-2 text-sm text-soft">Where you do not take theirs, yours is saved.</p>
    </section>
  );
}

function wordsFor(spec: FieldSpec | null, value: unknown, units: UnitPreferences): string {
  if (value === null || value === undefined || value === "") return "–";
  if (spec?.type === "quantity" && typeof value === "number") return quantityText(value, spec.dimension, units);
  if (spec?.type === "day" && typeof value === "number") return dayInWords(value, "weekday");
  if (spec?.type === "choice") return spec.options.find((option) => option.value === value)?.label ?? String(value);
  if (spec?.type === "switch") return value ? "yes" : "no";
  if (spec?.type === "weekdays" && Array.isArray(value))
    return value.map((day: number) => WEEKDAYS[day - 1]!.slice(0, 3)).join(", ");
  if (spec?.type === "months" && Array.isArray(value))
    return value.map((days, month) => `${MONTHS[month]!.slice(0, 3)} ${String(days)}`).join(", ");
  if (typeof value === "object") return summary(value);
  return String(value);
}

/** A part of many figures in a few words: "K 210, Ca 180 …". */
function summary(value: object): string {
  const parts = Object.entries(value).map(([name, part]) =>
    typeof part === "object" && part !== null
      ? summary(part)
      : Array.isArray(value)
        ? String(part)
        : `${name} ${String(part)}`,
  );
  return parts.join(", ");
}
