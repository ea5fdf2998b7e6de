import type { Metadata } from "next";
import { SupplySheet } from "@/features/water/SupplySheet";
import { dayInWords } from "@/core/units/day";
import { countedInShortages } from "@/core/garden/ahead";
import { sourceRefills } from "@/core/garden/refills";
import { sourceLimitLpd } from "@/core/garden/supply";
import { newestJobs } from "@/server/jobs/job";
import { read } from "@/server/session/read";
import { keptStoreYears } from "@/server/water/storeYearsJob";
import { season } from "@/server/garden/season";
import { Station } from "@/ui/Station";
import { waterTabs } from "../tabs";

export const metadata: Metadata = { title: "Supply" };

export default async function SupplyPage() {
  const worked = await season();
  const { garden: rows, supply, who, plan } = worked;
  const { jobs, kept } = await read(async (db, { gardenId }) => ({
    jobs: await newestJobs(db, gardenId, "store-years", "day"),
    kept: await keptStoreYears(db, gardenId),
  }));
  const names = rows.sources.map((source) => source.name).join(", ");
  return (
    <Station
      title="Supply"
      facts={`${names || "no source yet"} · to ${dayInWords(plan.to - 1, "year")}`}
      tabs={waterTabs("supply", rows.stands)}
    >
      <SupplySheet
        today={who.today}
        supply={supply}
        sources={rows.sources}
        limits={rows.sources.map(sourceLimitLpd)}
        stores={rows.stores}
        years={{ kept, job: [...jobs.values()].sort((a, b) => b.id - a.id)[0] ?? null }}
        refills={sourceRefills(worked)}
        short={{ shortages: worked.shortages, ...countedInShortages(worked) }}
      />
    </Station>
  );
}
