"use client";
import { useState } from "react";
import { unshadedByMonth } from "@/core/garden/houseCrops";
import type { House, Variety } from "@/core/garden/garden";
import { lampPower, lampStrength, lightFor } from "@/core/place/climate/lamps";
import type { OutsideDay } from "@/core/place/climate/normals";
import { number } from "@/core/place/kinds/shared";
import { daysInMonth, MONTHS } from "@/core/units/day";
import { formatNumber, quantityText } from "@/core/units/format";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { Sentence } from "@/ui/blank/Sentence";
import { useUnits } from "@/ui/units";

const MEASURES = [
  number("wantedMol", "Light wanted, mol/m² a day", "ratio", 0.5, 80),
  number("umol", "Lamps, µmol/m² a second on the leaves", "ratio", 0, 3000),
  number("hours", "Hours at most", "count", 0, 24),
  number("areaM2", "Lit area", "area", 0, 100_000),
  number("umolPerJ", "Light for a joule, µmol/J", "ratio", 0.1, 5),
  number("lands", "Share that lands on the crop", "share", 0.01, 1),
];

interface LightCardProps {
  readonly house: House;
  readonly outside: readonly OutsideDay[];
  readonly varieties: readonly Pick<Variety, "id" | "name" | "lightMolPerM2Day">[];
}

/** Shade for too much light and lamps for too little, month by month, for what a crop wants. */
export function LightCard({ house, outside, varieties }: LightCardProps) {
  const units = useUnits();
  const wanting = varieties.filter(({ lightMolPerM2Day }) => (lightMolPerM2Day ?? 0) >= 0.5);
  const [chosen, setChosen] = useState(wanting[0]?.id ?? 0);
  const crop = wanting.find(({ id }) => id === chosen);
  const first = {
    wantedMol: String(crop?.lightMolPerM2Day ?? 14),
    ...{ umol: String(house.lampsUmolPerM2S ?? 150), hours: "16", umolPerJ: "2.5", lands: "85 %" },
    areaM2: units.system === "us" ? "40 ft²" : "4 m²",
  };
  const blanks = useBlanks(`draft:light:${house.id}:${chosen}`, MEASURES, first, units);
  const { wantedMol, umol, hours, areaM2, umolPerJ, lands } = blanks.good;
  const months = unshadedByMonth(outside, house).map((sunMol, month) => {
    const light = lightFor(sunMol, wantedMol!, { umolPerM2S: umol!, longestHours: hours! });
    const power = lampPower({
      ...{ umolPerM2S: umol!, areaM2: areaM2!, umolPerJ: umolPerJ!, shareThatLands: lands!, hours: light.lampHours },
      pricePerKwh: house.pricePerKwh ?? 0,
    });
    const days = daysInMonth(2027, month + 1);
    return { sunMol, light, kwh: power.kwhPerDay * days, cost: power.costPerDay * days, watts: power.watts };
  });
  const darkest = Math.min(...months.map(({ sunMol }) => sunMol));
  const isShort = months.some(({ light }) => light.shortMol > 0.05);
  const kwh = months.reduce((sum, month) => sum + month.kwh, 0);
  const cost = months.reduce((sum, month) => sum + month.cost, 0);
  return (
    <section aria-label="Shade and lamps" className="min-w-0">
      <h2 className="text-2xl">Shade and lamps</h2>
      <Sentence size="line" problems={blanks.problems}>
        {wanting.length > 0 && (
          <>
            <ChoiceBlank
              name="crop"
              label="Crop"
              value={chosen}
              options={wanting.map(({ id, name }) => ({ value: id, label: name }))}
              onValue={setChosen}
            />{" "}
            wants{" "}
          </>
        )}
        {wanting.length === 0 && "Wanted are "}
        <MeasureBlank blanks={blanks} name="wantedMol" /> mol/m² a day. Lamps bring{" "}
        <MeasureBlank blanks={blanks} name="umol" /> µmol/m² a second for at most{" "}
        <MeasureBlank blanks={blanks} name="hours" /> hours, over <MeasureBlank blanks={blanks} name="areaM2" />, at{" "}
        <MeasureBlank blanks={blanks} name="umolPerJ" /> µmol/J, of which <MeasureBlank blanks={blanks} name="lands" />{" "}
        land.
      </Sentence>
      <div className="overflow-x-auto">
        <table className="mt-2 w-full min-w-[34rem]">
          <thead className="text-right text-sm text-soft">
            <tr>
              <th className="text-left font-normal">month</th>
              <th className="font-normal">gets in unshaded</th>
              <th className="font-normal">shade for it</th>
              <th className="font-normal">lamps</th>
              <th className="font-normal">short</th>
              <th className="font-normal">kWh</th>
            </tr>
          </thead>
          <tbody>
            {months.map(({ sunMol, light, kwh: used }, month) => (
              <tr key={month} className="border-t border-rule text-right">
                <th scope="row" className="text-left font-bold">
                  {MONTHS[month]}
                </th>
                <td>{formatNumber(sunMol, 1)} mol</td>
                <td>{light.shadeShare > 0.005 ? quantityText(light.shadeShare, "share", units) : "–"}</td>
                <td>{light.lampHours > 0.05 ? `${formatNumber(light.lampHours, 1)} h` : "–"}</td>
                <td className={light.shortMol > 0.05 ? "font-bold text-alarm" : ""}>
                  {light.shortMol > 0.05 ? `${formatNumber(light.shortMol, 1)} mol` : "–"}
                </td>
                <td>{used > 0.5 ? formatNumber(used, 0) : "–"}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-soft">
        Lamps of {formatNumber(months[0]!.watts, 0)} W; {formatNumber(kwh, 0)} kWh in a year
        {house.pricePerKwh === null ? "" : `, ${quantityText(cost, "money", units)}`}.{" "}
        {isShort &&
          hours! >= 0.1 &&
          `For all of it in the darkest month they would have to bring ${formatNumber(lampStrength(wantedMol! - darkest, hours!), 0)} µmol/m² a second. `}
        The shade that the house has now is {quantityText(house.shadeShare, "share", units)}.
      </p>
    </section>
  );
}
