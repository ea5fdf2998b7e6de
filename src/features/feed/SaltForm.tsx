"use client";
import { SALT, SALT_LOT } from "@/core/garden/entities/feed";
import { NUTRIENTS } from "@/core/feed/nutrients";
import { saveSalt } from "@/server/feed/actions";
import type { SaltRow } from "@/core/garden/garden";
import type { Day } from "@/core/units/day";
import { saltSchema } from "@/server/feed/schema";
import { AmountFields } from "@/features/frame/form/AmountFields";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { formValues } from "@/features/frame/form/formValues";
import { fieldsOf } from "@/features/frame/form/entityFields";
import { PackLabel } from "./PackLabel";
import { SaltLots } from "./SaltLots";
import { SolubilityFields } from "./SolubilityFields";

const FIELDS = fieldsOf(SALT, { name: { wide: true } });
const EXAMPLE = { name: "", percent: {}, lots: [] };

export function SaltForm({ salt, today, onDone }: { salt: SaltRow | null; today: Day; onDone: () => void }) {
  return (
    <EntityForm
      form="salt"
      schema={saltSchema}
      fields={FIELDS}
      defaults={formValues(SALT, salt ?? EXAMPLE, { lots: SALT_LOT })}
      action={saveSalt}
      saved="Salt saved"
      onDone={onDone}
    >
      <AmountFields name="percent" legend="Content, percent by mass" keys={NUTRIENTS} />
      <PackLabel />
      <SolubilityFields />
      <SaltLots today={today} />
    </EntityForm>
  );
}
