import type { Metadata } from "next";
import { SeasonSheet } from "@/features/batches/SeasonSheet";
import { dayInWords } from "@/core/units/day";
import { seasonWithFacts } from "@/server/round/today";
import { weeksOf } from "@/core/garden/ahead";
import { counted } from "@/core/units/format";
import { seasonView } from "@/core/garden/seasonView";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { batchTabs } from "./tabs";

export const metadata: Metadata = { title: "Batches" };

export default async function BatchesPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await seasonWithFacts();
  const { plan, garden: rows, who } = worked;
  const asked = viewQuery(await searchParams);
  const weeks = asked.weeks ?? 17;
  const { from, to } = weeksOf(plan, weeks, asked.from ?? null);
  const view = seasonView(worked, from, to);
  const first = worked.shortages.find((shortage) => shortage.kind === "sites");
  return (
    <Station
      title="Batches"
      facts={`${dayInWords(view.from)} – ${dayInWords(view.to - 1, "year")} · ${counted(view.batches.length, "batch", "batches")}${first ? ` · ${first.name.toLowerCase()} over from ${dayInWords(first.day)}` : ""}`}
      tabs={batchTabs("season")}
    >
      <SeasonSheet
        key={asked.batch ?? 0}
        chosen={asked.batch ?? null}
        packed={JSON.stringify(view)}
        point={`${who.moved.base} ${who.moved.revision} ${who.today}`}
        noBasis={rows.varieties.length === 0 || rows.growingAreas.length === 0}
        weeks={weeks}
        sowWeekdays={who.sowWeekdays}
      />
    </Station>
  );
}
