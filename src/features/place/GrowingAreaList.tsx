"use client";
import type { GrowingAreaRow } from "@/core/garden/garden";
import { useMay } from "@/features/frame/who";

export interface GrowingAreaListProps {
  readonly growingAreas: readonly GrowingAreaRow[];
  readonly onChange: (growingArea: GrowingAreaRow) => void;
  readonly onNew: () => void;
}

/** The growing areas of the garden; stands serve them, stages are spent in them. */
export function GrowingAreaList({ growingAreas, onChange, onNew }: GrowingAreaListProps) {
  const mayPlan = useMay("plan");
  return (
    <section className="no-print mt-6 text-sm" aria-label="Growing areas">
      <p className="text-soft">
        Growing areas, in the order plants move through them
        {growingAreas.length === 0 && ": each stand is used for one, so name one first"}:
      </p>
      <p>
        {!mayPlan && growingAreas.map((growingArea) => growingArea.name).join(" · ")}
        {mayPlan &&
          growingAreas.map((growingArea) => (
            <button
              key={growingArea.id}
              type="button"
              className="mr-3 min-h-8 underline"
              onClick={() => onChange(growingArea)}
            >
              {growingArea.name}
            </button>
          ))}
        {mayPlan && (
          <button type="button" className="min-h-8 font-bold underline" onClick={onNew}>
            New growing area
          </button>
        )}
      </p>
    </section>
  );
}
