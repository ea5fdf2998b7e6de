"use client";
import { useId } from "react";
import { compareMeans, resampledMean, sizeForMeans, type MeansCompared } from "@/core/growth/trials";
import { counted, formatNumber } from "@/core/units/format";
import { useDraft } from "@/features/frame/drafts";
import { Why } from "@/ui/Why";
import { Facts } from "../Facts";
import { chanceWords, verdictWords } from "./words";

const MOST_VALUES = 2000;
const MOST_VALUE = 1_000_000;
const FIRST = { a: "182 195 171 188 203 176 190", b: "168 159 181 172 166 175" };

interface Read {
  readonly values: readonly number[];
  readonly wrong: string | null;
}

/** Figures with blanks, commas or lines between; a comma within a figure is not taken for a point. */
function readValues(text: string): Read {
  const cells = text.split(/[\s;,]+/u).filter(Boolean);
  const wrong = cells.find((cell) => !Number.isFinite(Number(cell)) || Math.abs(Number(cell)) > MOST_VALUE);
  if (wrong !== undefined)
    return { values: [], wrong: `“${wrong}” is no figure from −${MOST_VALUE} to ${MOST_VALUE}.` };
  if (cells.length > MOST_VALUES) return { values: [], wrong: `At most ${MOST_VALUES} figures are taken.` };
  return { values: cells.map(Number), wrong: null };
}

/** Two groups of weights, days or lengths, a figure for each plant. */
export function WeightTrial() {
  const [texts, setTexts] = useDraft<{ readonly a: string; readonly b: string }>("trial:weights", FIRST);
  const [a, b] = [readValues(texts.a), readValues(texts.b)];
  return (
    <section aria-label="Two groups of figures" aria-live="polite">
      <div className="grid max-w-2xl gap-4 sm:grid-cols-2">
        <Values label="Group A" text={texts.a} read={a} onText={(text) => setTexts((all) => ({ ...all, a: text }))} />
        <Values label="Group B" text={texts.b} read={b} onText={(text) => setTexts((all) => ({ ...all, b: text }))} />
      </div>
      {a.wrong === null && b.wrong === null && <Answer a={a.values} b={b.values} />}
    </section>
  );
}

function Values({
  label,
  text,
  read,
  onText,
}: {
  readonly label: string;
  readonly text: string;
  readonly read: Read;
  readonly onText: (text: string) => void;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm font-bold">
        {label}
      </label>
      <textarea
        id={id}
        className="input"
        rows={4}
        value={text}
        aria-invalid={read.wrong !== null}
        aria-describedby={`${id}-about`}
        onChange={(event) => onText(event.target.value)}
      />
      <p id={`${id}-about`} className={read.wrong === null ? "text-sm text-soft" : "text-sm font-bold text-alarm"}>
        {read.wrong ?? counted(read.values.length, "figure")}
      </p>
    </div>
  );
}

function Answer({ a, b }: { readonly a: readonly number[]; readonly b: readonly number[] }) {
  const found = compareMeans(a, b, 0.95);
  if ("kind" in found)
    return (
      <p className="mt-3 font-bold">
        {found.kind === "too-few"
          ? "At least two figures of each are needed."
          : "All figures of a group are the same: without spread chance cannot be told. Was it rounded too much?"}
      </p>
    );
  const figure = (value: number) => formatNumber(value, digitsFor(found));
  const [lowA, lowB] = [resampledMean(a, 0.9), resampledMean(b, 0.9)];
  return (
    <div className="mt-3 max-w-2xl space-y-2">
      <p className="sign text-3xl">
        {found.p < 0.05
          ? `${found.difference > 0 ? "A" : "B"} is ${found.p < 0.01 ? "" : "likely "}greater, by ${figure(Math.abs(found.difference))} on average.`
          : verdictWords(found.p, "")}
      </p>
      <p>
        <Why
          label="By chance alone"
          how="Welch's t test: the difference of the means against the spreads of both groups, which need not be the same."
          inputs={[
            ["t", formatNumber(found.t, 2)],
            ["degrees of freedom", formatNumber(found.df, 1)],
            ["probability", found.p.toFixed(4)],
          ]}
        >
          {chanceWords(found.p)}
        </Why>
      </p>
      <Facts
        rows={[
          [
            "A on average",
            `${figure(found.meanA)}, spread ${figure(found.sdA)}; resampled ${figure(lowA.low)} to ${figure(lowA.high)}`,
          ],
          [
            "B on average",
            `${figure(found.meanB)}, spread ${figure(found.sdB)}; resampled ${figure(lowB.low)} to ${figure(lowB.high)}`,
          ],
          ["A less B, 95 of 100 times", `${figure(found.low)} to ${figure(found.high)}`],
          ["to find such a difference in 8 of 10 trials", sizeWords(found)],
        ]}
      />
    </div>
  );
}

/** As many decimals as the spread is worth. */
function digitsFor({ sdA, sdB }: MeansCompared): number {
  return Math.min(3, Math.max(0, 2 - Math.floor(Math.log10(Math.max(sdA, sdB, 1e-3)) + 1)));
}

const LEAST_EFFECT = 0.05;

function sizeWords({ difference, sdA, sdB }: MeansCompared): string {
  const sd = Math.sqrt((sdA ** 2 + sdB ** 2) / 2);
  const effect = Math.abs(difference) / sd;
  if (effect < LEAST_EFFECT) return "so small a difference is not worth a trial";
  return `${counted(sizeForMeans(Math.min(effect, 20), 1, { power: 0.8, alpha: 0.05 }), "plant")} of each`;
}
