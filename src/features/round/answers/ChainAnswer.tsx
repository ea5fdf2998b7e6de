"use client";
import { useMemo } from "react";
import { sharedAreas, stageChain, type SteadyCrop } from "@/core/batches/stageChain";
import { number } from "@/core/place/kinds/shared";
import { counted, formatNumber } from "@/core/units/format";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { AnswerFrame } from "./AnswerFrame";
import { ChainPicture } from "./ChainPicture";
import { answerKey, type AnswerContext } from "./context";

const AREAS = ["seed", "nursery", "last"] as const;
const WORDS = { seed: "rack", nursery: "nursery", last: "last place" } as const;

const days = (name: string, label: string) => number(name, label, "days", 0, 3640);
const MEASURES = [
  number("harvest1", "A week’s harvest of the first crop", "count", 0, 100_000),
  days("seed1", "Of the first crop, days in the rack"),
  days("nursery1", "Of the first crop, days in the nursery"),
  days("last1", "Of the first crop, days in its last place"),
  number("harvest2", "A week’s harvest of the second crop", "count", 0, 100_000),
  days("seed2", "Of the second crop, days in the rack"),
  days("nursery2", "Of the second crop, days in the nursery"),
  days("last2", "Of the second crop, days in its last place"),
  number("everyDays", "Sown every", "days", 1, 366),
  number("cleaningDays", "Cleaning between", "days", 0, 60),
  number("lost", "Lost in each stage", "share", 0, 0.95),
  number("seedSites", "Cells in the rack", "count", 1, 1_000_000, { whole: true }),
  number("nurserySites", "Sites in the nursery", "count", 1, 1_000_000, { whole: true }),
  number("lastSites", "Sites in the last place", "count", 1, 1_000_000, { whole: true }),
];
const FIRST = {
  ...{ harvest1: "100", seed1: "5 days", nursery1: "14 days", last1: "28 days" },
  ...{ harvest2: "40", seed2: "7 days", nursery2: "18 days", last2: "35 days" },
  ...{ everyDays: "7 days", cleaningDays: "1 day", lost: "4 %" },
  ...{ seedSites: "504", nurserySites: "360", lastSites: "864" },
};

/** Two crops through rack, nursery and last place: whether each of them holds both, and which is the tightest. */
export function ChainAnswer({ context }: { readonly context: AnswerContext }) {
  const blanks = useBlanks(answerKey("chain"), MEASURES, FIRST, context.units);
  const { good } = blanks;
  const { crops, sites, found } = useMemo(() => worked(good), [good]);
  const blank = (name: string) => <MeasureBlank blanks={blanks} name={name} />;
  const short = AREAS.filter((area) => !found.areas[area]!.fitsAtThePeak);
  const fits = found.shareThatFitsOnTheMean >= 1;
  return (
    <AnswerFrame
      problems={blanks.problems}
      units={blanks.units}
      sentence={
        <>
          I pick {blank("harvest1")} of one crop a week: {blank("seed1")} in the rack, {blank("nursery1")} in the
          nursery, {blank("last1")} in its last place; and {blank("harvest2")} of another: {blank("seed2")},{" "}
          {blank("nursery2")} and {blank("last2")}. Both are sown every {blank("everyDays")}, with{" "}
          {blank("cleaningDays")} of cleaning and {blank("lost")} lost in each stage. There are {blank("seedSites")}{" "}
          cells, {blank("nurserySites")} nursery sites and {blank("lastSites")} last sites.
        </>
      }
      figure={short.length === 0 ? "fits" : fits ? "tight" : `${formatNumber(100 * found.shareThatFitsOnTheMean)} %`}
      unit={short.length === 0 ? "on the fullest day" : fits ? "on the fullest day" : "of it fits"}
      about={
        short.length === 0
          ? "Even when the fullest days of both meet."
          : fits
            ? `On the mean it fits; when the fullest days meet, ${short.map((area) => `the ${WORDS[area]} lacks ${counted(-found.areas[area]!.freeAtThePeak, "site")}`).join(", ")}.`
            : `The ${WORDS[found.tightestArea as (typeof AREAS)[number]]} is the tightest.`
      }
      rows={AREAS.map((area) => {
        const { meanSites, peakSites, fitsAtThePeak } = found.areas[area]!;
        return {
          what: `${WORDS[area]}, of ${formatNumber(sites[area]!)}: mean and most`,
          figure: `${formatNumber(meanSites)} · ${formatNumber(peakSites)}`,
          alarm: !fitsAtThePeak,
        };
      })}
      how={HOW}
      picture={<ChainPicture crops={crops.map((crop) => stageChain(crop))} sites={AREAS.map((area) => sites[area]!)} />}
    />
  );
}

function worked(good: Readonly<Record<string, number>>) {
  const crop = (at: 1 | 2): SteadyCrop => ({
    ...{ harvestPerWeek: good[`harvest${at}`]!, everyDays: good.everyDays! },
    stages: AREAS.map((area) => ({
      ...{ area, days: good[`${area}${at}`]!, survival: 1 - good.lost!, cleaningDays: good.cleaningDays! },
    })),
  });
  const crops = [crop(1), crop(2)];
  const sites: Readonly<Record<string, number>> = Object.fromEntries(
    AREAS.map((area) => [area, good[`${area}Sites`]!]),
  );
  return { crops, sites, found: sharedAreas(sites, crops) };
}

const HOW = [
  "What stands in a place = what enters × how long it stays (Little’s law). What enters is what is picked ÷ all that is still to be lost: what is lost keeps its site until the move.",
  "In batches ⌈(days + cleaning) ÷ days between⌉ of them stand at once, each in whole plants. Means of two crops add; so do their fullest days, for some day they meet.",
];
