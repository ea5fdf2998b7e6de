"use client";
import { removeHouse, saveHouse } from "@/server/place/actions";
import type { House } from "@/server/place/queries";
import { houseSchema } from "@/server/place/schema";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";
import { RemoveButton } from "@/ui/RemoveButton";

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

export function HouseForm({ house, onDone }: { house: House | null; onDone: () => void }) {
  const { position: _position, ...defaults } = house ?? { ...EXAMPLE, position: 0 };
  return (
    <EntityForm
      schema={houseSchema}
      fields={FIELDS}
      defaults={defaults}
      action={saveHouse}
      saved="House saved"
      onDone={onDone}
      aside={house && <RemoveButton what={house.name} action={removeHouse} id={house.id} onDone={onDone} />}
    />
  );
}
