import type { Metadata } from "next";
import { YouSheet } from "@/features/people/YouSheet";
import { accountById } from "@/server/people/accounts";
import { homeGardens } from "@/server/people/queries";
import { openSessions } from "@/server/people/sessions";
import { read } from "@/server/session/read";
import { Station } from "@/ui/Station";
import { peopleTabs } from "../tabs";

export const metadata: Metadata = { title: "You" };

export default async function YouPage() {
  const { who, account, sessions, gardens } = await read(async (db, who) => ({
    who,
    account: await accountById(db, who.accountId),
    sessions: await openSessions(db, who.accountId),
    gardens: await homeGardens(db, who.accountId),
  }));
  return (
    <Station title="People" facts={`${who.personName}, ${who.role} in ${who.gardenName}`} tabs={peopleTabs("you")}>
      <YouSheet
        signInName={account.signInName}
        sessions={sessions}
        presentId={who.sessionId}
        gardens={gardens}
        gardenId={who.gardenId}
      />
    </Station>
  );
}
