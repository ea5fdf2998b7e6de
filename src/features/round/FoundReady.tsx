"use client";
import type { Day } from "@/core/units/day";
import { DayInput } from "@/ui/DayInput";
import { Field } from "@/ui/Field";

/** The day on which plants were found ready, apart from the day they are moved or picked: only it teaches how long they take. */
export function FoundReady({
  readyOn,
  onReady,
}: {
  readonly readyOn: Day | null;
  readonly onReady: (day: Day | null) => void;
}) {
  return (
    <div className="mb-3">
      <Field label="Found ready on" hint="leave it empty where nobody looked, or where they were held on purpose">
        {(aria) => <DayInput {...aria} value={readyOn} onValue={onReady} />}
      </Field>
    </div>
  );
}
