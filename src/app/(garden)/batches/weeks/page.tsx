import type { Metadata } from "next";
import { household } from "@/core/garden/household";
import { seasonView } from "@/core/garden/seasonView";
import { seasonSettings } from "@/core/garden/season/usualSeason";
import { weeksOf } from "@/core/garden/weeks";
import { weekdayOf } from "@/core/units/day";
import { WeeksSheet } from "@/features/batches/weeks/WeeksSheet";
import { season } from "@/server/garden/season";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { batchTabs } from "../tabs";

export const metadata: Metadata = { title: "Week by week" };

const USUAL_WEEKS = 4;

export default async function WeeksPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const count = viewQuery(await searchParams).weeks ?? USUAL_WEEKS;
  const monday = worked.today - (weekdayOf(worked.today) - 1);
  const to = monday + 7 * count;
  return (
    <Station title="Week by week" facts={worked.who.gardenName} tabs={batchTabs("weeks")}>
      <WeeksSheet
        weeks={weeksOf(seasonView(worked, monday, to))}
        count={count}
        today={worked.today}
        household={household(worked, worked.today, to, seasonSettings(worked.garden).confidence)}
      />
    </Station>
  );
}
