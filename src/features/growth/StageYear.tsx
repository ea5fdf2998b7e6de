import { area, scaleLinear, stack } from "d3";
import { ChartFrame } from "@/ui/chart/ChartFrame";
import { sowingYear } from "@/core/growth/sowingYear";
import { civilDate, dayFromIso, MONTHS, type Day } from "@/core/units/day";
import type { Variety } from "@/core/garden/garden";
import type { GrowingAreaRow } from "@/core/garden/garden";

const WIDTH = 420;
const HEIGHT = 66;
const LEFT = 48;
const FOOT = 16;
const LEAST_LABEL = 15;
/** Stages from light to dark, as the plant fills out. */
const FILLS = ["fill-feed-pale", "fill-leaf-pale", "fill-leaf", "fill-ink"];

/** Days of each stage by month: of its table, or of what is sown in the middle of the month where warmth and light count. */
function stageDays({ clock, stages }: Variety, today: Day): readonly (readonly number[])[] {
  if (clock !== "warmth" || stages.some(({ progressByDay }) => !progressByDay))
    return stages.map(({ daysByMonth }) => daysByMonth);
  const year = sowingYear(stages, dayFromIso(`${civilDate(today).year}-01-01`), 365);
  const ends = MONTHS.map((_, month) => year[Math.round((month + 0.5) * 30.4)]!.daysAtEnds ?? stages.map(() => 0));
  return stages.map((_, at) => ends.map((own) => own[at]! - (at === 0 ? 0 : own[at - 1]!)));
}

/** Days that each stage takes when it falls in each month, one over the other. */
export function StageYear({
  variety,
  growingAreas,
  today,
}: {
  variety: Variety;
  growingAreas: readonly GrowingAreaRow[];
  today: Day;
}) {
  const days = stageDays(variety, today);
  const keys = variety.stages.map((_, index) => String(index));
  const months = MONTHS.map((_, month) => month);
  const layers = stack<number, string>()
    .keys(keys)
    .value((month, key) => days[Number(key)]![month]!)(months);
  const most = Math.max(...months.map((month) => days.reduce((sum, stage) => sum + stage[month]!, 0)));
  const x = scaleLinear([0, 11], [LEFT, WIDTH - 4]);
  const y = scaleLinear([0, most], [HEIGHT - FOOT, 9]);
  const words = variety.stages
    .map(
      (stage, at) =>
        `${stage.name} in ${growingAreas.find((growingArea) => growingArea.id === stage.growingAreaId)?.name ?? "?"}: ${Math.min(...days[at]!)} to ${Math.max(...days[at]!)} days`,
    )
    .join("; ");
  return (
    <ChartFrame
      width={WIDTH}
      height={HEIGHT}
      label={words}
      fontSize={14}
      side={{ scale: y, x: LEFT - 4, ticks: [most], text: (days) => `${Math.round(days)} d` }}
      foot={{
        kind: "marks",
        marks: months.map((month) => ({ x: x(month), text: MONTHS[month]![0]!, anchor: "middle" })),
      }}
      className="max-h-14 w-full"
    >
      <title>{words}</title>
      {layers.map((layer, index) => {
        const path = area<(typeof layer)[number]>()
          .x((point) => x(point.data))
          .y0((point) => y(point[0]))
          .y1((point) => y(point[1]))(layer);
        const middle = layer[6]!;
        return (
          <g key={layer.key}>
            <path
              d={path ?? ""}
              className={`${FILLS[Math.min(index + (variety.stages.length < 3 ? 1 : 0), 3)]} stroke-ground`}
              strokeWidth="1.5"
            />
            {y(middle[0]) - y(middle[1]) > LEAST_LABEL && (
              <text
                x={WIDTH / 2}
                y={(y(middle[0]) + y(middle[1])) / 2 + 4}
                textAnchor="middle"
                fontSize="15"
                style={
                  index === 2 || (variety.stages.length < 3 && index === 1) ? { fill: "var(--on-strong)" } : undefined
                }
              >
                {variety.stages[index]!.name}
              </text>
            )}
          </g>
        );
      })}
    </ChartFrame>
  );
}
