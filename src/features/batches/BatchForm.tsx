"use client";
import { BATCH } from "@/core/garden/entities/batches";
import { removeBatches, saveBatch } from "@/server/batches/actions";
import { batchSchema } from "@/server/batches/schema";
import type { BatchView } from "@/core/garden/seasonView";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { formValues } from "@/features/frame/form/formValues";
import { fieldsOf } from "@/features/frame/form/entityFields";
import { RemoveButton } from "@/features/frame/RemoveButton";

/** Clearing is the round's. */
const ASKED = { ...BATCH, fields: BATCH.fields.filter(({ name }) => name !== "clearedDay") };
const FIELDS = fieldsOf(ASKED, { sowDay: { wide: true } });

export function BatchForm({ batch, onDone }: { batch: BatchView; onDone: () => void }) {
  return (
    <EntityForm
      form="batch"
      schema={batchSchema}
      fields={FIELDS}
      defaults={formValues(ASKED, batch)}
      action={saveBatch}
      saved="Batch saved"
      onDone={onDone}
      aside={
        <RemoveButton
          what={`${batch.variety} batch`}
          action={(input) => removeBatches({ ids: [(input as { id: number }).id] })}
          id={batch.id}
          onDone={onDone}
        />
      }
    />
  );
}
