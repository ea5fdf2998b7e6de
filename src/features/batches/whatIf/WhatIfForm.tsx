"use client";
import type Joi from "joi";
import { addWhatIf, copyWhatIf, renameWhatIf } from "@/server/garden/whatIf/actions";
import { addSchema, copySchema, renameSchema } from "@/server/garden/whatIf/schema";
import type { WhatIf } from "@/server/garden/whatIf/store";
import { EntityForm } from "@/features/frame/form/EntityForm";
import type { FieldSpec } from "@/features/frame/form/fields";

const NAME: FieldSpec = {
  name: "name",
  label: "Name",
  type: "text",
  wide: true,
  hint: "a bigger pump, one bench more …",
};
const PURPOSE: FieldSpec = { name: "purpose", label: "What for", type: "note" };

interface WhatIfFormProps {
  readonly whatIf: WhatIf | null;
  /** Makes another one with the same changes. */
  readonly copies?: true;
  readonly onDone: (id: number) => void;
}

/** A what-if's name and what it is for. */
export function WhatIfForm({ whatIf, copies, onDone }: WhatIfFormProps) {
  const common = { onDone: (id: unknown) => onDone(Number(id)), undo: undefined };
  if (whatIf === null)
    return (
      <EntityForm
        form="what-if"
        schema={addSchema}
        fields={[NAME, PURPOSE]}
        defaults={{ name: "", purpose: "" }}
        action={addWhatIf}
        saved="What-if added"
        {...common}
      />
    );
  if (copies)
    return (
      <EntityForm
        form="copy-what-if"
        schema={copySchema as Joi.ObjectSchema}
        fields={[NAME]}
        defaults={{ id: whatIf.id, name: `${whatIf.name} 2` }}
        action={copyWhatIf}
        saved="What-if duplicated"
        {...common}
      />
    );
  return (
    <EntityForm
      form="rename-what-if"
      schema={renameSchema as Joi.ObjectSchema}
      fields={[NAME, PURPOSE]}
      defaults={{ id: whatIf.id, name: whatIf.name, purpose: whatIf.purpose }}
      action={renameWhatIf}
      saved="What-if saved"
      {...common}
    />
  );
}
