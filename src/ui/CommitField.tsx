"use client";
import { useState } from "react";
import type { Dimension } from "@/core/units/dimensions";
import { Field } from "./Field";
import { QuantityInput, quantityProblem, type QuantityValue } from "./QuantityInput";
import { useUnits } from "./units";

export interface CommitFieldProps {
  readonly label: string;
  readonly dimension: Dimension;
  readonly value: number;
  /** @returns why not, or null when it is saved */
  readonly onCommit: (value: number) => Promise<string | null>;
  /** Only for screen readers: the label is the head of a column. */
  readonly bare?: boolean;
}

/** A quantity that is saved when its field is left or with Enter; what is refused stays as typed, with the reason. */
export function CommitField({ label, dimension, value, onCommit, bare }: CommitFieldProps) {
  const units = useUnits();
  const [typed, setTyped] = useState<QuantityValue | undefined>(undefined);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const commit = async () => {
    if (typed === undefined || typed === value) return setProblem(undefined);
    if (typeof typed !== "number") return setProblem(quantityProblem(typed, label, dimension, units));
    const refused = await onCommit(typed);
    setProblem(refused ?? undefined);
    if (refused === null) setTyped(undefined);
  };
  const input = (aria: object) => (
    <QuantityInput
      {...aria}
      className={bare ? "!w-24 text-right" : ""}
      dimension={dimension}
      value={typed === undefined ? value : typed}
      onValue={setTyped}
      onBlur={() => void commit()}
      onKeyDown={(event) => {
        if (event.key === "Enter") void commit();
        if (event.key !== "Escape") return;
        setTyped(undefined);
        setProblem(undefined);
      }}
    />
  );
  if (!bare)
    return (
      <Field label={label} error={problem}>
        {input}
      </Field>
    );
  return (
    <>
      {input({ "aria-label": label, "aria-invalid": problem !== undefined })}
      {problem && (
        <p role="alert" className="text-sm font-bold text-alarm">
          {problem}
        </p>
      )}
    </>
  );
}
