"use client";
import { removePool, savePool } from "@/server/place/actions";
import type { PoolRow } from "@/server/place/queries";
import { poolSchema } from "@/server/place/schema";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";
import { RemoveButton } from "@/ui/RemoveButton";

const FIELDS: readonly FieldSpec[] = [
  { name: "name", label: "Name", type: "text", hint: "germination rack, nursery, leaf bank …" },
  { name: "cleaningDays", label: "Cleaning between crops", type: "quantity", dimension: "days" },
];

/** A pool: all the sites that can serve one stage of growth. */
export function PoolForm({ pool, onDone }: { pool: PoolRow | null; onDone: () => void }) {
  const { position: _position, ...defaults } = pool ?? {
    id: null,
    version: null,
    name: "",
    cleaningDays: 1,
    position: 0,
  };
  return (
    <EntityForm
      schema={poolSchema}
      fields={FIELDS}
      defaults={defaults}
      action={savePool}
      saved="Pool saved"
      onDone={onDone}
      aside={pool && <RemoveButton what={pool.name} action={removePool} id={pool.id} onDone={onDone} />}
    />
  );
}
