"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { makeFirstGarden } from "@/server/people/doorActions";
import { newGardenSchema } from "@/server/people/doorSchema";
import { EntityForm } from "@/ui/form/EntityForm";
import { NEW_GARDEN_FIELDS, newGardenDefaults } from "./accountFields";

/** A garden for somebody who is signed in and at home nowhere. */
export function FirstGarden() {
  const router = useRouter();
  const [defaults] = useState(newGardenDefaults);
  return (
    <>
      <h1 className="mb-5 text-4xl">A garden of your own</h1>
      <EntityForm
        schema={newGardenSchema}
        fields={NEW_GARDEN_FIELDS}
        defaults={defaults}
        action={makeFirstGarden}
        saved=""
        submit="Make the garden"
        undo={false}
        onDone={() => router.push("/round")}
      />
    </>
  );
}
