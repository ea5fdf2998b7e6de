"use client";
import type { Ladder, Rung, RungVerdict } from "@/core/water/ladder";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { RUNG_HOW, rungDetail, rungFigures, rungName, VERDICT_WORDS } from "./words";

const INK: Readonly<Record<RungVerdict, string>> = {
  ample: "text-leaf",
  fits: "text-leaf",
  tight: "text-feed",
  short: "text-alarm",
  idle: "text-soft",
};
const FILL: Readonly<Record<RungVerdict, string>> = {
  ample: "fill-sheet",
  fits: "fill-sheet",
  tight: "fill-feed",
  short: "fill-alarm",
  idle: "fill-sheet",
};
/** The bar ends at twice what is wanted; more than that is shown as full. */
const BAR_END = 2;

/** Source → store → pump → main → bank → line → plant, one rung each: what is there against what is wanted. */
export function RungLadder({ ladder }: { ladder: Ladder }) {
  return (
    <ol className="relative">
      <li aria-hidden className="absolute bottom-10 left-[15px] top-8 w-[10px] bg-water" />
      <li
        aria-hidden
        className="mb-1 hidden grid-cols-[40px_minmax(0,2fr)_minmax(0,1fr)_minmax(0,1fr)_5.5rem] gap-x-4 text-sm text-soft sm:grid"
      >
        <span className="col-start-3">can give</span>
        <span>needed</span>
        <span className="text-right">margin</span>
      </li>
      {ladder.rungs.map((rung, index) => (
        <RungRow key={`${rung.kind}-${index}`} rung={rung} tightest={index === ladder.tightest} />
      ))}
    </ol>
  );
}

function RungRow({ rung, tightest }: { rung: Rung; tightest: boolean }) {
  const units = useUnits();
  const [canGive, needs] = rungFigures(rung, units);
  const name = rungName(rung, units);
  const detail = rungDetail(rung, units);
  const share = rung.needs > 0 ? Math.min(1, rung.ratio / BAR_END) : 0;
  return (
    <li
      className={`relative grid grid-cols-[40px_1fr_auto] items-center gap-x-4 rounded py-1.5 pr-2 sm:grid-cols-[40px_minmax(0,2fr)_minmax(0,1fr)_minmax(0,1fr)_5.5rem] ${tightest ? "bg-rule/50 outline-1 outline-ink data-[verdict=short]:bg-alarm-pale" : ""}`}
      data-verdict={rung.verdict}
      data-rung={rung.kind}
    >
      <svg viewBox="0 0 40 40" className="size-10" aria-hidden>
        <path d="M28 20h12" className="stroke-water" strokeWidth="5" />
        <path d="M20 7 33 20 20 33 7 20Z" className={`${FILL[rung.verdict]} stroke-water`} strokeWidth="3.5" />
      </svg>
      <div className="min-w-0">
        <p className="sign text-xl">{name}</p>
        <p className="line-clamp-2 text-sm leading-tight text-soft">{detail}</p>
      </div>
      <div className="contents max-sm:hidden">
        <p className="figure !text-xl max-sm:hidden">
          <Why
            label={`${name}: can give`}
            how={RUNG_HOW[rung.kind]}
            inputs={[
              ["can give", canGive],
              ["needed", needs],
              ["about", detail],
            ]}
          >
            {canGive}
          </Why>
        </p>
        <p className="figure !text-xl max-sm:hidden">{needs}</p>
      </div>
      <p className={`figure text-right ${INK[rung.verdict]}`}>
        {rung.ratio === Infinity ? "–" : marginText(rung.ratio)}
        <small className="block !text-sm">{VERDICT_WORDS[rung.verdict]}</small>
      </p>
      <p className="col-start-2 text-sm sm:hidden">
        can give {canGive}, needed {needs}
      </p>
      <svg
        viewBox="0 0 100 5"
        preserveAspectRatio="none"
        aria-hidden
        className="col-span-full col-start-2 mt-1 h-[6px] w-full sm:col-span-2 sm:col-start-3"
      >
        <rect width="100" height="5" className="fill-water-pale" />
        <rect
          width={share * 100}
          height="5"
          className={rung.verdict === "short" ? "fill-alarm" : rung.verdict === "tight" ? "fill-feed" : "fill-water"}
        />
        <rect x={100 / BAR_END - 0.3} width="0.6" height="5" className="fill-ink" />
      </svg>
    </li>
  );
}

function marginText(ratio: number): string {
  if (ratio >= 4) return `${ratio >= 20 ? Math.round(ratio) : ratio.toFixed(1)}×`;
  const percent = Math.round((ratio - 1) * 100);
  return `${percent >= 0 ? "+" : "−"}${Math.abs(percent)} %`;
}
