import { extent, line, scaleLinear } from "d3";
import { dayInWords } from "@/core/units/day";
import { ValueAxis } from "@/ui/chart";
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
        unit="mS/cm"
        days={tank.days.map(({ day, ecMsPerCm }) => ({ day, value: ecMsPerCm }))}
        low={tank.bands?.ecLow}
        high={tank.bands?.ecHigh}
      />
      <DaysChart
        name="pH"
        unit=""
        days={tank.days.map(({ day, ph }) => ({ day, value: ph }))}
        low={tank.bands?.phLow}
        high={tank.bands?.phHigh}
      />
    </div>
  );
}

interface DaysChartProps {
  readonly name: string;
  readonly unit: string;
  readonly days: readonly { readonly day: number; readonly value: number | null }[];
  readonly low?: number;
  readonly high?: number;
}

function DaysChart({ name, unit, days, low, high }: DaysChartProps) {
  const x = scaleLinear(extent(days, (d) => d.day) as [number, number], [LEFT, WIDTH - RIGHT]);
  const y = scaleLinear(extent([...days.map((d) => d.value), low, high].filter((v) => v != null)) as [number, number], [
    HEIGHT - 18,
    8,
  ]).nice(3);
  const path = line<(typeof days)[number]>()
    .defined((d) => d.value !== null)
    .x((d) => x(d.day))
    .y((d) => y(d.value!))(days);
  const latest = days.findLast((d) => d.value !== null);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`${name} over the last four weeks, now ${latest?.value?.toFixed(2) ?? "not known"} ${unit}`}
      className="w-full"
    >
      {low !== undefined && high !== undefined && (
        <rect x={LEFT} width={WIDTH - LEFT - RIGHT} y={y(high)} height={y(low) - y(high)} className="fill-leaf-pale" />
      )}
      <ValueAxis scale={y} x={LEFT - 4} count={3} fontSize={11} />
      <path d={path ?? ""} fill="none" strokeWidth="2.5" className="stroke-ink" />
      <text x={LEFT} y={HEIGHT - 4} fontSize="11">
        {dayInWords(days[0]!.day)}
      </text>
      <text x={WIDTH - RIGHT} y={HEIGHT - 4} fontSize="11" textAnchor="end">
        {name}
        {unit && `, ${unit}`}
      </text>
    </svg>
  );
}
