"use client";
import Link from "next/link";
import type { LayoutFigures } from "@/core/place/layout/compare";
import type { Dimension } from "@/core/units/dimensions";
import { formatNumber, quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import type { LayoutCopy } from "./LayoutSheet";

interface Row {
  readonly label: string;
  readonly how: string;
  readonly of: (figures: LayoutFigures) => number;
  readonly dimension: Dimension | "density";
}

const ROWS: readonly Row[] = [
  { label: "Plants and cells", how: "All sites of all stands.", of: ({ sites }) => sites, dimension: "count" },
  { label: "Lines", how: "Channels, beds, rows, rafts, towers and trays of all stands.", of: ({ lines }) => lines, dimension: "count" },
  { label: "Plants a m² of line", how: "Sites over the ground of the lines alone.", of: ({ densities }) => densities.perM2OfLine, dimension: "density" },
  { label: "Plants a m² of stand", how: "Sites over the rectangles of the stands with their aisles and access strips.", of: ({ densities }) => densities.perM2OfStand, dimension: "density" },
  { label: "Plants a m² of house", how: "Sites over the footprints of the houses.", of: ({ densities }) => densities.perM2OfHouse, dimension: "density" },
  { label: "Water held", how: "What stands in channels behind dams, in ponds, beds and reservoirs.", of: ({ heldL }) => heldL, dimension: "volume" },
  { label: "Runs back at a stop", how: "Films, towers and floods on their way when the pump stops.", of: ({ drainBackL }) => drainBackL, dimension: "volume" },
  { label: "Pieces to build it", how: "Cups, caps, fittings, supports, trays, buckets …, from nothing and without a spare.", of: ({ pieces }) => pieces, dimension: "count" },
]; // prettier-ignore

/** The garden as it stands and the layouts put by, side by side; what differs from now stands under each figure. */
export function LayoutTable({
  now,
  copies,
  chosen,
}: {
  now: LayoutFigures;
  copies: readonly LayoutCopy[];
  chosen: number;
}) {
  const units = useUnits();
  const text = (value: number, dimension: Row["dimension"]) =>
    dimension === "density"
      ? formatNumber(value, value < 10 ? 2 : 1)
      : dimension === "count"
        ? formatNumber(value)
        : quantityText(value, dimension, units);
  const priced = [now, ...copies.map(({ figures }) => figures)].every(({ priced: own }) => own > 0);
  const rows: readonly Row[] = priced
    ? [
        ...ROWS,
        {
          label: "Materials cost",
          how: "Everything it is built from at the prices of the shelf; what has no price there costs nothing here.",
          of: ({ cost }) => cost,
          dimension: "money",
        },
      ]
    : ROWS;
  const all = [{ id: null, name: "As it stands", figures: now }, ...copies];
  return (
    <div className="overflow-x-auto">
      <table className="w-full min-w-160">
        <thead className="text-right text-sm text-soft">
          <tr>
            <td />
            {rows.map(({ label }) => (
              <th key={label} scope="col" className="px-2 pb-1 align-bottom font-normal">
                {label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {all.map(({ id, name, figures }) => (
            <tr key={id} className={`border-t border-rule ${id === chosen ? "bg-water-pale" : ""}`}>
              <th scope="row" className="whitespace-nowrap px-2 py-1 text-left align-top">
                {id === null ? (
                  <span className="font-normal text-soft">{name}</span>
                ) : (
                  <Link
                    href={`/place/layouts?layout=${id}`}
                    aria-current={id === chosen ? "true" : undefined}
                    className="inline-block min-h-8 underline"
                    scroll={false}
                  >
                    {name}
                  </Link>
                )}
              </th>
              {rows.map(({ label, how, of, dimension }) => {
                const difference = of(figures) - of(now);
                return (
                  <td key={label} className="px-2 py-1 text-right align-top">
                    <span className="figure">
                      <Why label={`${label}, ${name}`} how={how}>
                        {text(of(figures), dimension)}
                      </Why>
                    </span>
                    {Math.abs(difference) > 1e-6 && (
                      <small className="block text-soft">
                        {difference > 0 ? "+" : "−"}
                        {text(Math.abs(difference), dimension)}
                      </small>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {!priced && (
        <p className="mt-1 text-sm text-soft">With prices on the bench’s material list, the cost stands here too.</p>
      )}
    </div>
  );
}
