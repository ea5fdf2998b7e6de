import type { Metadata } from "next";
import { AHEAD_DAYS, strengthBasis, wishesAhead } from "@/core/garden/loopStrength";
import { loopNeedLpd } from "@/core/garden/loopNeed";
import { StrengthSheet } from "@/features/feed/strength/StrengthSheet";
import { loopHeader, schoolWords } from "@/features/feed/words";
import { season } from "@/server/garden/season";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { feedTabs } from "../tabs";

export const metadata: Metadata = { title: "Strength" };

export default async function StrengthPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { loops } = worked.garden;
  const { loop: asked } = viewQuery(await searchParams);
  const loop = loops.find(({ id }) => id === asked) ?? loops[0] ?? null;
  const feed = loop && worked.feeds.get(loop.id);
  return (
    <Station
      title="Strength"
      facts={loopHeader(
        loop,
        feed ? schoolWords(feed.strength.school) : "no recipe yet",
        loop ? loopNeedLpd(worked.plan, loop.id) : 0,
        worked.who.units,
      )}
      tabs={feedTabs("strength", loop?.id)}
    >
      <StrengthSheet
        key={loop?.id}
        loops={loops.map(({ id, name }) => ({ id, name }))}
        loop={loop}
        basis={feed ? strengthBasis(worked, loop.id, feed.recipe) : null}
        untold={loop ? wishesAhead(worked, loop.id).untold : []}
        aheadDays={AHEAD_DAYS}
      />
    </Station>
  );
}
