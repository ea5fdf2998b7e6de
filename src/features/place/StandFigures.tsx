"use client";
import { quantityText } from "@/core/units/format";
import type { StandView } from "@/core/garden/placeView";
import { Why } from "@/ui/Why";
import { useUnits } from "@/ui/units";
import { STAND_WATER_WORDS, standFactWords } from "./words";

/** What the kind of a stand tells besides its plants: plastics, gaps, heights, water held and water on its way. */
export function StandFigures({ view }: { view: StandView }) {
  const units = useUnits();
  const { water, tank } = view;
  const rows = [
    ...view.counts.facts.map((fact) => ({
      ...standFactWords(fact),
      value: fact.value,
      dimension: fact.dimension,
      inputs: [] as (readonly [string, string])[],
    })),
    ...(water.heldL > 0
      ? [
          {
            label: "Water held",
            value: water.heldL,
            dimension: "volume" as const,
            how: STAND_WATER_WORDS[water.how],
            inputs: [],
          },
        ]
      : []),
    ...(water.drainBackL > 0
      ? [
          {
            label: "Drains back when the pump stops",
            value: water.drainBackL,
            dimension: "volume" as const,
            how: STAND_WATER_WORDS[water.how],
            inputs: [],
          },
        ]
      : []),
    ...(tank
      ? [
          {
            label: `Room in the ${tank.loopName.toLowerCase()} tank for it`,
            value: tank.headspaceL,
            dimension: "volume" as const,
            how: "Volume of the tank less its normal fill level; all stands of the loop give back into it, and the pump's pipe unless a non-return valve keeps it full.",
            inputs: [
              ["comes back in all", quantityText(tank.drainBackL, "volume", units)],
              ["of that, out of the pipe", quantityText(tank.pipeL, "volume", units)],
            ] as const,
          },
        ]
      : []),
  ];
  if (rows.length === 0) return null;
  return (
    <dl className="mt-2 grid grid-cols-[1fr_auto] gap-x-4 text-sm">
      {rows.map(({ label, value, dimension, how, inputs }) => (
        <div key={label} className="contents">
          <dt className="border-t border-rule py-1">{label}</dt>
          <dd className="border-t border-rule py-1 text-right font-bold">
            <Why label={label} how={how} inputs={inputs}>
              {quantityText(value, dimension, units)}
            </Why>
          </dd>
        </div>
      ))}
    </dl>
  );
}
