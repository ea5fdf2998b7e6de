"use client";
import { removePool } from "@/server/place/actions";
import type { PoolRow } from "@/server/place/queries";
import { poolSchema } from "@/server/place/schema";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";
import { RemoveButton } from "@/ui/RemoveButton";
import type { PlanStore } from "./plan/planStore";

const FIELDS: readonly FieldSpec[] = [
  { name: "name", label: "Name", type: "text", hint: "germination rack, nursery, leaf bank …" },
  { name: "cleaningDays", label: "Cleaning between crops", type: "quantity", dimension: "days" },
];

/** A pool: all the sites that can serve one stage of growth. */
export function PoolForm({ pool, store, onDone }: { pool: PoolRow | null; store: PlanStore; onDone: () => void }) {
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
      action={store.savePool}
      place={store.name}
      saved="Pool saved"
      onDone={onDone}
      aside={pool && <RemoveButton what={pool.name} action={removePool} id={pool.id} onDone={onDone} />}
    />
  );
}
