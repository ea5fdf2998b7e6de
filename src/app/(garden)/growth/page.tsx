import type { Metadata } from "next";
import { clockedVarieties } from "@/core/garden/clocks";
import { CropSheet } from "@/features/growth/CropSheet";
import { growingByVariety } from "@/core/garden/ahead";
import { season } from "@/server/garden/season";
import { Station } from "@/ui/Station";
import { growthTabs } from "./tabs";

export const metadata: Metadata = { title: "Growth" };

export default async function GrowthPage() {
  const worked = await season();
  const { garden: rows, who } = worked;
  const growing = growingByVariety(worked);
  return (
    <Station
      title="Growth"
      facts={`${rows.varieties.length} ${rows.varieties.length === 1 ? "variety" : "varieties"}, ${growing.filter((count) => count > 0).length} of them in the ground`}
      tabs={growthTabs("crops")}
    >
      <CropSheet
        varieties={clockedVarieties(rows)}
        kept={rows.varieties}
        growing={growing}
        growingAreas={rows.growingAreas}
        units={rows.harvestUnits}
        today={who.today}
      />
    </Station>
  );
}
