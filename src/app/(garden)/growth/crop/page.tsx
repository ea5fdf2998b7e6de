import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { cropProfile } from "@/core/garden/cropProfile";
import { CropProfileSheet } from "@/features/growth/CropProfileSheet";
import { season } from "@/server/garden/season";
import { seedlingCounts } from "@/server/growth/queries";
import { read } from "@/server/session/read";
import { Station } from "@/ui/Station";
import { growthTabs } from "../tabs";

export const metadata: Metadata = { title: "Crop" };

const COUNTED_SOWINGS = 5;

export default async function CropPage({ searchParams }: { searchParams: Promise<{ variety?: string }> }) {
  const { garden, who } = await season();
  const { variety } = await searchParams;
  const profile = cropProfile(garden, Number(variety), who.today);
  if (!profile) notFound();
  const { id } = profile.variety;
  const counts = await read((db, { gardenId }) => seedlingCounts(db, gardenId, id, COUNTED_SOWINGS));
  const { crop, kind, family } = profile.variety;
  return (
    <Station
      title={profile.variety.name}
      facts={[crop, kind, family].filter((word) => word !== "").join(" · ")}
      tabs={growthTabs("crops")}
    >
      <CropProfileSheet
        {...profile}
        counts={counts}
        growingAreas={garden.growingAreas}
        units={garden.harvestUnits}
        today={who.today}
      />
    </Station>
  );
}
