"use client";
import type { PoolRow } from "@/server/place/queries";
import { useMay } from "@/ui/who";

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
