"use client";
import type { ComponentProps } from "react";
import { PumpSizes } from "./PumpSizes";

/** Under a sentence about a pump: a common size to plan with. */
export function NoLabel(props: Pick<ComponentProps<typeof PumpSizes>, "units" | "onPick">) {
  return (
    <span className="mt-1 block font-text text-base text-soft">
      No label at hand?{" "}
      <PumpSizes {...props} aria-label="Common pumps" className="min-h-11 bg-transparent text-ink underline" />
    </span>
  );
}
