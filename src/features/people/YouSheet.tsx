"use client";
import { useState } from "react";
import { dayInWords } from "@/core/units/day";
import { changePassword, endAllSessions, endSession, makeGarden } from "@/server/people/accountActions";
import { newGardenSchema, passwordChangeSchema } from "@/server/people/accessSchema";
import type { AccessEvent } from "@/server/people/accessEvents";
import type { OpenSession } from "@/server/people/sessions";
import type { Session } from "@/server/session/session";
import { Button } from "@/ui/Button";
import { useOpened } from "@/features/frame/drafts";
import { Drawer } from "@/ui/Drawer";
import { EntityForm } from "@/features/frame/form/EntityForm";
import type { FieldSpec } from "@/features/frame/form/fields";
import { useCommand } from "@/features/frame/useCommand";
import { NEW_GARDEN_FIELDS, newGardenDefaults } from "./accountFields";
import { useClock } from "@/features/frame/who";
import { SecondFactor } from "./SecondFactor";

const PASSWORD_FIELDS: readonly FieldSpec[] = [
  { name: "old", label: "Old password", type: "password", wide: true, autoComplete: "current-password" },
  {
    name: "password",
    label: "New password",
    type: "password",
    wide: true,
    hint: "at least 10 characters",
    autoComplete: "new-password",
  },
];

export interface YouSheetProps {
  readonly signInName: string;
  readonly sessions: readonly OpenSession[];
  readonly presentId: number;
  /** The sign-in before this one. */
  readonly last: AccessEvent | null;
  readonly factor: { readonly onSince: Date | null; readonly codesLeft: number };
  readonly gardens: Session["gardens"];
  readonly gardenId: number;
}

/** One's own account: where it is signed in, its password, its gardens. */
export function YouSheet({ signInName, sessions, presentId, last, factor, gardens, gardenId }: YouSheetProps) {
  const [opened, open] = useOpened<"garden">("you");
  const [changes, setChanges] = useState(0);
  const all = useCommand(endAllSessions, { undo: false });
  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
      <section>
        <h2 className="border-b-2 border-ink pb-1 text-2xl">Signed in as {signInName}</h2>
        <LastSignIn last={last} />
        <ul>
          {sessions.map((session) => (
            <SessionRow key={session.id} session={session} present={session.id === presentId} />
          ))}
        </ul>
        <Button
          className="mt-3"
          disabled={all.busy}
          onClick={async () => {
            const result = await all.run({});
            if (result.ok) location.replace(new URL("/sign-in", location.href));
          }}
        >
          Sign out everywhere
        </Button>
        <h2 className="mt-8 border-b-2 border-ink pb-1 text-2xl">Your gardens</h2>
        <ul>
          {gardens.map((garden) => (
            <li key={garden.id} className="border-b border-rule py-2">
              <span className="sign text-xl">{garden.name}</span>
              {garden.id === gardenId && <span className="text-soft"> you are here</span>}
            </li>
          ))}
        </ul>
        <Button className="mt-3" onClick={() => open("garden")}>
          A new garden of your own
        </Button>
      </section>
      <section>
        <h2 className="mb-3 border-b-2 border-ink pb-1 text-2xl">Another password</h2>
        <EntityForm
          form="password"
          key={changes}
          schema={passwordChangeSchema}
          fields={PASSWORD_FIELDS}
          defaults={{ old: "", password: "" }}
          action={changePassword}
          saved="Password changed; you are signed out everywhere else"
          submit="Change it"
          secret
          undo={false}
          onDone={() => setChanges((count) => count + 1)}
        />
        <SecondFactor onSince={factor.onSince} codesLeft={factor.codesLeft} />
      </section>
      <Drawer open={opened === "garden"} onClose={() => open(null)} title="A new garden">
        <EntityForm
          form="new-garden"
          schema={newGardenSchema}
          fields={NEW_GARDEN_FIELDS}
          defaults={newGardenDefaults()}
          action={makeGarden}
          saved="Garden made; you are in it now"
          submit="Make the garden"
          undo={false}
          onDone={() => open(null)}
        />
      </Drawer>
    </div>
  );
}

/** So that a stranger's sign-in is noticed by the one whose account it is. */
function LastSignIn({ last }: { last: AccessEvent | null }) {
  const { day, time } = useClock();
  return (
    <p className="py-2 text-soft">
      {last
        ? `Before this, you signed in ${dayInWords(day(last.at))}, ${time(last.at)}, with a ${last.device} at ${last.address}. Was that not you? Change your password.`
        : "This is the first time you signed in."}
    </p>
  );
}

function SessionRow({ session, present }: { session: OpenSession; present: boolean }) {
  const { run, busy } = useCommand(endSession, { done: "Signed out there", undo: false });
  const { day, time } = useClock();
  return (
    <li className="flex items-center justify-between gap-4 border-b border-rule py-1.5">
      <span>
        <span className="sign text-xl">a {session.device}</span> <span className="text-soft">at {session.address}</span>
        <span className="block text-sm text-soft">
          {present ? "this one" : `last seen ${dayInWords(day(session.lastSeenAt))}, ${time(session.lastSeenAt)}`}
        </span>
      </span>
      {!present && (
        <Button look="quiet" className="!text-base" disabled={busy} onClick={() => void run({ id: session.id })}>
          Sign out there
        </Button>
      )}
    </li>
  );
}
