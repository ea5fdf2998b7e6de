import type { Metadata } from "next";
import { timerMinutes, timerRuns } from "@/core/water/timer";
import { PumpSheet } from "@/features/water/pump/PumpSheet";
import { season } from "@/server/garden/season";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { waterTabs } from "../tabs";

export const metadata: Metadata = { title: "Pump" };

export default async function PumpPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { garden } = await season();
  const { loop: asked } = viewQuery(await searchParams);
  const pumped = garden.loops.filter(({ pump }) => pump);
  const loop = pumped.find(({ id }) => id === asked) ?? pumped[0] ?? null;
  const stands = garden.stands.filter(({ loopId }) => loop && loopId === loop.id);
  return (
    <Station
      title="Pump"
      facts={
        loop
          ? `${loop.name} loop · ${stands
              .map(({ name }) => name)
              .join(", ")
              .toLowerCase()}`
          : "no pump yet"
      }
      tabs={waterTabs("pump", garden.stands)}
    >
      <PumpSheet
        loops={pumped.map(({ id, name }) => ({ id, name }))}
        loop={loop}
        stands={stands}
        minutesPerDay={loop ? timerMinutes(loop.timer) : 0}
        longestRunMin={Math.max(1, ...(loop ? timerRuns(loop.timer) : []).map(({ lengthMin }) => lengthMin))}
      />
    </Station>
  );
}
