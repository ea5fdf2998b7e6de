import type { Metadata } from "next";
import { dayInWords } from "@/core/units/day";
import { seasonSettings } from "@/core/garden/season/usualSeason";
import { PlanSheet } from "@/features/batches/plan/PlanSheet";
import { seasonDraft } from "@/server/batches/seasonDraft";
import { newestJobs } from "@/server/jobs/job";
import { season } from "@/server/garden/season";
import { read } from "@/server/session/read";
import { Station } from "@/ui/Station";
import { batchTabs } from "../tabs";

export const metadata: Metadata = { title: "Plan the season" };

export default async function PlanPage() {
  const { garden, who } = await season();
  const { jobs, draft } = await read(async (db) => ({
    jobs: await newestJobs(db, who.gardenId, "season", "day"),
    draft: await seasonDraft(db, who),
  }));
  const settings = seasonSettings(garden);
  return (
    <Station
      title="Plan the season"
      facts={`from the orders, to ${dayInWords(who.today + settings.horizonDays - 1, "year")}`}
      tabs={batchTabs("plan")}
    >
      <PlanSheet
        settings={settings}
        closedDays={garden.closedDays}
        today={who.today}
        sowWeekdays={who.sowWeekdays}
        varieties={garden.varieties.map(({ id, name }) => ({ id, name }))}
        hasOrders={
          garden.orders.some(({ to }) => to >= who.today) ||
          garden.varieties.some(({ eatenPerWeek }) => eatenPerWeek !== null)
        }
        job={[...jobs.values()].sort((a, b) => b.id - a.id)[0] ?? null}
        draft={draft}
      />
    </Station>
  );
}
