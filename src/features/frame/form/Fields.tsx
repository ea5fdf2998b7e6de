"use client";
import { Fragment, type ReactNode } from "react";
import type { FieldSpec } from "./fields";
import { Fold } from "./Fold";
import { FormControl } from "./FormControl";

/** Fields that are shown in a way of their own, by their names: what stands in place of the control. */
export type OwnControls = Readonly<Record<string, (control: ReactNode) => ReactNode>>;

interface FieldsProps {
  readonly fields: readonly FieldSpec[];
  readonly own?: OwnControls;
}

/** The fields of a form; those that are seldom asked for are folded away under their headings. */
export function Fields({ fields, own = {} }: FieldsProps) {
  const folds = [...new Set(fields.flatMap(({ fold }) => fold ?? []))];
  const controls = (some: readonly FieldSpec[]) =>
    some.map((spec, index) => {
      const control = <FormControl spec={spec} />;
      // Fields of different kinds of a thing may share a name.
      return <Fragment key={`${index} ${spec.name}`}>{own[spec.name]?.(control) ?? control}</Fragment>;
    });
  return (
    <>
      {controls(fields.filter(({ fold }) => fold === undefined))}
      {folds.map((fold) => {
        const folded = fields.filter((spec) => spec.fold === fold);
        return (
          <Fold key={fold} name={fold} fields={folded}>
            {controls(folded)}
          </Fold>
        );
      })}
    </>
  );
}
