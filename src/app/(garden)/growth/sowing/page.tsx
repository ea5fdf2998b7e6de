import type { Metadata } from "next";
import { clockedVarieties } from "@/core/garden/clocks";
import { cellsPerTrayByArea } from "@/core/garden/trays";
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
        varieties={clockedVarieties(rows)}
        cellsPerTray={cellsPerTrayByArea(rows)}
        growingAreas={rows.growingAreas}
        today={who.today}
        sowWeekdays={who.sowWeekdays}
      />
    </Station>
  );
}
