"use client";
import { useState, type ComponentProps } from "react";
import type { Dimension, UnitPreferences } from "@/core/units/dimensions";
import { preferredUnit } from "@/core/units/dimensions";
import { editText } from "@/core/units/format";
import { parseQuantity } from "@/core/units/parse";
import { useUnits } from "./units";

/** What a quantity field gives: a number in the stored unit, nothing, or the text as typed when it cannot be read. */
export type QuantityValue = number | null | string;

export interface QuantityInputProps extends Omit<ComponentProps<"input">, "value" | "onChange"> {
  readonly value: QuantityValue | undefined;
  /** @param written the text that it was read from */
  readonly onValue: (value: QuantityValue, written: string) => void;
  readonly dimension: Dimension;
  /** Shown in place of the value in the garden's unit: what somebody wrote for it. */
  readonly written?: string;
}

/** Why a value of a quantity field cannot be used, or undefined when it is a number. */
export function quantityProblem(
  value: QuantityValue | undefined,
  label: string,
  dimension: Dimension,
  units: UnitPreferences,
): string | undefined {
  if (typeof value === "number") return undefined;
  if (typeof value !== "string") return `${label} is missing`;
  const parsed = parseQuantity(value, dimension, units);
  return parsed.kind === "unreadable" ? parsed.message : `${label} is missing`;
}

/**
 * A quantity typed with or without its unit. Text and number are kept apart: what is typed stays as it is until the
 * field is left, and then shows the value in the garden's unit; text that cannot be read stays and says why.
 */
export function QuantityInput(props: QuantityInputProps) {
  const { value, onValue, dimension, written, onBlur, className = "", ...rest } = props;
  const units = useUnits();
  const shown = written ?? (typeof value === "number" ? editText(value, dimension, units) : (value ?? ""));
  const [typed, setTyped] = useState<string | null>(null);
  const unit = preferredUnit(dimension, units).symbol;
  return (
    <input
      {...rest}
      className={`input ${className}`}
      type="text"
      inputMode={unit === "" ? "decimal" : "text"}
      autoComplete="off"
      value={typed ?? shown}
      placeholder={rest.placeholder ?? (unit ? `in ${unit}` : undefined)}
      onChange={(event) => {
        setTyped(event.target.value);
        const parsed = parseQuantity(event.target.value, dimension, units);
        onValue(
          parsed.kind === "value" ? parsed.value : parsed.kind === "empty" ? null : event.target.value,
          event.target.value,
        );
      }}
      onBlur={(event) => {
        if (typeof value === "number") setTyped(null);
        onBlur?.(event);
      }}
    />
  );
}
