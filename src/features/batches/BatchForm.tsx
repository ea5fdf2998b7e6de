"use client";
import { removeBatches, saveBatch } from "@/server/batches/actions";
import { batchSchema } from "@/server/batches/schema";
import type { BatchView } from "@/server/batches/view";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";
import { RemoveButton } from "@/ui/RemoveButton";

const FIELDS: readonly FieldSpec[] = [
  { name: "sowDay", label: "Sow on", type: "day", wide: true },
  { name: "cells", label: "Cells", type: "quantity", dimension: "count" },
  { name: "targetPlants", label: "Plants wanted at the end", type: "quantity", dimension: "count" },
  { name: "note", label: "Note", type: "note" },
];

export function BatchForm({ batch, onDone }: { batch: BatchView; onDone: () => void }) {
  const { id, version, varietyId, sowDay, cells, targetPlants, note } = batch;
  return (
    <EntityForm
      schema={batchSchema}
      fields={FIELDS}
      defaults={{ id, version, varietyId, sowDay, cells, targetPlants, note }}
      action={saveBatch}
      saved="Batch saved"
      onDone={onDone}
      aside={
        <RemoveButton
          what={`${batch.variety} batch`}
          action={(input) => removeBatches({ ids: [(input as { id: number }).id] })}
          id={id}
          onDone={onDone}
        />
      }
    />
  );
}
