import type { Metadata } from "next";
import { feedWater } from "@/core/garden/feedWater";
import { loopNeedLpd } from "@/core/garden/loopNeed";
import { recipeProposal } from "@/core/garden/recipeProposal";
import { SolveSheet } from "@/features/feed/solve/SolveSheet";
import { loopHeader } from "@/features/feed/words";
import { season } from "@/server/garden/season";
import { viewQuery } from "@/server/session/query";
import { solver } from "@/server/solver/highs";
import { Station } from "@/ui/Station";
import { feedTabs } from "../tabs";

export const metadata: Metadata = { title: "Solve" };

export default async function SolvePage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { garden, feeds, plan } = worked;
  const { loop: asked, salts: from = "recipe", by = "worst" } = viewQuery(await searchParams);
  const loop = garden.loops.find(({ id }) => id === asked) ?? garden.loops[0] ?? null;
  const feed = (loop && feeds.get(loop.id)) ?? null;
  const source = loop && feed ? feedWater(garden, loop, feed.recipe) : null;
  const others = garden.loops.filter(({ id, recipeId }) => id !== loop?.id && recipeId === feed?.recipe.id);
  return (
    <Station
      title="Solve"
      facts={loopHeader(
        loop,
        feed?.recipe.name ?? "no recipe yet",
        loop ? loopNeedLpd(plan, loop.id) : 0,
        worked.who.units,
      )}
      tabs={feedTabs("solve", loop?.id)}
    >
      <SolveSheet
        key={`${loop?.id} ${from} ${by}`}
        loops={garden.loops.map(({ id, name }) => ({ id, name }))}
        loopId={loop?.id ?? null}
        feed={feed}
        from={from}
        by={by}
        waterName={source?.name ?? "pure water"}
        proposal={
          feed && !feed.recipe.byLabel ? recipeProposal(garden, feed.recipe, source, from, by, await solver()) : null
        }
        alsoFor={others.map(({ name }) => name)}
      />
    </Station>
  );
}
