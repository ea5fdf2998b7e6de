"use client";
import { useState } from "react";
import type { Dimension } from "@/core/units/dimensions";
import { correctEntry } from "@/server/round/actions";
import type { LogEntry } from "@/server/round/queries";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { useCommand } from "@/ui/useCommand";

interface Figure {
  readonly name: string;
  readonly label: string;
  readonly dimension: Dimension;
  readonly value: number;
}

/** The right figures beside the first ones, and why. Figures left as they are stay untouched. */
export function CorrectionForm({
  entry,
  figures,
  onDone,
}: {
  entry: LogEntry;
  figures: readonly Figure[];
  onDone: () => void;
}) {
  const [values, setValues] = useState<Record<string, QuantityValue>>(
    Object.fromEntries(figures.map((figure) => [figure.name, figure.value])),
  );
  const [note, setNote] = useState("");
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const { run, busy } = useCommand(correctEntry, { done: "Put right; the first figure is kept" });
  const save = async () => {
    const unread = Object.fromEntries(
      figures.flatMap(({ name, label }) =>
        typeof values[name] === "number" ? [] : [[`values.${name}`, String(values[name] ?? `${label} is missing`)]],
      ),
    );
    if (Object.keys(unread).length > 0) return setErrors(unread);
    const changed = Object.fromEntries(
      figures.filter(({ name, value }) => values[name] !== value).map(({ name }) => [name, values[name]]),
    );
    const result = await run({ entryId: entry.id, values: changed, note });
    if (result.ok) onDone();
    else setErrors({ ...result.fields, form: result.message });
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
      <p>{entry.title}</p>
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
        Put right
      </Button>
    </form>
  );
}
