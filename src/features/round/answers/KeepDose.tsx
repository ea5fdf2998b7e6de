"use client";
import { useState } from "react";
import type { LabelProduct } from "@/core/feed/labelFeed";
import { keptProduct, labelFeedDoubts } from "@/core/feed/labelFeed";
import { labelDoubtWords } from "@/features/feed/words";
import { keepLabelFeed } from "@/server/feed/keepLabelFeed";
import { TextBlank } from "@/ui/blank/Blank";
import type { AnswerContext } from "./context";
import { Keep } from "./Keep";
import { KeepLoop } from "./KeepLoop";

/**
 * Keeps a product by its label as a feed; for that its EC has to be told, or its label. Until then the tank alone can be
 * kept.
 */
export function KeepDose({
  context,
  isGood,
  tankL,
  product,
  share,
  labelEcMsPerCm,
}: {
  readonly context: AnswerContext;
  readonly isGood: boolean;
  readonly tankL: number;
  readonly product: Omit<LabelProduct, "name">;
  /** Of the label's dose. */
  readonly share: number;
  readonly labelEcMsPerCm: number | null;
}) {
  const { garden } = context;
  const [name, setName] = useState("");
  const [sure, setSure] = useState(false);
  const whole = { ...product, name };
  const kept = keptProduct(whole);
  const answer = "kind" in kept ? null : labelFeedDoubts([kept], labelEcMsPerCm);
  if (garden?.mayPlan && (answer === null || answer.found.kind === "not-told"))
    return (
      <>
        <KeepLoop context={context} isGood={isGood && tankL >= 1} change={{ tankL }} isNew />
        <p className="mt-2 text-soft">
          That keeps the tank. To keep the dose as a feed: tell it in grams, and below the slip what the pack says, so
          that it balances; or say what the full dose adds to the EC, with feed that was read.
        </p>
      </>
    );
  const doubts = answer?.doubts ?? [];
  return (
    <Keep
      garden={garden}
      isGood={isGood && name.trim() !== "" && (doubts.length === 0 || sure)}
      action={keepLabelFeed}
      input={() => ({
        name,
        products: [whole],
        share,
        labelEcMsPerCm,
        loopId: null,
        ramp: null,
        changeWeeks: null,
        sure,
      })}
      goTo={(id) => `/feed?recipe=${id}`}
      makes="Makes a product for the shelf and a feed of it at the label’s dose."
    >
      <p className="sentence text-xl">
        as <TextBlank name="name" label="Name of the product" value={name} onValue={setName} placeholder="its name" />
      </p>
      {doubts.map((doubt) => (
        <p key={doubt.kind} role="alert" className="font-bold text-alarm">
          {labelDoubtWords(doubt)}
        </p>
      ))}
      {doubts.length > 0 && (
        <label className="flex min-h-11 items-center gap-2">
          <input type="checkbox" checked={sure} onChange={({ target }) => setSure(target.checked)} />I have looked at
          the label again: it is so
        </label>
      )}
    </Keep>
  );
}
