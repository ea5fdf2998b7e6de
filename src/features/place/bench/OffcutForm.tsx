"use client";
import { removeOffcut, saveOffcut } from "@/server/place/benchActions";
import type { Offcut } from "@/server/place/benchQueries";
import { offcutSchema } from "@/server/place/benchSchema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import type { FieldSpec } from "@/features/frame/form/fields";
import { RemoveButton } from "@/features/frame/RemoveButton";

const FIELDS: readonly FieldSpec[] = [
  { name: "material", label: "Material", type: "text", wide: true },
  { name: "lengthMm", label: "Length", type: "quantity", dimension: "bore" },
  { name: "count", label: "How many", type: "quantity", dimension: "count" },
];

/** A bar or an offcut that lies on the shelf. */
export function OffcutForm({
  offcut,
  material,
  onDone,
}: {
  offcut: Offcut | null;
  material: string;
  onDone: () => void;
}) {
  return (
    <EntityForm
      form="offcut"
      schema={offcutSchema}
      fields={FIELDS}
      defaults={offcut ? { ...offcut } : { id: null, version: null, material, lengthMm: 1000, count: 1 }}
      action={saveOffcut}
      saved="On the shelf"
      onDone={onDone}
      aside={offcut && <RemoveButton what="the offcut" action={removeOffcut} id={offcut.id} onDone={onDone} />}
    />
  );
}
