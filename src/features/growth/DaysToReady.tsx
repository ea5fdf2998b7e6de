"use client";
import { useRef, useState } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { MONTHS } from "@/core/units/day";
import { formatNumber } from "@/core/units/format";
import { splitDays } from "@/core/growth/splitDays";
import type { GrowingAreaRow } from "@/core/garden/garden";
import { ChoiceBlank, QuantityBlank } from "@/ui/blank/Blank";
import { Sentence } from "@/ui/blank/Sentence";
import type { QuantityValue } from "@/ui/QuantityInput";

interface StageValues {
  readonly growingAreaId: number | null;
  readonly daysByMonth: readonly QuantityValue[];
}

/** A variety's time in the fewest figures: days to ready, where it is raised and where it grows. */
export function DaysToReady({ growingAreas }: { readonly growingAreas: readonly GrowingAreaRow[] }) {
  const { control, setValue } = useFormContext();
  const stages = useWatch({ control, name: "stages" }) as readonly StageValues[];
  const [wrong, setWrong] = useState<{ readonly value: QuantityValue; readonly words: string } | null>(null);
  // On the way to 30 somebody types 3: each stroke shares out anew what stood there before the first.
  const beforeTyping = useRef<readonly number[] | null>(null);
  const options = growingAreas.map(({ id, name }) => ({ value: id, label: name }));
  const [least, most] = totals(stages);
  const isSame = least === most;
  const last = stages.length - 1;
  const setDays = (stage: number, days: QuantityValue) =>
    setValue(
      `stages.${stage}.daysByMonth`,
      MONTHS.map(() => days),
      { shouldDirty: true },
    );
  const tell = (value: QuantityValue) => {
    const before = (beforeTyping.current ??= stages.map(({ daysByMonth }) => mean(daysByMonth)));
    const shortest = stages.length / 2;
    if (typeof value !== "number" || value < shortest || value > 400) {
      // The form must not be saved with the days of before.
      setDays(last, null);
      return setWrong({
        value,
        words: `Days to ready: from ${formatNumber(shortest, 1)} to 400, for ${stages.length} stages of half a day or more.`,
      });
    }
    setWrong(null);
    splitDays(before, value).forEach((days, stage) => setDays(stage, days));
  };
  const area = (stage: number, label: string) => (
    <ChoiceBlank
      name={label}
      label={label}
      value={stages[stage]!.growingAreaId ?? 0}
      options={options}
      onValue={(id) => setValue(`stages.${stage}.growingAreaId`, id, { shouldDirty: true })}
    />
  );
  return (
    <div className="col-span-full py-1">
      <Sentence size="line" problems={wrong ? [{ name: "days", words: wrong.words }] : []}>
        Ready{" "}
        <QuantityBlank
          name="days"
          label="Days to ready"
          dimension="count"
          value={wrong ? wrong.value : isSame ? least : null}
          placeholder={isSame ? undefined : `${formatNumber(least)} to ${formatNumber(most)}`}
          onValue={tell}
          onBlur={() => (beforeTyping.current = null)}
        />{" "}
        days after sowing, {last > 0 && <>raised in {area(0, "Raised in")}, </>}grown in {area(last, "Grown in")}.
      </Sentence>
      {!isSame && <p className="text-soft">By the month, as told below; one figure here makes it the same all year.</p>}
    </div>
  );
}

const mean = (days: readonly QuantityValue[]) => {
  const read = days.filter((one) => typeof one === "number");
  return Math.min(400, Math.max(0.5, read.reduce((sum, one) => sum + one, 0) / Math.max(1, read.length)));
};

/** Least and most days of all stages, were each spent in one month. */
function totals(stages: readonly StageValues[]): [least: number, most: number] {
  const byMonth = MONTHS.map((_, month) =>
    stages.reduce((sum, { daysByMonth }) => sum + (Number(daysByMonth[month]) || 0), 0),
  );
  return [Math.min(...byMonth), Math.max(...byMonth)];
}
