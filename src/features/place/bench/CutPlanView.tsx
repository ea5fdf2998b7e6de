"use client";
import { counted, quantityText } from "@/core/units/format";
import type { CutPlan } from "@/server/place/benchQueries";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";

/** Bars that are cut alike are drawn once. */
function alike(plan: CutPlan) {
  const groups = new Map<string, { bar: CutPlan["bars"][number]; times: number }>();
  for (const bar of plan.bars) {
    const key = JSON.stringify([bar.stockMm, bar.onHand, bar.cuts.map(({ lengthMm, label }) => [lengthMm, label])]);
    const group = groups.get(key);
    if (group) group.times += 1;
    else groups.set(key, { bar, times: 1 });
  }
  return [...groups.values()];
}

/** The plan: what to buy, whether it is the best there is, and every bar with its cuts in their order. */
export function CutPlanView({
  plan,
  leastOffcutMm,
  sawCutMm,
}: {
  plan: CutPlan;
  leastOffcutMm: number;
  sawCutMm: number;
}) {
  const units = useUnits();
  const mm = (value: number) => quantityText(value, "bore", units);
  const longest = Math.max(1, ...plan.bars.map(({ stockMm }) => stockMm));
  const kept = plan.bars.map(({ offcutMm }) => offcutMm).filter((offcut) => offcut >= Math.max(1, leastOffcutMm));
  const fromShelf = plan.bars.filter(({ onHand }) => onHand).length;
  const bound =
    "cost" in plan.least
      ? `at least ${quantityText(plan.least.cost, "money", units)}`
      : `at least ${counted(plan.least.bars, "bar")}, ${mm(plan.least.lengthMm)} in all`;
  return (
    <section aria-label="The plan">
      <p className="text-xl">
        <Why
          label="Bars to buy"
          how="Cutting patterns are added until none improves the linear program; its optimum, rounded up to a total that bars can make, is a lower bound for every plan. The plan is proved best when it equals that bound."
          inputs={[["no plan needs less than", bound]]}
        >
          <span className="figure">{plan.boughtBars}</span>
        </Why>{" "}
        bars to buy, <span className="figure">{mm(plan.boughtMm)}</span> in all
        {plan.cost > 0 && (
          <>
            , for <span className="figure">{quantityText(plan.cost, "money", units)}</span>
          </>
        )}
        {fromShelf > 0 && `, and ${fromShelf} from the shelf`}
      </p>
      <p
        className={`mt-1 inline-block border-l-[6px] px-3 py-1 ${plan.proved ? "border-leaf bg-leaf-pale" : "border-feed bg-feed-pale"}`}
      >
        {plan.proved ? "Proved best: " : "Not proved best: "}
        {bound}.
      </p>
      {plan.uncut.length > 0 && (
        <p role="alert" className="mt-2 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold">
          Not enough bars for {plan.uncut.map(({ lengthMm, count }) => `${count} × ${mm(lengthMm)}`).join(", ")}.
        </p>
      )}
      <ol className="mt-3 space-y-3">
        {alike(plan).map(({ bar, times }, index) => (
          <li key={index} className="break-inside-avoid">
            <p className="text-sm">
              <span className="sign text-lg">{times} ×</span> {bar.onHand ? "from the shelf" : "bar of"}{" "}
              {mm(bar.stockMm)}:{" "}
              {runs(bar.cuts)
                .map(
                  ({ lengthMm, label, count }) =>
                    `${count > 1 ? `${count} × ` : ""}${mm(lengthMm)}${label ? ` ${label}` : ""}`,
                )
                .join(", ")}
              {bar.offcutMm > 0 && `; ${mm(bar.offcutMm)} left`}
            </p>
            <BarDrawing bar={bar} longest={longest} sawCutMm={sawCutMm} mm={mm} leastOffcutMm={leastOffcutMm} />
          </li>
        ))}
      </ol>
      <p className="mt-3 text-sm">
        {kept.length === 0
          ? "No offcut is worth keeping."
          : `Worth keeping: ${kept
              .sort((a, b) => b - a)
              .map(mm)
              .join(", ")}.`}
      </p>
    </section>
  );
}

function runs(cuts: CutPlan["bars"][number]["cuts"]) {
  const found: { lengthMm: number; label: string; count: number }[] = [];
  for (const { lengthMm, label } of cuts) {
    const last = found.at(-1);
    if (last && last.lengthMm === lengthMm && last.label === label) last.count += 1;
    else found.push({ lengthMm, label, count: 1 });
  }
  return found;
}

const WIDTH = 1000;
const HEIGHT = 44;

function BarDrawing({
  bar,
  longest,
  sawCutMm,
  mm,
  leastOffcutMm,
}: {
  bar: CutPlan["bars"][number];
  longest: number;
  sawCutMm: number;
  mm: (value: number) => string;
  leastOffcutMm: number;
}) {
  const scale = WIDTH / longest;
  const starts = bar.cuts.map((_, index) =>
    bar.cuts.slice(0, index).reduce((sum, { lengthMm }) => sum + lengthMm + sawCutMm, 0),
  );
  const fromMm = bar.stockMm - bar.offcutMm;
  const useful = bar.offcutMm >= Math.max(1, leastOffcutMm);
  return (
    <svg
      viewBox={`-1 -1 ${WIDTH + 2} ${HEIGHT + 2}`}
      className="w-full"
      role="img"
      aria-label={`Bar of ${mm(bar.stockMm)}: ${bar.cuts.map(({ lengthMm }) => mm(lengthMm)).join(", ")}`}
    >
      <rect width={bar.stockMm * scale} height={HEIGHT} className="fill-feed-pale stroke-ink" strokeWidth={1.5} />
      {bar.cuts.map(({ lengthMm }, index) => {
        const width = lengthMm * scale;
        return (
          <g key={index} transform={`translate(${starts[index]! * scale} 0)`}>
            <rect width={width} height={HEIGHT} className="fill-sheet stroke-ink" strokeWidth={1.5} />
            {width > 62 && (
              <text
                x={width / 2}
                y={HEIGHT / 2 + 7}
                textAnchor="middle"
                fontSize={20}
                className="fill-ink max-sm:hidden"
              >
                {mm(lengthMm)}
              </text>
            )}
          </g>
        );
      })}
      {bar.offcutMm > 0 && (
        <g transform={`translate(${fromMm * scale} 0)`}>
          {Array.from({ length: Math.floor((bar.offcutMm * scale) / 9) }, (_, index) => (
            <path
              key={index}
              d={`M${index * 9} ${HEIGHT}L${Math.min(index * 9 + 12, bar.offcutMm * scale)} 0`}
              className="stroke-feed"
              strokeWidth={1}
            />
          ))}
          {bar.offcutMm * scale > 64 && useful && (
            <text
              x={(bar.offcutMm * scale) / 2}
              y={HEIGHT / 2 + 7}
              textAnchor="middle"
              fontSize={20}
              className="fill-ink max-sm:hidden"
              paintOrder="stroke"
              stroke="var(--feed-pale)"
              strokeWidth={5}
            >
              {mm(bar.offcutMm)}
            </text>
          )}
        </g>
      )}
    </svg>
  );
}
