"use client";
import { useRouter } from "next/navigation";
import { ROLE_WORDS } from "@/core/people/rights";
import { join, joinSignedIn } from "@/server/people/accessActions";
import { joinSchema } from "@/server/people/accessSchema";
import type { Invited } from "@/server/people/links";
import { Button } from "@/ui/Button";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { useCommand } from "@/features/frame/useCommand";
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
        <h1 className="text-4xl">Link invalid</h1>
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
          Join as {signedInAs}
        </Button>
      ) : (
        <>
          <EntityForm
            form="join"
            schema={joinSchema}
            fields={ACCOUNT_FIELDS}
            defaults={{ key: keyInHand, name: "", signInName: "", password: "" }}
            action={join}
            saved=""
            submit="Join"
            secret
            onDone={() => router.push("/round")}
          />
          <p className="mt-6 text-sm text-soft">
            Already have an account here? Sign in first, then open this link again. It works for one person, once.
          </p>
        </>
      )}
    </>
  );
}
