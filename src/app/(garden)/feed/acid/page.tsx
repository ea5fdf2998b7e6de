import type { Metadata } from "next";
import { GENERAL_PH_BAND } from "@/core/feed/acidSteps";
import { acidResponse } from "@/core/garden/slipOf";
import { acidRoom } from "@/core/garden/acidRoom";
import { GUESSED_PH } from "@/core/garden/feedWater";
import { loopNeedLpd } from "@/core/garden/loopNeed";
import { AcidSheet } from "@/features/feed/acid/AcidSheet";
import { acidName, loopHeader } from "@/features/feed/words";
import { seasonWithFacts } from "@/server/round/today";
import { viewQuery } from "@/server/session/query";
import { Empty } from "@/ui/Empty";
import { Station } from "@/ui/Station";
import { feedTabs } from "../tabs";

export const metadata: Metadata = { title: "Acid" };

export default async function AcidPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await seasonWithFacts();
  const { loops, sources, stockTanks } = worked.garden;
  const { loop: asked } = viewQuery(await searchParams);
  const loop = loops.find(({ id }) => id === asked) ?? loops[0] ?? null;
  const source = sources.find(({ id }) => id === loop?.sourceId) ?? null;
  const feed = loop && worked.feeds.get(loop.id);
  const { phLow, phHigh } = feed?.recipe ?? GENERAL_PH_BAND;
  return (
    <Station
      title="Acid"
      facts={loopHeader(
        loop,
        loop && acidName(loop.acid, loop.acidPercent ?? undefined).toLowerCase(),
        loop ? loopNeedLpd(worked.plan, loop.id) : 0,
        worked.who.units,
      )}
      tabs={feedTabs("acid", loop?.id)}
    >
      {loop ? (
        <AcidSheet
          key={loop.id}
          loops={loops.map(({ id, name }) => ({ id, name }))}
          loop={loop}
          water={{
            name: source?.name ?? "The water",
            alkalinityMgCaco3PerL: source?.alkalinityMgCaco3PerL ?? 0,
            ph: source?.ph ?? GUESSED_PH,
            tellsPh: source?.ph != null,
          }}
          targetPh={Number(((phLow + phHigh) / 2).toFixed(2))}
          buffers={
            feed
              ? {
                  phosphorusMmolPerL: (feed.sheet.recipeIons.H2PO4 ?? 0) * (feed.sheet.strength ?? 0),
                  ammoniumMmolPerL: (feed.sheet.recipeIons.NH4 ?? 0) * (feed.sheet.strength ?? 0),
                }
              : null
          }
          room={feed ? acidRoom(feed, source) : null}
          stocks={stockTanks.filter(({ loopId }) => loopId === loop.id)}
          response={acidResponse(worked, loop)}
        />
      ) : (
        <Empty
          title="No loop yet"
          example="Under Water, enter a loop and what fills it: how much acid its water takes is then worked out here."
        />
      )}
    </Station>
  );
}
