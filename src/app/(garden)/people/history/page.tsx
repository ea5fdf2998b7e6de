import type { Metadata } from "next";
import { HistorySheet } from "@/features/people/HistorySheet";
import { season } from "@/server/batches/season";
import { historyView } from "@/server/history/view";
import { members } from "@/server/people/queries";
import { viewQuery } from "@/server/session/query";
import { read } from "@/server/session/read";
import { Station } from "@/ui/Station";
import { peopleTabs } from "../tabs";

export const metadata: Metadata = { title: "History" };

export default async function HistoryPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const asked = viewQuery(await searchParams);
  const { rows } = await season();
  const { people, view } = await read(async (db, who) => ({
    people: await members(db, who.gardenId),
    view: await historyView(db, who.gardenId, asked, rows, who.units),
  }));
  return (
    <Station title="History" facts="who changed what, and what stood there before" tabs={peopleTabs("history")}>
      <HistorySheet
        view={view}
        asked={asked}
        people={people}
        houses={rows.houses}
        stands={rows.stands}
        loops={rows.loops}
      />
    </Station>
  );
}
