"use client";
import { useState, type ComponentProps } from "react";
import { dayFromIso, dayInWords, isoFromDay, type Day } from "@/core/units/day";

export interface DayInputProps extends Omit<ComponentProps<"input">, "value" | "onChange"> {
  readonly value: Day | null | undefined;
  readonly onValue: (day: Day | null) => void;
  /** The input alone: what stands around it says the weekday. */
  readonly bare?: boolean;
}

function dayIn(text: string): Day | null {
  if (text === "") return null;
  try {
    return dayFromIso(text);
  } catch {
    return null;
  }
}

/** Picks a day with the platform's own calendar and says its weekday, by which growers plan. */
export function DayInput({ value, onValue, bare = false, className = "", ...rest }: DayInputProps) {
  // A year is typed digit by digit: until it is one, what is typed stays and there is no day.
  const [unread, setUnread] = useState("");
  const read = (text: string) => {
    const day = dayIn(text);
    setUnread(day === null ? text : "");
    onValue(day);
  };
  const input = (
    <input
      {...rest}
      type="date"
      className={`input ${className}`}
      value={unread || (value == null ? "" : isoFromDay(value))}
      onChange={(event) => read(event.target.value)}
      onBlur={(event) => {
        setUnread("");
        rest.onBlur?.(event);
      }}
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
