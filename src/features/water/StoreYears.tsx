"use client";
import { dayInWords, type Day } from "@/core/units/day";
import { formatNumber, percentText, quantityText } from "@/core/units/format";
import { RELIABILITY } from "@/core/water/supplyYears/storeYears";
import type { Job } from "@/server/jobs/job";
import { askStoreYears } from "@/server/water/actions";
import type { KeptStoreYears } from "@/server/water/storeYearsJob";
import { isAtWork, JobLine } from "@/features/frame/JobLine";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { Button } from "@/ui/Button";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";

export interface StoreYearsProps {
  readonly years: { readonly kept: KeptStoreYears | null; readonly job: Job | null };
  readonly today: Day;
  readonly capacityL: number;
}

const SIMULATED =
  "Days of rain are drawn from the monthly rain and wet days of the place: a wet day is likelier after a wet one, amounts follow a gamma law fitted to each month (Geng and others 1986); temperatures wander around the normals from day to day (Richardson 1981).";
const MEASURED =
  "Whole calendar months are drawn from the daily weather that was brought in, each from all its years, and put together to years.";

/** How large a store would carry the plan in nine of ten simulated years of weather. */
export function StoreYears({ years: { kept, job }, today, capacityL }: StoreYearsProps) {
  const units = useUnits();
  const ask = useCommand(askStoreYears, { undo: false });
  const litres = (value: number) => quantityText(value, "volume", units);
  return (
    <section className="mt-6" aria-label="Store and weather">
      <h2 className="text-2xl">In years of other weather</h2>
      {kept ? (
        <>
          <p className="mt-1">
            In{" "}
            <Why
              label="Simulated years"
              how={`${kept.answer.from === "measured" ? MEASURED : SIMULATED} The store begins with what is in it, rain flows in, and each day’s need is drawn as the sources come in their order${kept.answer.needFollows ? "; what plants drink by the climate follows the temperatures of each year" : ""}.`}
              inputs={[
                ["years", formatNumber(kept.answer.years)],
                ["store", litres(kept.capacityL)],
                ["worked out", dayInWords(kept.day, "year")],
              ]}
            >
              <b>{percentText(kept.answer.carried / kept.answer.years)}</b>
            </Why>{" "}
            of {formatNumber(kept.answer.years)}{" "}
            {kept.answer.from === "measured" ? "years of measured weather" : "simulated years"} {litres(kept.capacityL)}{" "}
            carry the plan without a day short.
          </p>
          <p className={`mt-1 ${kept.answer.leastL === null ? "font-bold text-alarm" : ""}`}>
            {kept.answer.leastL === null
              ? `No store up to ${litres(kept.answer.mostLookedAtL)} carries ${percentText(RELIABILITY)} of them: roof and other sources bring too little, or what is stored today does not last till the rain.`
              : kept.answer.leastL === 0
                ? `Even without a store ${percentText(RELIABILITY)} of them would be carried: the other sources give enough.`
                : kept.answer.leastL <= kept.capacityL
                  ? `${litres(kept.answer.leastL)} would do for ${percentText(RELIABILITY)} of them.`
                  : `${litres(kept.answer.leastL)} would carry ${percentText(RELIABILITY)} of them.`}
            {kept.answer.firstShortDay !== null &&
              ` In the worst tenth the first day short is ${dayInWords(kept.day + kept.answer.firstShortDay, "year")} or before.`}
          </p>
          {(kept.day !== today || kept.capacityL !== capacityL) && (
            <p className="mt-1 text-sm text-soft">
              That was of {dayInWords(kept.day)} and a store of {litres(kept.capacityL)}: ask again after the plan or
              the store has changed.
            </p>
          )}
        </>
      ) : (
        <p className="mt-1 text-soft">
          Above stands a year of mean rain. Real years differ: a thousand of them can be tried.
        </p>
      )}
      <Only right="plan">
        <div className="no-print mt-2 flex flex-wrap items-center gap-3">
          {!isAtWork(job) && (
            <Button disabled={ask.busy} onClick={() => void ask.run({})}>
              {kept ? "Try the years again" : "Try a thousand years"}
            </Button>
          )}
          <JobLine<number> job={job} what="Trying the years" how={(share) => percentText(share)} />
        </div>
      </Only>
    </section>
  );
}
