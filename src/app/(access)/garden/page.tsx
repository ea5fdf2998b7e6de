import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { FirstGarden } from "@/features/people/FirstGarden";
import { signedIn, maybeSession } from "@/server/session/session";

export const metadata: Metadata = { title: "A garden of your own" };

export default async function FirstGardenPage() {
  if ((await signedIn()) === null) redirect("/sign-in");
  if (await maybeSession()) redirect("/round");
  return <FirstGarden />;
}
