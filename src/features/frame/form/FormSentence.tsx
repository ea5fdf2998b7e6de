"use client";
import { useFormContext } from "react-hook-form";
import { Sentence } from "@/ui/blank/Sentence";
import { filledIn } from "../blank/filledIn";
import type { FieldSpec } from "./fields";
import { FormBlank } from "./FormBlank";

/** Fields of a form told in one sentence; what is wrong with one of them stands under it. */
export function FormSentence({
  template,
  fields,
}: {
  readonly template: string;
  readonly fields: readonly FieldSpec[];
}) {
  const { getFieldState, formState } = useFormContext();
  const own = fields.filter(({ name }) => template.includes(`{${name}}`));
  const problems = own.flatMap(({ name }) => {
    const message = getFieldState(name, formState).error?.message;
    return message ? [{ name, words: message }] : [];
  });
  return (
    <div className="col-span-full">
      <Sentence size="line" problems={problems}>
        {filledIn(template, (name) => {
          const spec = own.find((one) => one.name === name);
          return spec && <FormBlank spec={spec} />;
        })}
      </Sentence>
    </div>
  );
}
