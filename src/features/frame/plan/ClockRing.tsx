import { arc } from "d3";
import type { LightWindow } from "@/core/water/lightWindows";
import { timerRuns, type Daylight, type TimerProgram } from "@/core/water/timer";
import { clockText, counted } from "@/core/units/format";
import { timerWords } from "../../water/words";

const OUTER = 62;
const INNER = 44;
/** A run shorter than this would vanish on the ring. */
const LEAST_SHOWN_MIN = 8;

/** The day as a ring of 24 hours with the pump's runs on it; midnight is below, noon above. */
export function ClockRing({
  timer,
  minutes,
  sizePx = 168,
  daylight,
  windows = [],
}: {
  timer: TimerProgram;
  minutes: number;
  sizePx?: number;
  daylight?: Daylight;
  /** When it is light where it waters. */
  windows?: readonly LightWindow[];
}) {
  const runs = timerRuns(timer, daylight);
  const angle = (minute: number) => (minute / 1440) * 2 * Math.PI + Math.PI;
  const ring = arc<{ from: number; to: number }>()
    .innerRadius(INNER)
    .outerRadius(OUTER)
    .startAngle((part) => angle(part.from))
    .endAngle((part) => angle(part.to));
  const light = arc<{ from: number; to: number }>()
    .innerRadius(OUTER + 3)
    .outerRadius(OUTER + 6)
    .startAngle((part) => angle(part.from))
    .endAngle((part) => angle(part.to));
  const hours = minutes >= 60 ? `${(minutes / 60).toFixed(1).replace(".0", "")} h` : `${Math.round(minutes)} min`;
  return (
    <svg
      viewBox="-84 -84 168 168"
      width={sizePx}
      height={sizePx}
      role="img"
      aria-label={`Timer: ${timerWords(timer)}, ${hours} in all`}
      className="shrink-0"
    >
      <path d={ring({ from: 0, to: 1440 }) ?? ""} className="fill-rule" />
      {runs.map((run) => (
        <path
          key={run.startMin}
          d={ring({ from: run.startMin, to: run.startMin + Math.max(LEAST_SHOWN_MIN, run.lengthMin) }) ?? ""}
          className="fill-water"
        />
      ))}
      {windows.map(({ fromMin, toMin }) => (
        <path key={`${fromMin} ${toMin}`} d={light({ from: fromMin, to: toMin }) ?? ""} className="fill-soft">
          <title>{`light from ${clockText(Math.round(fromMin))} to ${clockText(Math.round(toMin))}`}</title>
        </path>
      ))}
      {[0, 6, 12, 18].map((hour) => (
        <text
          key={hour}
          x={Math.sin(angle(hour * 60)) * 77}
          y={-Math.cos(angle(hour * 60)) * 77 + 4}
          textAnchor="middle"
          fontSize="12"
        >
          {hour}
        </text>
      ))}
      <text y="-2" textAnchor="middle" fontSize="22" className="sign">
        {timer.kind === "continuous" ? "all day" : counted(runs.length, "run")}
      </text>
      <text y="18" textAnchor="middle" fontSize="13">
        {hours} a day
      </text>
    </svg>
  );
}
