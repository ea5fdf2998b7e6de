import type { Metadata } from "next";
import { CropSheet } from "@/features/growth/CropSheet";
import { season } from "@/server/batches/season";
import { Station } from "@/ui/Station";
import { growthTabs } from "./tabs";

export const metadata: Metadata = { title: "Growth" };

export default async function GrowthPage() {
  const { rows, who, plan } = await season();
  const growing = rows.varieties.map(
    (variety) =>
      plan.batches.filter(
        (batch) => batch.variety.id === variety.id && batch.stays[0]!.begun && batch.batch.clearedDay === null,
      ).length,
  );
  return (
    <Station
      title="Growth"
      facts={`${rows.varieties.length} varieties, ${growing.filter((count) => count > 0).length} of them in the ground`}
      tabs={growthTabs("crops")}
    >
      <CropSheet varieties={rows.varieties} growing={growing} pools={rows.pools} today={who.today} />
    </Station>
  );
}
