"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { firstStart } from "@/server/people/accessActions";
import { firstStartSchema } from "@/server/people/accessSchema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { FIRST_FIELDS, newGardenDefaults } from "./accountFields";
import { PlaceFields } from "./PlaceFields";

/** The first minute: who you are, and where the garden lies. */
export function FirstStart() {
  const router = useRouter();
  const [defaults] = useState(() => ({ name: "", signInName: "", password: "", ...newGardenDefaults() }));
  const [isMade, setMade] = useState(false);
  // Pressed twice, it would be refused while the garden is being opened.
  if (isMade) return <p role="status">Your garden is being opened …</p>;
  return (
    <>
      <h1 className="text-4xl">A garden of your own</h1>
      <p className="mb-5 mt-2 text-soft">
        Four fields, and everything in them can be changed later. You become the keeper of the garden; others are
        invited by a link. Or first{" "}
        <Link href="/answers" className="font-bold underline underline-offset-4">
          a quick answer
        </Link>
        , without any of it.
      </p>
      <EntityForm
        form="first-start"
        schema={firstStartSchema}
        fields={FIRST_FIELDS}
        defaults={defaults}
        action={firstStart}
        saved=""
        submit="Make the garden"
        secret
        onDone={() => {
          setMade(true);
          router.push("/round");
        }}
      >
        <PlaceFields signsIn />
      </EntityForm>
    </>
  );
}
