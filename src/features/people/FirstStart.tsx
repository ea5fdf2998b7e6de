"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { firstStart } from "@/server/people/doorActions";
import { firstStartSchema } from "@/server/people/doorSchema";
import { EntityForm } from "@/ui/form/EntityForm";
import { ACCOUNT_FIELDS, NEW_GARDEN_FIELDS, newGardenDefaults } from "./accountFields";

/** The first minute: who you are, and where the garden lies. */
export function FirstStart() {
  const router = useRouter();
  const [defaults] = useState(() => ({ name: "", signInName: "", password: "", ...newGardenDefaults() }));
  return (
    <>
      <h1 className="text-4xl">A garden of your own</h1>
      <p className="mb-5 mt-2 text-soft">
        One minute: your account, which keeps the garden, and where it lies. Everything here can be changed later;
        others come in by a link that you make.
      </p>
      <EntityForm
        schema={firstStartSchema}
        fields={[...ACCOUNT_FIELDS, ...NEW_GARDEN_FIELDS]}
        defaults={defaults}
        action={firstStart}
        saved=""
        submit="Make the garden"
        secret
        onDone={() => router.push("/round")}
      />
    </>
  );
}
