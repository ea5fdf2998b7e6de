"use client";
import { useState } from "react";
import { counted } from "@/core/units/format";
import { useCommand } from "@/features/frame/useCommand";
import { removeOrder } from "@/server/batches/actions";
import { Button } from "@/ui/Button";

/** Deletes an order, and asks about the batches that were to be sown for it alone. */
export function RemoveOrder({
  id,
  alone,
  onDone,
}: {
  readonly id: number;
  readonly alone: readonly number[];
  readonly onDone: () => void;
}) {
  const [asked, setAsked] = useState(false);
  const { run, busy } = useCommand(removeOrder, { done: "order deleted" });
  const remove = async (batchIds: readonly number[]) => {
    const result = await run({ id, batchIds });
    if (result.ok) onDone();
  };
  if (!asked)
    return (
      <Button look="quiet" onClick={() => setAsked(true)}>
        Delete
      </Button>
    );
  if (alone.length === 0)
    return (
      <Button look="alarm" disabled={busy} onClick={() => void remove([])}>
        Delete order?
      </Button>
    );
  return (
    <div role="group" aria-label="Its batches" className="basis-full">
      <p className="mb-2">
        {counted(alone.length, "batch", "batches")} still to be sown {alone.length === 1 ? "is" : "are"} for this order
        alone.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button look="alarm" disabled={busy} onClick={() => void remove(alone)}>
          Delete the order and {alone.length === 1 ? "it" : "them"}
        </Button>
        <Button disabled={busy} onClick={() => void remove([])}>
          Delete the order, keep {alone.length === 1 ? "the batch" : "the batches"}
        </Button>
      </div>
    </div>
  );
}
