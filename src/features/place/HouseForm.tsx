"use client";
import { useEffect } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { fieldOf } from "@/core/garden/entities/field";
import { HOUSE } from "@/core/garden/entities/place";
import type { House } from "@/core/garden/garden";
import { removeHouse, saveHouse } from "@/server/place/actions";
import { houseSchema } from "@/server/place/schema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { formValues } from "@/features/frame/form/formValues";
import { fieldsOf } from "@/features/frame/form/entityFields";
import { RemoveButton } from "@/features/frame/RemoveButton";

/** Seldom asked for; the climate sheet shows what they do. */
const AIR = { fold: "Its air and light" } as const;
const HEAT = { fold: "Its roof, heat and vents" } as const;
const FIELDS = fieldsOf(HOUSE, {
  name: { wide: true },
  ...{ lightThrough: AIR, warmerByDayC: AIR, warmerByNightC: AIR, heatedToC: AIR, ventedAtC: AIR },
  ...{ lampsFromMin: AIR, lampsToMin: AIR, lampsUmolPerM2S: AIR },
  ...{ roof: HEAT, ridgeM: HEAT, uWPerM2K: HEAT, airChangesPerHour: HEAT, heaterKw: HEAT },
  ...{ roofVentsM2: HEAT, sideVentsM2: HEAT, pricePerKwh: HEAT },
});

const EXAMPLE = {
  name: "",
  lengthM: 12,
  widthM: 6,
  heightM: 2.6,
  cover: "net",
  shadeShare: 0.3,
};

export function HouseForm({
  house,
  others,
  onDraft,
  onDone,
}: {
  house: House | null;
  others: readonly House[];
  /** The house as it is typed, to be drawn on the plan; null when there is nothing to draw. */
  onDraft: (draft: House | null) => void;
  onDone: () => void;
}) {
  // A new house is put below all others until somebody says where.
  const yM = Math.max(0, ...others.map((other) => other.yM + other.widthM + 2));
  return (
    <EntityForm
      form="house"
      schema={houseSchema}
      fields={FIELDS}
      defaults={formValues(HOUSE, house ?? { ...EXAMPLE, xM: 0, yM })}
      action={saveHouse}
      saved="House saved"
      onDone={onDone}
      aside={house && <RemoveButton what={house.name} action={removeHouse} id={house.id} onDone={onDone} />}
    >
      <DrawnWhileTyped onDraft={onDraft} />
    </EntityForm>
  );
}

/** A house that is not saved yet has no id of its own. */
const NEW_HOUSE = -1;

/** While a figure is missing or out of its range, what was drawn last stays. */
function DrawnWhileTyped({ onDraft }: { readonly onDraft: (draft: House | null) => void }) {
  const { control } = useFormContext();
  const text = JSON.stringify(useWatch({ control }));
  useEffect(() => {
    const values = JSON.parse(text) as Omit<House, "id"> & { readonly id: number | null };
    const isDrawable = DRAWN.every(({ name, least, greatest }) => {
      const value = values[name];
      return typeof value === "number" && value >= least && value <= greatest;
    });
    if (isDrawable) onDraft({ ...values, id: values.id ?? NEW_HOUSE, name: values.name.trim() || "new house" });
  }, [text, onDraft]);
  useEffect(() => () => onDraft(null), [onDraft]);
  return null;
}

const DRAWN = (["lengthM", "widthM", "xM", "yM"] as const).map((name) => {
  const field = fieldOf(HOUSE, name);
  if (field.type !== "number") throw new TypeError(`${name} is no number`);
  return { name, least: field.least, greatest: field.greatest };
});
