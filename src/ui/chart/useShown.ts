"use client";
import { fromBase, preferredUnit, type Dimension } from "@/core/units/dimensions";
import { useUnits } from "../units";

/** The garden's unit of a dimension, and values in it: a chart's axis counts in round figures of what is read. */
export function useShown(dimension: Dimension): { readonly unit: string; readonly of: (value: number) => number } {
  const unit = preferredUnit(dimension, useUnits());
  return { unit: unit.symbol, of: (value) => fromBase(value, unit) };
}
