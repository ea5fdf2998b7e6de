"use client";
import type { WhatIfConflict, ChosenWhatIf } from "@/server/garden/whatIf/view";
import { settleWhatIf } from "@/server/garden/whatIf/actions";
import { Button } from "@/ui/Button";
import { ChangedFields } from "@/features/frame/ChangeWords";
import { titleOf } from "@/features/frame/historyWords";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";

const WHY: Readonly<Record<WhatIfConflict["kind"], string>> = {
  changed: "In the garden → in this what-if:",
  gone: "It was deleted in the garden.",
  "removed-but-changed": "This what-if deletes it; in the garden it has been changed since.",
  "refers-to-gone": "It refers to something that is no longer in the garden.",
  "name-taken": "Something else in the garden has this name by now.",
};

/** What somebody changed in the garden after the what-if did: field by field, to be settled before it can be adopted. */
export function WhatIfConflicts({ chosen }: { chosen: ChosenWhatIf }) {
  const { id, conflicts, names, days } = chosen;
  const { run, busy } = useCommand(settleWhatIf, { done: "Settled" });
  if (conflicts.length === 0) return null;
  const settle = ({ entity, rowId, field }: WhatIfConflict, as: "live" | "mine") =>
    void run({ id, entity, rowId, field, as });
  return (
    <section
      aria-label="Changed in the garden as well"
      className="mb-5 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2"
    >
      <h3 className="text-xl">Changed in the garden as well</h3>
      <ul>
        {conflicts.map((one) => (
          <li key={`${one.entity} ${one.rowId} ${one.kind} ${one.field}`} className="border-t border-rule py-2">
            <b>{titleOf(one.row, names)}</b> <span className="text-soft">{WHY[one.kind]}</span>
            {one.values && <ChangedFields change={one.values} names={names} days={days} />}
            <Only right="plan">
              <span className="mt-1 flex flex-wrap gap-2">
                <Button disabled={busy} onClick={() => settle(one, "live")}>
                  As it is now
                </Button>
                {(one.kind === "changed" || one.kind === "removed-but-changed") && (
                  <Button disabled={busy} onClick={() => settle(one, "mine")}>
                    As the what-if has it
                  </Button>
                )}
              </span>
            </Only>
          </li>
        ))}
      </ul>
    </section>
  );
}
