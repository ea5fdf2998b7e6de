"use client";
import { CLOSED_DAY, SEASON } from "@/core/garden/entities/batches";
import type { ClosedDay, SeasonSettings } from "@/core/garden/garden";
import type { Day } from "@/core/units/day";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { fieldsOf } from "@/features/frame/form/entityFields";
import { formValues } from "@/features/frame/form/formValues";
import { RemoveButton } from "@/features/frame/RemoveButton";
import { removeClosedDay, saveClosedDay, saveSeason } from "@/server/batches/season";
import { closedDaySchema, seasonSchema } from "@/server/batches/schema";

/** By what the season is solved: few figures, each with a usual one. */
export function SeasonForm({ settings, onDone }: { settings: SeasonSettings; onDone: () => void }) {
  const { id, ...usual } = settings;
  return (
    <EntityForm
      form="season"
      schema={seasonSchema}
      fields={fieldsOf(SEASON, { buysSalts: { wide: true }, confidence: { wide: true }, wasteShare: { wide: true } })}
      defaults={formValues(SEASON, id === 0 ? usual : settings)}
      action={saveSeason}
      saved="Settings saved"
      onDone={onDone}
    />
  );
}

/** A day on which nobody works or no market is held. */
export function ClosedDayForm({ closed, today, onDone }: { closed: ClosedDay | null; today: Day; onDone: () => void }) {
  return (
    <EntityForm
      form="closed-day"
      schema={closedDaySchema}
      fields={fieldsOf(CLOSED_DAY, { note: { wide: true } })}
      defaults={formValues(CLOSED_DAY, closed ?? { day: today + 7, kind: "no-market", note: "" })}
      action={saveClosedDay}
      saved="Day saved"
      onDone={onDone}
      aside={closed && <RemoveButton what="this day" action={removeClosedDay} id={closed.id} onDone={onDone} />}
    />
  );
}
