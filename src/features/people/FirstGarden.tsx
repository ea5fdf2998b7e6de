"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { makeFirstGarden } from "@/server/people/accessActions";
import { newGardenSchema } from "@/server/people/accessSchema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { PlaceFields } from "./PlaceFields";
import { NEW_GARDEN_FIELDS, newGardenDefaults } from "./accountFields";

/** A garden for somebody who is signed in and a member of no garden. */
export function FirstGarden() {
  const router = useRouter();
  const [defaults] = useState(newGardenDefaults);
  return (
    <>
      <h1 className="mb-5 text-4xl">A garden of your own</h1>
      <EntityForm
        form="first-garden"
        schema={newGardenSchema}
        fields={NEW_GARDEN_FIELDS}
        defaults={defaults}
        action={makeFirstGarden}
        saved=""
        submit="Make the garden"
        undo={false}
        onDone={() => router.push("/round")}
      >
        <PlaceFields />
      </EntityForm>
    </>
  );
}
