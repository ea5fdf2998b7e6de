import type { Metadata } from "next";
import { houseOverlaps } from "@/core/place/houseChecks";
import { HousePlan } from "@/features/place/HousePlan";
import { season } from "@/server/batches/season";
import { houseViews } from "@/server/place/view";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { placeTabs } from "./tabs";

export const metadata: Metadata = { title: "Place" };

export default async function PlacePage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { house: houseId, stand, view } = viewQuery(await searchParams);
  const houses = houseViews(worked);
  const sites = houses.flatMap(({ stands }) => stands).reduce((sum, { counts }) => sum + counts.sites, 0);
  const planted = houses.flatMap(({ stands }) => stands).reduce((sum, view) => sum + view.planted, 0);
  const chosen =
    houses.find(({ house }) => house.id === houseId) ??
    houses.find(({ stands }) => stands.some((view) => view.stand.id === stand)) ??
    houses[1] ??
    houses[0];
  return (
    <Station
      title="Place"
      facts={`${houses.length} ${houses.length === 1 ? "house" : "houses"} · ${sites} sites and cells, ${planted} taken today`}
      tabs={placeTabs("plan")}
    >
      {houseOverlaps(worked.rows.houses).map((words) => (
        <p key={words} className="mb-2 text-sm text-soft">
          {words}
        </p>
      ))}
      <HousePlan
        key={view ?? chosen?.house.id}
        houses={houses}
        chosenHouse={view ? null : (chosen?.house.id ?? null)}
        chosenStand={stand ?? null}
        pools={worked.rows.pools}
        loops={worked.rows.loops.map(({ id, name }) => ({ id, name }))}
      />
    </Station>
  );
}
