import type { Metadata } from "next";
import { SowingSheet } from "@/features/growth/SowingSheet";
import { season } from "@/server/garden/season";
import { Station } from "@/ui/Station";
import { growthTabs } from "../tabs";

export const metadata: Metadata = { title: "Sowing" };

export default async function SowingPage() {
  const { garden: rows, who } = await season();
  return (
    <Station title="Sowing" facts="which day, how many cells, how many seeds" tabs={growthTabs("sowing")}>
      <SowingSheet
        varieties={rows.varieties}
        growingAreas={rows.growingAreas}
        today={who.today}
        sowWeekdays={who.sowWeekdays}
      />
    </Station>
  );
}
