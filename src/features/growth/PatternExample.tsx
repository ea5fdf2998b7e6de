"use client";
import { useEffect, useRef } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import type { HarvestPattern } from "@/core/growth/harvestPattern";

const EXAMPLES: { readonly [Kind in HarvestPattern["kind"]]: Extract<HarvestPattern, { kind: Kind }> } = {
  once: { kind: "once", unitsPerPlant: 1, holdDays: 4 },
  cut: { kind: "cut", unitsPerPlant: 0.5, cuts: 3, daysBetween: 14, factor: 0.9, holdDays: 6 },
  picking: { kind: "picking", unitsPerPlantWeek: 0.3, weeks: 12, holdDays: 6 },
};

/** Another way of taking the crop brings its own worked figures; those of the other way mean nothing there. */
export function PatternExample() {
  const { control, setValue } = useFormContext();
  const kind = useWatch({ control, name: "pattern.kind" }) as HarvestPattern["kind"];
  const last = useRef(kind);
  useEffect(() => {
    if (kind === last.current) return;
    last.current = kind;
    setValue("pattern", EXAMPLES[kind]);
  }, [kind, setValue]);
  return null;
}
