import type { Metadata } from "next";
import { StocksSheet } from "@/features/feed/StocksSheet";
import { loopHeader } from "@/features/feed/words";
import { loopNeedLpd } from "@/core/garden/loopNeed";
import { sinceMixed } from "@/core/garden/stockRecord";
import { mixesOf } from "@/server/round/queries";
import { readCached } from "@/server/session/read";
import { season } from "@/server/garden/season";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { feedTabs } from "../tabs";

export const metadata: Metadata = { title: "Stocks" };

export default async function StocksPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { garden: rows, feeds, plan } = worked;
  const { loop: asked } = viewQuery(await searchParams);
  const loop = rows.loops.find((candidate) => candidate.id === asked) ?? rows.loops[0] ?? null;
  const feed = loop ? (feeds.get(loop.id) ?? null) : null;
  const mixes = loop ? await readCached(`mixes ${loop.id}`, (db) => mixesOf(db, worked.who.gardenId, loop.id)) : [];
  const batches = loop ? mixes.map((mix) => ({ ...mix, since: sinceMixed(worked, loop, mix) })) : [];
  return (
    <Station
      title="Feed"
      facts={loopHeader(
        loop,
        loop && (loop.feeding === "dry" ? "mixed by hand" : `1:${loop.ratioR}`),
        loop ? loopNeedLpd(plan, loop.id) : 0,
        worked.who.units,
      )}
      tabs={feedTabs("stocks", loop?.id)}
    >
      <StocksSheet
        key={loop?.id}
        loops={rows.loops.map(({ id, name }) => ({ id, name }))}
        loop={loop}
        feed={feed}
        stockReadings={rows.stockTanks.filter((tank) => tank.loopId === loop?.id)}
        mixes={batches}
        today={worked.who.today}
      />
    </Station>
  );
}
