import type { Metadata } from "next";
import { logFilterOf } from "@/server/round/logFilter";
import { logEntries } from "@/server/round/queries";
import { readCached } from "@/server/session/read";
import { Log } from "@/features/round/Log";
import { Station } from "@/ui/Station";
import { roundTabs } from "../tabs";
import { counted } from "@/core/units/format";

export const metadata: Metadata = { title: "Log" };

export default async function LogPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const asked = await searchParams;
  const { entries, filter, problem, today } = await readCached(`log ${JSON.stringify(asked)}`, async (db, who) => {
    const understood = logFilterOf(asked, who.today);
    return { ...understood, today: who.today, entries: await logEntries(db, who.gardenId, understood.filter) };
  });
  return (
    <Station
      title="Log"
      facts={`${counted(entries.length, "entry", "entries")}${entries.length === filter.limit ? ", the newest" : ""}`}
      tabs={roundTabs("log")}
    >
      <Log entries={entries} filter={filter} problem={problem} today={today} />
    </Station>
  );
}
