"use client";
import { useState } from "react";
import { correctEntry } from "@/server/round/actions";
import type { FirstEntry } from "@/core/round/log";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { QuantityInput, quantityProblem, type QuantityValue } from "@/ui/QuantityInput";
import { entryTitle, type EntryFigure } from "./words";
import { useCommand } from "@/features/frame/useCommand";
import { useDraft } from "@/features/frame/drafts";
import { useUnits } from "@/ui/units";

/** The right figures beside the first ones, and why. Figures left as they are stay untouched. */
export function CorrectionForm({
  entry,
  figures,
  onDone,
}: {
  entry: FirstEntry;
  figures: readonly EntryFigure[];
  onDone: () => void;
}) {
  const units = useUnits();
  const [values, setValues, forgetValues] = useDraft<Record<string, QuantityValue>>(
    `correct:${entry.id}`,
    Object.fromEntries(figures.map((figure) => [figure.name, figure.value])),
  );
  const [note, setNote, forgetNote] = useDraft(`correct-note:${entry.id}`, "");
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const { run, busy } = useCommand(correctEntry, { done: "Corrected; the first figure is kept", undo: false });
  const save = async () => {
    const unread = Object.fromEntries(
      figures
        .map(({ name, label, dimension }) => [`values.${name}`, quantityProblem(values[name], label, dimension, units)])
        .filter(([, problem]) => problem),
    );
    if (Object.keys(unread).length > 0) return setErrors(unread);
    const changed = Object.fromEntries(
      figures.filter(({ name, value }) => values[name] !== value).map(({ name }) => [name, values[name]]),
    );
    const result = await run({ entryId: entry.id, values: changed, note });
    if (!result.ok) return setErrors({ ...result.fields, form: result.message });
    forgetValues();
    forgetNote();
    onDone();
  };
  return (
    <form
      noValidate
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <p>{entryTitle(entry.what)}</p>
      {figures.map((figure) => (
        <Field key={figure.name} label={figure.label} error={errors[`values.${figure.name}`] ?? errors[figure.name]}>
          {(aria) => (
            <QuantityInput
              {...aria}
              dimension={figure.dimension}
              value={values[figure.name]}
              onValue={(value) => setValues((all) => ({ ...all, [figure.name]: value }))}
            />
          )}
        </Field>
      ))}
      <Field label="Why" error={errors.note ?? errors.values}>
        {(aria) => (
          <input
            {...aria}
            className="input"
            value={note}
            maxLength={300}
            onChange={(event) => setNote(event.target.value)}
          />
        )}
      </Field>
      <Button look="strong" type="submit" disabled={busy}>
        Correct
      </Button>
    </form>
  );
}
