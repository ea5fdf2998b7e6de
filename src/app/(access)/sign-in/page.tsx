import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { SignIn } from "@/features/people/SignIn";
import { hasAccounts } from "@/server/people/accounts";
import { demoAccounts } from "@/server/people/queries";
import { onBehalf } from "@/server/session/onBehalf";
import { signedIn, maybeSession } from "@/server/session/session";

export const metadata: Metadata = { title: "Sign in" };

export default async function SignInPage({ searchParams }: { searchParams: Promise<{ to?: string | string[] }> }) {
  if (await maybeSession()) redirect("/round");
  const { hasAny, demo } = await onBehalf({}, async (db) => ({
    hasAny: await hasAccounts(db),
    demo: await demoAccounts(db),
  }));
  if (!hasAny) redirect("/start");
  return <SignIn demo={demo} to={insideOnly((await searchParams).to)} homeless={(await signedIn()) !== null} />;
}

/** Where to go afterwards; never to another site. */
function insideOnly(to: string | string[] | undefined): string {
  return typeof to === "string" && /^\/[a-z]/u.test(to) && !to.startsWith("/sign-in") ? to : "/round";
}
