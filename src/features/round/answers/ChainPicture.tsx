"use client";
import { useRef } from "react";
import type { stageChain } from "@/core/batches/stageChain";
import { formatNumber } from "@/core/units/format";
import { useElementWidth } from "@/ui/useElementWidth";

const NAMES = ["rack", "nursery", "last place"];
const HEIGHT_PX = 250;
const TOP_PX = 34;
const BASE_PX = 200;
const GAP_PX = 74;

/**
 * Places side by side in the order of the way, each as high as it has sites; both crops in it on the mean, dashed on their
 * fullest day. The arrows carry the plants of a week.
 */
export function ChainPicture({
  crops,
  sites,
}: {
  readonly crops: readonly ReturnType<typeof stageChain>[];
  readonly sites: readonly number[];
}) {
  const box = useRef<HTMLDivElement>(null);
  const widthPx = useElementWidth(box) ?? 640;
  const wide = Math.max(60, (widthPx - GAP_PX * sites.length) / sites.length);
  const left = (at: number) => GAP_PX * 0.5 + at * (wide + GAP_PX);
  const perWeek = (at: number) => crops.reduce((sum, { areas }) => sum + areas[at]!.entersPerWeek, 0);
  const picked = crops.reduce((sum, { areas }) => sum + areas.at(-1)!.leavesPerWeek, 0);
  return (
    <div ref={box}>
      <svg
        width={widthPx}
        height={HEIGHT_PX}
        role="img"
        aria-label={`Plants a week: ${[...sites.map((_, at) => perWeek(at)), picked].map((count) => formatNumber(count)).join(", then ")}`}
        className="block max-w-full"
      >
        {sites.map((count, at) => {
          const means = crops.map(({ areas }) => areas[at]!.meanSites);
          const peak = crops.reduce((sum, { areas }) => sum + areas[at]!.peakSites, 0);
          const most = Math.max(count, peak, 1);
          const y = (value: number) => BASE_PX - (value / most) * (BASE_PX - TOP_PX);
          const isOver = peak > count;
          return (
            <g key={NAMES[at]}>
              <rect
                x={left(at)}
                y={y(count)}
                width={wide}
                height={BASE_PX - y(count)}
                className="fill-sheet stroke-ink"
                strokeWidth={2}
              />
              <rect
                x={left(at) + 4}
                y={y(means[0]!)}
                width={wide - 8}
                height={BASE_PX - y(means[0]!)}
                style={{ fill: "var(--crop-0)" }}
              />
              <rect
                x={left(at) + 4}
                y={y(means[0]! + means[1]!)}
                width={wide - 8}
                height={y(means[0]!) - y(means[0]! + means[1]!)}
                style={{ fill: "var(--crop-1)" }}
              />
              <path
                d={`M${left(at) - 6} ${y(peak)}H${left(at) + wide + 6}`}
                className={isOver ? "stroke-alarm" : "stroke-ink"}
                strokeWidth={2}
                strokeDasharray="6 4"
              />
              <text x={left(at) + wide / 2} y={BASE_PX + 20} fontSize={16} textAnchor="middle" className="sign">
                {NAMES[at]}, {formatNumber(count)}
              </text>
              <text
                x={left(at) + wide / 2}
                y={BASE_PX + 38}
                fontSize={13}
                textAnchor="middle"
                className={isOver ? "fill-alarm" : "fill-soft"}
              >
                most {formatNumber(peak)}
              </text>
              <Arrow x={left(at) - GAP_PX * 0.45} words={formatNumber(perWeek(at))} />
            </g>
          );
        })}
        <Arrow x={left(sites.length - 1) + wide + 6} words={formatNumber(picked)} />
      </svg>
      <p className="text-sm text-soft">Numbers at the arrows: plants a week. Dashed: the fullest day of both.</p>
    </div>
  );
}

function Arrow({ x, words }: { readonly x: number; readonly words: string }) {
  return (
    <g>
      <path d={`M${x} 120h22m-7 -6l7 6l-7 6`} fill="none" className="stroke-water" strokeWidth={2.5} />
      <text x={x + 12} y={110} fontSize={15} textAnchor="middle" className="sign">
        {words}
      </text>
    </g>
  );
}
