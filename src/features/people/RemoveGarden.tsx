"use client";
import { removeGarden } from "@/server/people/accountActions";
import { removeGardenSchema } from "@/server/people/accessSchema";
import { useOpened } from "@/features/frame/drafts";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { EntityForm } from "@/features/frame/form/EntityForm";
import type { FieldSpec } from "@/features/frame/form/fields";

const FIELDS: readonly FieldSpec[] = [{ name: "name", label: "Name of the garden", type: "text", wide: true }];

/** The end of a garden: with its name typed, and nothing of it left but in backups. */
export function RemoveGarden({ name }: { name: string }) {
  const [opened, open] = useOpened<true>("remove-garden");
  return (
    <>
      <h2 className="mb-3 mt-8 border-b-2 border-ink pb-1 text-2xl">Delete this garden</h2>
      <p className="text-soft">
        Plan, log, readings and history go for good, for every member. Only a backup made before brings them back.
      </p>
      <Button className="mt-3" onClick={() => open(true)}>
        Delete this garden …
      </Button>
      <Drawer open={opened === true} onClose={() => open(null)} title={`Delete ${name}`}>
        <p className="mb-4">
          This cannot be undone. Type <b>{name}</b> to confirm.
        </p>
        <EntityForm
          form="remove-garden"
          schema={removeGardenSchema}
          fields={FIELDS}
          defaults={{ name: "" }}
          action={removeGarden}
          saved=""
          submit="Delete it for good"
          undo={false}
          secret
          onDone={() => location.replace(new URL("/round", location.href))}
        />
      </Drawer>
    </>
  );
}
