"use client";
import { useRef } from "react";
import { line, scaleLinear } from "d3";
import type { PumpCurve } from "@/core/water/pumpCurve";
import type { PumpDuty } from "@/core/water/pumpDuty";
import { useElementWidth } from "@/ui/useElementWidth";

const HEIGHT_PX = 300;
const LEFT_PX = 64;
const BOTTOM_PX = 40;
const TOP_PX = 24;
const RIGHT_PX = 24;
const STEPS = 60;

/** The pump's curve against what height and pipe take: they meet where it works. */
export function PumpPicture({
  curve,
  system,
  duty,
  wantedLph,
  flow,
  length,
}: {
  readonly curve: PumpCurve;
  readonly system: (flowLph: number) => number;
  readonly duty: PumpDuty;
  /** Null where nothing is wanted of it yet. */
  readonly wantedLph: number | null;
  readonly flow: (lph: number) => string;
  readonly length: (metres: number) => string;
}) {
  const box = useRef<HTMLDivElement>(null);
  const widthPx = useElementWidth(box) ?? 640;
  const mostLph = Math.max(curve.lastFlowLph, wantedLph ?? 0) * 1.05;
  const liftM = system(0);
  const mostM = Math.max(curve.firstHeadM, liftM) * 1.15 || 1;
  const x = scaleLinear([0, mostLph], [LEFT_PX, widthPx - RIGHT_PX]);
  const y = scaleLinear([Math.min(0, liftM), mostM], [HEIGHT_PX - BOTTOM_PX, TOP_PX]);
  const at = (most: number) => Array.from({ length: STEPS + 1 }, (_, step) => (most * step) / STEPS);
  const path = (flows: readonly number[], headM: (lph: number) => number) =>
    line<number>(
      (lph) => x(lph),
      (lph) => y(headM(lph)),
    )(flows.filter((lph) => headM(lph) <= mostM)) ?? "";
  const works = duty.kind === "works" || duty.kind === "past-end";
  return (
    <div ref={box}>
      <svg
        width={widthPx}
        height={HEIGHT_PX}
        role="img"
        aria-label={
          works
            ? `The pump gives ${flow(duty.flowLph)}${wantedLph === null ? "" : `; wanted are ${flow(wantedLph)}`}`
            : "The pump cannot lift the water"
        }
        className="block max-w-full"
      >
        <path
          d={`M${LEFT_PX} ${TOP_PX}V${y(0)}H${widthPx - RIGHT_PX}`}
          className="stroke-ink"
          fill="none"
          strokeWidth={1.5}
        />
        <path
          d={path(at(curve.lastFlowLph), (lph) => curve.headM(lph))}
          className="stroke-water"
          fill="none"
          strokeWidth={4}
        />
        <path d={path(at(mostLph), system)} className="stroke-feed" fill="none" strokeWidth={3} strokeDasharray="8 5" />
        {wantedLph !== null && (
          <>
            <path
              d={`M${x(wantedLph)} ${y(0)}V${TOP_PX}`}
              className="stroke-soft"
              strokeWidth={1.5}
              strokeDasharray="2 4"
            />
            <text x={x(wantedLph)} y={HEIGHT_PX - 8} textAnchor="middle" fontSize={15}>
              wanted {flow(wantedLph)}
            </text>
          </>
        )}
        <text x={LEFT_PX - 8} y={y(curve.firstHeadM) + 5} textAnchor="end" fontSize={15}>
          {length(curve.firstHeadM)}
        </text>
        {liftM > 0 && Math.abs(y(liftM) - y(curve.firstHeadM)) > 18 && (
          <text x={LEFT_PX - 8} y={y(liftM) + 5} textAnchor="end" fontSize={15}>
            {length(liftM)}
          </text>
        )}
        <text x={x(curve.lastFlowLph * 0.35)} y={y(curve.headM(curve.lastFlowLph * 0.35)) - 12} fontSize={15}>
          the pump
        </text>
        <text x={LEFT_PX + 10} y={y(liftM) - 10} fontSize={15}>
          height and pipe
        </text>
        {works && <circle cx={x(duty.flowLph)} cy={y(duty.headM)} r={7} className="fill-ink" />}
      </svg>
    </div>
  );
}
