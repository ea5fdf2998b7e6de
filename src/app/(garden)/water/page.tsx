import type { Metadata } from "next";
import { LoopSheet } from "@/features/water/LoopSheet";
import { loopNeedLpd } from "@/core/garden/loopNeed";
import { season } from "@/server/garden/season";
import { loopLadder, tankLimits } from "@/core/garden/tank";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { waterTabs } from "./tabs";

export const metadata: Metadata = { title: "Water" };

export default async function WaterPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { garden: rows } = worked;
  const { loop: asked } = viewQuery(await searchParams);
  const loop = rows.loops.find((candidate) => candidate.id === asked) ?? rows.loops[0] ?? null;
  const on = loop ? rows.stands.filter((stand) => stand.loopId === loop.id).map((stand) => stand.name) : [];
  return (
    <Station
      title="Water"
      facts={loop ? `${loop.name} loop · ${on.length ? on.join(", ").toLowerCase() : "no stands yet"}` : "no loop yet"}
      tabs={waterTabs("ladder")}
    >
      <LoopSheet
        key={loop?.id}
        loops={rows.loops.map(({ id, name }) => ({ id, name }))}
        loop={loop}
        ladder={loop && loopLadder(worked, loop)}
        needLpd={loop ? loopNeedLpd(worked.plan, loop.id) : 0}
        limits={loop && tankLimits(worked, loop)}
        recipes={rows.recipes.map(({ id, name }) => ({ id, name }))}
        sources={rows.sources.map(({ id, name }) => ({ id, name }))}
      />
    </Station>
  );
}
