import type { Metadata } from "next";
import { LoopSheet } from "@/features/water/LoopSheet";
import { normalsOf } from "@/core/garden/climate";
import { learnedNeed, loopNeedLpd, openWaterLpd } from "@/core/garden/loopNeed";
import { filmPauses } from "@/core/garden/filmPauses";
import { remediesOf } from "@/core/garden/remedies";
import { loopLight } from "@/core/garden/loopLight";
import { standingOnLoop } from "@/core/garden/standing";
import type { Loop } from "@/core/garden/garden";
import { season, type Season } from "@/server/garden/season";
import { now } from "@/server/session/clock";
import { read } from "@/server/session/read";
import { tankHistory } from "@/server/water/queries";
import { standFlows } from "@/core/garden/standFlows";
import { endsOf, loopLadder, tankLimits } from "@/core/garden/tank";
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
  const { loop: asked, bank } = viewQuery(await searchParams);
  const loop = rows.loops.find((candidate) => candidate.id === asked) ?? rows.loops[0] ?? null;
  const stands = rows.stands.filter((stand) => loop !== null && stand.loopId === loop.id);
  const on = stands.map((stand) => stand.name);
  const ladder = loop && loopLadder(worked, loop, bank);
  const learned = loop && (await learnedOf(worked, loop));
  return (
    <Station
      title="Water"
      facts={loop ? `${loop.name} loop · ${on.length ? on.join(", ").toLowerCase() : "no stands yet"}` : "no loop yet"}
      tabs={waterTabs("ladder", rows.stands)}
    >
      <LoopSheet
        key={`${loop?.id} ${bank ?? ""}`}
        loops={rows.loops.map(({ id, name }) => ({ id, name }))}
        loop={loop}
        ladder={ladder}
        remedies={loop && ladder ? remediesOf(worked, loop, ladder, bank) : []}
        need={{
          litres: loop ? loopNeedLpd(worked.plan, loop.id) : 0,
          openWaterLpd: loop ? openWaterLpd(worked.plan, worked.input, loop) : 0,
          today: loop && standingOnLoop(worked, loop.id, worked.today),
          hasClimate: normalsOf(rows) !== null,
          learned,
        }}
        checks={loop && { light: loopLight(worked, loop), film: filmPauses(worked, loop) }}
        limits={loop && tankLimits(worked, loop)}
        flows={loop ? standFlows(worked, loop) : []}
        stands={stands}
        banks={loop ? endsOf(worked, loop) : []}
        recipes={rows.recipes.map(({ id, name }) => ({ id, name }))}
        sources={rows.sources.map(({ id, name }) => ({ id, name }))}
      />
    </Station>
  );
}

/** The log is looked through this far back. */
const LEARNED_DAYS = 28;
const DAY_MS = 86_400_000;

function learnedOf({ plan, who }: Season, loop: Loop) {
  if (who.whatIf !== null) return null;
  return read(async (db, { gardenId, timeZone }) => {
    const until = now();
    const from = new Date(until.getTime() - LEARNED_DAYS * DAY_MS);
    const { levels, changes } = await tankHistory(db, gardenId, loop.id, { from, until, timeZone });
    return learnedNeed(plan, loop, levels, changes);
  });
}
