import type { Metadata } from "next";
import { RecipeSheet } from "@/features/feed/RecipeSheet";
import { loopHeader } from "@/features/feed/words";
import { feedWater } from "@/core/garden/feedWater";
import { loopNeedLpd } from "@/core/garden/loopNeed";
import { solveAgain } from "@/core/garden/recipeProposal";
import { solver } from "@/server/solver/highs";
import { season } from "@/server/garden/season";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { feedTabs } from "./tabs";

export const metadata: Metadata = { title: "Feed" };

export default async function FeedPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { garden: rows, feeds, plan } = worked;
  const { loop: asked } = viewQuery(await searchParams);
  const loop = rows.loops.find((candidate) => candidate.id === asked) ?? rows.loops[0] ?? null;
  const feed = loop ? (feeds.get(loop.id) ?? null) : null;
  const source = loop && feed ? feedWater(rows, loop, feed.recipe) : null;
  const needLpd = loop ? loopNeedLpd(plan, loop.id) : 0;
  return (
    <Station
      title="Feed"
      facts={loopHeader(loop, feed?.recipe.name ?? "no recipe yet", needLpd, worked.who.units)}
      tabs={feedTabs("recipe", loop?.id)}
    >
      <RecipeSheet
        key={loop?.id}
        loops={rows.loops.map(({ id, name, kind }) => ({ id, name, kind }))}
        loopId={loop?.id ?? null}
        feed={feed}
        recipes={rows.recipes}
        salts={rows.salts}
        waterName={source?.name ?? "pure water"}
        again={feed && solveAgain(feed, source, await solver())}
      />
    </Station>
  );
}
