import { formatNumber, percentText, quantityText } from "@/core/units/format";
import type { LoopFeed } from "@/core/garden/fed";
import { schoolWords } from "./words";
import { Quantity, useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";

const HOW =
  "The strength that the recipe is brought to; its ratios stay. EC is worked out from all ions by ion pairing and the specific conductance method, and is good to about ± 5 %.";
const HOW_BY_LABEL =
  "The strength that the label’s dose is brought to; its ratios stay. EC is worked out from what the labels print, or taken from the pack; between nothing and the whole dose it follows the ions.";

/** The strength and pH that a feed is made to, and why it cannot be where it cannot. */
export function RecipeStrength({ feed, waterName }: { feed: LoopFeed; waterName: string }) {
  const units = useUnits();
  const { byLabel } = feed.recipe;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-baseline gap-x-8 gap-y-1">
        <p className="sign text-5xl [&_small]:text-2xl [&_small]:text-soft">
          <Why
            label="EC of the ready feed"
            how={byLabel ? HOW_BY_LABEL : HOW}
            inputs={[
              [
                byLabel ? "the label’s dose with this water" : "recipe as written",
                quantityText(feed.sheet.recipeEcMsPerCm, "ec", units),
              ],
              [waterName, quantityText(feed.sheet.waterEcMsPerCm, "ec", units)],
              [
                byLabel ? "share of the label’s dose" : "factor on the salts",
                feed.sheet.strength === null ? "–" : formatNumber(feed.sheet.strength, 3),
              ],
            ]}
          >
            <Quantity value={feed.strength.ecMsPerCm} dimension="ec" />
          </Why>
        </p>
        <p className="sign text-3xl">
          pH {feed.recipe.phLow}–{feed.recipe.phHigh}
        </p>
        {byLabel && feed.sheet.strength !== null && (
          <p className="sign text-3xl">{percentText(feed.sheet.strength)} of the label</p>
        )}
        <p className="text-soft">
          band {quantityText(feed.strength.ecLow, "ec", units)} – {quantityText(feed.strength.ecHigh, "ec", units)},
          made with {waterName.toLowerCase()}; {schoolWords(feed.strength.school)}
        </p>
      </div>
      {feed.learnedEc && (
        <p className="mb-2 text-soft">
          The last {feed.learnedEc.pairs} fresh feeds of this loop read {formatNumber(feed.learnedEc.factor, 2)} times
          what was worked out ({formatNumber(feed.learnedEc.least, 2)} to {formatNumber(feed.learnedEc.greatest, 2)}):
          salts are weighed so that your meter shows {quantityText(feed.strength.ecMsPerCm, "ec", units)}; on paper that
          is {quantityText(feed.sheet.madeToMsPerCm, "ec", units)}.
        </p>
      )}
      {feed.sheet.strength === null && (
        <p role="alert" className="mb-3 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold">
          {feed.salts.every(({ gPer1000L }) => !gPer1000L) && feed.salts.length > 0
            ? "No amounts are known for this recipe yet: solve it."
            : feed.salts.length === 0
              ? "This recipe has no salts yet: choose some from the shelf."
              : feed.sheet.noStrength === "recipe-too-weak"
                ? `Even at eight times its strength this recipe does not come to EC ${quantityText(feed.strength.ecMsPerCm, "ec", units)}: look at its targets and salts.`
                : feed.sheet.noStrength === "label-ec-not-told"
                  ? "The labels do not tell an EC: change this recipe and say what the whole dose adds, by the pack or a trial in a bucket."
                  : `${waterName} alone has EC ${quantityText(feed.sheet.waterEcMsPerCm, "ec", units)}: this feed cannot be made with it. Choose a weaker water for the loop.`}
        </p>
      )}
    </>
  );
}
