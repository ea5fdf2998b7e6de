import type { Metadata } from "next";
import { GardenSheet } from "@/features/people/GardenSheet";
import { gardenSettings } from "@/server/people/queries";
import { readCached } from "@/server/session/read";
import { pageSession } from "@/server/session/session";
import { Station } from "@/ui/Station";
import { peopleTabs } from "../tabs";

export const metadata: Metadata = { title: "Garden" };

export default async function GardenPage() {
  const { backup } = await pageSession();
  const garden = await readCached("settings", (db, who) => gardenSettings(db, who.gardenId));
  return (
    <Station
      title="People"
      facts={`${garden.name}${garden.place ? `, ${garden.place}` : ""}`}
      tabs={peopleTabs("garden")}
    >
      <GardenSheet garden={garden} backup={backup} />
    </Station>
  );
}
