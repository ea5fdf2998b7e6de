import type { Metadata } from "next";
import { Examples } from "@/features/people/Examples";
import { pageSession } from "@/server/session/session";
import { Station } from "@/ui/Station";
import { peopleTabs } from "../tabs";

export const metadata: Metadata = { title: "Examples" };

export default async function ExamplesPage() {
  await pageSession();
  return (
    <Station
      title="Six example gardens"
      facts="made up, to open, look through and copy from"
      tabs={peopleTabs("examples")}
    >
      <Examples />
    </Station>
  );
}
