"use client";
import { useMemo, useState } from "react";
import { demandsOf } from "@/core/batches/allocate";
import { counted } from "@/core/units/format";
import type { PlanInput, PlanVariety } from "@/core/batches/types";
import { dayInWords, type Day } from "@/core/units/day";
import type { OrderRow } from "@/core/garden/garden";
import { DayInput } from "@/ui/DayInput";
import { Field } from "@/ui/Field";
import { BatchDrafts } from "./BatchDrafts";
import { CONFIDENCE, tryCover } from "./batchDrafts";
import { SowingDays } from "./SowingDays";

/** Crops picked before these days have ended by then. */
const SERVED_DAYS = 28;
const USUAL_DAYS = 120;
const FIRST_WEEKS_DAYS = 56;

interface CoverOrdersProps {
  readonly variety: PlanVariety;
  readonly input: PlanInput;
  readonly orders: readonly OrderRow[];
  readonly sowWeekdays: readonly number[];
  readonly onDone: () => void;
}

/** The batches that the orders of a crop still need, up to a day. */
export function CoverOrders({ variety, input, orders, sowWeekdays, onDone }: CoverOrdersProps) {
  const own = useMemo(
    () => orders.filter((order) => order.varietyId === variety.id && order.to >= input.today),
    [orders, variety.id, input.today],
  );
  // Orders that begin later are looked at from their first weeks on.
  const begins = own.reduce((first, order) => Math.min(first, order.from), Infinity);
  const far = Math.max(input.today + USUAL_DAYS, Number.isFinite(begins) ? begins + FIRST_WEEKS_DAYS : 0);
  const [until, setUntil] = useState<Day | null>(Math.min(input.to - 1, far));
  const cover = useMemo(
    () =>
      until === null
        ? null
        : tryCover({
            variety,
            orders: own,
            batches: input.batches.filter((batch) => batch.varietyId === variety.id),
            today: input.today,
            from: input.today - SERVED_DAYS,
            to: until + 1,
            sowWeekdays,
            confidence: CONFIDENCE,
          }),
    [until, variety, own, input, sowWeekdays],
  );
  const drafts = useMemo(
    () =>
      cover && typeof cover !== "string" ? cover.batches.map((batch) => ({ ...batch, varietyId: variety.id })) : [],
    [cover, variety.id],
  );
  const marketDays = until === null ? 0 : demandsOf(own, input.today, until + 1).length;
  if (own.length === 0) return <p>There is no order for {variety.name} ahead. Enter one under Orders first.</p>;
  return (
    <>
      <Field label="Orders until" error={until === null ? "Choose a day" : undefined}>
        {(aria) => <DayInput {...aria} value={until} onValue={setUntil} />}
      </Field>
      {typeof cover === "string" && (
        <p role="alert" className="font-bold text-alarm">
          {cover}
        </p>
      )}
      {cover && typeof cover !== "string" && (
        <>
          {cover.tooLate.length > 0 && (
            <p className="border-l-[6px] border-alarm bg-alarm-pale px-3 py-2">
              Too late to sow for {cover.tooLate.length} market day{cover.tooLate.length === 1 ? "" : "s"}, the last{" "}
              {dayInWords(cover.tooLate.at(-1)!.day, "weekday")}: {variety.name} sown today is ready later.
            </p>
          )}
          {marketDays === 0 ? (
            <p className="border-l-[6px] border-feed bg-feed-pale px-3 py-2">
              No market day of these orders falls before {dayInWords(until! + 1, "year")}; the first is{" "}
              {dayInWords(begins, "year")} or later. Choose a later day.
            </p>
          ) : drafts.length > 0 ? (
            <>
              <SowingDays weekdays={sowWeekdays} />
              <BatchDrafts drafts={drafts} input={input} variety={variety} onDone={onDone} />
            </>
          ) : (
            cover.tooLate.length === 0 && (
              <p className="border-l-[6px] border-leaf bg-leaf-pale px-3 py-2">
                What is growing and planned already covers the {counted(marketDays, "market day")} of these orders.
              </p>
            )
          )}
        </>
      )}
    </>
  );
}
