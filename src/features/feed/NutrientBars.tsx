"use client";
import type { FeedSheet } from "@/core/feed/feedSheet";
import { formatNumber } from "@/core/units/format";
import { Why } from "@/ui/Why";

/** A miss this small is within the error of salts and scales. */
const FINE = 0.05;
const BAR_END = 1.6;

/** Each nutrient against its target, at the strength the feed is run at. */
export function NutrientBars({ sheet }: { sheet: FeedSheet }) {
  const strength = sheet.strength ?? 0;
  return (
    <table className="w-full">
      <thead className="text-left text-sm text-soft">
        <tr>
          <th className="w-16 font-normal">mg/L</th>
          <th className="w-24 text-right font-normal">wanted</th>
          <th className="w-24 text-right font-normal">comes to</th>
          <th className="pl-4 font-normal">against the target</th>
          <th className="w-20 text-right font-normal">off by</th>
        </tr>
      </thead>
      <tbody>
        {sheet.solution.nutrients.map(({ nutrient, targetMgPerL, reachedMgPerL, miss }) => {
          const wanted = targetMgPerL * strength;
          const reached = reachedMgPerL * strength;
          const fine = Math.abs(miss) <= FINE;
          return (
            <tr key={nutrient} className="border-t border-rule">
              <th scope="row" className="sign py-1 text-left text-xl">
                {nutrient}
              </th>
              <td className="text-right">{amount(wanted)}</td>
              <td className="figure !text-xl text-right">
                <Why
                  label={`${nutrient} in the feed`}
                  how="The amounts of salts, none below zero, that bring all nutrients together nearest to the recipe, including what the water brings; scaled to the wanted EC."
                  inputs={[
                    ["recipe as written", `${amount(targetMgPerL)} mg/L`],
                    ["factor", formatNumber(strength, 3)],
                  ]}
                >
                  {amount(reached)}
                </Why>
              </td>
              <td className="pl-4">
                <svg viewBox="0 0 160 12" preserveAspectRatio="none" className="block h-3 w-full" aria-hidden>
                  <rect width="160" height="12" className="fill-feed-pale" />
                  <rect
                    width={Math.min(1, reachedMgPerL / targetMgPerL / BAR_END) * 160}
                    height="12"
                    className={fine ? "fill-leaf" : "fill-feed"}
                  />
                  <rect x={160 / BAR_END - 1} width="2" height="12" className="fill-ink" />
                </svg>
              </td>
              <td className={`text-right ${fine ? "text-leaf" : "font-bold text-feed"}`}>
                {fine ? "on target" : `${miss > 0 ? "+" : "−"}${Math.abs(Math.round(miss * 100))} %`}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function amount(mgPerL: number): string {
  return formatNumber(mgPerL, mgPerL >= 100 ? 0 : mgPerL >= 1 ? 1 : 3);
}
