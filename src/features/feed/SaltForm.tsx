"use client";
import { NUTRIENTS } from "@/core/feed/nutrients";
import { saveSalt } from "@/server/feed/actions";
import type { SaltRow } from "@/server/feed/queries";
import { saltSchema } from "@/server/feed/schema";
import { AmountFields } from "@/ui/form/AmountFields";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";

const FIELDS: readonly FieldSpec[] = [
  { name: "name", label: "Name", type: "text", wide: true },
  { name: "onHandG", label: "On hand", type: "quantity", dimension: "mass", hint: "g or kg" },
  { name: "pricePerKg", label: "Price per kg", type: "quantity", dimension: "money" },
  { name: "caution", label: "Caution", type: "note" },
];
const EXAMPLE = { id: null, version: null, name: "", percent: {}, onHandG: 0, pricePerKg: 0, caution: "" };

export function SaltForm({ salt, onDone }: { salt: SaltRow | null; onDone: () => void }) {
  return (
    <EntityForm
      schema={saltSchema}
      fields={FIELDS}
      defaults={salt ? inputOf(salt) : EXAMPLE}
      action={saveSalt}
      saved="Salt saved"
      onDone={onDone}
    >
      <AmountFields name="percent" legend="Content, percent by mass" keys={NUTRIENTS} />
    </EntityForm>
  );
}

function inputOf({ id, version, name, percent, onHandG, pricePerKg, caution }: SaltRow) {
  return { id, version, name, percent, onHandG, pricePerKg, caution };
}
