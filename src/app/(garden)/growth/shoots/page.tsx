import type { Metadata } from "next";
import { rackWeeks, trayCrops } from "@/core/garden/trayNeeds";
import { ShootsSheet } from "@/features/growth/racks/ShootsSheet";
import { season } from "@/server/garden/season";
import { Station } from "@/ui/Station";
import { growthTabs } from "../tabs";

export const metadata: Metadata = { title: "Shoots and fodder" };

export default async function ShootsPage() {
  const { garden, who } = await season();
  const crops = trayCrops(garden);
  return (
    <Station title="Shoots and fodder" facts="trays sown by weight, one after the other" tabs={growthTabs("shoots")}>
      <ShootsSheet crops={crops} weeks={rackWeeks(garden, crops, who.today)} today={who.today} />
    </Station>
  );
}
