import type { Metadata } from "next";
import { AccessHistory } from "@/features/people/AccessHistory";
import { HistorySheet } from "@/features/people/HistorySheet";
import { season } from "@/server/garden/season";
import { historyView } from "@/server/history/view";
import { gardenAccessEvents } from "@/server/people/accessEvents";
import { members } from "@/server/people/queries";
import { viewQuery } from "@/server/session/query";
import { read, readCached } from "@/server/session/read";
import { pageSession } from "@/server/session/session";
import { Station } from "@/ui/Station";
import { peopleTabs } from "../tabs";

export const metadata: Metadata = { title: "History" };

const EVENTS_SHOWN = 100;

export default async function HistoryPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const asked = viewQuery(await searchParams);
  const { garden: rows } = await season();
  const who = await pageSession();
  if (asked.at === "access" && who.role === "keeper") {
    const events = await read((db) => gardenAccessEvents(db, who.gardenId, asked.before ?? null, EVENTS_SHOWN));
    return (
      <Station title="History" facts="who signed in, and whose password changed" tabs={peopleTabs("history")}>
        <AccessHistory events={events} isFull={events.length === EVENTS_SHOWN} />
      </Station>
    );
  }
  const { people, view } = await readCached(`history ${JSON.stringify(asked)}`, async (db, who) => ({
    people: await members(db, who.gardenId),
    view: await historyView(db, who.gardenId, asked, rows),
  }));
  return (
    <Station title="History" facts="who changed what, and what was there before" tabs={peopleTabs("history")}>
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
