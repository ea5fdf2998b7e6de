"use client";
import { useMemo, useState } from "react";
import { harvestFromSites, sitesForHarvest, weeksForHarvest, type Rhythm } from "@/core/batches/littlesLaw";
import { CROP_LIBRARY } from "@/core/growth/library/crops";
import { number } from "@/core/place/kinds/shared";
import { WEEKDAYS } from "@/core/units/day";
import { counted, formatNumber } from "@/core/units/format";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { keepWeek } from "@/server/batches/keep";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { AnswerFrame, type AnswerRow } from "./AnswerFrame";
import { BatchSteps } from "./BatchSteps";
import { answerKey, type AnswerContext } from "./context";
import { Keep } from "./Keep";
import { useKept } from "./useKept";

type Find = "sites" | "harvest" | "weeks";
const FIND = [
  { value: "sites", label: "how many sites I need" },
  { value: "harvest", label: "how many a week I can pick" },
  { value: "weeks", label: "how long each may stay" },
] as const;

const HARVEST = number("harvest", "A week’s harvest", "count", 0.1, 100_000);
const SITES = number("sites", "Sites", "count", 1, 1_000_000, { whole: true });
const STAY = number("stayDays", "Each stays", "days", 1, 3640);
const RHYTHM = [
  number("everyDays", "Sown every", "days", 1, 366),
  number("cleaningDays", "Cleaning between", "days", 0, 60),
  number("lost", "Lost", "share", 0, 0.95),
];
const MEASURES: Readonly<Record<Find, readonly (typeof HARVEST)[]>> = {
  sites: [HARVEST, STAY, ...RHYTHM],
  harvest: [SITES, STAY, ...RHYTHM],
  weeks: [HARVEST, SITES, ...RHYTHM],
};
const FIRST = {
  harvest: "100",
  sites: "480",
  stayDays: "5 weeks",
  everyDays: "7 days",
  cleaningDays: "1 day",
  lost: "4 %",
};

/** Of weekly harvest, weeks in place and sites, the third. */
export function WeekAnswer({ context }: { readonly context: AnswerContext }) {
  const [find, setFind] = useKept<Find>("week find", "harvest");
  const measures = MEASURES[find];
  const blanks = useBlanks(answerKey("week"), measures, FIRST, context.units);
  const { good } = blanks;
  const found = useMemo(() => worked(find, good), [find, good]);
  const blank = (name: string) => <MeasureBlank blanks={blanks} name={name} />;
  return (
    <AnswerFrame
      problems={blanks.problems}
      units={blanks.units}
      sentence={
        <>
          Tell me <ChoiceBlank name="find" label="What is asked" value={find} options={FIND} onValue={setFind} />, when{" "}
          {find === "sites" && (
            <>
              I pick {blank("harvest")} a week and each stays {blank("stayDays")}
            </>
          )}
          {find === "harvest" && (
            <>
              I have {blank("sites")} sites and each plant stays {blank("stayDays")}
            </>
          )}
          {find === "weeks" && (
            <>
              I pick {blank("harvest")} a week and have {blank("sites")} sites
            </>
          )}
          , sown every {blank("everyDays")}, {blank("cleaningDays")} of cleaning between, and {blank("lost")} lost.
        </>
      }
      figure={found.figure}
      unit={found.unit}
      about={found.about}
      rows={found.rows}
      how={HOW}
      picture={found.batchesAtOnce > 0 && <BatchSteps {...found} />}
      keep={
        <KeepOrder
          context={context}
          isGood={blanks.problems.length === 0 && found.harvest > 0}
          harvest={found.harvest}
        />
      }
    />
  );
}

interface Found {
  readonly figure: string;
  readonly unit: string;
  readonly about: string;
  readonly rows: readonly AnswerRow[];
  readonly harvest: number;
  readonly plantsPerBatch: number;
  readonly batchesAtOnce: number;
  readonly everyDays: number;
  readonly stayDays: number;
}

function worked(find: Find, good: Readonly<Record<string, number>>): Found {
  const rhythm: Rhythm = { everyDays: good.everyDays!, cleaningDays: good.cleaningDays!, survival: 1 - good.lost! };
  const weeks = (good.stayDays ?? 35) / 7;
  const batch = (plants: number, atOnce: number): AnswerRow[] => [
    { what: "plants in a batch", figure: formatNumber(plants) },
    { what: "batches that stand at once", figure: formatNumber(atOnce) },
  ];
  const base = { everyDays: rhythm.everyDays, stayDays: weeks * 7 };
  if (find === "sites" && good.harvest !== undefined) {
    const { peakSites, meanSites, plantsPerBatch, batchesAtOnce } = sitesForHarvest(good.harvest, weeks, rhythm);
    return {
      ...base,
      figure: formatNumber(peakSites),
      unit: "sites",
      about: `${formatNumber(meanSites)} on the mean; on the fullest day ${formatNumber(peakSites)}, and those it must have.`,
      rows: batch(plantsPerBatch, batchesAtOnce),
      harvest: good.harvest,
      plantsPerBatch,
      batchesAtOnce,
    };
  }
  if (find === "weeks" && good.harvest !== undefined && good.sites !== undefined) {
    const { longestDays, meanWeeks, plantsPerBatch, batchesAtOnce } = weeksForHarvest(good.harvest, good.sites, rhythm);
    return {
      ...base,
      stayDays: longestDays ?? 0,
      figure: longestDays === null ? "0" : formatNumber(longestDays, 1),
      unit: "days",
      about:
        longestDays === null
          ? `No time is left: a batch is ${counted(plantsPerBatch, "plant")}.`
          : `Each batch may stay so long; on the mean it would be ${formatNumber((meanWeeks ?? 0) * 7, 1)} days.`,
      rows: batch(plantsPerBatch, batchesAtOnce),
      harvest: good.harvest,
      plantsPerBatch,
      batchesAtOnce,
    };
  }
  const sites = good.sites ?? 0;
  const { harvestPerWeek, meanHarvestPerWeek, plantsPerBatch, batchesAtOnce, sitesUsedAtPeak } = harvestFromSites(
    sites,
    weeks,
    rhythm,
  );
  return {
    ...base,
    figure: formatNumber(harvestPerWeek, 1),
    unit: "a week",
    about: `${formatNumber(meanHarvestPerWeek, 1)} if plants came one by one; in whole batches ${formatNumber(harvestPerWeek, 1)}.`,
    rows: [
      ...batch(plantsPerBatch, batchesAtOnce),
      { what: "sites never used", figure: formatNumber(sites - sitesUsedAtPeak) },
    ],
    harvest: harvestPerWeek,
    plantsPerBatch,
    batchesAtOnce,
  };
}

const HOW = [
  "What stands there = what comes × how long it stays (Little’s law). What is lost keeps its site to the end.",
  "Plants come in batches: ⌈(days in place + cleaning) ÷ days between⌉ of them stand at once, and all must find room.",
];

const CROPS = CROP_LIBRARY.map(({ name }) => ({ value: name, label: name.toLowerCase() }));
const DAYS = WEEKDAYS.map((label, index) => ({ value: index + 1, label }));

function KeepOrder({
  context: { garden },
  isGood,
  harvest,
}: {
  readonly context: AnswerContext;
  readonly isGood: boolean;
  readonly harvest: number;
}) {
  const [crop, setCrop] = useState(CROP_LIBRARY[0]!.name);
  const [weekday, setWeekday] = useState(5);
  const quantity = Math.floor(harvest);
  return (
    <Keep
      garden={garden}
      isGood={isGood && quantity >= 1}
      action={keepWeek}
      input={() => ({ crop: { library: crop }, weekday, quantity })}
      goTo={() => "/batches/orders"}
      makes="Makes an order, and the crop where it is not there yet."
    >
      <p className="sentence text-xl">
        {quantity} of <ChoiceBlank name="keepCrop" label="Crop" value={crop} options={CROPS} onValue={setCrop} /> every{" "}
        <ChoiceBlank name="keepDay" label="Every" value={weekday} options={DAYS} onValue={setWeekday} />
      </p>
    </Keep>
  );
}
