import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { cropProfile } from "@/core/garden/cropProfile";
import { CropProfileSheet } from "@/features/growth/CropProfileSheet";
import { season } from "@/server/garden/season";
import { Station } from "@/ui/Station";
import { growthTabs } from "../tabs";

export const metadata: Metadata = { title: "Crop" };

export default async function CropPage({ searchParams }: { searchParams: Promise<{ variety?: string }> }) {
  const { garden, who } = await season();
  const { variety } = await searchParams;
  const profile = cropProfile(garden, Number(variety), who.today);
  if (!profile) notFound();
  const { crop, kind, family } = profile.variety;
  return (
    <Station
      title={profile.variety.name}
      facts={[crop, kind, family].filter((word) => word !== "").join(" · ")}
      tabs={growthTabs("crops")}
    >
      <CropProfileSheet {...profile} growingAreas={garden.growingAreas} units={garden.harvestUnits} today={who.today} />
    </Station>
  );
}
