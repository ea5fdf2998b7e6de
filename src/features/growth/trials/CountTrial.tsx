"use client";
import { countedGermination } from "@/core/growth/germination";
import { compareShares, sizeForShares } from "@/core/growth/trials";
import { count } from "@/core/place/kinds/shared";
import { counted } from "@/core/units/format";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { Sentence } from "@/ui/blank/Sentence";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { Facts } from "../Facts";
import { chanceWords, verdictWords } from "./words";

const MOST = 100_000;
const whole = (name: string, label: string) => ({ ...count(name, label, MOST), least: 0 });
const MEASURES = [
  whole("aYes", "Of A came up"),
  count("aOf", "A sown", MOST),
  whole("bYes", "Of B came up"),
  count("bOf", "B sown", MOST),
];
const FIRST = { aYes: "46", aOf: "50", bYes: "38", bOf: "50" };
const WISH = { power: 0.8, alpha: 0.05 };

/** Two counts: how many of how many came up, rooted, lived. */
export function CountTrial() {
  const units = useUnits();
  const blanks = useBlanks("draft:trial:counts", MEASURES, FIRST, units);
  const { aYes, aOf, bYes, bOf } = blanks.good as Readonly<Record<"aYes" | "aOf" | "bYes" | "bOf", number>>;
  const isOver = aYes > aOf || bYes > bOf;
  return (
    <section aria-label="Two counts" aria-live="polite">
      <Sentence problems={blanks.problems}>
        Of lot A <MeasureBlank blanks={blanks} name="aYes" /> of <MeasureBlank blanks={blanks} name="aOf" /> came up, of
        lot B <MeasureBlank blanks={blanks} name="bYes" /> of <MeasureBlank blanks={blanks} name="bOf" />.
      </Sentence>
      {isOver ? (
        <p role="alert" className="mt-2 font-bold text-alarm">
          More came up than were sown. Were the two figures of a lot swapped?
        </p>
      ) : (
        <Answer {...{ aYes, aOf, bYes, bOf }} />
      )}
    </section>
  );
}

function Answer({ aYes, aOf, bYes, bOf }: Readonly<Record<"aYes" | "aOf" | "bYes" | "bOf", number>>) {
  const { pTwoSided } = compareShares({ yes: aYes, no: aOf - aYes }, { yes: bYes, no: bOf - bYes });
  const [a, b] = [countedGermination(aYes, aOf, 95), countedGermination(bYes, bOf, 95)];
  const inHundred = (share: number) => Math.round(share * 100);
  const held = (share: number) => Math.min(0.999, Math.max(0.001, share));
  const differs = Math.abs(held(a.estimate) - held(b.estimate)) >= 0.001;
  const size = differs ? Math.ceil(sizeForShares(held(a.estimate), held(b.estimate), WISH) - 1e-9) : null;
  const shareWords = (share: typeof a) =>
    `${inHundred(share.estimate)} in 100; of many such ${inHundred(share.low)} to ${inHundred(share.high)}`;
  return (
    <div className="mt-3 max-w-2xl space-y-2">
      <p className="sign text-3xl">{verdictWords(pTwoSided, a.estimate >= b.estimate ? "Lot A" : "Lot B")}</p>
      <p>
        <Why
          label="By chance alone"
          how="Fisher's exact test: of all ways in which as many seeds could have come up, those that are no likelier than the one seen."
          inputs={[["probability", pTwoSided.toFixed(4)]]}
        >
          {chanceWords(pTwoSided)}
        </Why>
      </p>
      <Facts
        rows={[
          ["lot A", shareWords(a)],
          ["lot B", shareWords(b)],
          [
            "to find such a difference in 8 of 10 trials",
            size === null ? "there is none" : `${counted(size, "seed")} of each`,
          ],
        ]}
      />
    </div>
  );
}
