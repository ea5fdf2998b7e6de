"use client";
import { useFormContext, useWatch } from "react-hook-form";
import type { EntityField } from "@/core/garden/entities/field";
import { formFields } from "./entityFields";
import { useUnits } from "@/ui/units";
import { roundExample } from "./roundDefaults";
import { Fields, type OwnControls } from "./Fields";
import { UnionExamples } from "./UnionExamples";

interface OptionalUnionProps {
  /** An object that a row has or has not. */
  readonly field: Extract<EntityField, { readonly type: "union" }>;
  /** What is ticked when it has one. */
  readonly has: string;
  /** What it begins with when it is ticked or another kind is chosen, by its kinds; the first is offered first. */
  readonly examples: Readonly<Record<string, { readonly kind: string }>>;
  /** Names of its measures that are folded away, and under which heading. */
  readonly folds?: Readonly<Record<string, string>>;
  readonly own?: OwnControls;
}

/** Something that a row has or has not, with its kind, where there are several, and its measures. */
export function OptionalUnion({ field, has, examples, folds = {}, own }: OptionalUnionProps) {
  const { control, setValue } = useFormContext();
  const units = useUnits();
  const value = useWatch({ control, name: field.name }) as object | null;
  const isOfOneKind = Object.keys(field.kinds).length === 1;
  const fields = formFields(field)
    .filter(({ name }) => !isOfOneKind || name !== `${field.name}.kind`)
    .map((spec) => ({ ...spec, fold: folds[spec.name.slice(field.name.length + 1)] }));
  return (
    <fieldset className="mt-3 border-t border-rule pt-3">
      <legend className="sign text-xl">{field.label}</legend>
      <label className="mb-2 flex min-h-11 items-center gap-3 font-bold">
        <input
          type="checkbox"
          className="size-6 accent-water"
          checked={value !== null}
          onChange={(event) =>
            setValue(
              field.name,
              event.target.checked ? roundExample(field, Object.values(examples)[0]!, units) : null,
              { shouldDirty: true },
            )
          }
        />
        {has}
      </label>
      {value && (
        <div className="grid gap-3 sm:grid-cols-2">
          <UnionExamples name={field.name} examples={examples} />
          <Fields fields={fields} own={own} />
        </div>
      )}
    </fieldset>
  );
}
