"use client";
import type Joi from "joi";
import { useEffect, useMemo, useRef, useState, type ReactNode } from "react";
import { FormProvider, useForm, useWatch, type FieldErrors, type FieldValues, type Resolver } from "react-hook-form";
import { fromBase, preferredUnit, type UnitPreferences } from "@/core/units/dimensions";
import { quantityText } from "@/core/units/format";
import type { Action, Refusal, Stale } from "@/server/session/result";
import { fieldErrors, STRICT } from "@/server/session/validation";
import { Button } from "../Button";
import { draftKey, forgetDraft, readDraft, writeDraft } from "../drafts";
import { quantityProblem } from "../QuantityInput";
import { useUnits } from "../units";
import { useCommand } from "../useCommand";
import { useWho } from "../who";
import { BothVersions } from "./BothVersions";
import type { FieldSpec } from "./fields";
import { FormControl } from "./FormControl";
import { valueAt } from "./versions";

export interface EntityFormProps<Value> {
  readonly schema: Joi.ObjectSchema;
  readonly fields: readonly FieldSpec[];
  /** What stands now; when others change it, these change. */
  readonly defaults: FieldValues;
  readonly action: Action<Value>;
  readonly saved: string;
  readonly submit?: string;
  readonly onDone?: (value: Value) => void;
  /** Why it was not taken; what concerns a field is beside it already. */
  readonly onRefused?: (refusal: Refusal) => void;
  /** More to enter, or what the figures typed so far come to; inside the form. */
  readonly children?: ReactNode;
  /** Buttons beside the submit button. */
  readonly aside?: ReactNode;
  /** Never kept on the device: passwords. */
  readonly secret?: boolean;
  readonly undo?: false;
  /** Tells forms of the same kind apart that edit rows of different places. */
  readonly place?: string;
}

interface Draft {
  readonly values: FieldValues;
  /** What stood when the typing began. */
  readonly base: FieldValues;
}

/**
 * A form from field descriptions and one Joi schema, the same that the server checks with. What is typed stays on a
 * refusal, over a reload and a lost connection; when somebody else saved meanwhile, both versions stand side by side.
 */
export function EntityForm<Value>(props: EntityFormProps<Value>) {
  const {
    schema,
    fields,
    defaults,
    action,
    saved,
    submit = "Save",
    onDone,
    onRefused,
    children,
    aside,
    secret,
    undo,
    place = "",
  } = props;
  const units = useUnits();
  const { personId } = useWho();
  const key = draftKey(personId, `${saved}:${place}${rowName(defaults)}`);
  // Errors come with the press of the button, not on leaving a field: one that came then would push the button from under
  // the hand that is pressing it.
  const form = useForm({ defaultValues: defaults, resolver: resolverOf(schema, fields, units), mode: "onSubmit" });
  const [base, setBase] = useState(defaults);
  const [stale, setStale] = useState<Stale | null>(null);
  const [kept, setKept] = useState(false);
  const { run, busy } = useCommand(action, { done: saved, undo });
  useEffect(() => {
    const draft = secret ? null : readDraft<Draft>(key)?.value;
    if (!draft) return;
    form.reset(draft.values, { keepDefaultValues: true });
    // What is kept on the device is known only after the first paint.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setBase(draft.base);
    setKept(true);
  }, [form, key, secret]);
  const keepingRef = useKeep(form.control, form.formState.isDirty && !secret, (values) =>
    writeDraft<Draft>(key, { values, base }),
  );
  const startOver = () => {
    forgetDraft(key);
    form.reset(defaults);
    setBase(defaults);
    setStale(null);
    setKept(false);
  };
  const save = async (values: FieldValues) => {
    const result = await run(values);
    if (result.ok) {
      keepingRef.current = false;
      forgetDraft(key);
      setKept(false);
      form.reset(values, { keepValues: true });
      return onDone?.(result.value);
    }
    onRefused?.(result);
    if (result.stale) {
      setStale(result.stale);
      form.setValue("version", result.stale.version);
    }
    for (const [name, message] of Object.entries(result.fields)) form.setError(name, { type: "server", message });
    form.setError("root.server", { type: "server", message: result.message });
  };
  useFollow(defaults, form.formState.isDirty || kept, () => {
    form.reset(defaults);
    setBase(defaults);
  });
  const problem = form.formState.errors.root?.server?.message;
  return (
    <FormProvider {...form}>
      <form
        onSubmit={(event) => void form.handleSubmit(save)(event)}
        noValidate
        className="grid grid-cols-1 gap-x-4 gap-y-3 sm:grid-cols-2"
      >
        {kept && !stale && (
          <p role="status" className="col-span-full border-l-[6px] border-feed bg-feed-pale px-3 py-2">
            What you had typed and not saved is back.{" "}
            <button type="button" className="min-h-8 font-bold underline" onClick={startOver}>
              Start over
            </button>
          </p>
        )}
        {fields.map((spec, index) => (
          // Fields of different kinds of a thing may share a name.
          <FormControl key={`${index} ${spec.name}`} spec={spec} />
        ))}
        {children && <div className="col-span-full">{children}</div>}
        {problem && (
          <p role="alert" className="col-span-full border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold">
            {problem}
          </p>
        )}
        {stale && <BothVersions stale={stale} base={base} theirs={defaults} fields={fields} />}
        <div className="col-span-full flex flex-wrap gap-3 border-t border-rule pt-3">
          <Button look="strong" type="submit" disabled={busy}>
            {busy ? "Saving …" : stale ? "Save as chosen" : submit}
          </Button>
          {aside}
        </div>
      </form>
    </FormProvider>
  );
}

/** Keeps what is typed. @returns whether it still does: what has been saved is not kept once more on its way out */
function useKeep(control: ReturnType<typeof useForm>["control"], typing: boolean, keep: (values: FieldValues) => void) {
  const values = useWatch({ control });
  const latest = useRef(keep);
  const keepingRef = useRef(true);
  useEffect(() => {
    latest.current = keep;
  });
  useEffect(() => {
    if (!typing) keepingRef.current = true;
    else if (keepingRef.current) latest.current(values);
  }, [typing, values]);
  return keepingRef;
}

/** A form that nobody has typed in follows what others save. */
function useFollow(defaults: FieldValues, typed: boolean, follow: () => void) {
  const text = useMemo(() => JSON.stringify(defaults), [defaults]);
  const seen = useRef(text);
  useEffect(() => {
    if (seen.current === text) return;
    seen.current = text;
    if (!typed) follow();
  });
}

/** Which row a form edits; the parts of its key are all it has in common with what others see of it. */
function rowName(values: FieldValues): string {
  return [values.id ?? "new", values.loopId, values.letter, values.houseId]
    .filter((part) => part !== undefined)
    .join("-");
}

/** Joi's answers per field; text that is no quantity keeps the reader's own message, which is nearer to what was typed. */
function resolverOf(schema: Joi.ObjectSchema, fields: readonly FieldSpec[], units: UnitPreferences): Resolver {
  return (values) => {
    const visible = fields.filter((spec) => !spec.when || spec.when(values)).flatMap((spec) => rowsOf(spec, values));
    const checked = schema.validate(values, STRICT);
    const messages = checked.error ? { ...fieldErrors(checked.error), ...rangesIn(checked.error, visible, units) } : {};
    for (const spec of visible) {
      const value = valueAt(values, spec.name);
      if (spec.type === "quantity" && typeof value === "string")
        messages[spec.name] = quantityProblem(value, spec.label, spec.dimension, units)!;
    }
    if (Object.keys(messages).length === 0) return { values, errors: {} };
    return { values: {}, errors: nested(messages) };
  };
}

/** The fields of a list, row by row. */
function rowsOf(spec: FieldSpec, values: FieldValues): FieldSpec[] {
  if (spec.type !== "rows") return [spec];
  const rows = valueAt(values, spec.name) as readonly unknown[] | undefined;
  return (rows ?? []).flatMap((_, index) =>
    spec.columns.map((column) => ({ ...column, name: `${spec.name}.${index}.${column.name}` })),
  );
}

/** A range that was missed, in the units in which it was typed; the schema itself speaks in inside units. */
function rangesIn(error: Joi.ValidationError, fields: readonly FieldSpec[], units: UnitPreferences) {
  const messages: Record<string, string> = {};
  for (const { type, path, context, message } of error.details) {
    const spec = fields.find(({ name }) => name === path.join("."));
    if (spec?.type !== "quantity" || !/^number\.(min|max)$/u.test(type)) continue;
    if (fromBase(1, preferredUnit(spec.dimension, units)) === 1) continue;
    const text = (value: number) => quantityText(value, spec.dimension, units);
    const limit: unknown = context?.limit;
    const value = text(context!.value as number);
    // A limit that is another measure is told in the schema's own words, behind the value.
    messages[spec.name] ??= typeof limit === "number" ? `${spec.label} is ${value}; it must be at ${type === "number.min" ? "least" : "most"} ${text(limit)}` : message.replace(/ is [^;]+;/u, ` is ${value};`); // prettier-ignore
  }
  return messages;
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
