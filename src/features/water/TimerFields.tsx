"use client";
import { useState } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { timerMinutes, type TimerProgram } from "@/core/water/timer";
import { clockText } from "@/core/units/format";
import { parseQuantity } from "@/core/units/parse";
import { METRIC } from "@/core/units/dimensions";
import { filledIn } from "@/features/frame/blank/filledIn";
import { FormBlank } from "@/features/frame/form/FormBlank";
import type { FieldSpec } from "@/features/frame/form/fields";
import { ChoiceBlank, TextBlank } from "@/ui/blank/Blank";
import { Sentence } from "@/ui/blank/Sentence";

const EXAMPLES: { readonly [Kind in TimerProgram["kind"]]: Extract<TimerProgram, { kind: Kind }> } = {
  continuous: { kind: "continuous" },
  every: { kind: "every", everyMin: 90, runMin: 6, fromMin: 420, toMin: 1140 },
  times: { kind: "times", timesMin: [480, 780, 1020], runMin: 20 },
  daylight: { kind: "daylight", runs: 6, runMin: 10, marginMin: 60 },
};
const KINDS = [
  { value: "continuous", label: "day and night" },
  { value: "every", label: "again and again" },
  { value: "times", label: "at fixed times" },
  { value: "daylight", label: "spread over the daylight" },
] as const;
const SENTENCES: Readonly<Record<TimerProgram["kind"], string>> = {
  continuous: "",
  every: ", {timer.runMin} every {timer.everyMin}, from {timer.fromMin} to {timer.toMin}",
  times: ", {timer.runMin} at {times}",
  daylight: ", {timer.runs} times {timer.runMin}, from {timer.marginMin} after sunrise to as long before sunset",
};
const BLANKS: readonly FieldSpec[] = [
  { name: "timer.runMin", label: "Run", type: "quantity", dimension: "minutes" },
  { name: "timer.runs", label: "Runs a day", type: "quantity", dimension: "count" },
  { name: "timer.marginMin", label: "After sunrise", type: "quantity", dimension: "minutes" },
  { name: "timer.everyMin", label: "Every", type: "quantity", dimension: "minutes" },
  { name: "timer.fromMin", label: "From", type: "quantity", dimension: "clock" },
  { name: "timer.toMin", label: "Until", type: "quantity", dimension: "clock" },
];

/** The loop's one timer program, told in a sentence: always, many short runs, or few long ones. */
export function TimerFields() {
  const { control, setValue, getFieldState, formState } = useFormContext();
  const timer = useWatch({ control, name: "timer" }) as TimerProgram;
  const problems = ["timer", ...BLANKS.map(({ name }) => name), "timer.timesMin"].flatMap((name) => {
    const message = getFieldState(name, formState).error?.message;
    return typeof message === "string" ? [{ name, words: message }] : [];
  });
  return (
    <fieldset className="border-t border-rule pt-3">
      <legend className="sign text-xl">Timer</legend>
      <Sentence size="line" problems={problems}>
        It runs{" "}
        <ChoiceBlank
          name="timer"
          label="Runs"
          value={timer.kind}
          options={KINDS}
          onValue={(kind) => setValue("timer", EXAMPLES[kind], { shouldDirty: true })}
        />
        {filledIn(`${SENTENCES[timer.kind]}.`, (name) => {
          if (name === "times") return <Times key={timer.kind} />;
          const spec = BLANKS.find((one) => one.name === name);
          return spec && <FormBlank spec={spec} />;
        })}
      </Sentence>
      <p className="text-soft">{minutesWords(timer)}</p>
    </fieldset>
  );
}

function minutesWords(timer: TimerProgram): string {
  try {
    const over = timer.kind === "every" && timer.toMin <= timer.fromMin ? ", over midnight" : "";
    return `${Math.round(timerMinutes(timer))} minutes a day${over}`;
  } catch {
    // Half-typed programs are out of range until they are complete.
    return "";
  }
}

function Times() {
  const { setValue, control } = useFormContext();
  const times = (useWatch({ control, name: "timer.timesMin" }) ?? []) as number[];
  const [typed, setTyped] = useState(times.map(clockText).join(", "));
  return (
    <TextBlank
      name="timer.timesMin"
      label="At"
      value={typed}
      placeholder="07:00, 12:30, 17:00"
      onValue={(text) => {
        setTyped(text);
        const minutes = text
          .split(/[\s,;]+/u)
          .filter(Boolean)
          .map((one) => parseQuantity(one, "clock", METRIC));
        const read = minutes.flatMap((one) => (one.kind === "value" ? [one.value] : []));
        setValue("timer.timesMin", read.length === minutes.length ? read : [], {
          shouldValidate: true,
          shouldDirty: true,
        });
      }}
    />
  );
}
