"use client";
import { useEffect } from "react";
import { useFormContext, useWatch, type FieldValues } from "react-hook-form";
import { CLIMATE } from "@/core/garden/entities/place";
import type { ClimateRow } from "@/core/garden/garden";
import type { WeatherMonth } from "@/core/place/climate/weatherNormals";
import { seasonsAreTurned } from "@/core/place/climate/seasons";
import { turnedWords } from "../words";
import { saveClimate } from "@/server/place/climateActions";
import { climateSchema } from "@/server/place/schema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { fieldsOf } from "@/features/frame/form/entityFields";
import { formValues } from "@/features/frame/form/formValues";
import { Button } from "@/ui/Button";
import { BY_MONTH, MonthsTable, type ByMonth } from "./MonthsTable";

const FIELDS = fieldsOf(CLIMATE);
/** One table stands in place of the months' own controls. */
const OWN = Object.fromEntries(BY_MONTH.map((name, index) => [name, () => (index === 0 ? <MonthsTable /> : <></>)]));

export type ClimateDraft = Pick<ClimateRow, "elevationM" | "nearSea" | ByMonth>;

export function ClimateForm({
  climate,
  latitudeDeg,
  months,
  onDraft,
  onDone,
}: {
  climate: ClimateRow | null;
  latitudeDeg: number;
  /** What the imported days come to. */
  months: readonly (WeatherMonth | null)[];
  onDraft: (draft: ClimateDraft | null) => void;
  onDone: () => void;
}) {
  return (
    <EntityForm
      form="climate"
      schema={climateSchema}
      fields={FIELDS}
      own={OWN}
      defaults={formValues(CLIMATE, climate ?? {})}
      action={saveClimate}
      saved="Climate saved"
      onDone={onDone}
    >
      <p className="text-sm text-soft">
        Means of each month, as a weather service or an almanac of your place gives them. Humidity and wind may stay
        empty: then dew at the coldest of the night and 2 m/s are taken, as FAO-56 does. Rain may stay empty where none
        is caught.
      </p>
      <FromDays months={months} />
      <Turned latitudeDeg={latitudeDeg} />
      <Drawn onDraft={onDraft} />
    </EntityForm>
  );
}

/** Says so while it is typed where the months are those of the other half of the world. */
function Turned({ latitudeDeg }: { latitudeDeg: number }) {
  const { control } = useFormContext();
  const warmest = useWatch({ control, name: "highestCByMonth" }) as readonly unknown[] | null;
  const isWhole = warmest?.length === 12 && warmest.every((one) => typeof one === "number" && Math.abs(one) <= 60);
  if (!isWhole || !seasonsAreTurned(warmest as readonly number[], latitudeDeg)) return null;
  return (
    <p role="alert" className="mt-2 font-bold text-alarm">
      {turnedWords(latitudeDeg)}
    </p>
  );
}

/** Fills the table from imported days, as far as they go. */
function FromDays({ months }: { months: readonly (WeatherMonth | null)[] }) {
  const { setValue } = useFormContext();
  if (months.some((month) => month === null)) return null;
  const known = months as readonly WeatherMonth[];
  const of: Record<ByMonth, (month: WeatherMonth) => number | null> = {
    lowestCByMonth: (month) => month.lowestC,
    highestCByMonth: (month) => month.highestC,
    rainMmByMonth: (month) => month.rainMm,
    wetDaysByMonth: (month) => month.wetDays,
    humidityByMonth: (month) => month.humidity,
    windMPerSByMonth: (month) => month.windMPerS,
  };
  const fill = () => {
    for (const name of BY_MONTH) {
      const values = known.map(of[name]);
      if (values.some((value) => value === null)) continue;
      const digits = name === "humidityByMonth" ? 100 : 10;
      setValue(
        name,
        values.map((value) => Math.round(value! * digits) / digits),
        { shouldDirty: true },
      );
    }
  };
  return (
    <p className="mt-2">
      <Button look="quiet" onClick={fill}>
        Fill in the means of the imported days
      </Button>
    </p>
  );
}

/** While a figure is missing or out of its range, what was drawn last stays. */
function Drawn({ onDraft }: { onDraft: (draft: ClimateDraft | null) => void }) {
  const { control } = useFormContext();
  const text = JSON.stringify(useWatch({ control }));
  useEffect(() => {
    const values = JSON.parse(text) as FieldValues;
    const months = (name: ByMonth) => values[name] as ClimateDraft[ByMonth];
    const isWhole = (name: ByMonth, least: number, greatest: number) =>
      months(name) === null || months(name)!.every((one) => typeof one === "number" && one >= least && one <= greatest);
    const [low, high] = [months("lowestCByMonth"), months("highestCByMonth")];
    const isDrawable =
      isWhole("lowestCByMonth", -70, 50) &&
      isWhole("highestCByMonth", -60, 60) &&
      isWhole("rainMmByMonth", 0, 5000) &&
      isWhole("wetDaysByMonth", 0, 31) &&
      isWhole("humidityByMonth", 0.01, 1) &&
      isWhole("windMPerSByMonth", 0, 40) &&
      typeof values.elevationM === "number" &&
      values.elevationM >= -450 &&
      values.elevationM <= 5500 &&
      (!low || !high || low.every((one, month) => one <= high[month]!));
    if (isDrawable) onDraft(values as ClimateDraft);
  }, [text, onDraft]);
  useEffect(() => () => onDraft(null), [onDraft]);
  return null;
}
