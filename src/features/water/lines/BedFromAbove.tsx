"use client";
import { useMemo, useRef } from "react";
import { bedCoverage } from "@/core/water/bedCoverage";
import { bedPlanOf, type DripLineAnswer } from "@/core/water/dripLine";
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
          {coverage.emitters.map(({ xM, yM }, at) => (
            <circle
              key={at}
              cx={xM * scale}
              cy={yM * scale}
              r={plan.wettedRadiusM * scale}
              className="fill-water-pale"
            />
          ))}
          {plan.lines.map(({ yM }) => (
            <path
              key={yM}
              d={`M0 ${yM * scale}H${spec.lineLengthM * scale}`}
              className="stroke-water"
              strokeWidth="2.5"
            />
          ))}
          {coverage.emitters.map(({ xM, yM }, at) => (
            <path key={at} d={`M${xM * scale} ${yM * scale - 4}v8`} className="stroke-water" strokeWidth="3" />
          ))}
          {plan.plants.map(({ xM, yM }, at) => {
            const share = mean > 0 ? flows[at]! / mean : 0;
            const isShort = share < SHORT_SHARE;
            return (
              <circle
                key={at}
                cx={xM * scale}
                cy={yM * scale}
                r={Math.max(2, radius * Math.sqrt(Math.min(1.6, share)) * 0.8)}
                className={isShort ? "fill-ground stroke-alarm" : "fill-leaf stroke-ground"}
                strokeWidth={isShort ? 2.5 : 1}
                strokeDasharray={isShort ? "3 2" : undefined}
              />
            );
          })}
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
