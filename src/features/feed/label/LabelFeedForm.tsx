"use client";
import { useState } from "react";
import { keptProduct, labelFeedDoubts, type LabelProduct } from "@/core/feed/labelFeed";
import { formatNumber, quantityText } from "@/core/units/format";
import { useDraft } from "@/features/frame/drafts";
import { useCommand } from "@/features/frame/useCommand";
import { keepLabelFeed } from "@/server/feed/keepLabelFeed";
import { Button } from "@/ui/Button";
import { CautionNote } from "@/ui/Caution";
import { CAUTIONS } from "@/core/feed/cautions";
import { Field } from "@/ui/Field";
import { QuantityInput, quantityProblem, type QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";
import type { Loop } from "@/core/garden/garden";
import { LabelPlan } from "./LabelPlan";
import { LabelProductFields, type TypedProduct } from "./LabelProductFields";
import { labelDoubtWords, labelEcMissingWords, productProblemWords } from "./words";

interface Typed {
  readonly name: string;
  readonly products: readonly TypedProduct[];
  readonly share: QuantityValue;
  readonly labelEcMsPerCm: QuantityValue;
  readonly feedsLoop: boolean;
  readonly isRamped: boolean;
  readonly startShare: QuantityValue;
  readonly maturityDays: QuantityValue;
  readonly isChanged: boolean;
  readonly weeks: QuantityValue;
}

const LETTERS = ["A", "B", "C"];
const PRODUCT: TypedProduct = {
  ...{ name: "", form: "liquid", densityKgPerL: null, label: {}, isByVolume: false },
  ...{ amount: null, unit: "mL", per: "L", measureL: null },
};
const EMPTY: Typed = {
  ...{ name: "", products: [PRODUCT], share: 1, labelEcMsPerCm: null, feedsLoop: false },
  ...{ isRamped: true, startShare: 0.25, maturityDays: 28, isChanged: true, weeks: 1 },
};

/** Bought products by their labels, one bag or a bottle of two or three parts, as a feed: what they come to while typed. */
export function LabelFeedForm({
  loop,
  onDone,
}: {
  readonly loop: Pick<Loop, "id" | "name" | "kind"> | null;
  readonly onDone: () => void;
}) {
  const units = useUnits();
  const [typed, setTyped, forget] = useDraft<Typed>("label-feed", EMPTY);
  const [errors, setErrors] = useState<Readonly<Record<string, string | undefined>>>({});
  const [sure, setSure] = useState(false);
  const { run, busy } = useCommand(keepLabelFeed, { done: "Feed kept" });
  const change = (part: Partial<Typed>) => {
    setTyped((all) => ({ ...all, ...part }));
    setErrors({});
    setSure(false);
  };
  const products = typed.products.map(wholeProduct);
  const kept = products.every((one) => one !== null) ? products.map((one) => keptProduct(one)) : [];
  const good = kept.flatMap((one) => ("kind" in one ? [] : [one]));
  const isWhole = good.length === typed.products.length && typeof typed.labelEcMsPerCm !== "string";
  const told = typeof typed.labelEcMsPerCm === "number" ? typed.labelEcMsPerCm : null;
  const isInRange = told === null || (told >= 0.05 && told <= 10);
  const answer = isWhole && isInRange ? labelFeedDoubts(good, told) : null;
  const feedsLoop = typed.feedsLoop && loop !== null;
  const ramps = feedsLoop && typed.isRamped;
  const changes = feedsLoop && typed.isChanged && loop.kind === "recirculating";
  const save = async () => {
    const problems: Record<string, string | undefined> = {};
    if (typed.name.trim() === "") problems.name = "Name is missing";
    typed.products.forEach((product, at) => {
      if (product.name.trim() === "") problems[`${at}.name`] = "Name is missing";
      problems[`${at}.amount`] = quantityProblem(product.amount, "Dose", "ratio", units);
      const whole = products[at] ?? null;
      const found = whole && keptProduct(whole);
      if (!whole && !problems[`${at}.amount`]) problems[`${at}.amount`] = OUT_OF_RANGE;
      if (found && "kind" in found) problems[`${at}.${WHERE[found.kind]}`] = productProblemWords(found);
    });
    problems.share = quantityProblem(typed.share, "Strength", "share", units);
    if (ramps) {
      problems["ramp.startShare"] = quantityProblem(typed.startShare, "Share for seedlings", "share", units);
      problems["ramp.maturityDays"] = quantityProblem(typed.maturityDays, "Grown after", "days", units);
    }
    if (changes) problems.changeWeeks = quantityProblem(typed.weeks, "Weeks", "count", units);
    if (!isInRange)
      problems.labelEcMsPerCm = `EC is ${quantityText(told, "ec", units)}; it must be from ${quantityText(0.05, "ec", units)} to ${quantityText(10, "ec", units)}. Was it told in CF or µS/cm?`;
    if (answer?.found.kind === "not-told") problems.labelEcMsPerCm = labelEcMissingWords(answer.found.why);
    setErrors(problems);
    const isAsked = answer !== null && answer.doubts.length > 0 && !sure;
    if (Object.values(problems).some(Boolean) || isAsked) return;
    const result = await run({
      ...{ name: typed.name, products: products as LabelProduct[], share: typed.share, labelEcMsPerCm: told },
      loopId: feedsLoop ? loop.id : null,
      ramp: ramps ? { startShare: typed.startShare, maturityDays: typed.maturityDays } : null,
      ...{ changeWeeks: changes ? typed.weeks : null, sure },
    });
    if (!result.ok) return setErrors(Object.keys(result.fields).length > 0 ? result.fields : { name: result.message });
    forget();
    onDone();
  };
  return (
    <form
      className="space-y-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Field label="Name of the feed" error={errors.name}>
        {(aria) => (
          <input
            {...aria}
            className="input"
            value={typed.name}
            onChange={({ target }) => change({ name: target.value })}
          />
        )}
      </Field>
      {typed.products.map((product, at) => (
        <LabelProductFields
          key={at}
          product={product}
          title={typed.products.length === 1 ? "The product" : `Part ${LETTERS[at]}`}
          errors={errorsUnder(errors, at)}
          onProduct={(next) => change({ products: typed.products.map((one, index) => (index === at ? next : one)) })}
        />
      ))}
      <div className="flex flex-wrap gap-3">
        {typed.products.length < LETTERS.length && (
          <Button onClick={() => change({ products: [...typed.products, PRODUCT] })}>
            Another part, {LETTERS[typed.products.length]}
          </Button>
        )}
        {typed.products.length > 1 && (
          <Button look="quiet" onClick={() => change({ products: typed.products.slice(0, -1) })}>
            Without part {LETTERS[typed.products.length - 1]}
          </Button>
        )}
      </div>
      <div className="grid grid-cols-2 gap-x-4 gap-y-3 border-t-2 border-ink pt-2">
        <Field
          label="Strength, of the label"
          hint="for grown plants; seedlings less, under Strength"
          error={errors.share}
        >
          {(aria) => (
            <QuantityInput {...aria} dimension="share" value={typed.share} onValue={(share) => change({ share })} />
          )}
        </Field>
        <Field label="The whole dose adds EC" hint="by the pack, or a trial" error={errors.labelEcMsPerCm}>
          {(aria) => (
            <QuantityInput
              {...aria}
              dimension="ec"
              value={typed.labelEcMsPerCm}
              onValue={(labelEcMsPerCm) => change({ labelEcMsPerCm })}
            />
          )}
        </Field>
      </div>
      {loop && (
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            checked={typed.feedsLoop}
            onChange={({ target }) => change({ feedsLoop: target.checked })}
          />
          Feed {loop.name} with it from now on, mixed by hand
        </label>
      )}
      {feedsLoop && (
        <LabelPlan
          plan={typed}
          goesRound={loop.kind === "recirculating"}
          errors={errors}
          onPlan={(part) => change(part)}
        />
      )}
      {answer && answer.found.kind !== "not-told" && (
        <p aria-live="polite" className="border-l-[6px] border-rule px-3 py-1 text-lg">
          The label’s dose adds EC <b>{quantityText(answer.found.ecMsPerCm, "ec", units)}</b>
          {answer.found.kind === "worked-out" ? ", worked out from the label (± 5 %)" : ", as told"}
          {": "}
          {good
            .map(({ gPer1000L }, at) => `${LETTERS[at]} ${formatNumber(gPer1000L / 1000, 2)} g in a litre`)
            .join(", ")}
          .
        </p>
      )}
      {answer && answer.doubts.length > 0 && (
        <div role="alert" className="border-l-[6px] border-alarm bg-alarm-pale p-3">
          {answer.doubts.map((doubt) => (
            <p key={doubt.kind} className="font-bold">
              {labelDoubtWords(doubt)}
            </p>
          ))}
          <label className="mt-1 flex min-h-11 items-center gap-2">
            <input type="checkbox" checked={sure} onChange={({ target }) => setSure(target.checked)} />I have looked at
            the label again: it is so
          </label>
        </div>
      )}
      <CautionNote {...CAUTIONS.parts} />
      <Button look="go" type="submit" disabled={busy}>
        Keep this feed
      </Button>
    </form>
  );
}

const OUT_OF_RANGE =
  "A figure of this product cannot be: a dose is from 0.001 to 10 000, a litre weighs 0.05 to 20 kg, a cap holds 0.1 mL to 10 L, per cents are from 0 to 100.";
const WHERE = { "adds-up": "name", "density-missing": "densityKgPerL", "measure-missing": "measureL" } as const;

function errorsUnder(errors: Readonly<Record<string, string | undefined>>, at: number) {
  const own = Object.entries(errors).flatMap(([path, message]) => {
    const [, place, field = "name"] = /^(?:products\.)?(\d)\.?(.*)$/u.exec(path) ?? [];
    return place === String(at) ? [[field === "" ? "name" : field, message] as const] : [];
  });
  return Object.fromEntries(own);
}

/** What was typed as a product; null while a figure is missing or cannot be. */
function wholeProduct({ amount, densityKgPerL, measureL, label, ...rest }: TypedProduct): LabelProduct | null {
  if (typeof amount !== "number" || amount < 0.001 || amount > 10_000) return null;
  if (typeof densityKgPerL === "string" || typeof measureL === "string") return null;
  if (densityKgPerL !== null && (densityKgPerL < 0.05 || densityKgPerL > 20)) return null;
  if (measureL !== null && (measureL < 0.0001 || measureL > 10)) return null;
  const printed = Object.entries(label).filter((pair): pair is [string, number] => typeof pair[1] === "number");
  if (printed.some(([, percent]) => percent < 0 || percent > 100)) return null;
  return { ...rest, amount, densityKgPerL, measureL, label: Object.fromEntries(printed) };
}
