"use client";
import { useState } from "react";
import type { LabelPercent } from "@/core/feed/label";
import { labelEc } from "@/core/feed/labelEc";
import { keepDose } from "@/server/feed/keepDose";
import { TextBlank } from "@/ui/blank/Blank";
import type { AnswerContext } from "./context";
import { Keep } from "./Keep";
import { KeepLoop } from "./KeepLoop";

/** Keeps a product by its label as a recipe; for that its label has to be told. Until then the tank alone can be kept. */
export function KeepDose({
  context,
  isGood,
  tankL,
  label,
  gramsPerL,
}: {
  readonly context: AnswerContext;
  readonly isGood: boolean;
  readonly tankL: number;
  readonly label: LabelPercent;
  readonly gramsPerL: number | null;
}) {
  const { garden } = context;
  const [name, setName] = useState("");
  const ec = gramsPerL === null ? null : labelEc([{ label, gPerL: gramsPerL }]);
  const isTold = Object.keys(label).length > 0 && ec?.kind === "ec";
  if (garden?.mayPlan && !isTold)
    return (
      <>
        <KeepLoop context={context} isGood={isGood && tankL >= 1} change={{ tankL }} isNew />
        <p className="mt-2 text-soft">
          That keeps the tank. To keep the dose as a recipe: tell it in grams, and below the slip what the pack says, so
          that it balances.
        </p>
      </>
    );
  return (
    <Keep
      garden={garden}
      isGood={isGood && name.trim() !== ""}
      action={keepDose}
      input={() => ({ name, label, gramsPerL, ecMsPerCm: ec?.kind === "ec" ? ec.ecMsPerCm : null })}
      goTo={(id) => `/feed?recipe=${id}`}
      makes="Makes a salt for the shelf and a recipe of it at the label’s dose."
    >
      <p className="sentence text-xl">
        as <TextBlank name="name" label="Name of the product" value={name} onValue={setName} placeholder="its name" />
      </p>
    </Keep>
  );
}
