"use client";
import { dayInWords } from "@/core/units/day";
import type { Dimension } from "@/core/units/dimensions";
import { Quantity } from "./units";
import { Why } from "./Why";

export interface ShortageView {
  readonly kind: "water" | "sites" | "salt";
  readonly name: string;
  readonly day: number;
  readonly amount: number;
  readonly dimension: Dimension;
}

const BY_HOW_MUCH: Readonly<Record<ShortageView["kind"], string>> = {
  water: "short that day",
  sites: "sites over that day",
  salt: "to buy",
};

const HOW: Readonly<Record<ShortageView["kind"], string>> = {
  water:
    "What the plan's plants drink on that day (and what drains of run-to-waste loops), less what the sources give in their order and the store still holds.",
  sites: "Plants of the plan that stand in the pool on that day and lines that are being cleaned, less its sites.",
  salt: "Litres of feed that the plan drinks × grams a litre of each recipe, less what is on the shelf and in the stock tanks.",
};

/** What runs short, the first day of it, and by how much: the same three facts wherever they are shown. */
export function ShortageList({ shortages }: { shortages: readonly ShortageView[] }) {
  if (shortages.length === 0)
    return (
      <p className="sign border-l-[6px] border-leaf bg-leaf-pale px-3 py-2 text-xl">
        Space, water and salts carry the whole plan.
      </p>
    );
  return (
    <table className="w-full self-start">
      <caption className="sign pb-1 text-left text-2xl">First to run short</caption>
      <thead className="text-left text-sm text-soft">
        <tr>
          <th className="font-normal">from</th>
          <th className="font-normal">what</th>
          <th className="text-right font-normal">by how much</th>
        </tr>
      </thead>
      <tbody>
        {shortages.map((shortage, index) => (
          <tr
            key={`${shortage.kind}-${shortage.name}`}
            className={`border-t border-rule ${index === 0 ? "bg-alarm-pale" : ""}`}
          >
            <td className="sign whitespace-nowrap py-1.5 pl-2 pr-3 text-lg">{dayInWords(shortage.day, "year")}</td>
            <td className="py-1.5">{shortage.name}</td>
            <td className="py-1.5 pr-2 text-right">
              <span className="figure !text-xl">
                <Why label={`${shortage.name}: by how much`} how={HOW[shortage.kind]}>
                  <Quantity value={shortage.amount} dimension={shortage.dimension} />
                </Why>
              </span>{" "}
              <span className="text-sm text-soft">{BY_HOW_MUCH[shortage.kind]}</span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
