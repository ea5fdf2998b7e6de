"use client";
import type { ComponentProps } from "react";
import { dayFromIso, dayInWords, isoFromDay, type Day } from "@/core/units/day";

export interface DayInputProps extends Omit<ComponentProps<"input">, "value" | "onChange"> {
  readonly value: Day | null | undefined;
  readonly onValue: (day: Day | null) => void;
  /** The input alone: what stands around it says the weekday. */
  readonly bare?: boolean;
}

/** Picks a day with the platform's own calendar and says its weekday, by which growers plan. */
export function DayInput({ value, onValue, bare = false, className = "", ...rest }: DayInputProps) {
  const input = (
    <input
      {...rest}
      type="date"
      className={`input ${className}`}
      value={value == null ? "" : isoFromDay(value)}
      onChange={(event) => onValue(event.target.value ? dayFromIso(event.target.value) : null)}
    />
  );
  if (bare) return input;
  return (
    <span className="flex items-center gap-2">
      {input}
      <span className="w-24 shrink-0 text-sm text-soft" aria-live="polite">
        {value == null ? "" : dayInWords(value, "long").split(" ")[0]}
      </span>
    </span>
  );
}
