"use client";
import { Trash2 } from "lucide-react";
import { useFieldArray, useFormContext } from "react-hook-form";
import { Button } from "@/ui/Button";
import type { FieldSpec } from "./fields";
import { FieldControl } from "./FieldControl";

type RowsSpec = Extract<FieldSpec, { readonly type: "rows" }>;

/** A short list inside a form, a row of fields each: zones of a line, parts of a mix, bars on sale. */
export function RowsControl({ spec, error }: { spec: RowsSpec; error: string | undefined }) {
  const { control } = useFormContext();
  const { fields: rows, append, remove } = useFieldArray({ control, name: spec.name });
  return (
    <fieldset className="border-t border-rule pt-2">
      <legend className="pr-3 text-sm font-bold">{spec.label}</legend>
      {spec.hint && rows.length === 0 && <p className="text-sm text-soft">{spec.hint}</p>}
      {rows.map((row, index) => (
        <div key={row.id} className="mb-2 flex items-start gap-2">
          <div
            className="grid flex-1 gap-2"
            style={{ gridTemplateColumns: `repeat(${spec.columns.length}, minmax(0, 1fr))` }}
          >
            {spec.columns.map((column) => (
              <FieldControl
                key={column.name}
                spec={{
                  ...column,
                  name: `${spec.name}.${index}.${column.name}`,
                  label: `${column.label} ${index + 1}`,
                }}
              />
            ))}
          </div>
          <button
            type="button"
            aria-label={`Delete row ${index + 1} of ${spec.label}`}
            className="mt-6 grid size-11 place-items-center"
            onClick={() => remove(index)}
          >
            <Trash2 aria-hidden className="size-5" />
          </button>
        </div>
      ))}
      {error && (
        <p role="alert" className="text-sm font-bold text-alarm">
          {error}
        </p>
      )}
      {rows.length < spec.most && (
        <Button look="quiet" type="button" onClick={() => append(spec.fresh)}>
          {spec.addWords}
        </Button>
      )}
    </fieldset>
  );
}
