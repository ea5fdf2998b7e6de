"use client";
import { HOUSE } from "@/core/garden/entities/place";
import type { House } from "@/core/garden/garden";
import { saveHouse } from "@/server/place/actions";
import { houseSchema } from "@/server/place/schema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { fieldsOf } from "@/features/frame/form/entityFields";
import { formValues } from "@/features/frame/form/formValues";

const OF_AIR = new Set([
  "cover",
  "lightThrough",
  "shadeShare",
  "warmerByDayC",
  "warmerByNightC",
  "heatedToC",
  "ventedAtC",
  "lampsFromMin",
  "lampsToMin",
  "lampsUmolPerM2S",
  "roof",
  "ridgeM",
  "uWPerM2K",
  "airChangesPerHour",
  "heaterKw",
  "roofVentsM2",
  "sideVentsM2",
  "pricePerKwh",
]);
const FIELDS = fieldsOf(HOUSE).filter(({ name }) => OF_AIR.has(name));

/** What a house makes of the weather: the same house as on the plan, only this part of it. */
export function HouseAirForm({ house, onDone }: { house: House; onDone: () => void }) {
  return (
    <EntityForm
      form="house"
      schema={houseSchema}
      fields={FIELDS}
      defaults={formValues(HOUSE, house)}
      action={saveHouse}
      saved="House saved"
      onDone={onDone}
    />
  );
}
