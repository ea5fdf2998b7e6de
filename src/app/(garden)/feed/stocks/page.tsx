import type { Metadata } from "next";
import { StocksSheet } from "@/features/feed/StocksSheet";
import { standFlow } from "@/core/place/standFlow";
import { loopNeedLpd, season } from "@/server/batches/season";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { feedTabs } from "../tabs";

export const metadata: Metadata = { title: "Stocks and injector" };

export default async function StocksPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { rows, feeds, plan } = worked;
  const { loop: asked } = viewQuery(await searchParams);
  const loop = rows.loops.find((candidate) => candidate.id === asked) ?? rows.loops[0] ?? null;
  const feed = loop ? (feeds.get(loop.id) ?? null) : null;
  const banks = rows.stands
    .filter((stand) => stand.loopId === loop?.id)
    .map((stand) => ({ stand, flow: standFlow(stand.spec) }))
    .filter(({ flow }) => flow.lineFlowLph > 0)
    .map(({ stand, flow }) => ({
      name: stand.name,
      flowLph: flow.lineFlowLph * Math.min(flow.lines, flow.linesPerValve),
    }));
  return (
    <Station
      title="Feed"
      facts={
        loop
          ? `${loop.name} loop · 1:${loop.ratioR} · ${Math.round(loopNeedLpd(plan, loop.id))} L of feed a day`
          : "no loop yet"
      }
      tabs={feedTabs("stocks", loop?.id)}
    >
      <StocksSheet
        key={loop?.id}
        loops={rows.loops.map(({ id, name }) => ({ id, name }))}
        loop={loop}
        feed={feed}
        banks={banks}
        stockReadings={rows.stockTanks.filter((tank) => tank.loopId === loop?.id)}
        today={worked.who.today}
      />
    </Station>
  );
}
