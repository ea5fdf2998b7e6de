"use client";
import { METER } from "@/core/garden/entities/feed";
import type { MeterRow } from "@/core/garden/garden";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { fieldsOf } from "@/features/frame/form/entityFields";
import { formValues } from "@/features/frame/form/formValues";
import { RemoveButton } from "@/features/frame/RemoveButton";
import { removeMeter, saveMeter } from "@/server/feed/actions";
import { meterSchema } from "@/server/feed/schema";

const FIELDS = fieldsOf(METER, { name: { wide: true } });

export function MeterForm({ meter, onDone }: { meter: MeterRow | null; onDone: () => void }) {
  return (
    <EntityForm
      form="meter"
      schema={meterSchema}
      fields={FIELDS}
      defaults={formValues(METER, meter ?? { name: "", ecScale: "mS/cm", compensated: true })}
      action={saveMeter}
      saved="Meter saved"
      onDone={onDone}
      aside={meter && <RemoveButton what={meter.name} action={removeMeter} id={meter.id} onDone={onDone} />}
    />
  );
}
