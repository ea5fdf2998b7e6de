"use client";
import { useMemo } from "react";
import { climateDays } from "@/core/place/climate/climateYear";
import type { HouseClimate } from "@/core/place/climate/houseAir";
import { MIDDLES, type ClimateNormals } from "@/core/place/climate/normals";
import { MONTHS } from "@/core/units/day";
import { fromBase, preferredUnit } from "@/core/units/dimensions";
import { formatQuantity } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";

/** The figures of the middle of each month, in the house that is looked at. */
export function ClimateMonths({ normals, house }: { normals: ClimateNormals; house: HouseClimate }) {
  const units = useUnits();
  const days = useMemo(() => climateDays(normals, house, MIDDLES), [normals, house]);
  const unit = (dimension: "temperature" | "rain") => preferredUnit(dimension, units).symbol;
  const rain = preferredUnit("rain", units);
  const degrees = (value: number) => formatQuantity(value, "temperature", units).figure;
  const rows: readonly [name: React.ReactNode, (day: (typeof days)[number]) => string][] = [
    [`Warmest, ${unit("temperature")}`, ({ highestC }) => degrees(highestC)],
    [`Coldest, ${unit("temperature")}`, ({ lowestC }) => degrees(lowestC)],
    ["Light, mol/m² a day", ({ lightMol }) => lightMol.toFixed(0)],
    ["Daylight, hours", ({ daylightHours }) => daylightHours.toFixed(1)],
    [
      <Why
        key="et0"
        label="What grass drinks"
        how="Reference evapotranspiration by Penman and Monteith (FAO-56, equation 6): light as cover and shade let it through, the temperature and humidity of the air inside, wind 0.5 m/s behind walls and half of that outside under net. A plant drinks that × its crop coefficient × its ground."
        inputs={[]}
      >
        Grass drinks, {unit("rain")} a day
      </Why>,
      ({ et0Mm }) => (et0Mm === null ? "–" : fromBase(et0Mm, rain).toFixed(rain.symbol === "mm" ? 1 : 2)),
    ],
  ];
  return (
    <div className="mt-2 overflow-x-auto">
      <table className="w-full min-w-[44rem] text-right tabular-nums">
        <thead>
          <tr className="text-sm text-soft">
            <th className="text-left font-normal">Middle of</th>
            {MONTHS.map((month) => (
              <th key={month} className="font-normal">
                {month.slice(0, 3)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, text], index) => (
            <tr key={index} className="border-t border-rule">
              <th scope="row" className="whitespace-nowrap pr-3 text-left font-normal">
                {name}
              </th>
              {days.map((day) => (
                <td key={day.dayOfYear} className="py-0.5">
                  {text(day)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
