"use client";
import { useState } from "react";
import { houseHeat } from "@/core/garden/houseHeat";
import type { House } from "@/core/garden/garden";
import type { OutsideDay } from "@/core/place/climate/normals";
import { CAUTIONS } from "@/core/feed/cautions";
import { MONTHS } from "@/core/units/day";
import { formatNumber, quantityText } from "@/core/units/format";
import { CautionNote } from "@/ui/Caution";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { Facts } from "../Facts";

/** A house against the cold: heater, energy and cost of a year, and what it has. */
export function HeatCard({ house, outside }: { readonly house: House; readonly outside: readonly OutsideDay[] }) {
  const units = useUnits();
  // The coldest nights of a year lie well under the mean of the coldest month.
  const [coldest, setColdest] = useState<QuantityValue>(
    Math.round(Math.min(...outside.map(({ lowestC }) => lowestC)) - 6),
  );
  const isGood = typeof coldest === "number" && coldest >= -60 && coldest <= 40;
  const heat = houseHeat(house, outside, isGood ? coldest : 0);
  const degrees = (value: number) => quantityText(value, "temperature", units);
  if (!heat)
    return (
      <section aria-label="Heat">
        <h2 className="text-2xl">Heat</h2>
        <p className="text-soft">Under net and in the open no heating is worked out.</p>
      </section>
    );
  const kwh = heat.kwhByMonth?.reduce((sum, one) => sum + one, 0) ?? null;
  const most = Math.max(1, ...(heat.kwhByMonth ?? [1]));
  const kw = (watts: number) => `${formatNumber(watts / 1000, 1)} kW`;
  return (
    <section aria-label="Heat">
      <h2 className="text-2xl">Heat</h2>
      <div className="max-w-52">
        <Field label="Coldest night to hold" error={isGood ? undefined : "A temperature outside, as cold as it gets"}>
          {(aria) => <QuantityInput {...aria} dimension="temperature" value={coldest} onValue={setColdest} />}
        </Field>
      </div>
      {heat.heaterW === null ? (
        <p className="mt-2 text-soft">It is not heated: tell to what under “Change its air and light”.</p>
      ) : (
        <p className="mt-2">
          <span className="sign text-4xl">
            <Why
              label="Heater"
              how="Heat that goes out for each degree (U × the area of walls and roof, and 0.33 W for each m³ of air and change an hour) × the degrees between the set point and the coldest night. Sun and stored warmth are not counted."
              inputs={[
                ["walls and roof", quantityText(heat.wallsM2 + heat.roofM2, "area", units)],
                ["U, W/m² and degree", formatNumber(heat.uWPerM2K, 1)],
                ["lost for each °C", `${formatNumber(heat.lossWPerK, 0)} W`],
                ["of it by air", `${formatNumber(heat.airWPerK, 0)} W`],
              ]}
            >
              {kw(heat.heaterW)}
            </Why>
          </span>{" "}
          of heater keep {degrees(house.heatedToC!)} at {degrees(isGood ? coldest : 0)} outside
        </p>
      )}
      <Facts
        rows={[
          [
            "it has",
            house.heaterKw === null
              ? null
              : `${formatNumber(house.heaterKw, 1)} kW${heat.heldC === null ? "" : `: holds ${degrees(heat.heldC)}`}`,
          ],
          ...(kwh === null
            ? []
            : ([
                ["heat in a normal year", `${formatNumber(kwh, 0)} kWh`],
                ["it costs", house.pricePerKwh === null ? null : quantityText(kwh * house.pricePerKwh, "money", units)],
              ] as const)),
          [
            "vents of the ground",
            heat.vents === null
              ? null
              : `${formatNumber(heat.vents.shareOfGround * 100, 0)} %${heat.vents.isEnough ? "" : `, ${quantityText(heat.vents.missingM2, "area", units)} short of 20 %`}`,
          ],
        ]}
      />
      {heat.kwhByMonth && (
        <ol aria-label="Heat by month" className="mt-2 grid grid-cols-12 items-end gap-1">
          {heat.kwhByMonth.map((one, month) => (
            <li key={month} className="text-center text-sm" title={`${MONTHS[month]}: ${formatNumber(one, 0)} kWh`}>
              <span className="block">{formatNumber(one, 0)}</span>
              <span className="mx-auto block w-full bg-feed" style={{ height: `${Math.round((60 * one) / most)}px` }} />
              <span className="block text-soft">{MONTHS[month]![0]}</span>
            </li>
          ))}
        </ol>
      )}
      <p className="mt-1 text-soft">
        kWh by month, day by day, never from the mean day. A fifth of the ground as vents is a rule of thumb.
      </p>
      {house.heatedToC !== null && <CautionNote {...CAUTIONS.heater} />}
    </section>
  );
}
