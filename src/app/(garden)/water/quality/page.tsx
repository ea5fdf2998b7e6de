import type { Metadata } from "next";
import { QualitySheet } from "@/features/water/quality/QualitySheet";
import { drawnBlend, loopRises, sourceQualities } from "@/core/garden/waterQuality";
import { season } from "@/server/garden/season";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { waterTabs } from "../tabs";

export const metadata: Metadata = { title: "Water quality" };

export default async function QualityPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { garden, today } = worked;
  const { loop: asked } = viewQuery(await searchParams);
  const round = garden.loops.filter(({ kind }) => kind === "recirculating");
  const loop = round.find(({ id }) => id === asked) ?? round[0] ?? null;
  return (
    <Station
      title="Water quality"
      facts={garden.sources.map(({ name }) => name).join(", ") || "no source yet"}
      tabs={waterTabs("quality", garden.stands)}
    >
      <QualitySheet
        today={today}
        qualities={sourceQualities(garden)}
        drawn={drawnBlend(worked)}
        loops={round.map(({ id, name }) => ({ id, name }))}
        loop={loop && { id: loop.id, name: loop.name, fillL: loop.normalFillL }}
        rises={loop ? { Na: loopRises(worked, loop, "Na"), Cl: loopRises(worked, loop, "Cl") } : null}
      />
    </Station>
  );
}
