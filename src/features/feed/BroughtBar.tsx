import { formatNumber } from "@/core/units/format";

/** What one thing brings of a nutrient, mg/L. The water has no number. */
export interface Brought {
  readonly name: string;
  readonly number: number | null;
  readonly mgPerL: number;
}

/** So much of the target fits into the bar. */
const BAR_END = 1.6;
/** Narrower pieces carry no number, as a share of the bar. */
const LEAST_NUMBERED = 0.06;

/** A nutrient of a solution, piece by piece as water and salts bring it, against its target. */
export function BroughtBar({
  aim,
  targetMgPerL,
  parts,
  isTarget = true,
}: {
  readonly aim: string;
  /** Or all there is, where nothing is aimed at. */
  readonly targetMgPerL: number;
  readonly isTarget?: boolean;
  readonly parts: readonly Brought[];
}) {
  const there = parts.filter(({ mgPerL }) => mgPerL > 0.002 * targetMgPerL);
  const ends = there.map((_, at) => there.slice(0, at + 1).reduce((sum, part) => sum + part.mgPerL, 0));
  const share = (mgPerL: number) => Math.min(1, mgPerL / targetMgPerL / (isTarget ? BAR_END : 1));
  const words = there.map(({ name, mgPerL }) => `${amount(mgPerL)} mg/L from ${name}`).join(", ");
  return (
    <div role="img" aria-label={`${aim}: ${words || "nothing"}`} className="relative flex h-5 w-full bg-feed-pale">
      {there.map(({ name, number, mgPerL }, at) => {
        const width = share(ends[at]!) - share(ends[at]! - mgPerL);
        return (
          <span
            key={name}
            title={`${name}: ${amount(mgPerL)} mg/L`}
            style={{ width: `${width * 100}%` }}
            className={`overflow-hidden border-r border-sheet text-center text-sm leading-5 font-bold text-on-strong ${number === null ? "bg-water" : "bg-leaf"}`}
          >
            {width >= LEAST_NUMBERED && number}
          </span>
        );
      })}
      {isTarget && <span className="absolute inset-y-0 w-0.5 bg-ink" style={{ left: `${100 / BAR_END}%` }} />}
    </div>
  );
}

/** mg/L with as many digits as can be weighed. */
export function amount(mgPerL: number): string {
  return formatNumber(mgPerL, mgPerL >= 100 ? 0 : mgPerL >= 1 ? 1 : 3);
}
