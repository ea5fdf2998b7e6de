import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { FirstStart } from "@/features/people/FirstStart";
import { hasAccounts } from "@/server/people/accounts";
import { onBehalf } from "@/server/session/onBehalf";

export const metadata: Metadata = { title: "First start" };

export default async function StartPage() {
  if (await onBehalf({}, hasAccounts)) redirect("/sign-in");
  return <FirstStart />;
}
