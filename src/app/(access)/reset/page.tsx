import type { Metadata } from "next";
import { Reset } from "@/features/people/Reset";
import { resetOf } from "@/server/people/links";
import { onBehalf } from "@/server/session/onBehalf";

export const metadata: Metadata = { title: "New password" };

export default async function ResetPage({ searchParams }: { searchParams: Promise<{ key?: string | string[] }> }) {
  const { key } = await searchParams;
  const found = typeof key === "string" ? await onBehalf({}, (db) => resetOf(db, key)) : null;
  return <Reset keyInHand={String(key ?? "")} opens={found !== null} />;
}
