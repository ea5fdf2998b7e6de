"use client";
import { useState } from "react";
import { counted } from "@/core/units/format";
import { adoptWhatIf, settleWhatIf } from "@/server/garden/whatIf/actions";
import type { ChosenWhatIf, WhatIfRow } from "@/server/garden/whatIf/view";
import { Button } from "@/ui/Button";
import { ChangeWords } from "@/features/frame/ChangeWords";
import { titleOf } from "@/features/frame/historyWords";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";

const keyOf = ({ entity, rowId }: Pick<WhatIfRow, "entity" | "rowId">) => `${entity} ${rowId}`;

/** What a what-if changes, row by row; all of it or some of it can be adopted. */
export function WhatIfChanges({ chosen }: { chosen: ChosenWhatIf }) {
  const { id, name, rows, conflicts, names, days, displaced } = chosen;
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const adopting = useCommand(adoptWhatIf, { done: `${name} is adopted` });
  const leaving = useCommand(settleWhatIf, { done: "Left out" });
  const taken = rows.filter((row) => !left.has(keyOf(row)));
  const toggle = (row: WhatIfRow) => {
    const next = new Set(left);
    if (!next.delete(keyOf(row))) next.add(keyOf(row));
    setLeft(next);
  };
  const adopt = () =>
    adopting.run({
      id,
      rows: taken.length === rows.length ? null : taken.map(({ entity, rowId }) => ({ entity, rowId })),
    });
  if (rows.length === 0 && conflicts.length === 0)
    return (
      <p className="text-soft">It changes nothing: open a sheet in it and change something there, or delete it.</p>
    );
  return (
    <section aria-label="Changes">
      <h3 className="text-xl">What it changes</h3>
      <ul>
        {rows.map((row) => (
          <li key={keyOf(row)} className="flex items-center gap-3 border-b border-rule py-1">
            <Only right="plan">
              <input
                type="checkbox"
                className="size-5 shrink-0 accent-try"
                aria-label={`Adopt: ${titleOf(row.change, names)}`}
                checked={!left.has(keyOf(row))}
                onChange={() => toggle(row)}
              />
            </Only>
            <span className="min-w-0 flex-1">
              <ChangeWords change={row.change} names={names} days={days} />
            </span>
            <Only right="plan">
              <button
                type="button"
                className="min-h-8 shrink-0 underline"
                aria-label={`Leave out: ${titleOf(row.change, names)}`}
                onClick={() => void leaving.run({ id, entity: row.entity, rowId: row.rowId, field: null, as: "live" })}
              >
                leave out
              </button>
            </Only>
          </li>
        ))}
      </ul>
      <Only right="plan">
        <div className="mt-3 flex flex-wrap items-center gap-3">
          <Button
            look="strong"
            disabled={adopting.busy || taken.length === 0 || conflicts.length > 0}
            onClick={() => void adopt()}
          >
            {taken.length === rows.length
              ? displaced.length > 0
                ? "Adopt it anyway"
                : "Adopt it"
              : `Adopt ${counted(taken.length, "change")}`}
          </Button>
          <span className="text-sm text-soft">
            {conflicts.length > 0
              ? "Settle what was changed in the garden as well first."
              : "It becomes the garden's plan in one step, with what it needs, and can be undone in one."}
          </span>
        </div>
      </Only>
    </section>
  );
}
