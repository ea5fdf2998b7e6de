import type { Metadata } from "next";
import { logFilterOf } from "@/server/round/logFilter";
import { logEntries } from "@/server/round/queries";
import { pool } from "@/server/db/pool";
import { session } from "@/server/session/session";
import { Log } from "@/features/round/Log";
import { Station } from "@/ui/Station";
import { roundTabs } from "../tabs";

export const metadata: Metadata = { title: "Log" };

export default async function LogPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const who = await session();
  const asked = await searchParams;
  const { filter, problem } = logFilterOf(asked, who.today);
  const entries = await logEntries(pool(), who.gardenId, filter);
  return (
    <Station
      title="Log"
      facts={`${entries.length}${entries.length === filter.limit ? " newest" : ""} entries`}
      tabs={roundTabs("log")}
    >
      <Log entries={entries} filter={filter} problem={problem} today={who.today} />
    </Station>
  );
}
