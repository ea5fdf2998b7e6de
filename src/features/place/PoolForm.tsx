"use client";
import { removePool, savePool } from "@/server/place/actions";
import type { PoolRow } from "@/server/place/queries";
import { poolSchema } from "@/server/place/schema";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";
import { RemoveButton } from "@/ui/RemoveButton";
import { useMay } from "@/ui/who";

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

export interface PoolListProps {
  readonly pools: readonly PoolRow[];
  readonly onChange: (pool: PoolRow) => void;
  readonly onNew: () => void;
}

/** The pools of the garden; stands serve them, stages are spent in them. */
export function PoolList({ pools, onChange, onNew }: PoolListProps) {
  const mayPlan = useMay("plan");
  return (
    <section className="no-print mt-6 text-sm" aria-label="Pools">
      <p className="text-soft">
        Pools, in the order plants move through them{pools.length === 0 && ": a stand serves one, so name one first"}:
      </p>
      <p>
        {!mayPlan && pools.map((pool) => pool.name).join(" · ")}
        {mayPlan &&
          pools.map((pool) => (
            <button key={pool.id} type="button" className="mr-3 min-h-8 underline" onClick={() => onChange(pool)}>
              {pool.name}
            </button>
          ))}
        {mayPlan && (
          <button type="button" className="min-h-8 font-bold underline" onClick={onNew}>
            New pool
          </button>
        )}
      </p>
    </section>
  );
}
