"use client";
import { useMemo } from "react";
import type { PlanInput, PlanVariety } from "@/core/batches/types";
import type { Day } from "@/core/units/day";
import { useDraft } from "@/features/frame/drafts";
import { ChoiceBlank, DayBlank, QuantityBlank } from "@/ui/blank/Blank";
import { Sentence } from "@/ui/blank/Sentence";
import type { QuantityValue } from "@/ui/QuantityInput";
import { BatchDrafts } from "./BatchDrafts";
import { CANNOT, tryDrafts } from "./batchDrafts";
import { SowingDays } from "./SowingDays";

const MOST_IN_SERIES = 104;
const MOST_PLANTS = 100_000;
const ENDS = [
  { value: "wanted", label: "wanted" },
  { value: "sow", label: "sown" },
] as const;

interface ByHandDraft {
  readonly from: "wanted" | "sow";
  readonly day: Day | null;
  readonly plants: QuantityValue;
  readonly every: QuantityValue;
  readonly times: QuantityValue;
}

/** One batch or a series, from the day it is wanted or from the day it is sown. */
export function BatchesByHand({
  variety,
  input,
  sowWeekdays,
  series,
  onDone,
}: {
  variety: PlanVariety;
  input: PlanInput;
  sowWeekdays: readonly number[];
  series: boolean;
  onDone: () => void;
}) {
  const { today } = input;
  const [{ from, day, plants, every, times }, set, forget] = useDraft<ByHandDraft>(`add-by-hand:${variety.id}`, {
    from: "wanted",
    day: today + 60,
    plants: 40,
    every: 7,
    times: 6,
  });
  const change = (next: Partial<ByHandDraft>) => set((all) => ({ ...all, ...next }));
  const isCount = (value: QuantityValue, most: number): value is number =>
    typeof value === "number" && Number.isInteger(value) && value >= 1 && value <= most;
  const count = !series ? 1 : isCount(times, MOST_IN_SERIES) ? times : 0;
  const step = isCount(every, 365) ? every : 0;
  const whole = day !== null && isCount(plants, MOST_PLANTS) && count > 0 && !(series && step === 0);
  const drafts = useMemo(
    () => (whole ? tryDrafts(variety, { from, day: day!, plants: plants as number, count, step, sowWeekdays }) : []),
    [whole, variety, from, day, plants, count, step, sowWeekdays],
  );
  const problems = [
    ...(series && step === 0 ? [{ name: "every", words: "Every: whole days from 1 to 365" }] : []),
    ...(count === 0 ? [{ name: "times", words: `Times: a whole number from 1 to ${MOST_IN_SERIES}` }] : []),
    ...(isCount(plants, MOST_PLANTS) ? [] : [{ name: "plants", words: "Plants: a whole number from 1 to 100 000" }]),
    ...(day === null ? [{ name: "day", words: "Choose a day" }] : []),
  ];
  return (
    <>
      <Sentence size="line" problems={problems}>
        {"Sow "}
        {variety.name}
        {series && (
          <>
            {" every "}
            <QuantityBlank
              name="every"
              label="Every"
              dimension="days"
              value={every}
              onValue={(next) => change({ every: next })}
            />
            {", "}
            <QuantityBlank
              name="times"
              label="Times"
              dimension="count"
              value={times}
              onValue={(next) => change({ times: next })}
            />
            {" times"}
          </>
        )}
        {" for "}
        <QuantityBlank
          name="plants"
          label="Plants wanted at the end"
          dimension="count"
          value={plants}
          onValue={(next) => change({ plants: next })}
        />
        {series ? " plants each time, the first " : " plants, "}
        <ChoiceBlank
          name="from"
          label={series ? "Count the first from" : "Count from"}
          value={from}
          options={ENDS}
          onValue={(next) => change({ from: next })}
        />
        {" on "}
        <DayBlank
          name="day"
          label={from === "wanted" ? "Wanted on" : "Sown on"}
          value={day}
          onValue={(next) => change({ day: next })}
        />
        .
      </Sentence>
      {from === "wanted" && <SowingDays weekdays={sowWeekdays} />}
      {drafts === null && (
        <p role="alert" className="font-bold text-alarm">
          {CANNOT}
        </p>
      )}
      {drafts?.some((draft) => draft.sowDay < today) && (
        <p className="border-l-[6px] border-feed bg-feed-pale px-3 py-2">
          A sow day before today counts as already sown.
        </p>
      )}
      {drafts !== null && drafts.length > 0 && (
        <BatchDrafts
          drafts={drafts}
          input={input}
          variety={variety}
          onDone={() => {
            forget();
            onDone();
          }}
        />
      )}
    </>
  );
}
