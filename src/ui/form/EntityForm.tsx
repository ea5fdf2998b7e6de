"use client";
import type Joi from "joi";
import { FormProvider, useForm, type FieldErrors, type FieldValues, type Resolver } from "react-hook-form";
import type { ReactNode } from "react";
import type { Action } from "@/server/session/result";
import { fieldErrors, STRICT } from "@/server/session/validation";
import { Button } from "../Button";
import { useCommand } from "../useCommand";
import type { FieldSpec } from "./fields";
import { FormControl } from "./FormControl";

export interface EntityFormProps<Value> {
  readonly schema: Joi.ObjectSchema;
  readonly fields: readonly FieldSpec[];
  readonly defaults: FieldValues;
  readonly action: Action<Value>;
  readonly saved: string;
  readonly submit?: string;
  readonly onDone?: (value: Value) => void;
  /** More to enter, or what the figures typed so far come to; inside the form. */
  readonly children?: ReactNode;
  /** Buttons beside the submit button. */
  readonly aside?: ReactNode;
}

/** A form from field descriptions and one Joi schema, the same that the server checks with. What is typed stays on a refusal. */
export function EntityForm<Value>({
  schema,
  fields,
  defaults,
  action,
  saved,
  submit = "Save",
  onDone,
  children,
  aside,
}: EntityFormProps<Value>) {
  const form = useForm({ defaultValues: defaults, resolver: resolverOf(schema, fields), mode: "onTouched" });
  const { run, busy } = useCommand(action, { done: saved });
  const send = form.handleSubmit(async (values) => {
    const result = await run(values);
    if (result.ok) return onDone?.(result.value);
    for (const [name, message] of Object.entries(result.fields)) form.setError(name, { type: "server", message });
    form.setError("root.server", { type: "server", message: result.message });
  });
  const problem = form.formState.errors.root?.server?.message;
  return (
    <FormProvider {...form}>
      <form onSubmit={send} noValidate className="grid grid-cols-1 gap-x-4 gap-y-3 sm:grid-cols-2">
        {fields.map((spec) => (
          <FormControl key={spec.name} spec={spec} />
        ))}
        {children && <div className="col-span-full">{children}</div>}
        {problem && (
          <p role="alert" className="col-span-full border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold">
            {problem}
          </p>
        )}
        <div className="col-span-full flex flex-wrap gap-3 border-t border-rule pt-3">
          <Button look="strong" type="submit" disabled={busy}>
            {busy ? "Saving …" : submit}
          </Button>
          {aside}
        </div>
      </form>
    </FormProvider>
  );
}

/** Joi's answers per field; text that is no quantity keeps the reader's own message, which is nearer to what was typed. */
function resolverOf(schema: Joi.ObjectSchema, fields: readonly FieldSpec[]): Resolver {
  return (values) => {
    const visible = fields.filter((spec) => !spec.when || spec.when(values));
    const checked = schema.validate(values, STRICT);
    const messages = checked.error ? fieldErrors(checked.error) : {};
    for (const spec of visible) {
      const value = valueAt(values, spec.name);
      if (spec.type === "quantity" && typeof value === "string") messages[spec.name] = value;
    }
    if (Object.keys(messages).length === 0) return { values, errors: {} };
    return { values: {}, errors: nested(messages) };
  };
}

function valueAt(values: FieldValues, path: string): unknown {
  return path.split(".").reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], values);
}

function nested(messages: Readonly<Record<string, string>>): FieldErrors {
  const errors: Record<string, unknown> = {};
  for (const [path, message] of Object.entries(messages)) {
    const keys = path.split(".");
    let at = errors;
    for (const key of keys.slice(0, -1)) at = (at[key] ??= {}) as Record<string, unknown>;
    at[keys.at(-1)!] = { type: "joi", message };
  }
  return errors as FieldErrors;
}
