import type { Metadata } from "next";
import { SupplySheet } from "@/features/water/SupplySheet";
import { dayInWords } from "@/core/units/day";
import { season, sourceLimitLpd } from "@/server/batches/season";
import { Station } from "@/ui/Station";
import { waterTabs } from "../tabs";

export const metadata: Metadata = { title: "Supply" };

export default async function SupplyPage() {
  const worked = await season();
  const { rows, supply, who, plan } = worked;
  const names = rows.sources.map((source) => source.name).join(", ");
  return (
    <Station
      title="Supply"
      facts={`${names || "no source yet"} · to ${dayInWords(plan.to - 1, "year")}`}
      tabs={waterTabs("supply")}
    >
      <SupplySheet
        today={who.today}
        supply={supply}
        sources={rows.sources}
        limits={rows.sources.map(sourceLimitLpd)}
        stores={rows.stores}
        shortages={worked.shortages}
      />
    </Station>
  );
}
