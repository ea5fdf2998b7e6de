import type { Metadata } from "next";
import { houseOverlaps } from "@/core/place/houseChecks";
import { sitesOf } from "@/core/garden/ahead";
import { counted } from "@/core/units/format";
import { HousePlan } from "@/features/place/HousePlan";
import { season } from "@/server/garden/season";
import { houseViews } from "@/core/garden/placeView";
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
  const { sites, planted } = sitesOf(houses);
  const chosen =
    houses.find(({ house }) => house.id === houseId) ??
    houses.find(({ stands }) => stands.some((view) => view.stand.id === stand)) ??
    houses[1] ??
    houses[0];
  return (
    <Station
      title="Place"
      facts={`${counted(houses.length, "house")} · ${counted(sites, "site or cell", "sites and cells")}, ${planted} taken today`}
      tabs={placeTabs("plan")}
    >
      {houseOverlaps(worked.garden.houses).map(([first, second]) => (
        <p key={`${first}/${second}`} className="mb-2 text-sm text-soft">
          {first} and {second} overlap in the garden.
        </p>
      ))}
      <HousePlan
        key={view ?? chosen?.house.id}
        houses={houses}
        chosenHouse={view ? null : (chosen?.house.id ?? null)}
        chosenStand={stand ?? null}
        growingAreas={worked.garden.growingAreas}
        loops={worked.garden.loops.map(({ id, name }) => ({ id, name }))}
      />
    </Station>
  );
}
