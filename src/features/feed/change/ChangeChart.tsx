"use client";
import { line, scaleLinear, scaleUtc } from "d3";
import { useRef, useState } from "react";
import { ATOMIC_WEIGHT_G_PER_MOL as WEIGHT } from "@/core/feed/nutrients";
import type { TankDays } from "@/core/feed/tankDays";
import type { Day } from "@/core/units/day";
import { dateOf, SideAxis } from "@/ui/chart/axes";
import { ChartFrame } from "@/ui/chart/ChartFrame";
import { useShown } from "@/ui/chart/useShown";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { useElementWidth } from "@/ui/useElementWidth";

const HEIGHT = 260;
const [LEFT, RIGHT_GAP, TOP, BOTTOM] = [52, 16, 18, 226];
const OF = [
  { value: "ec", label: "EC" },
  { value: "Na", label: "sodium" },
  { value: "Cl", label: "chloride" },
] as const;
type What = (typeof OF)[number]["value"];

interface ChangeChartProps {
  readonly today: Day;
  readonly answers: readonly { readonly days: TankDays }[];
  /** The one that is looked at. */
  readonly looked: number;
  readonly low: number;
  readonly high: number;
}

/** One figure of the tank over the days ahead: the school that is looked at over all others. */
export function ChangeChart({ today, answers, looked, low, high }: ChangeChartProps) {
  const [what, setWhat] = useState<What>("ec");
  const shown = useShown("ec");
  const box = useRef<HTMLDivElement>(null);
  const width = useElementWidth(box) ?? 720;
  const right = width - RIGHT_GAP;
  const valuesOf = ({ ecMsPerCm, sodiumMmolPerL, chlorideMmolPerL }: TankDays): number[] =>
    what === "ec"
      ? Array.from(ecMsPerCm, shown.of)
      : Array.from(what === "Na" ? sodiumMmolPerL : chlorideMmolPerL, (mmol) => mmol * WEIGHT[what]);
  const series = answers.map(({ days }) => valuesOf(days));
  const count = series[0]!.length;
  const date = (day: number) => dateOf(today + day);
  const x = scaleUtc([date(0), date(Math.max(1, count - 1))], [LEFT, right]);
  const own = series[looked]!;
  // The school that is looked at is seen whole; the others as far as they stay near it.
  const most = Math.max(what === "ec" ? shown.of(high) : 1, ...own) * 1.15;
  const y = scaleLinear([0, most], [BOTTOM, TOP]).nice(4);
  const path = (values: readonly number[]) =>
    line<number>()
      .defined((value) => value <= y.domain()[1]!)
      .x((_, day) => x(date(day)))
      .y((value) => y(value))(values) ?? "";
  const unit = what === "ec" ? shown.unit : "mg/L";
  return (
    <section className="mt-6">
      <p className="sentence text-xl">
        In the tank over the days ahead:{" "}
        <ChoiceBlank name="figure" label="Figure of the tank" value={what} options={OF} onValue={setWhat} />, {unit}
      </p>
      <div ref={box}>
        <ChartFrame
          width={width}
          height={HEIGHT}
          fontSize={13}
          label={`${OF.find(({ value }) => value === what)!.label} over ${count} days: from ${own[0]!.toFixed(2)} to ${own.at(-1)!.toFixed(2)} ${unit} with the school that is looked at`}
          foot={{ kind: "months", scale: x, count: width < 640 ? 5 : 10 }}
        >
          {what === "ec" && (
            <rect
              x={LEFT}
              width={right - LEFT}
              y={y(shown.of(high))}
              height={Math.max(0, y(shown.of(low)) - y(shown.of(high)))}
              className="fill-leaf-pale"
            />
          )}
          <SideAxis side={{ scale: y, x: LEFT - 8, ticks: 4 }} fontSize={13} />
          <path d={`M${LEFT} ${TOP}V${BOTTOM}H${right}`} className="stroke-ink" fill="none" strokeWidth="1.5" />
          {series.map((values, at) =>
            at === looked ? null : (
              <path key={at} d={path(values)} fill="none" className="stroke-rule" strokeWidth="2" />
            ),
          )}
          <path d={path(own)} fill="none" className="stroke-water" strokeWidth="3" />
          {what === "ec" && (
            <text x={LEFT + 6} y={y(shown.of(high)) - 5} fontSize="13">
              band of the recipe
            </text>
          )}
        </ChartFrame>
      </div>
    </section>
  );
}
