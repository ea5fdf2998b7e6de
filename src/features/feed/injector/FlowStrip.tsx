"use client";
import { scaleLog } from "d3";
import type { InjectorVerdict } from "@/core/water/injector";

export interface FlowRange {
  readonly leastLph: number;
  readonly greatestLph: number;
}

/** From a third of the least flow shown to three times the greatest, so that what lies outside is seen outside. */
export function flowScale({ leastLph, greatestLph }: FlowRange, flowsLph: readonly number[]) {
  const shown = [Math.max(leastLph, 1), greatestLph, ...flowsLph].filter((flow) => flow > 0);
  return scaleLog([Math.min(...shown) / 2, Math.max(...shown) * 2], [0, 100]).clamp(true);
}

/** Where a flow lies on the range in which an injector doses. */
export function FlowStrip({
  flowLph,
  verdict,
  range: { leastLph, greatestLph },
  scale,
  label,
}: {
  readonly flowLph: number;
  readonly verdict: InjectorVerdict;
  readonly range: FlowRange;
  readonly scale: (flow: number) => number;
  readonly label: string;
}) {
  const from = scale(Math.max(leastLph, 1));
  return (
    <div role="img" aria-label={label} className="relative h-6 w-full">
      <span
        className="absolute inset-y-1 border-x-2 border-leaf bg-leaf-pale"
        style={{ left: `${from}%`, width: `${scale(greatestLph) - from}%` }}
      />
      <span
        className={`absolute top-0 h-6 w-1.5 -translate-x-1/2 ${verdict === "in-range" ? "bg-ink" : "bg-alarm"}`}
        style={{ left: `${scale(Math.max(flowLph, 0.001))}%` }}
      />
    </div>
  );
}
