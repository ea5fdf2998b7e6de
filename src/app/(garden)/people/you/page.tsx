import type { Metadata } from "next";
import { YouSheet } from "@/features/people/YouSheet";
import { accountById } from "@/server/people/accounts";
import { lastSignIn } from "@/server/people/accessEvents";
import { factorState } from "@/server/people/secondFactor";
import { openSessions } from "@/server/people/sessions";
import { read } from "@/server/session/read";
import { Station } from "@/ui/Station";
import { peopleTabs } from "../tabs";

export const metadata: Metadata = { title: "You" };

export default async function YouPage() {
  const { who, account, sessions, last, factor } = await read(async (db, who) => ({
    who,
    account: await accountById(db, who.accountId),
    sessions: await openSessions(db, who.accountId),
    last: await lastSignIn(db, who.accountId, who.sessionId),
    factor: await factorState(db, who.accountId),
  }));
  return (
    <Station title="People" facts={`${who.personName}, ${who.role} in ${who.gardenName}`} tabs={peopleTabs("you")}>
      <YouSheet
        signInName={account.signInName}
        sessions={sessions}
        presentId={who.sessionId}
        last={last}
        factor={factor}
        gardens={who.gardens}
        gardenId={who.gardenId}
      />
    </Station>
  );
}
