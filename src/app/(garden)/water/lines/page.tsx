import type { Metadata } from "next";
import { headAtLines } from "@/core/garden/headAtLines";
import { pumpOnPipes } from "@/core/garden/ladderPump";
import { drippedOf } from "@/core/water/dripLine";
import { LinesSheet } from "@/features/water/lines/LinesSheet";
import { plantNeedOn } from "@/core/garden/tank";
import { catchCansOf } from "@/server/round/queries";
import { season } from "@/server/garden/season";
import { readCached } from "@/server/session/read";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { waterTabs } from "../tabs";

export const metadata: Metadata = { title: "Drip lines" };

export default async function LinesPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { garden } = worked;
  const { stand: asked } = viewQuery(await searchParams);
  const dripped = garden.stands.filter(({ spec }) => drippedOf(spec));
  const stand = dripped.find(({ id }) => id === asked) ?? dripped[0];
  const loop = garden.loops.find(({ id }) => id === stand?.loopId);
  return (
    <Station
      title="Drip lines"
      facts={stand ? `${stand.name}${loop ? ` · ${loop.name} loop` : " · on no loop"}` : "nothing drips yet"}
      tabs={waterTabs("lines", garden.stands)}
    >
      <LinesSheet
        stands={dripped.map(({ id, name }) => ({ id, name }))}
        view={
          stand
            ? {
                stand,
                spec: drippedOf(stand.spec)!,
                head: loop
                  ? headAtLines(
                      loop,
                      stand.id,
                      pumpOnPipes(
                        loop,
                        garden.stands.filter(({ loopId }) => loopId === loop.id),
                      ),
                    )
                  : null,
                ...(loop?.pump?.waterC !== undefined && { waterC: loop.pump.waterC }),
                watering: loop
                  ? { timer: loop.timer, drainShare: loop.drainShare, needLpd: plantNeedOn(worked, stand) }
                  : null,
                tests: await readCached(`cans ${stand.id}`, (db, who) => catchCansOf(db, who.gardenId, stand.id)),
              }
            : null
        }
      />
    </Station>
  );
}
