"use client";
import { useState } from "react";
import { supportHeights } from "@/core/place/supportHeights";
import type { ChannelBank } from "@/core/place/stand";
import { quantityText } from "@/core/units/format";
import { Empty } from "@/ui/Empty";
import { Field } from "@/ui/Field";
import { PrintButton } from "@/ui/PrintButton";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";

export interface SupportBank {
  readonly id: number;
  readonly name: string;
  readonly spec: ChannelBank;
}

/** Heights of the supports along a fall, stand by stand: to be set up with a tape, from the floor. */
export function Supports({ banks }: { banks: readonly SupportBank[] }) {
  const units = useUnits();
  const [chosen, setChosen] = useState(banks[0]?.id ?? 0);
  const bank = banks.find(({ id }) => id === chosen);
  if (!bank)
    return (
      <Empty
        title="No channels yet"
        example="A channel of 6 m that falls 1:40 with a support every 1.2 m stands 950, 920, 890, 860, 830 and 800 mm high: each is listed here."
      />
    );
  const { spec } = bank;
  const supports = supportHeights(spec.lineLengthM, spec.supportSpacingM, spec.fallOneIn, spec.outletHeightM);
  const dropM = spec.fallOneIn === 0 ? 0 : spec.lineLengthM / spec.fallOneIn;
  return (
    <section aria-label={`Supports of ${bank.name}`}>
      <div className="no-print mb-3 max-w-xs">
        <Field label="Stand">
          {(aria) => (
            <select
              {...aria}
              className="input"
              value={chosen}
              onChange={(event) => setChosen(Number(event.target.value))}
            >
              {banks.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          )}
        </Field>
      </div>
      <h2 className="text-3xl">{bank.name}</h2>
      <p className="text-soft">
        {spec.lines} channels of {quantityText(spec.lineLengthM, "length", units)}, fall{" "}
        {spec.fallOneIn === 0 ? "none" : `1:${spec.fallOneIn}`}:{" "}
        <Why
          label="Drop per run"
          how="Length of the channel divided by the run of its fall."
          inputs={[
            ["length", quantityText(spec.lineLengthM, "length", units)],
            ["run of the fall", String(spec.fallOneIn)],
          ]}
        >
          {quantityText(dropM * 1000, "bore", units)}
        </Why>{" "}
        from inlet to outlet; a support every {quantityText(spec.supportSpacingM, "length", units)},{" "}
        {supports.length * spec.lines} in all.
      </p>
      <Profile spec={spec} supports={supports} />
      <table className="mt-3 w-full max-w-xl">
        <thead className="text-left text-sm text-soft">
          <tr>
            <th className="font-normal">Support</th>
            <th className="text-right font-normal">from the inlet</th>
            <th className="text-right font-normal">height over the floor</th>
          </tr>
        </thead>
        <tbody>
          {supports.map(({ distanceFromInletM, heightM }, index) => (
            <tr key={index} className="border-t border-rule">
              <th scope="row" className="py-1 text-left font-normal">
                {index === 0 ? "1, inlet" : index === supports.length - 1 ? `${index + 1}, outlet` : index + 1}
              </th>
              <td className="text-right">{quantityText(distanceFromInletM * 1000, "bore", units)}</td>
              <td className="figure text-right">
                <Why
                  label={`Height of support ${index + 1}`}
                  how="Height of the outlet end, and for what is left of the way to it the drop of the fall."
                  inputs={[
                    ["outlet end", quantityText(spec.outletHeightM * 1000, "bore", units)],
                    ["left to the outlet", quantityText((spec.lineLengthM - distanceFromInletM) * 1000, "bore", units)],
                    ["fall", spec.fallOneIn === 0 ? "none" : `1:${spec.fallOneIn}`],
                  ]}
                >
                  {quantityText(Math.round(heightM * 1000), "bore", units)}
                </Why>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-sm text-soft">
        To the underside of the channel, on a level floor. Measure from a string on an uneven one.
      </p>
      <PrintButton label="Print" />
    </section>
  );
}

/** The line from the side; heights are drawn larger than lengths, as the words say. */
function Profile({ spec, supports }: { spec: ChannelBank; supports: ReturnType<typeof supportHeights> }) {
  const width = 900;
  const highest = Math.max(...supports.map(({ heightM }) => heightM), 0.1);
  const x = (metres: number) => 20 + (metres / Math.max(0.1, spec.lineLengthM)) * (width - 40);
  const y = (metres: number) => 120 - (metres / highest) * 90;
  return (
    <svg
      viewBox={`0 0 ${width} 150`}
      className="mt-3 w-full max-w-3xl"
      role="img"
      aria-label="The line from the side, heights drawn larger"
    >
      <line x1={0} x2={width} y1={120} y2={120} className="stroke-ink" strokeWidth={2} />
      {supports.map(({ distanceFromInletM, heightM }, index) => (
        <g key={index}>
          <line
            x1={x(distanceFromInletM)}
            x2={x(distanceFromInletM)}
            y1={120}
            y2={y(heightM)}
            className="stroke-soft"
            strokeWidth={5}
          />
          <text x={x(distanceFromInletM)} y={142} textAnchor="middle" fontSize={15} className="fill-ink">
            {index + 1}
          </text>
        </g>
      ))}
      <line
        x1={x(0)}
        y1={y(supports[0]!.heightM)}
        x2={x(spec.lineLengthM)}
        y2={y(supports.at(-1)!.heightM)}
        className="stroke-water"
        strokeWidth={6}
        strokeLinecap="round"
      />
    </svg>
  );
}
