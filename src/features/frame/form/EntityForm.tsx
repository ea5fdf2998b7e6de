"use client";
import type Joi from "joi";
import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from "react";
import { FormProvider, useForm, useWatch, type FieldValues } from "react-hook-form";
import type { Action, Stale } from "@/server/session/result";
import type { WordedRefusal } from "../refusalWords";
import { Button } from "@/ui/Button";
import { draftKey, forgetDraft, readDraft, writeDraft } from "../drafts";
import { useUnits } from "@/ui/units";
import { useCommand } from "../useCommand";
import { useWho } from "../who";
import { BothVersions } from "./BothVersions";
import type { FieldSpec } from "./fields";
import { Fields, type OwnControls } from "./Fields";
import { FormSentence } from "./FormSentence";
import { resolverOf } from "./resolver";
import { roundDefaults } from "./roundDefaults";

export interface EntityFormProps<Value> {
  /** Its code: under it, what is typed is kept on the device. */
  readonly form: string;
  readonly schema: Joi.ObjectSchema;
  readonly fields: readonly FieldSpec[];
  /** Of rows that are edited along, by the name of their list: what each is asked for. */
  readonly parts?: Readonly<Record<string, readonly FieldSpec[]>>;
  /** Told first, in one sentence: names of fields in braces are its blanks. */
  readonly sentence?: string;
  readonly own?: OwnControls;
  /** What stands now; when others change it, these change. */
  readonly defaults: FieldValues;
  readonly action: Action<Value>;
  readonly saved: string;
  readonly submit?: string;
  readonly onDone?: (value: Value) => void;
  /** Why it was not taken; what concerns a field is beside it already. */
  readonly onRefused?: (refusal: WordedRefusal) => void;
  /** More to enter, or what the figures typed so far come to; inside the form. */
  readonly children?: ReactNode;
  /** Buttons beside the submit button. */
  readonly aside?: ReactNode;
  /** Not kept on the device: for passwords. */
  readonly secret?: boolean;
  readonly undo?: false;
  /** Tells forms of the same kind apart that edit rows of different places. */
  readonly place?: string;
}

interface Draft {
  readonly values: FieldValues;
  /** The values when the typing began. */
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
    parts,
    sentence = "",
    own,
    defaults: given,
    action,
    form: formCode,
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
  const defaults = useMemo(() => roundDefaults(given, fields, units), [given, fields, units]);
  const { personId, whatIf } = useWho();
  const within = whatIf ? `what-if ${whatIf.id} ` : "";
  const key = draftKey(personId, `${formCode}:${within}${place}${rowName(defaults)}`);
  // Errors come with the press of the button, not on leaving a field: one that came then would push the button from under
  // the hand that is pressing it.
  const form = useForm({
    defaultValues: defaults,
    resolver: resolverOf(schema, fields, units, defaults, parts),
    mode: "onSubmit",
  });
  const [base, setBase] = useState(defaults);
  const [stale, setStale] = useState<Stale | null>(null);
  const [kept, setKept] = useState(false);
  const { control, getValues } = form;
  /** What is wrong in a field that is there is said beside it, and nowhere else. */
  const isBeside = useCallback(
    (refusal: WordedRefusal) => {
      const names = Object.keys(refusal.fields);
      return names.length > 0 && names.every((name) => isThere(fields, name, getValues()));
    },
    [fields, getValues],
  );
  const { run, busy } = useCommand(action, { done: saved, undo, shows: isBeside });
  useEffect(() => {
    const draft = secret ? null : readDraft<Draft>(key)?.value;
    if (!draft) return;
    form.reset(draft.values, { keepDefaultValues: true });
    // What is kept on the device is known only after the first paint.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setBase(draft.base);
    setKept(true);
  }, [form, key, secret]);
  const keepingRef = useKeep(control, form.formState.isDirty && !secret, (values) =>
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
    if (result.stale) setStale(result.stale);
    const wrong = Object.entries(result.fields);
    // The first of them is brought under the hand.
    for (const [at, [name, message]] of wrong.entries())
      form.setError(name, { type: "server", message }, { shouldFocus: at === 0 });
    if (!isBeside(result)) form.setError("root.server", { type: "server", message: result.message });
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
            Your unsaved changes were restored.{" "}
            <button type="button" className="min-h-8 font-bold underline" onClick={startOver}>
              Start over
            </button>
          </p>
        )}
        {sentence && <FormSentence template={sentence} fields={fields} />}
        <Fields fields={fields.filter(({ name }) => !sentence.includes(`{${name}}`))} own={own} />
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

const isThere = (fields: readonly FieldSpec[], name: string, values: FieldValues) =>
  fields.some((spec) => spec.name === name && (spec.when?.(values) ?? true));

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

/** A form in which nothing was typed follows what others save. */
function useFollow(defaults: FieldValues, typed: boolean, follow: () => void) {
  const text = useMemo(() => JSON.stringify(defaults), [defaults]);
  const seen = useRef(text);
  useEffect(() => {
    if (seen.current === text) return;
    seen.current = text;
    if (!typed) follow();
  });
}

/** Which row a form edits; by the parts of its key. */
function rowName(values: FieldValues): string {
  return [values.id ?? "new", values.loopId, values.letter, values.houseId]
    .filter((part) => part !== undefined)
    .join("-");
}
