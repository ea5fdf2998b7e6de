"use client";
import { line, scaleLinear } from "d3";
import { useRef } from "react";
import type { DripLineAnswer } from "@/core/water/dripLine";
import { quantityText } from "@/core/units/format";
import { SideAxis } from "@/ui/chart/axes";
import { ChartFrame } from "@/ui/chart/ChartFrame";
import { useShown } from "@/ui/chart/useShown";
import { useElementWidth } from "@/ui/useElementWidth";
import { useUnits } from "@/ui/units";

const HEIGHT = 268;
export const LEFT = 48;
/** What stands right of the line: the figures of its far end. */
export const BESIDE = 84;
const HEAD = { top: 30, bottom: 112 };
const FLOW = { top: 158, bottom: 234 };
/** Emitters that can still be told apart. */
const MOST_DOTS = 150;

/** Head and flow of a drip line, from its inlet to its far end. */
export function LineChart({ answer, headM }: { readonly answer: DripLineAnswer; readonly headM: number }) {
  const units = useUnits();
  const [head, flow] = [useShown("length"), useShown("flow")];
  const box = useRef<HTMLDivElement>(null);
  const width = useElementWidth(box) ?? 720;
  const right = width - BESIDE;
  const { lateral, flow: solved, uniformity } = answer;
  const atM = (emitter: number) => lateral.firstSpacingM + emitter * lateral.spacingM;
  const endM = atM(lateral.count - 1) + lateral.firstSpacingM;
  const x = scaleLinear([0, endM], [LEFT, right]);
  const heads = [headM, ...solved.headsM];
  const headY = scaleLinear([0, head.of(Math.max(...heads)) * 1.08], [HEAD.bottom, HEAD.top]).nice(3);
  const nominalLph = lateral.emitter.nominalFlowLph;
  const most = Math.max(nominalLph, uniformity.greatestLph) * 1.12;
  const flowY = scaleLinear([0, flow.of(most)], [FLOW.bottom, FLOW.top]).nice(3);
  // What the label says and what the last one gives may lie close together.
  const lastY = flowY(flow.of(solved.flowsLph[lateral.count - 1]!)) + 12;
  const labelY = flowY(flow.of(nominalLph)) - 6;
  const apartY = Math.abs(labelY - lastY) < 16 ? lastY + (labelY < lastY ? -16 : 16) : labelY;
  const path = (values: ArrayLike<number>, y: (value: number) => number) =>
    line<number>()
      .x((_, at) => x(atM(at)))
      .y((value) => y(value))(Array.from(values)) ?? "";
  const [first, last] = [solved.flowsLph[0]!, solved.flowsLph[lateral.count - 1]!];
  const end = `${quantityText(solved.headsM[lateral.count - 1]!, "length", units)}`;
  return (
    <div ref={box}>
      <ChartFrame
        width={width}
        height={HEIGHT}
        fontSize={14}
        label={`Along the line: the head goes from ${quantityText(headM, "length", units)} to ${end}, the flow of an emitter from ${quantityText(first, "flow", units)} to ${quantityText(last, "flow", units)}`}
        foot={{
          kind: "marks",
          marks: [
            { x: LEFT, text: "inlet", anchor: "start" },
            { x: (LEFT + right) / 2, text: `${lateral.count} emitters`, anchor: "middle" },
            { x: right, text: quantityText(endM, "length", units), anchor: "end" },
          ],
        }}
      >
        <text x={LEFT} y={16} fontSize="16" className="sign">
          Head along the line, {head.unit}
        </text>
        <SideAxis side={{ scale: headY, x: LEFT - 8, ticks: 3 }} fontSize={13} />
        <path d={`M${LEFT} ${HEAD.bottom}H${right}`} className="stroke-rule" />
        <path
          d={`M${LEFT} ${headY(head.of(headM))}L${path(solved.headsM, (value) => headY(head.of(Math.max(0, value)))).slice(1)}`}
          fill="none"
          className="stroke-water"
          strokeWidth="3"
        />
        <text
          x={right + 8}
          y={headY(head.of(Math.max(0, solved.headsM[lateral.count - 1]!))) + 5}
          fontSize="15"
          className="font-bold"
        >
          {end}
        </text>
        <text x={LEFT} y={FLOW.top - 14} fontSize="16" className="sign">
          Flow of each emitter, {flow.unit}
        </text>
        <SideAxis side={{ scale: flowY, x: LEFT - 8, ticks: 3 }} fontSize={13} />
        <path d={`M${LEFT} ${FLOW.bottom}H${right}`} className="stroke-rule" />
        <path d={`M${LEFT} ${flowY(flow.of(nominalLph))}H${right}`} className="stroke-soft" strokeDasharray="5 4" />
        <text x={right + 8} y={apartY} fontSize="13" className="fill-soft">
          on its label
        </text>
        {lateral.count <= MOST_DOTS ? (
          <path
            d={Array.from(
              solved.flowsLph,
              (value, at) => `M${x(atM(at))} ${FLOW.bottom}V${flowY(flow.of(value))}`,
            ).join("")}
            className="stroke-water"
            strokeWidth={Math.max(1.5, Math.min(6, (0.5 * (right - LEFT)) / lateral.count))}
          />
        ) : (
          <path
            d={path(solved.flowsLph, (value) => flowY(flow.of(value)))}
            fill="none"
            className="stroke-water"
            strokeWidth="3"
          />
        )}
        <text x={right + 8} y={lastY} fontSize="15" className="font-bold">
          {quantityText(last, "flow", units)}
        </text>
      </ChartFrame>
    </div>
  );
}
