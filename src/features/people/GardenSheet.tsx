"use client";
import { saveGarden } from "@/server/people/actions";
import { gardenSchema, type GardenInput } from "@/server/people/schema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import type { FieldSpec } from "@/features/frame/form/fields";
import { useMay, useWho } from "@/features/frame/who";
import type { BackupState } from "@/server/session/session";
import { backupAlarm, backupWords } from "./backupWords";
import { RemoveGarden } from "./RemoveGarden";

const FIELDS: readonly FieldSpec[] = [
  { name: "name", label: "Garden", type: "text" },
  { name: "place", label: "Place", type: "text" },
  { name: "latitudeDeg", label: "Latitude", type: "quantity", dimension: "latitude", hint: "43 N, or 35 S" },
  { name: "currency", label: "Currency", type: "text" },
  {
    name: "unitSystem",
    label: "Lengths and volumes",
    type: "choice",
    options: [
      { value: "metric", label: "m, L" },
      { value: "us", label: "ft, US gal" },
    ],
  },
  {
    name: "ecUnit",
    label: "Strength",
    type: "choice",
    options: [
      { value: "mS/cm", label: "EC, mS/cm" },
      { value: "CF", label: "CF" },
      { value: "ppm500", label: "ppm ×500" },
      { value: "ppm700", label: "ppm ×700" },
    ],
  },
  {
    name: "temperatureUnit",
    label: "Temperature",
    type: "choice",
    options: [
      { value: "°C", label: "°C" },
      { value: "°F", label: "°F" },
    ],
  },
  { name: "sowWeekdays", label: "Sowing days", type: "weekdays" },
];

/** How the garden likes its figures, and when it was last backed up. */
export function GardenSheet({ garden, backup }: { garden: GardenInput; backup: BackupState }) {
  const mayKeep = useMay("keep");
  const { timeZone } = useWho();
  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
      <section>
        <h2 className="mb-3 border-b-2 border-ink pb-1 text-2xl">The garden and its units</h2>
        {mayKeep ? (
          <EntityForm
            form="garden"
            schema={gardenSchema}
            fields={FIELDS}
            defaults={garden}
            action={saveGarden}
            saved="Garden saved"
          />
        ) : (
          <p>
            {garden.unitSystem === "metric" ? "m, L" : "ft, US gal"} · {garden.ecUnit} · {garden.temperatureUnit} ·{" "}
            {garden.currency}. A keeper changes these.
          </p>
        )}
      </section>
      <section>
        <h2 className="mb-3 border-b-2 border-ink pb-1 text-2xl">Backup</h2>
        <p className={backupAlarm(backup) ? "font-bold text-alarm" : ""}>{backupWords(backup, timeZone)}</p>
        {backup.problem && <p className="mt-2">{backup.problem}</p>}
        <p className="mt-2 text-soft">
          A copy of everything is made and checked each night while Seed Round runs, and kept for 14 days in the data
          folder. By hand: <code>npm run backup</code>, and back with <code>npm run restore</code>. Copy one to another
          machine now and then.
        </p>
        {mayKeep && <RemoveGarden name={garden.name} />}
      </section>
    </div>
  );
}
