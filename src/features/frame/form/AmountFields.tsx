"use client";
import { Controller, useFormContext } from "react-hook-form";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";

export interface AmountFieldsProps {
  /** Path of the object in the form's values. */
  readonly name: string;
  readonly legend: string;
  /** Names of the amounts that may be entered. */
  readonly keys: readonly string[];
}

/** Amounts by name (nutrients, percentages); one left empty is not there. */
export function AmountFields({ name, legend, keys }: AmountFieldsProps) {
  const { formState } = useFormContext();
  const errors = formState.errors[name] as Readonly<Record<string, unknown>> | undefined;
  const message = firstMessage(errors);
  return (
    <Controller
      name={name}
      render={({ field }) => {
        const values = (field.value ?? {}) as Record<string, QuantityValue>;
        return (
          <fieldset className="border-t border-rule pt-2">
            <legend className="sign text-xl">{legend}</legend>
            <div className="grid grid-cols-4 gap-2">
              {keys.map((key) => (
                <label key={key} className="text-sm font-bold">
                  {key}
                  <QuantityInput
                    dimension="ratio"
                    placeholder="–"
                    aria-invalid={typeof values[key] === "string" || Boolean(errors?.[key])}
                    value={values[key] ?? null}
                    onValue={(value) => {
                      const { [key]: _old, ...others } = values;
                      field.onChange(value === null ? others : { ...others, [key]: value });
                    }}
                    onBlur={field.onBlur}
                  />
                </label>
              ))}
            </div>
            {message && (
              <p role="alert" className="mt-1 text-sm font-bold text-alarm">
                {message}
              </p>
            )}
          </fieldset>
        );
      }}
    />
  );
}

function firstMessage(errors: Readonly<Record<string, unknown>> | undefined): string | undefined {
  if (!errors) return undefined;
  if (typeof errors.message === "string") return errors.message;
  return Object.values(errors)
    .map((error) => (error as { message?: unknown } | null)?.message)
    .find((message) => typeof message === "string");
}
