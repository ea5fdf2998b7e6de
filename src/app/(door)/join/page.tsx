import type { Metadata } from "next";
import { Join } from "@/features/people/Join";
import { invitationOf } from "@/server/people/links";
import { onBehalf } from "@/server/session/onBehalf";
import { maybeSession } from "@/server/session/session";

export const metadata: Metadata = { title: "Invitation" };

export default async function JoinPage({ searchParams }: { searchParams: Promise<{ key?: string | string[] }> }) {
  const { key } = await searchParams;
  const invited = typeof key === "string" ? await onBehalf({}, (db) => invitationOf(db, key)) : null;
  const who = await maybeSession();
  return <Join keyInHand={String(key ?? "")} invited={invited} signedInAs={who?.personName ?? null} />;
}
