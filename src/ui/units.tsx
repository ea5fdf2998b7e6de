"use client";
import { createContext, useContext, type ReactNode } from "react";
import { METRIC, type Dimension, type UnitPreferences } from "@/core/units/dimensions";
import { formatQuantity } from "@/core/units/format";

const Units = createContext<UnitPreferences>(METRIC);

/** Gives the garden's units to everything below. */
export function UnitsProvider({ units, children }: { units: UnitPreferences; children: ReactNode }) {
  return <Units.Provider value={units}>{children}</Units.Provider>;
}

export function useUnits(): UnitPreferences {
  return useContext(Units);
}

/** A figure with its unit in the garden's units. */
export function Quantity({ value, dimension, word }: { value: number; dimension: Dimension; word?: string }) {
  const { figure, unit } = formatQuantity(value, dimension, useUnits());
  const suffix = word || unit;
  return (
    <>
      {figure}
      {suffix && <small> {suffix}</small>}
    </>
  );
}
