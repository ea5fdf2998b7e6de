"use client";
import { useCallback, useMemo, useState } from "react";
import { normalsOf } from "@/core/garden/climate";
import type { ClimateRow, House, Variety } from "@/core/garden/garden";
import type { CropBand, WeekAhead as Week } from "@/core/garden/houseCrops";
import type { OutsideDay } from "@/core/place/climate/normals";
import { seasonsAreTurned } from "@/core/place/climate/seasons";
import { turnedWords } from "../words";
import { climateDays, OUTSIDE } from "@/core/place/climate/climateYear";
import { LIGHT_THROUGH } from "@/core/place/climate/houseAir";
import type { WeatherMonth } from "@/core/place/climate/weatherNormals";
import { dayInWords } from "@/core/units/day";
import { clockText, counted, formatNumber, quantityText } from "@/core/units/format";
import { Only } from "@/features/frame/who";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { Picker } from "@/ui/Picker";
import { useUnits } from "@/ui/units";
import { ClimateForm, type ClimateDraft } from "./ClimateForm";
import { ClimateMonths } from "./ClimateMonths";
import { ClimateYear } from "./ClimateYear";
import { CropBands } from "./CropBands";
import { HeatCard } from "./HeatCard";
import { LightCard } from "./LightCard";
import { WeekAhead } from "./WeekAhead";
import { HouseAirForm } from "./HouseAirForm";
import { WeatherImport, type Imported } from "./WeatherImport";

export interface ClimateSheetProps {
  readonly climate: ClimateRow | null;
  readonly latitudeDeg: number;
  readonly houses: readonly House[];
  /** The house that is looked at; null: outside. */
  readonly house: House | null;
  readonly imported: Imported | null;
  readonly months: readonly (WeatherMonth | null)[];
  /** Of the house that is looked at, where the months are told. */
  readonly week: Week | null;
  readonly bands: readonly CropBand[];
  readonly year: readonly OutsideDay[] | null;
  readonly varieties: readonly Pick<Variety, "id" | "name" | "lightMolPerM2Day">[];
}

/** Weekly, and the last day. */
const DAYS = [...Array.from({ length: 52 }, (_, week) => 1 + week * 7), 365];
/** Outside is no house. */
const OUTSIDE_ID = 0;

/** The weather of the place and the air in its houses: what water and growth are worked out from. */
export function ClimateSheet({ climate, latitudeDeg, houses, house, imported, months, ...more }: ClimateSheetProps) {
  const [editing, setEditing] = useState<"climate" | "house" | "days" | null>(null);
  const [draft, setDraft] = useState<ClimateDraft | null>(null);
  const close = useCallback(() => setEditing(null), []);
  const shown = useMemo(() => (draft ? { ...draft, id: 0 } : climate), [draft, climate]);
  const normals = useMemo(() => normalsOf({ climate: shown, latitudeDeg }), [shown, latitudeDeg]);
  const outside = useMemo(() => normals && climateDays(normals, OUTSIDE, DAYS), [normals]);
  const inside = useMemo(
    () => (normals && house ? { name: house.name, days: climateDays(normals, house, DAYS) } : null),
    [normals, house],
  );
  const places = [{ id: OUTSIDE_ID, name: "Outside" }, ...houses];
  return (
    <>
      {normals && outside ? (
        <>
          <Picker href="/growth/climate" query="house" rows={places} chosen={house?.id ?? OUTSIDE_ID} />
          <div className="mt-3 grid gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_19rem]">
            <div className="min-w-0 space-y-6">
              <ClimateYear outside={outside} inside={inside} rainMmByMonth={shown?.rainMmByMonth ?? null} />
              <ClimateMonths normals={normals} house={house ?? OUTSIDE} />
              {house && <CropBands bands={more.bands} houseName={house.name} />}
              {house && more.year && (
                <LightCard key={house.id} house={house} outside={more.year} varieties={more.varieties} />
              )}
            </div>
            <aside className="space-y-5">
              {normals && seasonsAreTurned(normals.highestCByMonth, latitudeDeg) && (
                <p role="alert" className="font-bold text-alarm">
                  {turnedWords(latitudeDeg)}
                </p>
              )}
              {house && <AirOf house={house} onChange={() => setEditing("house")} />}
              {house && more.week && <WeekAhead week={more.week} houseName={house.name} />}
              {house && more.year && <HeatCard key={house.id} house={house} outside={more.year} />}
              <OfPlace climate={climate} imported={imported} onEdit={setEditing} />
            </aside>
          </div>
        </>
      ) : (
        <Empty
          title="No climate yet"
          example="With the warmest and coldest of each month, what plants drink is worked out day by day and house by house, and light and heat are known. Twelve figures of each are enough; daily weather of a station can be brought in."
        >
          <Only right="plan">
            <div className="flex flex-wrap gap-3">
              <Button look="strong" onClick={() => setEditing("climate")}>
                Enter the months
              </Button>
              <Button onClick={() => setEditing("days")}>Bring in daily weather</Button>
            </div>
          </Only>
          {imported && (
            <p className="mt-2">{counted(imported.days, "day")} were brought in: enter the months from them.</p>
          )}
        </Empty>
      )}
      <Drawer open={editing === "climate"} onClose={close} title="The weather of each month">
        <ClimateForm climate={climate} latitudeDeg={latitudeDeg} months={months} onDraft={setDraft} onDone={close} />
      </Drawer>
      <Drawer open={editing === "days"} onClose={close} title="Daily weather">
        <WeatherImport imported={imported} onDone={close} />
      </Drawer>
      {house && (
        <Drawer open={editing === "house"} onClose={close} title={`Air and light in the ${house.name}`}>
          <HouseAirForm house={house} onDone={close} />
        </Drawer>
      )}
    </>
  );
}

function AirOf({ house, onChange }: { house: House; onChange: () => void }) {
  const units = useUnits();
  const degrees = (value: number) => quantityText(value, "degrees", units);
  const share = (value: number) => quantityText(value, "share", units);
  const through = house.lightThrough ?? LIGHT_THROUGH[house.cover];
  const lines = [
    `${share(through * (1 - house.shadeShare))} of the light gets in${house.shadeShare > 0 ? `, with ${share(house.shadeShare)} shade` : ""}.`,
    `${degrees(house.warmerByDayC)} warmer than outside by day, ${degrees(house.warmerByNightC)} at night.`,
    house.heatedToC === null ? "Not heated." : `Heated to ${quantityText(house.heatedToC, "temperature", units)}.`,
    house.ventedAtC === null ? null : `Vented at ${quantityText(house.ventedAtC, "temperature", units)}.`,
    house.lampsFromMin === null || house.lampsToMin === null
      ? null
      : `Lamps from ${clockText(house.lampsFromMin)} to ${clockText(house.lampsToMin)}${house.lampsUmolPerM2S === null ? "; how strong is not told" : `, ${formatNumber(house.lampsUmolPerM2S, 0)} µmol/m² a second`}; their light is not in the picture.`,
    house.cover === "solid"
      ? "Under a solid roof what plants drink is not worked out from the weather: the figures of their stages stand."
      : null,
  ].filter((line) => line !== null);
  return (
    <section aria-label={`Air in the ${house.name}`}>
      <h2 className="text-2xl">In the {house.name}</h2>
      <ul className="mt-1 space-y-1">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <Only right="plan">
        <Button className="mt-2" onClick={onChange}>
          Change its air and light
        </Button>
      </Only>
    </section>
  );
}

function OfPlace({
  climate,
  imported,
  onEdit,
}: {
  climate: ClimateRow | null;
  imported: Imported | null;
  onEdit: (what: "climate" | "days") => void;
}) {
  const units = useUnits();
  const told = [
    climate?.humidityByMonth ? null : "humidity",
    climate?.windMPerSByMonth ? null : "wind",
    climate?.rainMmByMonth ? null : "rain",
  ].filter((one) => one !== null);
  return (
    <section aria-label="Weather of the place">
      <h2 className="text-2xl">The place</h2>
      <p className="mt-1">
        {quantityText(climate?.elevationM ?? 0, "length", units)} over the sea,{" "}
        {climate?.nearSea ? "at a coast" : "inland"}: light is worked out from the swing of day and night.
      </p>
      {told.length > 0 && <p className="mt-1 text-soft">Not told: {told.join(", ")}.</p>}
      <p className="mt-1">
        {imported
          ? `${counted(imported.days, "day")} of weather were brought in, ${dayInWords(imported.from, "year")} to ${dayInWords(imported.to, "year")}.`
          : "No daily weather was brought in."}
      </p>
      <Only right="plan">
        <div className="mt-2 flex flex-col items-start gap-2">
          <Button onClick={() => onEdit("climate")}>Change the months</Button>
          <Button onClick={() => onEdit("days")}>Bring in daily weather</Button>
        </div>
      </Only>
    </section>
  );
}
