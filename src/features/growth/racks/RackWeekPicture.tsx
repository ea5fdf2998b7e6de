import type { RackWeek, TrayCropOf } from "@/core/garden/trayNeeds";
import { WEEKDAYS } from "@/core/units/day";
import { counted, formatNumber, quantityText } from "@/core/units/format";
import { ChartFrame } from "@/ui/chart/ChartFrame";
import { useUnits } from "@/ui/units";

const WIDTH = 420;
const HEIGHT = 190;
const LEFT = 40;
const TOP = 22;
const FOOT = 24;

/** The week of a rack by the orders: trays on it day by day against its places, and what is sown when. */
export function RackWeekPicture({ week, crops }: { readonly week: RackWeek; readonly crops: readonly TrayCropOf[] }) {
  const units = useUnits();
  const most = Math.max(1, week.rackPlaces, week.peakPlaces);
  const barWidth = (WIDTH - LEFT - 8) / 7;
  const y = (trays: number) => HEIGHT - FOOT - (trays / most) * (HEIGHT - FOOT - TOP);
  const words = `${week.growingArea}: at most ${formatNumber(week.peakPlaces, 1)} of ${week.rackPlaces} places in the week`;
  return (
    <section aria-label={`The week of the ${week.growingArea}, by the orders`}>
      <h2 className="text-2xl">{week.growingArea}, by the orders</h2>
      <ChartFrame
        width={WIDTH}
        height={HEIGHT}
        fontSize={14}
        label={words}
        foot={{
          kind: "marks",
          marks: WEEKDAYS.map((day, at) => ({
            x: LEFT + (at + 0.5) * barWidth,
            text: day.slice(0, 3),
            anchor: "middle",
          })),
        }}
      >
        {week.places.map((places, at) => (
          <g key={at}>
            <rect
              x={LEFT + at * barWidth + 4}
              y={y(places)}
              width={barWidth - 8}
              height={HEIGHT - FOOT - y(places)}
              className={places > week.rackPlaces ? "fill-alarm" : "fill-leaf-pale"}
            />
            <rect
              x={LEFT + at * barWidth + 4}
              y={y(week.onRack[at]!)}
              width={barWidth - 8}
              height={HEIGHT - FOOT - y(week.onRack[at]!)}
              className={places > week.rackPlaces ? "fill-alarm" : "fill-leaf"}
            />
            <text x={LEFT + (at + 0.5) * barWidth} y={y(places) - 4} fontSize="14" textAnchor="middle" className="sign">
              {formatNumber(places, 1)}
            </text>
          </g>
        ))}
        <path
          d={`M${LEFT} ${y(week.rackPlaces)}H${WIDTH}`}
          className="stroke-ink"
          strokeWidth="2"
          strokeDasharray="6 4"
        />
        <text x={LEFT - 4} y={y(week.rackPlaces) + 5} fontSize="14" textAnchor="end">
          {week.rackPlaces}
        </text>
      </ChartFrame>
      {!week.fits && (
        <p role="alert" className="font-bold text-alarm">
          {formatNumber(week.peakPlaces - week.rackPlaces, 1)} places too few on the fullest day.
        </p>
      )}
      <table className="w-full">
        <thead className="text-left text-sm text-soft">
          <tr>
            <th className="font-normal">sow</th>
            <th className="font-normal">crop</th>
            <th className="text-right font-normal">trays</th>
            <th className="text-right font-normal">seed</th>
            <th className="text-right font-normal">soak</th>
            <th className="text-right font-normal">cut</th>
          </tr>
        </thead>
        <tbody>
          {week.sowings
            .toSorted((a, b) => a.weekday - b.weekday)
            .map(({ crop, weekday, trays, cutOn }) => {
              const own = crops.find(({ name }) => name === crop)!;
              return (
                <tr key={`${crop}:${cutOn}`} className="border-t border-rule">
                  <th scope="row" className="sign text-left text-xl">
                    {WEEKDAYS[weekday - 1]!.slice(0, 3)}
                  </th>
                  <td>{crop}</td>
                  <td className="figure !text-xl text-right">{formatNumber(trays, 1)}</td>
                  <td className="text-right">{quantityText(trays * own.seedGPerTray, "mass", units)}</td>
                  <td className="text-right">{own.soakH > 0 ? counted(own.soakH, "hour") : "no"}</td>
                  <td className="text-right">{WEEKDAYS[cutOn - 1]!.slice(0, 3)}</td>
                </tr>
              );
            })}
        </tbody>
      </table>
    </section>
  );
}
