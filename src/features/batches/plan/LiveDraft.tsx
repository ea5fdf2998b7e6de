"use client";
import type { Day } from "@/core/units/day";
import { MONTHS, civilDate } from "@/core/units/day";
import type { SeasonTold } from "@/core/garden/season/told";

const ROW = 22;
const LEFT = 150;
const WIDTH = 1000;

/** The best plan so far: each sowing of it a mark on its day, as large as its batch. */
export function LiveDraft({
  batches,
  varieties,
  from,
  days,
}: {
  readonly batches: SeasonTold["batches"];
  readonly varieties: readonly { readonly id: number; readonly name: string }[];
  readonly from: Day;
  readonly days: number;
}) {
  const rows = varieties.filter(({ id }) => batches.some(([varietyId]) => varietyId === id));
  if (rows.length === 0) return null;
  const most = Math.max(...batches.map(([, , plants]) => plants));
  const x = (day: Day) => LEFT + ((day - from) / days) * (WIDTH - LEFT - 10);
  const months = Array.from({ length: days }, (_, at) => from + at).filter((day) => civilDate(day).dayOfMonth === 1);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${rows.length * ROW + 26}`}
      className="mt-3 w-full"
      role="img"
      aria-label={`${batches.length} sowings of the best plan so far`}
    >
      {months.map((day) => (
        <g key={day}>
          <line x1={x(day)} x2={x(day)} y1="0" y2={rows.length * ROW + 26} className="stroke-rule" />
          <text x={x(day) + 4} y="14" fontSize="14" className="sign">
            {MONTHS[civilDate(day).month - 1]}
          </text>
        </g>
      ))}
      {rows.map(({ id, name }, row) => (
        <g key={id}>
          <text x="0" y={row * ROW + 38} fontSize="15" className="sign">
            {name}
          </text>
          {batches
            .filter(([varietyId, day]) => varietyId === id && day < from + days)
            .map(([, day, plants], at) => (
              <circle
                key={`${day} ${at}`}
                cx={x(day)}
                cy={row * ROW + 33}
                r={2 + 7 * Math.sqrt(plants / most)}
                className="fill-leaf"
                opacity="0.75"
              />
            ))}
        </g>
      ))}
    </svg>
  );
}
