import { chargeDifference } from "@/core/feed/chargeBalance";
import { ecOfIons } from "@/core/feed/ec";
import { ionsFromElements } from "@/core/feed/nutrients";
import type { RecipeResult } from "@/core/feed/recipeResult";
import { amountOf } from "@/core/feed/recipeWish";
import { quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { roundFeedL } from "../words";

/** Besides the targets: what else is in the feed, and what it costs. */
export function SolutionFacts({
  result,
  alkalinityMgCaco3PerL,
}: {
  readonly result: RecipeResult;
  readonly alkalinityMgCaco3PerL: number;
}) {
  const units = useUnits();
  const { mgPerL, costPer1000L } = result;
  const ions = ionsFromElements(mgPerL, alkalinityMgCaco3PerL);
  const madeL = roundFeedL(units);
  const nitrogen = amountOf("N", mgPerL);
  const facts: readonly (readonly [string, string, string?])[] = [
    ["EC, worked out", `${quantityText(ecOfIons(ions), "ec", units)} ± 5 %`],
    ["ammonium, of all nitrogen", nitrogen > 0 ? quantityText((mgPerL["NH4-N"] ?? 0) / nitrogen, "share", units) : "–"],
    ["sodium", quantityText(mgPerL.Na ?? 0, "concentration", units)],
    ["chloride", quantityText(mgPerL.Cl ?? 0, "concentration", units)],
    [
      "cations against anions",
      quantityText(chargeDifference(ions), "share", units),
      "chelates and micronutrients are not counted",
    ],
    [
      `salts for ${quantityText(madeL, "volume", units)}`,
      costPer1000L > 0 ? quantityText((costPer1000L * madeL) / 1000, "money", units) : "no price told",
    ],
  ];
  return (
    <dl className="mt-4">
      {facts.map(([name, value, more]) => (
        <div key={name} className="flex items-baseline justify-between gap-4 border-t border-rule py-1.5">
          <dt>
            {name}
            {more && <span className="block text-sm text-soft">{more}</span>}
          </dt>
          <dd className="figure !text-xl whitespace-nowrap">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
