"use client";
import { useRef } from "react";
import { counted, formatNumber } from "@/core/units/format";
import { useElementWidth } from "@/ui/useElementWidth";

const ROW_PX = 26;
const MOST_ROWS = 14;
const SHOWN_SITES_PX = 4;

/** Batches one after the other, each on its own sites: how many stand at once is seen at any day. */
export function BatchSteps({
  plantsPerBatch,
  batchesAtOnce,
  everyDays,
  stayDays,
}: {
  readonly plantsPerBatch: number;
  readonly batchesAtOnce: number;
  readonly everyDays: number;
  readonly stayDays: number;
}) {
  const box = useRef<HTMLDivElement>(null);
  const widthPx = useElementWidth(box) ?? 640;
  const rows = Math.min(MOST_ROWS, batchesAtOnce);
  const days = everyDays * rows + stayDays;
  const x = (day: number) => 8 + (day / days) * (widthPx - 16);
  const heightPx = rows * ROW_PX + 52;
  // All that stand at once do so when the last of them has just come.
  const fullest = (rows - 1) * everyDays;
  return (
    <div ref={box}>
      <svg
        width={widthPx}
        height={heightPx}
        role="img"
        aria-label={`${formatNumber(batchesAtOnce)} batches of ${formatNumber(plantsPerBatch)} stand at once`}
        className="block max-w-full"
      >
        {Array.from({ length: rows }, (_, row) => (
          <g key={row}>
            <rect
              x={x(row * everyDays)}
              y={8 + row * ROW_PX}
              width={Math.max(SHOWN_SITES_PX, x(stayDays) - x(0))}
              height={ROW_PX - 4}
              rx={3}
              className="fill-leaf-pale stroke-leaf"
            />
            <text x={x(row * everyDays) + 8} y={8 + row * ROW_PX + ROW_PX - 10} fontSize={14}>
              {counted(plantsPerBatch, "plant")}
            </text>
          </g>
        ))}
        <path
          d={`M${x(fullest)} 4V${heightPx - 34}`}
          className="stroke-ink"
          strokeWidth={1.5}
          strokeDasharray="4 4"
          fill="none"
        />
        <text x={x(fullest) - 6} y={heightPx - 42} fontSize={14} textAnchor="end">
          the fullest day
        </text>
        <path d={`M8 ${heightPx - 34}H${widthPx - 8}`} className="stroke-ink" strokeWidth={1.5} />
        <text x={8} y={heightPx - 12} fontSize={15}>
          first sown
        </text>
        <text x={widthPx - 8} y={heightPx - 12} fontSize={15} textAnchor="end">
          day {formatNumber(days)}
        </text>
      </svg>
      {batchesAtOnce > rows && <p className="text-soft">{formatNumber(batchesAtOnce - rows)} more stand with them.</p>}
    </div>
  );
}
