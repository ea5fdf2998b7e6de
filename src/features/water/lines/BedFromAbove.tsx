"use client";
import { useMemo, useRef } from "react";
import { bedCoverage } from "@/core/water/bedCoverage";
import { bedPlanOf, type DripLineAnswer } from "@/core/water/dripLine";
import type { PointM } from "@/core/place/standLayout";
import type { DripBeds } from "@/core/place/kinds/beds";
import { quantityText } from "@/core/units/format";
import { useElementWidth } from "@/ui/useElementWidth";
import { useUnits } from "@/ui/units";
import { BESIDE, LEFT } from "./LineChart";

/** Of the mean: less is a plant that goes short. */
const SHORT_SHARE = 0.5;
const MOST_HEIGHT = 210;

/** A bed from above: emitters and what they wet, each plant as large as its share of the water. */
export function BedFromAbove({ spec, answer }: { readonly spec: DripBeds; readonly answer: DripLineAnswer }) {
  const units = useUnits();
  const box = useRef<HTMLElement>(null);
  const width = useElementWidth(box) ?? 720;
  const plan = useMemo(() => bedPlanOf(spec, answer), [spec, answer]);
  const coverage = useMemo(() => bedCoverage(plan), [plan]);
  if (plan.plants.length === 0) return null;
  const scale = Math.min((width - BESIDE - LEFT) / spec.lineLengthM, MOST_HEIGHT / spec.bedWidthM);
  const height = spec.bedWidthM * scale;
  const flows = coverage.plants.map(({ flowLph }) => flowLph);
  const mean = flows.reduce((sum, flow) => sum + flow, 0) / flows.length;
  const dry = flows.filter((flow) => flow === 0).length;
  const short = flows.filter((flow) => flow < SHORT_SHARE * mean).length - dry;
  const bad = [
    ...(dry > 0 ? [`${dry} of ${flows.length} plants get no water`] : []),
    ...(short > 0 ? [`${short} of ${flows.length} get under half of the mean`] : []),
  ].join("; ");
  const [least, most] = [Math.min(...flows), Math.max(...flows)];
  const radius = Math.min(11, spec.pitchM * scale * 0.42);
  // Hundreds of shapes of their own would take longer to draw than to work out.
  const rings = (places: readonly PointM[], radiusAt: (at: number) => number) =>
    places.map((place, at) => ring(place.xM * scale, place.yM * scale, radiusAt(at))).join("");
  const sizeOf = (at: number) => {
    const share = mean > 0 ? flows[at]! / mean : 0;
    return { isShort: share < SHORT_SHARE, px: Math.max(2, radius * Math.sqrt(Math.min(1.6, share)) * 0.8) };
  };
  const plantRings = (short: boolean) => rings(plan.plants, (at) => (sizeOf(at).isShort === short ? sizeOf(at).px : 0));
  const text = (flow: number) => quantityText(flow, "flow", units);
  const words = `A plant gets ${text(least)} to ${text(most)}, ${text(mean)} in the mean`;
  return (
    <figure ref={box} className="mt-2">
      <svg
        viewBox={`0 0 ${width} ${height + 16}`}
        role="img"
        aria-label={`One bed from above. ${words}${bad && `; ${bad}`}`}
        className="w-full"
      >
        <g transform={`translate(${LEFT} 8)`}>
          <rect width={spec.lineLengthM * scale} height={height} className="fill-sheet stroke-ink" strokeWidth="1.5" />
          <path d={rings(coverage.emitters, () => plan.wettedRadiusM * scale)} className="fill-water-pale" />
          {plan.lines.map(({ yM }) => (
            <path
              key={yM}
              d={`M0 ${yM * scale}H${spec.lineLengthM * scale}`}
              className="stroke-water"
              strokeWidth="2.5"
            />
          ))}
          <path
            d={coverage.emitters.map(({ xM, yM }) => `M${xM * scale} ${yM * scale - 4}v8`).join("")}
            className="stroke-water"
            strokeWidth="3"
          />
          <path d={plantRings(false)} className="fill-leaf stroke-ground" strokeWidth="1" />
          <path d={plantRings(true)} className="fill-ground stroke-alarm" strokeWidth="2.5" strokeDasharray="3 2" />
        </g>
      </svg>
      <figcaption className="mt-1 text-sm text-soft">
        One bed from above. {words}. {bad && <b className="text-alarm">{bad} (dashed rings). </b>}
        An emitter wets {quantityText(plan.wettedRadiusM, "smallLength", units)} to each side: dig and look, media
        differ.
      </figcaption>
    </figure>
  );
}

/** A circle as a part of a path; none without a radius. */
function ring(x: number, y: number, radiusPx: number): string {
  if (radiusPx <= 0) return "";
  const [r, d] = [radiusPx.toFixed(2), (2 * radiusPx).toFixed(2)];
  return `M${(x - radiusPx).toFixed(2)} ${y.toFixed(2)}a${r} ${r} 0 1 0 ${d} 0a${r} ${r} 0 1 0 -${d} 0`;
}
