"use client";
import { SALT } from "@/core/garden/entities/feed";
import { NUTRIENTS } from "@/core/feed/nutrients";
import { saveSalt } from "@/server/feed/actions";
import type { SaltRow } from "@/core/garden/garden";
import { saltSchema } from "@/server/feed/schema";
import { AmountFields } from "@/features/frame/form/AmountFields";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { formValues } from "@/features/frame/form/formValues";
import { fieldsOf } from "@/features/frame/form/entityFields";

const ASKED = { ...SALT, fields: SALT.fields.filter(({ name }) => name !== "chelate" && name !== "solubilityGPerL") };
const FIELDS = fieldsOf(ASKED, { name: { wide: true } });
const EXAMPLE = { name: "", percent: {}, onHandG: 0, pricePerKg: 0, caution: "" };

export function SaltForm({ salt, onDone }: { salt: SaltRow | null; onDone: () => void }) {
  return (
    <EntityForm
      form="salt"
      schema={saltSchema}
      fields={FIELDS}
      defaults={formValues(ASKED, salt ?? EXAMPLE)}
      action={saveSalt}
      saved="Salt saved"
      onDone={onDone}
    >
      <AmountFields name="percent" legend="Content, percent by mass" keys={NUTRIENTS} />
    </EntityForm>
  );
}
