"use client";
import { useMemo } from "react";
import { PER_L, type DosePer } from "@/core/feed/label";
import { number } from "@/core/place/kinds/shared";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import type { BlankMeasure } from "@/features/frame/blank/blanks";
import { formatNumber } from "@/core/units/format";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { SecondWord } from "@/ui/SecondWord";
import { PrintButton } from "@/ui/PrintButton";
import { SlipSteps } from "@/ui/SlipSteps";
import { AnswerFrame } from "./AnswerFrame";
import { answerKey, type AnswerContext } from "./context";
import { KeepDose } from "./KeepDose";
import {
  amountWords,
  doseDangerWords,
  HAS_SIZE,
  LABEL_PARTS,
  rowsOf,
  stepsOf,
  UNITS,
  worked,
  type Chosen,
  type Way,
} from "./tankSlip";
import { useKept } from "./useKept";

const PER: readonly { readonly value: DosePer; readonly label: string }[] = [
  { value: "L", label: "litre" },
  { value: "usGallon", label: "US gallon" },
  { value: "imperialGallon", label: "imperial gallon" },
];
const WAYS = [
  { value: "fresh", label: "fresh water" },
  { value: "read", label: "feed that was read" },
  { value: "mixed", label: "feed that I have mixed" },
] as const satisfies readonly { readonly value: Way; readonly label: string }[];

const VOLUME = number("volumeL", "Tank", "volume", 0.1, 1_000_000);
const AMOUNT = number("amount", "The label says", "ratio", 0.001, 10_000);
const STRENGTH = number("strength", "Strength", "share", 0.01, 5);
const MEASURE_ML = number("measureL", "Holds", "dose", 0.0001, 10);
const FRESH = [VOLUME, AMOUNT, STRENGTH];
const MIXED = [
  VOLUME,
  number("amount", "The label says", "ratio", 0.01, 1000),
  number("strength", "Strength", "share", 0.05, 5),
  number("putIn", "I put in", "ratio", 0, 1_000_000),
  number("headspaceL", "Room over it", "volume", 0, 1_000_000),
];
const READ = [
  VOLUME,
  AMOUNT,
  number("readEc", "It reads", "ec", 0, 20),
  number("wantedEc", "Wanted", "ec", 0.05, 20),
  number("labelEc", "The full dose adds", "ec", 0.05, 20),
  number("waterEc", "The water itself", "ec", 0, 20),
];
const LABEL = LABEL_PARTS.map(([name, , label]) => ({
  ...number(name, label, "ratio", 0, 100),
  optional: true as const,
}));
const MEASURES: Readonly<Record<Way, readonly BlankMeasure[]>> = { fresh: FRESH, read: READ, mixed: MIXED };
/** How much of a product goes into a tank. */
export function TankAnswer({ context }: { readonly context: AnswerContext }) {
  const us = context.units.system === "us";
  const [chosen, choose] = useKept<Chosen>("tank", {
    unit: us ? "teaspoon" : "mL",
    per: us ? "usGallon" : "L",
    way: "fresh",
  });
  const { unit, per, way } = chosen;
  const measures = useMemo(
    () => [...MEASURES[way], ...(HAS_SIZE.has(unit) ? [MEASURE_ML] : []), ...LABEL],
    [way, unit],
  );
  const first = useMemo(
    () => ({
      volumeL: us ? "25 gal" : "100 L",
      amount: us ? "1" : "5",
      strength: "50 %",
      putIn: us ? "30" : "500",
      headspaceL: us ? "5 gal" : "20 L",
      measureL: us ? "1 tbsp" : "8 mL",
      readEc: "1.0 mS",
      wantedEc: "1.4 mS",
      labelEc: "1.6 mS",
      waterEc: "0.4 mS",
      ...Object.fromEntries(LABEL_PARTS.map(([name]) => [name, ""])),
    }),
    [us],
  );
  const blanks = useBlanks(answerKey("tank texts"), measures, first, context.units);
  const { good, units } = blanks;
  const found = useMemo(() => worked(chosen, good), [chosen, good]);
  const blank = (name: string, placeholder?: string) => (
    <MeasureBlank blanks={blanks} name={name} placeholder={placeholder} />
  );
  const words = amountWords(found.amount, unit, units);
  return (
    <AnswerFrame
      problems={blanks.problems}
      units={units}
      sentence={
        <>
          My tank holds {blank("volumeL")} of{" "}
          <ChoiceBlank
            name="way"
            label="What is in it"
            value={way}
            options={WAYS}
            onValue={(next) => choose({ ...chosen, way: next })}
          />
          . The label says {blank("amount")}{" "}
          <ChoiceBlank
            name="unit"
            label="Measure"
            value={unit}
            options={UNITS}
            onValue={(next) => choose({ ...chosen, unit: next })}
          />
          {HAS_SIZE.has(unit) && <> of {blank("measureL")}</>} to a{" "}
          <ChoiceBlank
            name="per"
            label="To a"
            value={per}
            options={PER}
            onValue={(next) => choose({ ...chosen, per: next })}
          />
          {way === "fresh" && <>, and I want {blank("strength")} of that.</>}
          {way === "mixed" && (
            <>
              , I wanted {blank("strength")} of that and put in {blank("putIn")}{" "}
              {UNITS.find(({ value }) => value === unit)!.label}. Over it there is room for {blank("headspaceL")}.
            </>
          )}
          {way === "read" && (
            <>
              . It reads {blank("readEc")} and I want {blank("wantedEc")}; the full dose adds {blank("labelEc")} to my
              water of {blank("waterEc")}.
            </>
          )}
        </>
      }
      figure={found.mixed ? formatNumber(found.mixed.times, 2) : words.figure}
      unit={found.mixed ? "times what I wanted" : words.unit}
      about={found.says}
      rows={rowsOf(found, unit, units)}
      how={HOW[way]}
      caution="Read the product’s own label and safety sheet: gloves and goggles, product into water, parts A and B never together before the water."
      picture={
        <>
          <h2 className="text-2xl">The slip</h2>
          <SecondWord why={doseDangerWords(found)} confirm="I have looked again: show the slip">
            <SlipSteps steps={stepsOf(found, good.volumeL!, unit, units)} />
            <PrintButton label="Print" />
          </SecondWord>
          <details>
            <summary className="sign inline-flex min-h-11 items-center text-lg underline underline-offset-4">
              What the pack says, in per cent
            </summary>
            <p className="sentence text-xl">
              {LABEL_PARTS.map(([name, , label], index) => (
                <span key={name}>
                  {index > 0 && ", "}
                  {label} {blank(name, "–")}
                </span>
              ))}
            </p>
            <p className="text-soft">{found.labelSays}</p>
          </details>
        </>
      }
      keep={
        <KeepDose
          context={context}
          isGood={blanks.problems.length === 0}
          tankL={good.volumeL!}
          product={found.product}
          share={Math.min(3, Math.max(0.05, good.strength ?? 1))}
          labelEcMsPerCm={way === "read" ? (good.labelEc ?? null) : null}
        />
      }
    />
  );
}

const HOW: Readonly<Record<Way, readonly string[]>> = {
  mixed: [
    "What was put in ÷ (the label’s dose × litres × strength). Mass counts here, so it is exact.",
    "Over by the factor r: water = litres × (r − 1); where that does not fit, the least drain that lets the rest fill the tank.",
  ],
  fresh: [
    "The label’s dose × what the tank holds × strength.",
    `An imperial gallon is ${(PER_L.imperialGallon / PER_L.usGallon).toFixed(2)} US gallons; a teaspoon is 5 mL.`,
    "A spoon of powder has no weight of its own: weigh what matters.",
  ],
  read: [
    "Share of the label’s dose = (wanted − read) ÷ what the full dose adds. A straight line, 3 to 11 % short.",
    "Too strong: water = litres × (read − wanted) ÷ (wanted − water).",
  ],
};
