import type { Metadata } from "next";
import { StillSheet } from "@/features/water/still/StillSheet";
import { stillStands } from "@/core/garden/stillWater";
import { season } from "@/server/garden/season";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { waterTabs } from "../tabs";

export const metadata: Metadata = { title: "Still water" };

export default async function StillPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { stand: asked } = viewQuery(await searchParams);
  const still = stillStands(worked);
  const shown = still.find(({ stand }) => stand.id === asked) ?? still[0] ?? null;
  return (
    <Station
      title="Still water"
      facts={shown ? `${shown.stand.name} · ${shown.plants} plants there today` : "none yet"}
      tabs={waterTabs("still", worked.garden.stands)}
    >
      <StillSheet stands={still.map(({ stand: { id, name } }) => ({ id, name }))} shown={shown} />
    </Station>
  );
}
