"use client";
import { useState, type ReactNode } from "react";
import { MONTHS } from "@/core/units/day";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";

interface MonthsControlProps {
  readonly label: string;
  readonly hint?: ReactNode;
  readonly error: string | undefined;
  readonly field: { value: unknown; onChange: (value: unknown) => void; onBlur: () => void };
}

const isSame = (days: readonly QuantityValue[]) => days.every((one) => one === days[0]);

/** Days for each month; one figure where it is the same all year. */
export function MonthsControl({ label, hint, error, field }: MonthsControlProps) {
  const days = (field.value as QuantityValue[] | undefined) ?? [];
  const [byMonth, setByMonth] = useState(false);
  const same = !byMonth && isSame(days);
  const all = (value: QuantityValue) => field.onChange(MONTHS.map(() => value));
  const input = (name: string, value: QuantityValue, onValue: (next: QuantityValue) => void) => (
    <QuantityInput
      className="!px-1 text-center"
      aria-label={`${label}, ${name}`}
      aria-invalid={typeof value !== "number"}
      placeholder="days"
      dimension="count"
      value={value}
      onValue={onValue}
      onBlur={field.onBlur}
    />
  );
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-bold">{label}</legend>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-6 accent-water"
          checked={same}
          onChange={({ target }) => {
            setByMonth(!target.checked);
            if (target.checked) all(days[0] ?? null);
          }}
        />
        the same all year
      </label>
      {same ? (
        <div className="w-28">{input("all year", days[0] ?? null, all)}</div>
      ) : (
        <div className="grid grid-cols-6 gap-1">
          {MONTHS.map((month, index) => (
            <label key={month} className="text-xs text-soft">
              {month.slice(0, 3)}
              {input(month, days[index] ?? null, (next) =>
                field.onChange(MONTHS.map((_, at) => (at === index ? next : days[at]))),
              )}
            </label>
          ))}
        </div>
      )}
      {(error || hint) && (
        <p
          role={error ? "alert" : undefined}
          className={`mt-1 text-sm ${error ? "font-bold text-alarm" : "text-soft"}`}
        >
          {error ?? hint}
        </p>
      )}
    </fieldset>
  );
}
