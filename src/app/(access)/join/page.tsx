import type { Metadata } from "next";
import { Join } from "@/features/people/Join";
import { pool } from "@/server/db/pool";
import { invitationOf } from "@/server/people/links";
import { onBehalf } from "@/server/session/onBehalf";
import { accountById } from "@/server/people/accounts";
import { signedIn } from "@/server/session/session";

export const metadata: Metadata = { title: "Invitation" };

export default async function JoinPage({ searchParams }: { searchParams: Promise<{ key?: string | string[] }> }) {
  const { key } = await searchParams;
  const invited = typeof key === "string" ? await onBehalf({}, (db) => invitationOf(db, key)) : null;
  // Member of a garden or of none: whoever left comes back with the account they have.
  const entered = await signedIn();
  const account = entered && (await accountById(pool(), entered.accountId));
  return <Join keyInHand={String(key ?? "")} invited={invited} signedInAs={account?.name ?? null} />;
}
