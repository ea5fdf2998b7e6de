"use client";
import type { GardenFigures } from "@/core/garden/comparison";
import { dayInWords } from "@/core/units/day";
import type { Dimension } from "@/core/units/dimensions";
import { formatNumber, quantityText } from "@/core/units/format";
import type { ComparedWhatIf } from "@/server/garden/whatIf/view";
import { PageLink } from "@/ui/PageLink";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";

interface FigureRow {
  readonly group: string;
  readonly label: string;
  readonly how: string;
  readonly of: (figures: GardenFigures) => number;
  readonly dimension: Dimension | "density";
  /** More said under the figure. */
  readonly note?: (figures: GardenFigures) => string | null;
  readonly when?: (all: readonly GardenFigures[]) => boolean;
}

const from = (day: number | null, words: string) => (day === null ? null : `${words} from ${dayInWords(day)}`);

const ROWS: readonly FigureRow[] = [
  {
    group: "Places",
    label: "Plants and cells",
    how: "All sites of all stands.",
    of: ({ places }) => places.sites,
    dimension: "count",
    note: ({ sitesShort }) => from(sitesShort, "over"),
  },
  {
    group: "Places",
    label: "Lines",
    how: "Channels, beds, rows, rafts, towers and trays of all stands.",
    of: ({ places }) => places.lines,
    dimension: "count",
  },
  {
    group: "Places",
    label: "Plants, of line",
    how: "Sites over the ground of the lines alone.",
    of: ({ places }) => places.densities.perM2OfLine,
    dimension: "density",
  },
  {
    group: "Places",
    label: "Plants, of house",
    how: "Sites over the footprints of the houses.",
    of: ({ places }) => places.densities.perM2OfHouse,
    dimension: "density",
  },
  {
    group: "Flow",
    label: "Flow wanted",
    how: "What the lines of all loops take, in the turns that their banks run in.",
    of: ({ flowWantedLph }) => flowWantedLph,
    dimension: "flow",
  },
  {
    group: "Flow",
    label: "Pumps bring",
    how: "Flow of each loop's pump at its duty point, all loops together.",
    of: ({ flowGivenLph }) => flowGivenLph,
    dimension: "flow",
    note: ({ weakLoops }) => (weakLoops.length > 0 ? `short: ${weakLoops.join(", ")}` : null),
  },
  {
    group: "Water",
    label: "Water a day",
    how: "Mean of what the plan's plants drink on the days ahead, and what drains of run-to-waste loops.",
    of: ({ waterLpd }) => waterLpd,
    dimension: "volume",
    note: ({ waterShort }) => from(waterShort, "short"),
  },
  {
    group: "Water",
    label: "Held in lines",
    how: "Water in channels behind dams, in ponds, beds and reservoirs.",
    of: ({ places }) => places.heldL,
    dimension: "volume",
  },
  {
    group: "Water",
    label: "Drains back at a stop",
    how: "Films, towers and floods on their way when the pump stops.",
    of: ({ places }) => places.drainBackL,
    dimension: "volume",
  },
  {
    group: "Salts",
    label: "Salts ahead",
    how: "Litres of feed of the days ahead × grams a litre of each recipe.",
    of: ({ saltsG }) => saltsG,
    dimension: "mass",
    note: ({ saltsShort }) => from(saltsShort, "short"),
  },
  {
    group: "Orders",
    label: "Orders met",
    how: "Deliveries ahead that the plan meets with plants that have their sites.",
    of: ({ ordersMet }) => ordersMet,
    dimension: "count",
    note: ({ ordersAhead }) => `of ${ordersAhead}`,
  },
  {
    group: "Money",
    label: "Water and salts cost",
    how: "Litres drawn × each source's price, and salts of the days ahead × their prices.",
    of: ({ waterCost, saltCost }) => waterCost + saltCost,
    dimension: "money",
  },
  {
    group: "Money",
    label: "Sales",
    how: "Units of the deliveries that are met × the price of a unit of their variety.",
    of: ({ sales }) => sales,
    dimension: "money",
    when: (all) => all.some(({ sales }) => sales > 0),
    note: ({ allPriced }) => (allPriced ? null : "some varieties without a price"),
  },
  {
    group: "Money",
    label: "Materials cost",
    how: "Everything the stands are built from, at the prices on the shelf; items without a price are left out.",
    of: ({ places }) => places.cost,
    dimension: "money",
    when: (all) => all.every(({ places }) => places.priced > 0),
  },
];

interface WhatIfTableProps {
  readonly now: GardenFigures;
  readonly compared: readonly ComparedWhatIf[];
  readonly chosen: number;
}

/** The garden as it is and the what-ifs, side by side; the difference from now stands under each figure. */
export function WhatIfTable({ now, compared, chosen }: WhatIfTableProps) {
  const units = useUnits();
  const text = (value: number, dimension: FigureRow["dimension"]) =>
    dimension === "density"
      ? formatNumber(value, value < 10 ? 2 : 1)
      : dimension === "count"
        ? formatNumber(value)
        : dimension === "money"
          ? quantityText(Math.round(value), dimension, units)
          : quantityText(value, dimension, units);
  const all = [{ id: null, name: "As it is now", figures: now }, ...compared];
  const rows = ROWS.filter(({ when }) => when?.(all.map(({ figures }) => figures)) ?? true);
  return (
    <div className="overflow-x-auto">
      <table>
        <thead className="text-left">
          <tr>
            <td className="max-md:hidden" />
            <td />
            {all.map(({ id, name }) => (
              <th
                key={id}
                scope="col"
                className={`min-w-24 px-2 pb-1 md:min-w-28 md:px-3 text-right align-bottom ${id === chosen ? "bg-try-pale" : ""}`}
              >
                {id === null ? (
                  <span className="font-normal text-soft">{name}</span>
                ) : (
                  <PageLink
                    href={`/batches/what-if?set=${id}`}
                    aria-current={id === chosen ? "true" : undefined}
                    className="inline-flex min-h-8 items-end underline"
                    scroll={false}
                  >
                    {name}
                  </PageLink>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ group, label, how, of, dimension, note }, index) => (
            <tr key={label} className="border-t border-rule">
              <td className="sign whitespace-nowrap pr-3 max-md:hidden align-top text-lg text-soft">
                {rows[index - 1]?.group === group ? "" : group}
              </td>
              <th scope="row" className="py-1 pr-3 text-left align-top font-normal md:whitespace-nowrap">
                {label}
              </th>
              {all.map(({ id, name, figures }) => {
                const difference = of(figures) - of(now);
                return (
                  <td
                    key={id}
                    className={`px-2 py-1 text-right align-top md:px-3 ${id === chosen ? "bg-try-pale" : ""}`}
                  >
                    <span className="text-lg font-bold">
                      <Why label={`${label}, ${name}`} how={how}>
                        {text(of(figures), dimension)}
                      </Why>
                    </span>
                    {Math.abs(difference) >= (dimension === "money" ? 0.5 : 1e-6) && (
                      <small className="ml-1 whitespace-nowrap text-soft max-md:block">
                        ({difference > 0 ? "+" : "−"}
                        {text(Math.abs(difference), dimension)})
                      </small>
                    )}
                    {note?.(figures) && <small className="block text-soft">{note(figures)}</small>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
