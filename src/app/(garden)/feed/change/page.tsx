import type { Metadata } from "next";
import { ChangeSheet } from "@/features/feed/change/ChangeSheet";
import { loopHeader } from "@/features/feed/words";
import { changeInput, USUAL_HABITS } from "@/core/garden/keepOrChange";
import { loopNeedLpd } from "@/core/garden/loopNeed";
import { season } from "@/server/garden/season";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { feedTabs } from "../tabs";

export const metadata: Metadata = { title: "Keep or change" };

export default async function ChangePage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { garden, plan } = worked;
  const { loop: asked } = viewQuery(await searchParams);
  const round = garden.loops.filter(({ kind }) => kind === "recirculating");
  const loop = round.find(({ id }) => id === asked) ?? round[0] ?? null;
  const input = loop && changeInput(worked, loop, USUAL_HABITS);
  return (
    <Station
      title="Keep or change"
      facts={loopHeader(
        loop,
        (loop && worked.feeds.get(loop.id)?.recipe.name) ?? "no recipe yet",
        loop ? loopNeedLpd(plan, loop.id) : 0,
        worked.who.units,
      )}
      tabs={feedTabs("change", loop?.id)}
    >
      <ChangeSheet
        key={loop?.id}
        today={worked.today}
        loops={round.map(({ id, name }) => ({ id, name }))}
        loop={loop}
        input={
          input === null || typeof input === "string"
            ? input
            : { ...input, drunkL: Array.from(input.drunkL), evaporatedL: Array.from(input.evaporatedL) }
        }
      />
    </Station>
  );
}
