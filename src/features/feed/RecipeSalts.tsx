import { formatNumber, quantityText } from "@/core/units/format";
import type { LoopFeed } from "@/core/garden/fed";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { SaltAmount } from "./SaltAmount";
import { roundFeedL } from "./words";

/** The salts of a recipe, weighed for a round amount of feed. */
export function RecipeSalts({ feed }: { feed: LoopFeed }) {
  const units = useUnits();
  const madeL = roundFeedL(units);
  return (
    <section>
      <h2 className="text-2xl">
        {feed.recipe.byLabel ? "Products" : "Salts"} for {quantityText(madeL, "volume", units)} of feed
      </h2>
      <table className="mt-1 w-full">
        <thead className="text-left text-sm text-soft">
          <tr>
            <th className="font-normal" colSpan={2}>
              {feed.recipe.byLabel ? "product" : "salt"}
            </th>
            <th className="font-normal">{feed.recipe.byLabel ? "part" : "stock"}</th>
            <th className="text-right font-normal">amount</th>
          </tr>
        </thead>
        <tbody>
          {feed.salts.map((salt, index) => (
            <tr key={salt.id} className="border-t border-rule">
              <td className="pr-2 text-right font-bold text-leaf">{index + 1}</td>
              <td className="py-1.5">{salt.name}</td>
              <td className="sign text-xl">{salt.stock}</td>
              <td className="figure !text-xl text-right">
                <Why
                  label={salt.name}
                  how={
                    feed.recipe.byLabel
                      ? "The label’s dose; scaled so that the feed has the wanted EC."
                      : "The amount that was accepted for the recipe as written; scaled so that the feed has the wanted EC."
                  }
                  inputs={[
                    [
                      feed.recipe.byLabel ? "by the label" : "recipe as written",
                      salt.gPer1000L === null ? "–" : quantityText((salt.gPer1000L * madeL) / 1000, "mass", units),
                    ],
                    ["scaled by", feed.sheet.strength === null ? "–" : formatNumber(feed.sheet.strength, 3)],
                  ]}
                >
                  <SaltAmount salt={salt} grams={(feed.sheet.gPer1000L[index]! * madeL) / 1000} />
                </Why>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
