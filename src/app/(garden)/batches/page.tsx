import type { Metadata } from "next";
import { SeasonSheet } from "@/features/batches/SeasonSheet";
import { dayFromIso, dayInWords } from "@/core/units/day";
import { season } from "@/server/batches/season";
import { seasonView } from "@/server/batches/view";
import { Station } from "@/ui/Station";
import { batchTabs } from "./tabs";

export const metadata: Metadata = { title: "Batches" };

const WEEKS = [9, 17, 34] as const;
const DAYS_BEFORE_TODAY = 24;

export default async function BatchesPage({
  searchParams,
}: {
  searchParams: Promise<{ from?: string; weeks?: string; cover?: string }>;
}) {
  const worked = await season();
  const { plan, input, rows } = worked;
  const asked = await searchParams;
  const weeks = WEEKS.find((count) => String(count) === asked.weeks) ?? 17;
  const from = Math.min(plan.to - 7 * weeks, Math.max(plan.from, dayOr(asked.from, plan.today - DAYS_BEFORE_TODAY)));
  const view = seasonView(worked, from, from + 7 * weeks);
  const first = worked.shortages.find((shortage) => shortage.kind === "sites");
  return (
    <Station
      title="Batches"
      facts={`${dayInWords(view.from)} – ${dayInWords(view.to - 1, "year")} · ${view.batches.length} batches${first ? ` · ${first.name.toLowerCase()} over from ${dayInWords(first.day)}` : ""}`}
      tabs={batchTabs("season")}
    >
      <SeasonSheet
        key={asked.cover}
        cover={rows.varieties.find(({ id }) => String(id) === asked.cover)?.id ?? null}
        view={view}
        input={input}
        weeks={weeks}
        orders={rows.orders}
        sowWeekdays={worked.who.sowWeekdays}
      />
    </Station>
  );
}

function dayOr(text: string | undefined, otherwise: number): number {
  try {
    return text === undefined ? otherwise : dayFromIso(text);
  } catch {
    // An address that somebody typed wrong still shows the season.
    return otherwise;
  }
}
