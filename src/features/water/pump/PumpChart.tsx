"use client";
import { line, scaleLinear } from "d3";
import { useMemo, useRef } from "react";
import type { LoopPipes } from "@/core/garden/loopPipes";
import { systemCurve, type PumpTrial, type SystemPoint } from "@/core/garden/pumpTrial";
import { curveOf, type KnownPump } from "@/core/water/pumpCurve";
import { quantityText } from "@/core/units/format";
import { SideAxis } from "@/ui/chart/axes";
import { ChartFrame } from "@/ui/chart/ChartFrame";
import { useShown } from "@/ui/chart/useShown";
import { useElementWidth } from "@/ui/useElementWidth";
import { useUnits } from "@/ui/units";

const HEIGHT = 300;
const [LEFT, RIGHT_GAP, TOP, BOTTOM] = [48, 20, 34, 262];
const STEPS = 60;

interface PumpChartProps {
  readonly pipes: LoopPipes;
  readonly pump: KnownPump;
  readonly trial: PumpTrial;
  readonly isOpen: (key: string) => boolean;
}

/** The pump's curve against what the pipes take, at low and at high water: it works where they meet. */
export function PumpChart({ pipes, pump, trial, isOpen }: PumpChartProps) {
  const units = useUnits();
  const box = useRef<HTMLDivElement>(null);
  const width = useElementWidth(box) ?? 720;
  const [flow, head] = [useShown("flow"), useShown("length")];
  const right = width - RIGHT_GAP;
  const { curve, mostM, low, high } = useMemo(() => {
    const own = curveOf(pump);
    const most = own.firstHeadM * 1.12;
    const at = (waterM: number) => systemCurve(pipes, waterM, isOpen, most);
    return {
      curve: own,
      mostM: most,
      low: at(pipes.lowWaterM),
      high: pipes.highWaterM > pipes.lowWaterM ? at(pipes.highWaterM) : null,
    };
  }, [pipes, pump, isOpen]);
  const mostLph = Math.max(curve.lastFlowLph, trial.wantedLph) * 1.05;
  const x = scaleLinear([0, flow.of(mostLph)], [LEFT, right]);
  const y = scaleLinear([0, head.of(mostM)], [BOTTOM, TOP]);
  const path = (points: readonly SystemPoint[]) =>
    line<SystemPoint>()
      .x((point) => x(flow.of(point.flowLph)))
      .y((point) => y(head.of(point.headM)))(points.filter((point) => point.flowLph <= mostLph)) ?? "";
  const pumpPoints = Array.from({ length: STEPS + 1 }, (_, step) => {
    const flowLph = curve.firstFlowLph + ((curve.lastFlowLph - curve.firstFlowLph) * step) / STEPS;
    return { flowLph, headM: curve.headM(Math.min(flowLph, curve.lastFlowLph)) };
  });
  const duty = (answer: PumpTrial["low"]) =>
    [x(flow.of(answer.flow.flowLph)), y(head.of(answer.flow.pumpHeadM))] as const;
  const [lowX, lowY] = duty(trial.low);
  const wantedX = x(flow.of(trial.wantedLph));
  const text = (lph: number) => quantityText(lph, "flow", units);
  return (
    <div ref={box}>
      <ChartFrame
        width={width}
        height={HEIGHT}
        fontSize={14}
        label={`The pump’s curve and what the pipes take: they meet at ${text(trial.low.flow.flowLph)} with low water${high ? `, ${text(trial.high.flow.flowLph)} with a full tank` : ""}; ${text(trial.wantedLph)} are wanted`}
        foot={{
          kind: "marks",
          marks: x.ticks(5).map((tick) => ({ x: x(tick), text: String(tick), anchor: "middle" })),
        }}
      >
        <text x={LEFT} y={18} fontSize="16" className="sign">
          Head, {head.unit}
        </text>
        <text x={right} y={BOTTOM - 8} fontSize="15" textAnchor="end" className="sign">
          flow, {flow.unit}
        </text>
        <SideAxis side={{ scale: y, x: LEFT - 8, ticks: 4 }} fontSize={13} />
        <path d={`M${LEFT} ${TOP}V${BOTTOM}H${right}`} className="stroke-ink" fill="none" strokeWidth="1.5" />
        <path d={`M${wantedX} ${BOTTOM}V${TOP}`} className="stroke-leaf" strokeWidth="2" strokeDasharray="2 5" />
        <text
          x={wantedX + (wantedX > right - 110 ? -6 : 6)}
          y={TOP + 4}
          fontSize="14"
          textAnchor={wantedX > right - 110 ? "end" : "start"}
          className="fill-leaf font-bold"
        >
          wanted
        </text>
        {high && <path d={path(high)} className="stroke-feed" fill="none" strokeWidth="2" strokeDasharray="3 5" />}
        <path d={path(low)} className="stroke-feed" fill="none" strokeWidth="3" strokeDasharray="9 5" />
        <path d={path(pumpPoints)} className="stroke-water" fill="none" strokeWidth="4" />
        {high && (
          <circle
            cx={duty(trial.high)[0]}
            cy={duty(trial.high)[1]}
            r="6"
            className="fill-ground stroke-ink"
            strokeWidth="2.5"
          />
        )}
        <circle cx={lowX} cy={lowY} r="8" className="fill-ink stroke-ground" strokeWidth="2" />
      </ChartFrame>
      <p className="flex flex-wrap gap-x-5 text-sm text-soft">
        <Key className="stroke-water" width={4}>
          pump
        </Key>
        <Key className="stroke-feed" width={3} dash="9 5">
          pipes and lines, low water
        </Key>
        {high && (
          <Key className="stroke-feed" width={2} dash="3 5">
            with a full tank
          </Key>
        )}
        <span>● works here at low water{high && " · ○ with a full tank"}</span>
      </p>
    </div>
  );
}

function Key({
  className,
  width,
  dash,
  children,
}: {
  readonly className: string;
  readonly width: number;
  readonly dash?: string;
  readonly children: string;
}) {
  return (
    <span className="inline-flex items-center gap-2">
      <svg width="34" height="10" aria-hidden="true">
        <path d="M0 5H34" className={className} strokeWidth={width} strokeDasharray={dash} />
      </svg>
      {children}
    </span>
  );
}
