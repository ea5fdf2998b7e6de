import type { Metadata } from "next";
import { GardenSheet } from "@/features/people/GardenSheet";
import { backupState, gardenSettings } from "@/server/people/queries";
import { read } from "@/server/session/read";
import { Station } from "@/ui/Station";
import { peopleTabs } from "../tabs";

export const metadata: Metadata = { title: "Garden" };

export default async function GardenPage() {
  const { garden, backup } = await read(async (db, who) => ({
    garden: await gardenSettings(db, who.gardenId),
    backup: await backupState(db),
  }));
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
