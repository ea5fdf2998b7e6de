"use client";
import { saveGarden } from "@/server/people/actions";
import type { Member } from "@/server/people/queries";
import { gardenSchema, type GardenInput } from "@/server/people/schema";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";

const MAY: Readonly<Record<Member["role"], string>> = {
  keeper: "everything",
  grower: "plan, log, dose",
  helper: "round and log",
  viewer: "look",
};
const FIELDS: readonly FieldSpec[] = [
  { name: "name", label: "Garden", type: "text" },
  { name: "place", label: "Place", type: "text" },
  { name: "latitudeDeg", label: "Latitude, degrees north", type: "quantity", dimension: "ratio" },
  { name: "currency", label: "Currency", type: "text" },
  { name: "unitSystem", label: "Lengths and volumes", type: "choice", options: [{ value: "metric", label: "m, L" }, { value: "us", label: "ft, US gal" }] },
  { name: "ecUnit", label: "Strength", type: "choice", options: [{ value: "mS/cm", label: "EC, mS/cm" }, { value: "CF", label: "CF" }, { value: "ppm500", label: "ppm ×500" }, { value: "ppm700", label: "ppm ×700" }] },
  { name: "temperatureUnit", label: "Temperature", type: "choice", options: [{ value: "°C", label: "°C" }, { value: "°F", label: "°F" }] },
  { name: "sowWeekdays", label: "Sowing days", type: "weekdays" },
]; // prettier-ignore

/** Who belongs to the garden, and how it likes its figures. */
export function PeopleSheet({
  members,
  garden,
  meId,
}: {
  members: readonly Member[];
  garden: GardenInput;
  meId: number;
}) {
  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
      <section>
        <h2 className="border-b-2 border-ink pb-1 text-2xl">Members</h2>
        <ul>
          {members.map((member) => (
            <li key={member.id} className="flex items-baseline justify-between gap-4 border-b border-rule py-2">
              <span className="sign text-xl">
                {member.name}
                {member.id === meId && <span className="text-base font-medium text-soft"> you</span>}
              </span>
              <span>
                {member.role} <span className="text-soft">· {MAY[member.role]}</span>
              </span>
            </li>
          ))}
        </ul>
      </section>
      <section>
        <h2 className="mb-3 border-b-2 border-ink pb-1 text-2xl">The garden and its units</h2>
        <EntityForm schema={gardenSchema} fields={FIELDS} defaults={garden} action={saveGarden} saved="Garden saved" />
      </section>
    </div>
  );
}
