"use client";
import { Controller, useFormContext, useWatch } from "react-hook-form";
import { MONTHS, WEEKDAYS } from "@/core/units/day";
import { DayInput } from "../DayInput";
import { Field } from "../Field";
import { QuantityInput, type QuantityValue } from "../QuantityInput";
import type { FieldSpec } from "./fields";
import { RowsControl } from "./RowsControl";

/** One field of a form, with its error beside it. */
export function FormControl({ spec }: { spec: FieldSpec }) {
  const { control, getFieldState, formState } = useFormContext();
  const values = useWatch({ control });
  if (spec.when && !spec.when(values)) return null;
  const error = messageIn(getFieldState(spec.name, formState).error);
  return (
    <div
      className={
        spec.wide || spec.type === "note" || spec.type === "months" || spec.type === "weekdays" || spec.type === "rows"
          ? "col-span-full"
          : ""
      }
    >
      {spec.type === "rows" ? (
        <RowsControl spec={spec} error={ownMessage(getFieldState(spec.name, formState).error)} />
      ) : (
        <Controller
          name={spec.name}
          control={control}
          render={({ field }) => <Control spec={spec} field={field} error={error} />}
        />
      )}
    </div>
  );
}

interface ControlProps {
  readonly spec: FieldSpec;
  readonly error: string | undefined;
  readonly field: {
    // eslint-disable-next-line @typescript-eslint/no-explicit-any -- values of all kinds of fields pass here
    value: any;
    onChange: (value: unknown) => void;
    onBlur: () => void;
    ref: (element: HTMLElement | null) => void;
  };
}

function Control({ spec, field, error }: ControlProps) {
  const { value, onChange, onBlur, ref } = field;
  switch (spec.type) {
    case "months":
      return <MonthsControl {...{ spec, field, error }} />;
    case "weekdays":
      return <WeekdaysControl {...{ spec, field, error }} />;
    case "switch":
      return (
        <label className="flex min-h-11 items-center gap-3 font-bold">
          <input
            ref={ref}
            type="checkbox"
            className="size-6 accent-water"
            checked={Boolean(value)}
            onChange={(event) => onChange(event.target.checked)}
            onBlur={onBlur}
          />
          {spec.label}
        </label>
      );
    default:
      return (
        <Field label={spec.label} hint={spec.hint} error={error}>
          {(aria) => {
            if (spec.type === "quantity")
              return (
                <QuantityInput
                  {...aria}
                  ref={ref}
                  dimension={spec.dimension}
                  value={value as QuantityValue}
                  onValue={onChange}
                  onBlur={onBlur}
                />
              );
            if (spec.type === "day")
              return <DayInput {...aria} ref={ref} value={value as number | null} onValue={onChange} onBlur={onBlur} />;
            if (spec.type === "choice")
              return (
                <select
                  {...aria}
                  ref={ref}
                  className="input"
                  value={String(value)}
                  onBlur={onBlur}
                  onChange={(event) =>
                    onChange(spec.options.find((option) => String(option.value) === event.target.value)?.value)
                  }
                >
                  {spec.options.map((option) => (
                    <option key={String(option.value)} value={String(option.value)}>
                      {option.label}
                    </option>
                  ))}
                </select>
              );
            if (spec.type === "note")
              return (
                <textarea
                  {...aria}
                  ref={ref}
                  className="input"
                  rows={3}
                  value={(value as string) ?? ""}
                  onChange={(event) => onChange(event.target.value)}
                  onBlur={onBlur}
                />
              );
            return (
              <input
                {...aria}
                ref={ref}
                className="input"
                type={spec.type === "password" ? "password" : "text"}
                autoComplete={"autoComplete" in spec ? spec.autoComplete : undefined}
                value={(value as string) ?? ""}
                onChange={(event) => onChange(event.target.value)}
                onBlur={onBlur}
              />
            );
          }}
        </Field>
      );
  }
}

function MonthsControl({ spec, field, error }: ControlProps) {
  const days = (field.value as QuantityValue[] | undefined) ?? [];
  if (spec.type !== "months") return null;
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-bold">{spec.label}</legend>
      <div className="grid grid-cols-6 gap-1">
        {MONTHS.map((month, index) => (
          <label key={month} className="text-xs text-soft">
            {month.slice(0, 3)}
            <QuantityInput
              className="!px-1 text-center"
              aria-label={`${spec.label}, ${month}`}
              aria-invalid={typeof days[index] !== "number"}
              placeholder="days"
              dimension="count"
              value={days[index]}
              onValue={(next) =>
                field.onChange(Array.from({ length: 12 }, (_, at) => (at === index ? next : days[at])))
              }
              onBlur={field.onBlur}
            />
          </label>
        ))}
      </div>
      {(error || spec.hint) && (
        <p
          role={error ? "alert" : undefined}
          className={`mt-1 text-sm ${error ? "font-bold text-alarm" : "text-soft"}`}
        >
          {error ?? spec.hint}
        </p>
      )}
    </fieldset>
  );
}

function WeekdaysControl({ spec, field, error }: ControlProps) {
  const chosen = (field.value as number[] | undefined) ?? [];
  const toggle = (weekday: number) =>
    field.onChange(chosen.includes(weekday) ? chosen.filter((day) => day !== weekday) : [...chosen, weekday].sort());
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-bold">{spec.label}</legend>
      <div className="flex flex-wrap gap-x-4">
        {WEEKDAYS.map((name, index) => (
          <label key={name} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-water"
              checked={chosen.includes(index + 1)}
              onChange={() => toggle(index + 1)}
            />
            {name.slice(0, 3)}
          </label>
        ))}
      </div>
      {error && (
        <p role="alert" className="text-sm font-bold text-alarm">
          {error}
        </p>
      )}
    </fieldset>
  );
}

/** The message of a field, or the first one of its parts: a list of months has its errors month by month. */
/** What is wrong with a list as a whole; its rows say for themselves what is wrong with them. */
function ownMessage(error: unknown): string | undefined {
  const { message, root } = (error ?? {}) as { message?: string; root?: { message?: string } };
  return message ?? root?.message;
}

function messageIn(error: unknown): string | undefined {
  if (typeof error !== "object" || error === null) return undefined;
  if ("message" in error && typeof error.message === "string") return error.message;
  return Object.values(error)
    .map(messageIn)
    .find((message) => message !== undefined);
}
