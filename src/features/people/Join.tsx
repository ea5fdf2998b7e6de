"use client";
import { useRouter } from "next/navigation";
import { ROLE_WORDS } from "@/core/people/rights";
import { join, joinSignedIn } from "@/server/people/doorActions";
import { joinSchema } from "@/server/people/doorSchema";
import type { Invited } from "@/server/people/links";
import { Button } from "@/ui/Button";
import { EntityForm } from "@/ui/form/EntityForm";
import { useCommand } from "@/ui/useCommand";
import { ACCOUNT_FIELDS } from "./accountFields";

/** An invitation in hand: to which garden, as what, and an account for it. */
export function Join({
  keyInHand,
  invited,
  signedInAs,
}: {
  keyInHand: string;
  invited: Invited | null;
  signedInAs: string | null;
}) {
  const router = useRouter();
  const { run, busy } = useCommand(joinSignedIn);
  if (!invited)
    return (
      <>
        <h1 className="text-4xl">This link opens nothing</h1>
        <p className="mt-3">It was used, withdrawn, or is too old. Ask a keeper of the garden for a new one.</p>
      </>
    );
  return (
    <>
      <h1 className="text-4xl">{invited.gardenName}</h1>
      <p className="mb-5 mt-2">
        {invited.invitedBy} invites you as <b>{invited.role}</b>: {ROLE_WORDS[invited.role]}.
      </p>
      {signedInAs ? (
        <Button
          look="strong"
          disabled={busy}
          onClick={async () => {
            const result = await run({ key: keyInHand });
            if (result.ok) router.push("/round");
          }}
        >
          Come in as {signedInAs}
        </Button>
      ) : (
        <>
          <EntityForm
            schema={joinSchema}
            fields={ACCOUNT_FIELDS}
            defaults={{ key: keyInHand, name: "", signInName: "", password: "" }}
            action={join}
            saved=""
            submit="Come in"
            secret
            onDone={() => router.push("/round")}
          />
          <p className="mt-6 text-sm text-soft">
            You have an account here already? Sign in first, then open this link again: it is good for one person, once.
          </p>
        </>
      )}
    </>
  );
}
