"use client";
import { renameLayout } from "@/server/place/layoutActions";
import { renameLayoutSchema } from "@/server/place/layoutSchema";
import { EntityForm } from "@/ui/form/EntityForm";

export function RenameForm({
  layout,
  onDone,
}: {
  layout: { readonly id: number; readonly version: number; readonly name: string };
  onDone: () => void;
}) {
  return (
    <EntityForm
      schema={renameLayoutSchema}
      fields={[{ name: "name", label: "Name", type: "text", wide: true }]}
      defaults={{ id: layout.id, version: layout.version, name: layout.name }}
      action={renameLayout}
      saved="Layout renamed"
      onDone={onDone}
    />
  );
}
