"use client";
import type { House } from "@/server/place/queries";
import { houseSchema } from "@/server/place/schema";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";
import { RemoveButton } from "@/ui/RemoveButton";
import type { PlanStore } from "./plan/planStore";

const FIELDS: readonly FieldSpec[] = [
  { name: "name", label: "Name", type: "text", wide: true },
  { name: "lengthM", label: "Length", type: "quantity", dimension: "length" },
  { name: "widthM", label: "Width", type: "quantity", dimension: "length" },
  { name: "heightM", label: "Height", type: "quantity", dimension: "length" },
  {
    name: "cover",
    label: "Cover",
    type: "choice",
    options: ["net", "film", "glass", "polycarbonate", "open"].map((value) => ({ value, label: value })),
  },
  {
    name: "shadeShare",
    label: "Shade",
    type: "quantity",
    dimension: "share",
    hint: "what the net or paint keeps out",
  },
  { name: "xM", label: "From the left of the garden", type: "quantity", dimension: "length" },
  { name: "yM", label: "From its top", type: "quantity", dimension: "length" },
];

const EXAMPLE = {
  id: null,
  version: null,
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
  store,
  onDone,
}: {
  house: House | null;
  others: readonly House[];
  store: PlanStore;
  onDone: () => void;
}) {
  // A new house stands below all others until somebody says where.
  const yM = Math.max(0, ...others.map((other) => other.yM + other.widthM + 2));
  const { position: _position, ...defaults } = house ?? { ...EXAMPLE, xM: 0, yM, position: 0 };
  return (
    <EntityForm
      schema={houseSchema}
      fields={FIELDS}
      defaults={defaults}
      action={store.saveHouse}
      place={store.name}
      saved="House saved"
      onDone={onDone}
      aside={
        house && (
          <RemoveButton
            what={house.name}
            action={(input) => store.removeHouse({ ...(input as { id: number }), version: house.version })}
            id={house.id}
            onDone={onDone}
          />
        )
      }
    />
  );
}
