import type { Metadata } from "next";
import { weatherNormals } from "@/core/place/climate/weatherNormals";
import { normalsOf, outsideYear } from "@/core/garden/climate";
import { cropBands, weekAhead } from "@/core/garden/houseCrops";
import { ClimateSheet } from "@/features/growth/climate/ClimateSheet";
import { season } from "@/server/garden/season";
import { weatherDays } from "@/server/place/weatherQueries";
import { read } from "@/server/session/read";
import { quantityText } from "@/core/units/format";
import { Station } from "@/ui/Station";
import { growthTabs } from "../tabs";

export const metadata: Metadata = { title: "Climate" };

export default async function ClimatePage({ searchParams }: { searchParams: Promise<{ house?: string }> }) {
  const worked = await season();
  const { garden, who } = worked;
  const { house } = await searchParams;
  const days = await read((db, { gardenId }) => weatherDays(db, gardenId));
  const normals = normalsOf(garden);
  const year = outsideYear(garden);
  const chosen = garden.houses.find(({ id }) => String(id) === house) ?? null;
  const shown = house === undefined ? (garden.houses[0] ?? null) : chosen;
  return (
    <Station
      title="Climate"
      facts={`${who.gardenName} · ${quantityText(garden.latitudeDeg, "latitude", who.units)}`}
      tabs={growthTabs("climate")}
    >
      <ClimateSheet
        climate={garden.climate}
        latitudeDeg={garden.latitudeDeg}
        houses={garden.houses}
        house={shown}
        week={shown && normals ? weekAhead(worked, normals, shown, days, who.today) : null}
        bands={shown && year ? cropBands(garden, shown, year) : []}
        year={year}
        varieties={garden.varieties.map(({ id, name, lightMolPerM2Day }) => ({ id, name, lightMolPerM2Day }))}
        imported={days.length > 0 ? { days: days.length, from: days[0]!.day, to: days.at(-1)!.day } : null}
        months={weatherNormals(days)}
      />
    </Station>
  );
}
