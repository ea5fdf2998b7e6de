import type { Metadata } from "next";
import { SeasonSheet } from "@/features/batches/SeasonSheet";
import { dayInWords } from "@/core/units/day";
import { season } from "@/server/batches/season";
import { seasonView } from "@/server/batches/view";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { batchTabs } from "./tabs";

export const metadata: Metadata = { title: "Batches" };

const DAYS_BEFORE_TODAY = 24;

export default async function BatchesPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { plan, rows, who } = worked;
  const asked = viewQuery(await searchParams);
  const weeks = asked.weeks ?? 17;
  const from = Math.min(plan.to - 7 * weeks, Math.max(plan.from, asked.from ?? plan.today - DAYS_BEFORE_TODAY));
  const view = seasonView(worked, from, from + 7 * weeks);
  const first = worked.shortages.find((shortage) => shortage.kind === "sites");
  return (
    <Station
      title="Batches"
      facts={`${dayInWords(view.from)} – ${dayInWords(view.to - 1, "year")} · ${view.batches.length} batches${first ? ` · ${first.name.toLowerCase()} over from ${dayInWords(first.day)}` : ""}`}
      tabs={batchTabs("season")}
    >
      <SeasonSheet
        key={`${asked.cover}-${asked.batch}`}
        chosen={asked.batch ?? null}
        cover={rows.varieties.find(({ id }) => id === asked.cover)?.id ?? null}
        view={view}
        point={`${who.moved.base} ${who.moved.revision} ${who.today}`}
        noBasis={rows.varieties.length === 0 || rows.pools.length === 0}
        weeks={weeks}
        orders={rows.orders}
        sowWeekdays={who.sowWeekdays}
      />
    </Station>
  );
}
