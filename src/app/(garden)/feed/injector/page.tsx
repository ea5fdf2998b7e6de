import type { Metadata } from "next";
import { injectorSheet } from "@/core/garden/injectorSheet";
import { loopNeedLpd } from "@/core/garden/loopNeed";
import { InjectorSheet } from "@/features/feed/injector/InjectorSheet";
import { loopHeader } from "@/features/feed/words";
import { calibrationsOf } from "@/server/round/queries";
import { seasonWithFacts } from "@/server/round/today";
import { readCached } from "@/server/session/read";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { feedTabs } from "../tabs";

export const metadata: Metadata = { title: "Injector" };

export default async function InjectorPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await seasonWithFacts();
  const { loops } = worked.garden;
  const { loop: asked } = viewQuery(await searchParams);
  const loop =
    loops.find(({ id }) => id === asked) ?? loops.find(({ feeding }) => feeding === "injector") ?? loops[0] ?? null;
  const needLpd = loop ? loopNeedLpd(worked.plan, loop.id) : 0;
  const past = loop
    ? await readCached(`calibrations ${loop.id}`, (db) => calibrationsOf(db, worked.who.gardenId, loop.id))
    : [];
  return (
    <Station
      title="Feed"
      facts={loopHeader(loop, loop && `1:${loop.ratioR}`, needLpd, worked.who.units)}
      tabs={feedTabs("injector", loop?.id)}
    >
      <InjectorSheet
        key={loop?.id}
        loops={loops.map(({ id, name }) => ({ id, name }))}
        loop={loop}
        sheet={loop && injectorSheet(worked, loop)}
        past={past}
        today={worked.who.today}
      />
    </Station>
  );
}
