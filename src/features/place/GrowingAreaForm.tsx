"use client";
import { removeGrowingArea, saveGrowingArea } from "@/server/place/actions";
import { GROWING_AREA } from "@/core/garden/entities/place";
import type { GrowingAreaRow } from "@/core/garden/garden";
import { growingAreaSchema } from "@/server/place/schema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { formValues } from "@/features/frame/form/formValues";
import { fieldsOf } from "@/features/frame/form/entityFields";
import { RemoveButton } from "@/features/frame/RemoveButton";

const FIELDS = fieldsOf(GROWING_AREA);

/** A growing area: all the sites that can serve one stage of growth. */
export function GrowingAreaForm({ growingArea, onDone }: { growingArea: GrowingAreaRow | null; onDone: () => void }) {
  return (
    <EntityForm
      form="growing-area"
      schema={growingAreaSchema}
      fields={FIELDS}
      sentence="{name} is cleaned for {cleaningDays} between crops."
      defaults={formValues(GROWING_AREA, growingArea ?? { name: "", cleaningDays: 1 })}
      action={saveGrowingArea}
      saved="Growing area saved"
      onDone={onDone}
      aside={
        growingArea && (
          <RemoveButton what={growingArea.name} action={removeGrowingArea} id={growingArea.id} onDone={onDone} />
        )
      }
    />
  );
}
