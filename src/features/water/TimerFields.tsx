"use client";
import { useState } from "react";
import { Controller, useFormContext, useWatch } from "react-hook-form";
import { clockText, timerMinutes, type TimerProgram } from "@/core/water/timer";
import { Field } from "@/ui/Field";
import { QuantityInput } from "@/ui/QuantityInput";

const EXAMPLES: { readonly [Kind in TimerProgram["kind"]]: Extract<TimerProgram, { kind: Kind }> } = {
  continuous: { kind: "continuous" },
  every: { kind: "every", everyMin: 90, runMin: 6, fromMin: 420, toMin: 1140 },
  times: { kind: "times", timesMin: [480, 780, 1020], runMin: 20 },
};

/** The loop's one timer program: always, many short runs, or few long ones. */
export function TimerFields() {
  const { control, setValue, formState } = useFormContext();
  const timer = useWatch({ control, name: "timer" }) as TimerProgram;
  const error = formState.errors.timer as { message?: string } | undefined;
  return (
    <fieldset className="border-t border-rule pt-3">
      <legend className="sign text-xl">Timer</legend>
      <div className="grid gap-3 sm:grid-cols-2">
        <Field
          label="Runs"
          error={typeof error?.message === "string" ? error.message : undefined}
          hint={minutesWords(timer)}
        >
          {(aria) => (
            <select
              {...aria}
              className="input"
              value={timer.kind}
              onChange={(event) => setValue("timer", EXAMPLES[event.target.value as TimerProgram["kind"]])}
            >
              <option value="continuous">day and night</option>
              <option value="every">every so many minutes</option>
              <option value="times">at fixed times</option>
            </select>
          )}
        </Field>
        {timer.kind !== "continuous" && <Minutes name="timer.runMin" label="Run" />}
        {timer.kind === "every" && (
          <>
            <Minutes name="timer.everyMin" label="Every" />
            <Clock name="timer.fromMin" label="From" />
            <Clock name="timer.toMin" label="Until" />
          </>
        )}
        {timer.kind === "times" && <Times />}
      </div>
    </fieldset>
  );
}

function minutesWords(timer: TimerProgram): string {
  try {
    return `${Math.round(timerMinutes(timer))} minutes a day`;
  } catch {
    // Half-typed programs are out of range until they are complete.
    return "";
  }
}

function Minutes({ name, label }: { name: string; label: string }) {
  return (
    <Controller
      name={name}
      render={({ field, fieldState }) => (
        <Field label={label} error={fieldState.error?.message}>
          {(aria) => (
            <QuantityInput
              {...aria}
              ref={field.ref}
              dimension="minutes"
              value={field.value}
              onValue={field.onChange}
              onBlur={field.onBlur}
            />
          )}
        </Field>
      )}
    />
  );
}

function Clock({ name, label }: { name: string; label: string }) {
  return (
    <Controller
      name={name}
      render={({ field, fieldState }) => (
        <Field label={label} error={fieldState.error?.message}>
          {(aria) => (
            <input
              {...aria}
              ref={field.ref}
              type="time"
              className="input"
              value={typeof field.value === "number" ? clockText(field.value % 1440) : ""}
              onChange={(event) => field.onChange(minutesOf(event.target.value))}
              onBlur={field.onBlur}
            />
          )}
        </Field>
      )}
    />
  );
}

function Times() {
  const { setValue, control } = useFormContext();
  const times = (useWatch({ control, name: "timer.timesMin" }) ?? []) as number[];
  const [typed, setTyped] = useState(times.map(clockText).join(", "));
  return (
    <Field label="At" hint="07:00, 12:30, 17:00">
      {(aria) => (
        <input
          {...aria}
          className="input"
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value);
            const minutes = event.target.value
              .split(/[\s,;]+/u)
              .filter(Boolean)
              .map(minutesOf);
            setValue("timer.timesMin", minutes.some((minute) => minute === null) ? [] : minutes, {
              shouldValidate: true,
            });
          }}
        />
      )}
    </Field>
  );
}

function minutesOf(text: string): number | null {
  const match = /^(\d{1,2})[:.h](\d{2})$/u.exec(text.trim());
  return match && Number(match[1]) < 24 && Number(match[2]) < 60 ? Number(match[1]) * 60 + Number(match[2]) : null;
}
