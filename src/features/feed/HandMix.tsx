"use client";
import { useState } from "react";
import { feedAmounts } from "@/core/round/tankItems";
import type { LoopFeed } from "@/core/garden/fed";
import type { Loop } from "@/core/garden/garden";
import { inMeasure, OwnMeasureChoice, useOwnMeasure } from "./OwnMeasure";
import { Field } from "@/ui/Field";
import { QuantityInput, quantityProblem, type QuantityValue } from "@/ui/QuantityInput";
import { dilutionWords, ScaleChoice, useScale } from "@/features/frame/scale";
import { inHand } from "./words";
import { stockMl } from "@/core/feed/stocks";
import { stockLetters } from "@/core/feed/strengthSteps";
import { SlipSteps, type SlipStepView } from "@/ui/SlipSteps";
import { useUnits } from "@/ui/units";
import { quantityText } from "@/core/units/format";

/** A tank that is mixed by hand: what goes in for a fill, and for a top-up of as many litres as are missing. */
export function HandMix({ loop, feed }: { loop: Loop; feed: LoopFeed }) {
  const [topUpL, setTopUpL] = useState<QuantityValue>(Math.round(loop.normalFillL / 6));
  const amounts = (litres: number) =>
    feedAmounts({ feeding: loop.feeding, feed: feed.sheet, salts: feed.salts }, litres);
  const units = useUnits();
  const { byLabel } = feed.recipe;
  const isMeasured = loop.feeding !== "dry" || feed.salts.some(({ form }) => form === "liquid");
  const { measure, setMeasure } = useOwnMeasure();
  const { stepG, setStepG } = useScale();
  const isWeighed = loop.feeding === "dry" && feed.salts.some(({ form }) => form !== "liquid");
  const steps = (litres: number): SlipStepView[] => [
    {
      title: "Fill to about 90 % with water",
      amount: { value: litres * 0.9, dimension: "volume" },
      note: "acid comes first, where the water needs it, and a stir",
    },
    ...amounts(litres).map((amount, at): SlipStepView => {
      const taken = inHand(amount);
      const spoons = taken.dimension === "dose" ? inMeasure(taken.value, measure) : null;
      const isPart = byLabel || loop.feeding !== "dry";
      const apart = isPart && at > 0 ? "stir first: they never meet undiluted" : null;
      const thinned =
        taken.dimension === "mass"
          ? dilutionWords(
              taken.value,
              stepG,
              units,
              feed.salts.find(({ name }) => name === amount.name)?.solubilityGPerL,
            )
          : null;
      const note = [spoons, apart, thinned].filter((one) => one !== null).join("; ");
      return {
        title: amount.name,
        amount: taken,
        how: "Grams for 1000 L of feed × litres to make ÷ 1000.",
        ...(note !== "" && { note }),
      };
    }),
    { title: "Stir, and make up to", amount: { value: litres, dimension: "volume" } },
  ];
  return (
    <>
      {isWeighed && <ScaleChoice stepG={stepG} onStep={setStepG} />}
      {isMeasured && <OwnMeasureChoice measure={measure} onMeasure={setMeasure} />}
      {loop.feeding === "stocks" && (
        <p>
          Each litre of finished water gets {quantityText(stockMl(1, feed.sheet.factor) / 1000, "dose", units)} of{" "}
          {stockLetters(feed.sheet).join(", and as much of ")}.
        </p>
      )}
      <div className="mt-6 grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <section aria-label="Fill">
          <h2 className="border-b-2 border-ink pb-1 text-3xl">
            A fill of {quantityText(loop.normalFillL, "volume", units)}
          </h2>
          <SlipSteps steps={steps(loop.normalFillL)} />
        </section>
        <section aria-label="Top-up">
          <h2 className="border-b-2 border-ink pb-1 text-3xl">A top-up</h2>
          <div className="no-print mt-2 max-w-xs">
            <Field
              label="Amount missing"
              error={typeof topUpL === "string" ? quantityProblem(topUpL, "Missing", "volume", units) : undefined}
            >
              {(aria) => <QuantityInput {...aria} dimension="volume" value={topUpL} onValue={setTopUpL} />}
            </Field>
          </div>
          {typeof topUpL === "number" && topUpL > 0 && <SlipSteps steps={steps(Math.min(topUpL, loop.tankL))} />}
        </section>
      </div>
      {isWeighed && (
        <p className="mt-2 text-soft">
          Salts are weighed, never spooned: a spoon of micronutrients is off by half. What is left of a dilution is
          labelled and kept out of reach, never in a drinks bottle.
        </p>
      )}
    </>
  );
}
