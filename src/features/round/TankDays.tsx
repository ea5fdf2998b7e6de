"use client";
import { extent, line, scaleLinear } from "d3";
import { dayInWords } from "@/core/units/day";
import { quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { ChartFrame } from "@/ui/chart/ChartFrame";
import { useShown } from "@/ui/chart/useShown";
import type { ReadingView } from "@/server/round/readingView";

const WIDTH = 410;
const HEIGHT = 84;
const LEFT = 30;
const RIGHT = 6;

/** The last four weeks of a tank, strength and pH each with its band; days without a reading are gaps. */
export function TankDays({ tank }: { tank: ReadingView }) {
  if (tank.days.length < 2) return null;
  return (
    <div className="mt-5 border-t border-rule pt-3">
      <DaysChart
        name="EC"
        dimension="ec"
        days={tank.days.map(({ day, ecMsPerCm }) => ({ day, value: ecMsPerCm }))}
        low={tank.bands?.ecLow}
        high={tank.bands?.ecHigh}
      />
      <DaysChart
        name="pH"
        dimension="ph"
        days={tank.days.map(({ day, ph }) => ({ day, value: ph }))}
        low={tank.bands?.phLow}
        high={tank.bands?.phHigh}
      />
    </div>
  );
}

interface DaysChartProps {
  readonly name: string;
  readonly dimension: "ec" | "ph";
  readonly days: readonly { readonly day: number; readonly value: number | null }[];
  readonly low?: number;
  readonly high?: number;
}

function DaysChart({ name, dimension, days: readings, low, high }: DaysChartProps) {
  const units = useUnits();
  const shown = useShown(dimension);
  const days = readings.map(({ day, value }) => ({ day, value: value === null ? null : shown.of(value) }));
  const band = low === undefined || high === undefined ? null : [shown.of(low), shown.of(high)];
  const x = scaleLinear(extent(days, (d) => d.day) as [number, number], [LEFT, WIDTH - RIGHT]);
  const values = [...days.map((d) => d.value), ...(band ?? [])].filter((value) => value !== null);
  const y = scaleLinear(extent(values) as [number, number], [HEIGHT - 18, 8]).nice(3);
  const path = line<(typeof days)[number]>()
    .defined((d) => d.value !== null)
    .x((d) => x(d.day))
    .y((d) => y(d.value!))(days);
  const latest = readings.findLast((d) => d.value !== null)?.value;
  return (
    <ChartFrame
      width={WIDTH}
      height={HEIGHT}
      label={`${name} over the last four weeks, now ${latest == null ? "not known" : quantityText(latest, dimension, units)}`}
      fontSize={11}
      side={{ scale: y, x: LEFT - 4, ticks: 3 }}
      foot={{
        kind: "marks",
        marks: [
          { x: LEFT, text: dayInWords(days[0]!.day), anchor: "start" },
          { x: WIDTH - RIGHT, text: shown.unit ? `${name}, ${shown.unit}` : name, anchor: "end" },
        ],
      }}
    >
      {band && (
        <rect
          x={LEFT}
          width={WIDTH - LEFT - RIGHT}
          y={y(band[1]!)}
          height={y(band[0]!) - y(band[1]!)}
          className="fill-leaf-pale"
        />
      )}
      <path d={path ?? ""} fill="none" strokeWidth="2.5" className="stroke-ink" />
    </ChartFrame>
  );
}
