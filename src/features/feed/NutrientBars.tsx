"use client";
import { amountOf, type RecipeWish } from "@/core/feed/recipeWish";
import type { RecipeResult } from "@/core/feed/recipeResult";
import { formatNumber } from "@/core/units/format";
import { Why } from "@/ui/Why";
import { amount, BroughtBar } from "./BroughtBar";

/** A miss this small is within the error of salts and scales. */
const FINE = 0.05;

export interface NutrientBarsProps {
  readonly result: RecipeResult;
  /** What it is made of, in the order of the result's amounts. */
  readonly salts: readonly (RecipeWish["salts"][number] & { readonly name: string })[];
  readonly waterName: string;
  /** Of the recipe as written. */
  readonly strength: number;
  /** What it comes to now, where something else is shown. */
  readonly now?: RecipeResult;
}

/** Each nutrient against its target, at the strength the feed is run at, and what brings it. */
export function NutrientBars({ result, salts, waterName, strength, now }: NutrientBarsProps) {
  return (
    <table className="w-full">
      <thead className="text-left text-sm text-soft">
        <tr>
          <th className="w-16 font-normal">mg/L</th>
          <th className="w-20 text-right font-normal">wanted</th>
          {now && <th className="w-20 text-right font-normal">now</th>}
          <th className="w-20 text-right font-normal">{now ? "solved" : "comes to"}</th>
          <th className="pl-4 font-normal max-sm:hidden">water, and salts by their number</th>
          <th className="w-20 text-right font-normal">off by</th>
        </tr>
      </thead>
      <tbody>
        {result.aims.map(({ aim, targetMgPerL, reachedMgPerL, waterMgPerL, miss }) => {
          const fine = Math.abs(miss) <= FINE;
          const salty = salts.map(({ name, percent }, at) => ({
            ...{ name, number: at + 1 },
            mgPerL: (result.gPer1000L[at]! * amountOf(aim, percent)) / 100,
          }));
          return (
            <tr key={aim} className="border-t border-rule">
              <th scope="row" className="sign py-1 text-left text-xl">
                {aim}
              </th>
              <td className="text-right">{amount(targetMgPerL)}</td>
              {now && (
                <td className="text-right text-soft">
                  {amount(now.aims.find((one) => one.aim === aim)?.reachedMgPerL ?? 0)}
                </td>
              )}
              <td className="figure !text-xl text-right">
                <Why
                  label={`${aim} in the feed`}
                  how="What the amounts of salts bring, by their percent by mass, and what the water brings; at the strength that gives the wanted EC."
                  inputs={[
                    ["from the salts", `${amount(reachedMgPerL - waterMgPerL)} mg/L`],
                    ["from the water", `${amount(waterMgPerL)} mg/L`],
                    ["recipe as written, times", formatNumber(strength, 3)],
                  ]}
                >
                  {amount(reachedMgPerL)}
                </Why>
              </td>
              <td className="pl-4 max-sm:hidden">
                <BroughtBar
                  aim={aim}
                  targetMgPerL={targetMgPerL}
                  parts={[{ name: waterName, number: null, mgPerL: waterMgPerL }, ...salty]}
                />
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
