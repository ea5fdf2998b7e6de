"use client";
import { useId, type ReactNode } from "react";

export interface FieldProps {
  readonly label: string;
  readonly hint?: ReactNode;
  readonly error?: string;
  readonly children: (control: {
    id: string;
    "aria-invalid": boolean;
    "aria-describedby": string | undefined;
  }) => ReactNode;
}

/** A label, a control, and below it what is asked or what is wrong. */
export function Field({ label, hint, error, children }: FieldProps) {
  const id = useId();
  const described = error || hint ? `${id}-about` : undefined;
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm font-bold">
        {label}
      </label>
      {children({ id, "aria-invalid": Boolean(error), "aria-describedby": described })}
      {described && (
        <p
          id={described}
          role={error ? "alert" : undefined}
          className={`mt-1 text-sm ${error ? "font-bold text-alarm" : "text-soft"}`}
        >
          {error ?? hint}
        </p>
      )}
    </div>
  );
}
