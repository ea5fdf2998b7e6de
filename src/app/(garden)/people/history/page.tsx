import type { Metadata } from "next";
import { DoorHistory } from "@/features/people/DoorHistory";
import { HistorySheet } from "@/features/people/HistorySheet";
import { season } from "@/server/batches/season";
import { historyView } from "@/server/history/view";
import { gardenDoorEvents } from "@/server/people/doorEvents";
import { members } from "@/server/people/queries";
import { viewQuery } from "@/server/session/query";
import { read, readKept } from "@/server/session/read";
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
  const { rows } = await season();
  const who = await pageSession();
  if (asked.at === "door" && who.role === "keeper") {
    const events = await read((db) => gardenDoorEvents(db, who.gardenId, asked.before ?? null, EVENTS_SHOWN));
    return (
      <Station title="History" facts="who came in, and whose key was changed" tabs={peopleTabs("history")}>
        <DoorHistory events={events} isFull={events.length === EVENTS_SHOWN} />
      </Station>
    );
  }
  const { people, view } = await readKept(`history ${JSON.stringify(asked)}`, async (db, who) => ({
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
