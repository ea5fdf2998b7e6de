"use client";
import { useRouter } from "next/navigation";
import { resetPassword } from "@/server/people/accessActions";
import { resetSchema } from "@/server/people/accessSchema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { ACCOUNT_FIELDS } from "./accountFields";

/** A new password with a keeper's link. */
export function Reset({ keyInHand, opens }: { keyInHand: string; opens: boolean }) {
  const router = useRouter();
  if (!opens)
    return (
      <>
        <h1 className="text-4xl">Link invalid</h1>
        <p className="mt-3">
          It was used, withdrawn, is older than a day, or its account is a member of another garden too. Ask a keeper
          for a new one.
        </p>
      </>
    );
  return (
    <>
      <h1 className="mb-5 text-4xl">A new password</h1>
      <EntityForm
        form="reset"
        schema={resetSchema}
        fields={ACCOUNT_FIELDS.filter(({ name }) => name === "password")}
        defaults={{ key: keyInHand, password: "" }}
        action={resetPassword}
        saved=""
        submit="Set it and sign in"
        secret
        onDone={({ asksCode }) => router.push(asksCode ? "/sign-in" : "/round")}
      />
    </>
  );
}
