"use client";
import { Controller, useFormContext } from "react-hook-form";
import { WEEKDAYS } from "@/core/units/day";
import { DayInput } from "@/ui/DayInput";
import { Field } from "@/ui/Field";
import type { FieldSpec } from "./fields";
import { MonthsControl } from "./MonthsControl";
import { TypedQuantity } from "./TypedQuantity";

export type SingleSpec = Exclude<FieldSpec, { readonly type: "rows" | "amounts" }>;

/** One field with one value, and its error beside it. */
export function FieldControl({ spec }: { spec: SingleSpec }) {
  const { control, getFieldState, formState } = useFormContext();
  const error = messageIn(getFieldState(spec.name, formState).error);
  return (
    <Controller
      name={spec.name}
      control={control}
      render={({ field }) => <Control spec={spec} field={field} error={error} />}
    />
  );
}

interface ControlProps {
  readonly spec: SingleSpec;
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
      return <MonthsControl label={spec.label} hint={spec.hint} {...{ field, error }} />;
    case "weekdays":
      return <CheckboxesControl {...{ spec, field, error }} options={WEEKDAY_OPTIONS} />;
    case "choices":
      return <CheckboxesControl {...{ spec, field, error }} options={spec.options} />;
    case "quantity":
      return <TypedQuantity {...{ spec, field, error }} />;
    case "switch":
      return (
        <>
          {error && (
            <p role="alert" className="font-bold text-alarm">
              {error}
            </p>
          )}
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
        </>
      );
    default:
      return (
        <Field label={spec.label} hint={spec.hint} error={error}>
          {(aria) => {
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

const WEEKDAY_OPTIONS = WEEKDAYS.map((name, index) => ({ value: index + 1, label: name.slice(0, 3) }));

interface CheckboxesProps<Value> extends ControlProps {
  readonly options: readonly { readonly value: Value; readonly label: string }[];
}

/** Some of a few, in the order in which they are offered. */
function CheckboxesControl<Value extends string | number>({ spec, field, error, options }: CheckboxesProps<Value>) {
  const chosen = (field.value as readonly Value[] | undefined) ?? [];
  const toggle = (value: Value) =>
    field.onChange(
      options.map((one) => one.value).filter((one) => (one === value ? !chosen.includes(one) : chosen.includes(one))),
    );
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-bold">{spec.label}</legend>
      <div className="flex flex-wrap gap-x-4">
        {options.map(({ value, label }) => (
          <label key={value} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-water"
              checked={chosen.includes(value)}
              onChange={() => toggle(value)}
            />
            {label}
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
export function messageIn(error: unknown): string | undefined {
  if (typeof error !== "object" || error === null) return undefined;
  if ("message" in error && typeof error.message === "string") return error.message;
  return Object.values(error)
    .map(messageIn)
    .find((message) => message !== undefined);
}
